package gradino.core.effort;

import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.timeline.Timeline.Phase;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.List;

/**
 * The effort asked for over a stretch of time, rising or falling evenly, on whichever clock the trace is on.
 *
 * @param contraction whether own strength works in it
 */
public record Asked(
        PhaseKind kind,
        double startSecond,
        double endSecond,
        double fromPercent,
        double toPercent,
        boolean contraction) {
    public Asked {
        OutOfBoundsException.require("start", startSecond, 0, 100_000, "s");
        OutOfBoundsException.require("end", endSecond, 0, 100_000, "s");
        OutOfBoundsException.require("effort", fromPercent, 0, 100, "%");
        OutOfBoundsException.require("effort", toPercent, 0, 100, "%");
        if (!(endSecond >= startSecond)) {
            throw new IllegalArgumentException("asked from " + startSecond + " to " + endSecond + " s");
        }
    }

    public double seconds() {
        return endSecond - startSecond;
    }

    /** @param second within it */
    public double percentAt(double second) {
        return seconds() == 0
                ? toPercent
                : fromPercent + (second - startSecond) / seconds() * (toPercent - fromPercent);
    }

    /** As compiled, on the timeline's clock. */
    public static List<Asked> planned(List<Phase> phases) {
        return phases.stream()
                .map(p -> new Asked(
                        p.kind(),
                        p.startSecond(),
                        p.endSecond(),
                        p.effortFrom().value(),
                        p.effortTo().value(),
                        p.isContraction()))
                .toList();
    }

    /**
     * As it was really run, from 0: a phase that was made longer rises more slowly, one that was cut short ends where it had
     * got to.
     *
     * @param doneSeconds of each phase, 0 or more
     */
    public static List<Asked> done(List<Phase> phases, List<Double> doneSeconds) {
        if (phases.size() != doneSeconds.size()) {
            throw new IllegalArgumentException(phases.size() + " phases, " + doneSeconds.size() + " durations");
        }
        var asked = new ArrayList<Asked>();
        double at = 0;
        for (int i = 0; i < phases.size(); i++) {
            var phase = phases.get(i);
            double lasted = doneSeconds.get(i);
            OutOfBoundsException.require("doneSeconds", lasted, 0, 36_000, "s");
            double from = phase.effortFrom().value();
            double reached = Math.min(1, lasted / phase.seconds());
            double to = from + reached * (phase.effortTo().value() - from);
            asked.add(new Asked(phase.kind(), at, at + lasted, from, to, phase.isContraction()));
            at += lasted;
        }
        return asked;
    }
}
