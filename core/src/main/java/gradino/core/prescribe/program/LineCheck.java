package gradino.core.prescribe.program;

import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.timeline.Protocol;
import java.util.List;

/** A line alone, held against the rules of a whole session: what a step would change of it meets them like an edit. */
public final class LineCheck {
    private LineCheck() {}

    /** What stands against one side, with paths from the line on. The other side is not looked at. */
    public static List<Finding> checkSide(Plan plan, Side side, LineFacts facts, Method method) {
        var list = Protocol.list(side);
        var alone = plan.withDose(side.other(), new Dose(plan.dose(side.other()).angle(), List.of()));
        return check(alone, facts, method).stream()
                .filter(f -> f.path().startsWith(list) || f.path().startsWith("angles." + side.word()))
                .toList();
    }

    /** What stands against one side's angle alone, whatever its blocks are. */
    public static List<Finding> checkAngle(Plan plan, Side side, LineFacts facts) {
        return SessionCheck.angle(plan, side, facts);
    }

    public static List<Finding> check(Plan plan, LineFacts facts, Method method) {
        return SessionCheck.line(plan.draft("line"), facts, method);
    }
}
