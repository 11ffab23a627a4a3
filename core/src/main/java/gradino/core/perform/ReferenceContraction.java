package gradino.core.perform;

import gradino.core.because.Finding;
import gradino.core.effort.ForceTrace;
import gradino.core.intake.Limits;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.OutOfBoundsException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What 100 % is on one side, in one direction, at one angle: the best second of three all-out tries (common practice, no source;
 * times and how long it holds are house rules).
 *
 * @param newtons {@value #LEAST_NEWTONS} to 5000
 */
public record ReferenceContraction(double newtons, Degrees angle, Instant measuredAt) {
    public ReferenceContraction {
        OutOfBoundsException.require("reference", newtons, 0, 5000, "N");
    }

    public static final int TRIES = 3;
    public static final double SHORTEST_SECONDS = 3;
    public static final double LONGEST_SECONDS = 5;
    public static final double REST_SECONDS = 30;
    public static final int HOLDS_DAYS = 28;
    public static final double LEAST_NEWTONS = 5;

    /** Half a step of the angle lever is no other angle. */
    private static final double SAME_ANGLE_DEGREES = 1;

    /** A hand on the gauge and the rise to full force are not part of the try. */
    private static final double TOLERANCE_SECONDS = 0.25;

    /** Newtons once the tries are good; findings name each try that is not. */
    public record Read(Optional<Double> newtons, List<Finding> findings) {}

    /** @param tries in order, all on one clock */
    public static Read read(List<ForceTrace> tries) {
        var findings = new ArrayList<Finding>();
        if (tries.size() != TRIES) {
            findings.add(Finding.blocking(
                    "tries",
                    "three-tries",
                    (double) TRIES,
                    "",
                    "Three tries make a reference; these are %d.".formatted(tries.size())));
        }
        for (int i = 0; i < tries.size(); i++) {
            check(tries, i, findings);
        }
        double best = tries.stream()
                .flatMap(t -> t.bestSecond().stream())
                .mapToDouble(n -> n)
                .max()
                .orElse(0);
        if (findings.isEmpty() && best < LEAST_NEWTONS) {
            findings.add(Finding.blocking(
                    "tries", "too-weak", LEAST_NEWTONS, "N", "Nothing pressed on the gauge: see that it lies right."));
        }
        return new Read(findings.isEmpty() ? Optional.of(best) : Optional.empty(), findings);
    }

    private static void check(List<ForceTrace> tries, int i, List<Finding> findings) {
        var at = "tries[" + i + "]";
        double lasted = end(tries.get(i)) - start(tries.get(i));
        if (lasted < SHORTEST_SECONDS - TOLERANCE_SECONDS || lasted > LONGEST_SECONDS + TOLERANCE_SECONDS) {
            findings.add(Finding.blocking(
                    at,
                    "try-length",
                    lasted < SHORTEST_SECONDS ? SHORTEST_SECONDS : LONGEST_SECONDS,
                    "s",
                    "A try lasts 3 to 5 s; try %d lasted %.1f s.".formatted(i + 1, lasted)));
        }
        if (i > 0) {
            double rested = start(tries.get(i)) - end(tries.get(i - 1));
            if (rested < REST_SECONDS - TOLERANCE_SECONDS) {
                findings.add(Finding.blocking(
                        at,
                        "try-rest",
                        REST_SECONDS,
                        "s",
                        "At least 30 s of rest between tries; before try %d there were %.0f s."
                                .formatted(i + 1, Math.max(0, rested))));
            }
        }
    }

    private static double start(ForceTrace trace) {
        return trace.second(0);
    }

    private static double end(ForceTrace trace) {
        return trace.second(trace.size() - 1);
    }

    /** Whether all-out tries may be asked of somebody; findings say why not, and efforts stay self-rated. */
    public static List<Finding> allowed(Limits limits, boolean newcomer) {
        var findings = new ArrayList<Finding>();
        limits.stopped()
                .ifPresent(r -> findings.add(
                        Finding.blocking("reference", "stopped", null, "", "This motion is stopped: no all-out try.")));
        limits.effortCap()
                .ifPresent(cap -> findings.add(Finding.blocking(
                        "reference",
                        "effort-capped",
                        cap.bound(),
                        "%",
                        "Effort is capped at %.0f %%: no all-out try, effort stays self-rated."
                                .formatted(cap.bound()))));
        limits.contractionCap()
                .ifPresent(cap -> findings.add(Finding.blocking(
                        "reference",
                        "contraction-capped",
                        cap.bound(),
                        "s",
                        "How long a contraction may last is capped: no all-out try, effort stays self-rated.")));
        if (newcomer) {
            findings.add(Finding.blocking(
                    "reference",
                    "newcomer",
                    null,
                    "",
                    "New to this motion: no all-out try yet, effort stays self-rated."));
        }
        return findings;
    }

    /** Why it is void at an angle and day; null while it holds. */
    public @Nullable String voidBecause(Degrees at, LocalDate measured, LocalDate today) {
        if (Math.abs(at.value() - angle.value()) >= SAME_ANGLE_DEGREES) {
            return "measured at %.1f°, trained at %.1f°".formatted(angle.value(), at.value());
        }
        long days = ChronoUnit.DAYS.between(measured, today);
        return days > HOLDS_DAYS ? "measured %d days ago".formatted(days) : null;
    }
}
