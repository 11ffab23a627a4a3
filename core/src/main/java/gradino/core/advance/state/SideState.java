package gradino.core.advance.state;

import gradino.core.because.Verdict;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.reading.RangeState;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.timeline.EffortClass;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Where one side of a line stands.
 *
 * @param dose in force
 * @param base the first dose, which resets return to
 * @param decisions in the order they were taken
 * @param passive cold passive range in the line's series; null when never measured
 * @param active the same for the active range
 * @param controlGrade newest, 0 to 3; null when never graded
 * @param borrowed what is gained in a session is gone by the next
 * @param endFeel at the last cold passive reading; null when unknown
 */
public record SideState(
        Dose dose,
        Dose base,
        List<Event.DoseDecided> decisions,
        @Nullable RangeState passive,
        @Nullable RangeState active,
        @Nullable EndFeel endFeel,
        @Nullable Integer controlGrade,
        boolean borrowed) {

    public SideState {
        decisions = List.copyOf(decisions);
    }

    /** Never graded. */
    public SideState(
            Dose dose,
            Dose base,
            List<Event.DoseDecided> decisions,
            @Nullable RangeState passive,
            @Nullable RangeState active,
            @Nullable EndFeel endFeel) {
        this(dose, base, decisions, passive, active, endFeel, null, false);
    }

    public static SideState first(Dose dose) {
        return new SideState(dose, dose, List.of(), null, null, null);
    }

    public SideState withPassive(RangeState range) {
        return new SideState(dose, base, decisions, range, active, endFeel, controlGrade, borrowed);
    }

    public SideState withActive(RangeState range) {
        return new SideState(dose, base, decisions, passive, range, endFeel, controlGrade, borrowed);
    }

    public SideState withEndFeel(EndFeel feel) {
        return new SideState(dose, base, decisions, passive, active, feel, controlGrade, borrowed);
    }

    SideState withBorrowed() {
        return new SideState(dose, base, decisions, passive, active, endFeel, controlGrade, true);
    }

    SideState withControlGrade(int grade) {
        return new SideState(dose, base, decisions, passive, active, endFeel, grade, borrowed);
    }

    SideState decided(Event.DoseDecided told) {
        var decision = told.knowing(dose);
        var all = new ArrayList<>(decisions);
        all.add(decision);
        boolean moved = !decision.before().equals(decision.after());
        // From here on "changed since" means since this step.
        var since = moved ? fixedHere() : this;
        return new SideState(decision.after(), base, all, since.passive, active, endFeel, controlGrade, borrowed);
    }

    SideState fixedHere() {
        return passive == null ? this : withPassive(passive.fixedHere());
    }

    /** Of the dose in force. */
    public EffortClass effortClass() {
        return EffortClass.of(dose);
    }

    public Optional<Event.DoseDecided> lastDecision() {
        return decisions.isEmpty() ? Optional.empty() : Optional.of(decisions.get(decisions.size() - 1));
    }

    /** The decision that brought the dose in force; empty while it is still the first. */
    public Optional<Event.DoseDecided> lastChange() {
        for (int i = decisions.size() - 1; i >= 0; i--) {
            if (!decisions.get(i).before().equals(decisions.get(i).after())) {
                return Optional.of(decisions.get(i));
            }
        }
        return Optional.empty();
    }

    /** The last step up that was taken, since an instant; a coach's own change is none. */
    public Optional<Event.DoseDecided> lastStepUp(Instant since) {
        for (int i = decisions.size() - 1;
                i >= 0 && !decisions.get(i).happenedAt().isBefore(since);
                i--) {
            var decision = decisions.get(i);
            if (decision.proposed() == Verdict.STEP_UP && !decision.before().equals(decision.after())) {
                return Optional.of(decision);
            }
        }
        return Optional.empty();
    }

    /** This side as it was just before a decision; ranges stay as they are known now. */
    SideState before(Event.DoseDecided decision) {
        var earlier = decisions.subList(0, decisions.indexOf(decision));
        return new SideState(decision.before(), base, earlier, passive, active, endFeel, controlGrade, borrowed);
    }
}
