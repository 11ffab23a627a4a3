package gradino.core.advance;

import gradino.core.because.Unit;
import gradino.core.prescribe.Dose;
import java.util.ArrayList;
import java.util.List;

/** A number that a step changes, from → to. */
public record Change(String what, double from, double to, Unit unit) {

    /** Every number that differs between two doses. */
    public static List<Change> between(Dose from, Dose to) {
        var changes = new ArrayList<Change>();
        add(changes, "working angle", from.angle().value(), to.angle().value(), Unit.DEGREE);
        add(changes, "supported hold", from.supportedHoldSeconds(), to.supportedHoldSeconds(), Unit.SECOND);
        add(changes, "sets", from.sets(), to.sets(), Unit.COUNT);
        add(changes, "effort ceiling", from.ceiling().value(), to.ceiling().value(), Unit.PERCENT);
        add(changes, "top hold", from.topHoldSeconds(), to.topHoldSeconds(), Unit.SECOND);
        add(changes, "hands-off hold", from.handsOffSeconds(), to.handsOffSeconds(), Unit.SECOND);
        add(changes, "hands-off repetitions", from.handsOffRepetitions(), to.handsOffRepetitions(), Unit.COUNT);
        return List.copyOf(changes);
    }

    private static void add(List<Change> changes, String what, double from, double to, Unit unit) {
        if (from != to) {
            changes.add(new Change(what, from, to, unit));
        }
    }
}
