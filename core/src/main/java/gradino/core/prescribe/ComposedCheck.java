package gradino.core.prescribe;

import gradino.core.because.Finding;
import gradino.core.body.Side;
import gradino.core.prescribe.SessionContext.LineFacts;
import gradino.core.prescribe.SessionDraft.LineDraft;
import gradino.core.prescribe.SessionDraft.StationDraft;
import java.util.List;
import java.util.Set;

/** A composed line alone, held against the rules of a whole session: what a step would change of it meets them like an edit. */
public final class ComposedCheck {
    private static final String LINE = "stations[0].lines[0].";

    private ComposedCheck() {}

    /** What stands against one side, with paths from the line on. */
    public static List<Finding> checkSide(Plan plan, Side side, PlanContext context, Method method) {
        var list = Protocol.list(side);
        return check(plan, context, method).stream()
                .filter(f -> f.path().startsWith(list) || f.path().startsWith("angles." + side.word()))
                .toList();
    }

    public static List<Finding> check(Plan plan, PlanContext context, Method method) {
        var draft = new SessionDraft(List.of(), List.of(StationDraft.of(line(plan))));
        var session = new SessionContext(null, List.of(), Set.of(), any -> facts(context));
        return SessionCheck.check(draft, session, List.of(method)).findings().stream()
                .map(f -> f.path().startsWith(LINE) ? f.at(f.path().substring(LINE.length())) : f)
                .toList();
    }

    private static LineFacts facts(PlanContext context) {
        return new LineFacts(
                context.limits(),
                context.newcomer(),
                context.held().map((side, dose) -> dose.map(Dose::angle)),
                context.passive(),
                !context.newcomer(),
                !context.newcomer());
    }

    private static LineDraft line(Plan plan) {
        return new LineDraft(
                "line",
                plan.motion(),
                plan.position(),
                plan.method(),
                plan.sides(),
                plan.firstSide(),
                plan.doses().map((side, dose) -> dose.angle().value()),
                plan.dose(Side.LEFT).blocks(),
                plan.dose(Side.RIGHT).blocks(),
                plan.setUpSeconds(),
                plan.sideChangeSeconds(),
                plan.sessionsPerWeek(),
                plan.unequalReason());
    }
}
