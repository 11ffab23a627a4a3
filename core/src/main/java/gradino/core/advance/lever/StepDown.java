package gradino.core.advance.lever;

import gradino.core.advance.gate.DownCause;
import gradino.core.advance.gate.Situation;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.effort.Gravity;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.FirstDose;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;

/** The way down, by cause. The top hold never stays above its base. */
public final class StepDown {
    private StepDown() {}

    public record Down(Dose dose, Because why) {}

    public static Down of(DownCause cause, Situation s) {
        return switch (cause) {
            case ANGLE_TOO_DEEP -> shallower(s, s.dose().angle().plus(-s.value(Threshold.DOWN_ANGLE)));
            case RANGE_LOST -> shallower(s, s.passive().orElseThrow().value().plus(-s.value(Threshold.ANGLE_MARGIN)));
            case PAIN_WHILE_CONTRACTING -> softer(s);
            case UNDER_LOAD -> lighter(s);
            case UNKNOWN -> undo(s);
            case AWAY_LONG -> newcomer(s);
            case EFFORT_CAPPED -> capped(s);
            case ANGLE_CAPPED -> shallower(s, Degrees.of(angleCap(s)));
            case CONTRACTION_CAPPED -> shorter(s);
        };
    }

    private static Down shallower(Situation s, Degrees to) {
        var angle = s.onProps(to);
        var why = Because.of(
                Reason.DOWN_ANGLE, Term.of(s.dose().angle().value(), Unit.DEGREE), Term.of(angle.value(), Unit.DEGREE));
        return new Down(held(s, s.dose().withAngle(angle)), why);
    }

    private static Down softer(Situation s) {
        var old = s.dose().ceiling();
        var least = EffortPercent.of(s.whole(Threshold.CEILING_LEAST)).atMost(old);
        var ceiling = old.shifted(-s.whole(Threshold.DOWN_CEILING)).atLeast(least);
        var why = Because.of(
                Reason.DOWN_CEILING, Term.of(old.value(), Unit.PERCENT), Term.of(ceiling.value(), Unit.PERCENT));
        return new Down(held(s, s.dose().withCeiling(ceiling)), why);
    }

    /** Each load to the next lighter weight, the lightest to none. */
    private static Down lighter(Situation s) {
        double old = s.dose().loadKg();
        var lighter = s.dose().lighter(Gravity::lighterPlate);
        var why = Because.of(Reason.DOWN_LOAD, Term.of(old, Unit.KILOGRAM), Term.of(lighter.loadKg(), Unit.KILOGRAM));
        return new Down(held(s, lighter), why);
    }

    /** Takes the last step up back; where none was taken there is nothing to undo and the effort comes down instead. */
    private static Down undo(Situation s) {
        return s.me().lastChange()
                .filter(d -> d.proposed() == Verdict.STEP_UP)
                .map(d -> new Down(held(s, within(s, d.before())), Because.of(Reason.DOWN_UNDO)))
                .orElseGet(() -> softer(s));
    }

    private static Dose within(Situation s, Dose dose) {
        return dose.withCeiling(
                dose.ceiling().atMost(s.state().client().limits().highestEffort()));
    }

    private static Down newcomer(Situation s) {
        var now = s.dose().angle();
        var angle = s.onProps(s.angleBound().filter(b -> b.compareTo(now) < 0).orElse(now));
        var first = FirstDose.newcomers(s.me().base().withAngle(angle));
        return new Down(within(s, first), Because.of(Reason.DOWN_NEWCOMER));
    }

    private static Down capped(Situation s) {
        var cap = s.state().client().limits().highestEffort();
        var why = Because.of(
                Reason.DOWN_CEILING,
                Term.of(s.dose().ceiling().value(), Unit.PERCENT),
                Term.of(cap.value(), Unit.PERCENT));
        return new Down(s.dose().withCeiling(cap), why);
    }

    private static double angleCap(Situation s) {
        return s.state().client().limits().angleCap(s.side()).orElseThrow().bound();
    }

    /** The top hold gives way first; what is left is for the coach, who alone changes the ramp. */
    private static Down shorter(Situation s) {
        int over = s.planWith(s.dose()).longestContractionSeconds(s.side())
                - (int) s.state()
                        .client()
                        .limits()
                        .contractionCap()
                        .orElseThrow()
                        .bound();
        int hold = Math.max(0, s.dose().topHoldSeconds() - over);
        var why = Because.of(
                Reason.STEP_NUMBER,
                Term.of("Top hold"),
                Term.of(s.dose().topHoldSeconds(), Unit.SECOND),
                Term.of(hold, Unit.SECOND));
        return new Down(s.dose().withTopHold(hold), why);
    }

    private static Dose held(Situation s, Dose dose) {
        return dose.withTopHold(Math.min(dose.topHoldSeconds(), s.me().base().topHoldSeconds()));
    }
}
