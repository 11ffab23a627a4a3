package gradino.core.advance;

import gradino.core.because.Reason;
import gradino.core.because.Verdict;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Where a proposal stands in a coach's queue, the most urgent first. */
public enum Urgency {
    STOP,
    STEP_DOWN,
    /** A measurement would let more be said. */
    MEASURE,
    STEP_UP,
    STAY;

    private static final Set<Reason> MEASURES = EnumSet.of(Reason.ASK_COLD, Reason.ASK_REMEASURE, Reason.ASK_RETEST);

    /** What speaks for a line of several sides: the most urgent of their proposals, the first of equal ones. */
    public static Proposed mostUrgent(List<Proposed> proposals) {
        return proposals.stream().min(Comparator.comparing(Urgency::of)).orElseThrow();
    }

    public static Urgency of(Proposed proposal) {
        if (proposal.verdict() == Verdict.STOP_AND_REFER) {
            return STOP;
        } else if (proposal.verdict() == Verdict.STEP_DOWN) {
            return STEP_DOWN;
        } else if (proposal.requests().stream().anyMatch(r -> MEASURES.contains(r.reason()))) {
            return MEASURE;
        }
        return proposal.verdict() == Verdict.STEP_UP ? STEP_UP : STAY;
    }
}
