package gradino.core.prescribe;

import gradino.core.because.Finding;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Holds a plan against the method, the client and the restrictions. Only safety and nonsense block; the rest is advice. */
public final class PlanCheck {
    private static final int SECONDS_PER_MINUTE = 60;

    private final Plan plan;
    private final PlanContext context;
    private final List<Finding> findings = new ArrayList<>();

    private PlanCheck(Plan plan, PlanContext context) {
        this.plan = plan;
        this.context = context;
    }

    public static List<Finding> check(Plan plan, PlanContext context) {
        var check = new PlanCheck(plan, context);
        check.place();
        check.shape();
        for (var side : Side.PAIR) {
            check.side(side);
        }
        check.sides();
        check.week();
        if (check.findings.stream()
                .noneMatch(f -> f.path().equals("position") || f.path().equals("motion"))) {
            check.minutes();
        }
        return List.copyOf(check.findings);
    }

    /** What stands against one side's dose alone: the same rules, for a step that changes nothing else. */
    public static List<Finding> checkSide(Plan plan, Side side, PlanContext context) {
        var check = new PlanCheck(plan, context);
        check.side(side);
        return List.copyOf(check.findings);
    }

    /** Whether the plan takes longer than the client has. Needs a known motion and position. */
    public static Optional<Finding> tooLong(Plan plan, PlanContext context) {
        var check = new PlanCheck(plan, context);
        check.minutes();
        return check.findings.stream().findFirst();
    }

    private void side(Side side) {
        dose(side, plan.dose(side));
        restrictions(side, plan.dose(side));
    }

    private void place() {
        if (Catalogue.motion(plan.motion()).isEmpty()) {
            block(
                    "motion",
                    "unknown-motion",
                    null,
                    "",
                    "No motion called '" + plan.motion() + "': pick one of the list.");
        }
        var position = Catalogue.position(plan.position());
        if (position.isEmpty()) {
            block("position", "unknown-position", null, "", "No position called '" + plan.position() + "': pick one.");
        } else if (!position.get().trains()) {
            block("position", "measuring-only", null, "", "This position is for measuring only: pick another.");
        } else if (!position.get().allows(plan.motion())) {
            block(
                    "position",
                    "position-for-motion",
                    null,
                    "",
                    "This position does not train this motion: pick another.");
        }
        var method = Method.byId(plan.method());
        if (method.isEmpty()) {
            block("method", "unknown-method", null, "", "No method called '" + plan.method() + "': pick one.");
        } else if (method.get().find(BlockForm.GRADED_SET, "sets").isEmpty()) {
            block("method", "composed-only", null, "", "This method has no ramps in sets: compose it as a session.");
        }
    }

    private void shape() {
        int fall = plan.press().firstNotRising();
        if (fall >= 0) {
            double before = plan.press().steps().get(fall - 1).effort().value();
            block(
                    "press.steps[" + fall + "].effort",
                    "ramp-not-rising",
                    before,
                    "%",
                    "Step " + (fall + 1) + " must lie above step " + fall + ": raise it or take it out.");
        }
    }

    private void dose(Side side, Dose dose) {
        var at = "doses." + side.word() + ".";
        if (dose.sets() < 1) {
            block(
                    at + "sets",
                    "no-sets",
                    1.0,
                    "",
                    "At least one set; to leave a side out, skip it on the floor with a reason.");
        }
        if (dose.ceiling().value() < 1) {
            block(at + "ceiling", "no-effort", 1.0, "%", "A ramp needs an effort above 0 %.");
        }
        if (dose.supportedHoldSeconds() > BlockCheck.LONGEST_SUPPORTED_HOLD) {
            block(
                    at + "supportedHoldSeconds",
                    "hold-too-long",
                    120.0,
                    "s",
                    "Supported holds end at 120 s: shorten it or add a set.");
        }
        if (context.newcomer() && dose.supportedHoldSeconds() > BlockCheck.NEWCOMER_HOLD) {
            block(
                    at + "supportedHoldSeconds",
                    "newcomer-hold",
                    60.0,
                    "s",
                    "A newcomer stays at 60 s for the first four sessions.");
        }
        if (context.newcomer() && dose.ceiling().value() > BlockCheck.NEWCOMER_CEILING) {
            block(
                    at + "ceiling",
                    "newcomer-ceiling",
                    50.0,
                    "%",
                    "A newcomer stays at 50 % for the first four sessions.");
        }
        var passive = context.passive().on(side);
        if (passive.isPresent() && dose.angle().compareTo(passive.get().value()) > 0) {
            double edge = passive.get().value().value();
            block(
                    at + "angle",
                    "above-range",
                    edge,
                    "°",
                    "Above today's cold passive range: set it lower or measure again.");
        }
        Method.byId(plan.method()).ifPresent(method -> ranges(at, dose, method));
    }

    private void ranges(String at, Dose dose, Method method) {
        method.find(BlockForm.GRADED_SET, "top-hold")
                .ifPresent(r -> range(at + "topHoldSeconds", dose.topHoldSeconds(), r, "s"));
        method.find(BlockForm.GRADED_SET, "sets").ifPresent(r -> range(at + "sets", dose.sets(), r, ""));
        method.find(BlockForm.SUPPORTED_HOLD, "seconds")
                .ifPresent(r -> range(at + "supportedHoldSeconds", dose.supportedHoldSeconds(), r, "s"));
    }

    private void range(String path, int value, MethodBlock.Range range, String unit) {
        if (findings.stream().anyMatch(f -> f.path().equals(path))) {
            return;
        }
        if (!range.holds(value)) {
            double bound = value < range.least() ? range.least() : range.most();
            findings.add(Finding.advice(
                    path,
                    "outside-method",
                    bound,
                    unit,
                    "This method usually stays within %.0f to %.0f %s."
                            .formatted(range.least(), range.most(), unit)
                            .replace(" .", ".")));
        }
    }

    private void restrictions(Side side, Dose dose) {
        var change = new DoseChange(plan, side, context.held().on(side), dose);
        findings.addAll(RestrictionCheck.check(context.limits(), change, "doses." + side.word() + "."));
    }

    private void sides() {
        if (!plan.dose(Side.LEFT).sameWorkAs(plan.dose(Side.RIGHT))
                && plan.unequalReason().isBlank()) {
            findings.add(Finding.advice(
                    "unequalReason", "unequal-sides", null, "", "The sides differ: make them equal or say why."));
        }
    }

    private void week() {
        var peak = plan.doses().left().ceiling().atLeast(plan.doses().right().ceiling());
        int cap = EffortClass.of(peak).weeklyCap();
        if (plan.sessionsPerWeek() > cap) {
            findings.add(Finding.advice(
                    "sessionsPerWeek",
                    "weekly-cap",
                    (double) cap,
                    "",
                    "At this effort at most " + cap + " a week: harder work means fewer days."));
        }
    }

    private void minutes() {
        var minutes = context.minutes();
        if (minutes == null) {
            return;
        }
        int seconds = Compiler.secondsOf(plan);
        if (seconds > minutes * SECONDS_PER_MINUTE) {
            findings.add(Finding.advice(
                    "minutes",
                    "too-long",
                    (double) minutes,
                    "min",
                    "%.1f min in %d min: drop a set, shorten the hold, or ask for more time."
                            .formatted(seconds / 60.0, minutes)));
        }
    }

    private void block(String path, String code, @Nullable Double bound, String unit, String message) {
        findings.add(Finding.blocking(path, code, bound, unit, message));
    }
}
