package gradino.core.because;

import org.jspecify.annotations.Nullable;

/**
 * How one gate judged.
 *
 * @param id the gate's stable name
 * @param outcome whether it let the line pass, decided, or was not reached
 * @param verdict what it decided; null unless it decided
 * @param value what was seen, in {@code unit}; null where the gate has no number
 * @param limit what it was held against, in {@code unit}; null where the gate has no number
 * @param seen the value in words, never rounded onto a limit that it differs from
 * @param against the limit in words
 */
public record GateResult(
        String id,
        Outcome outcome,
        @Nullable Verdict verdict,
        @Nullable Double value,
        @Nullable Double limit,
        Unit unit,
        @Nullable String seen,
        @Nullable String against,
        Because because,
        Source source) {

    public enum Outcome {
        PASSED,
        DECIDED,
        NOT_REACHED
    }

    public static GateResult passed(
            String id, @Nullable Double value, @Nullable Double limit, Unit unit, Because because, Source source) {
        return of(id, Outcome.PASSED, null, value, limit, unit, because, source);
    }

    public static GateResult decided(
            String id,
            Verdict verdict,
            @Nullable Double value,
            @Nullable Double limit,
            Unit unit,
            Because because,
            Source source) {
        return of(id, Outcome.DECIDED, verdict, value, limit, unit, because, source);
    }

    private static GateResult of(
            String id,
            Outcome outcome,
            @Nullable Verdict verdict,
            @Nullable Double value,
            @Nullable Double limit,
            Unit unit,
            Because because,
            Source source) {
        var against = limit == null ? null : Term.of(limit, unit).text();
        var seen =
                value == null ? null : (limit == null ? Term.of(value, unit) : Term.beside(value, limit, unit)).text();
        return new GateResult(id, outcome, verdict, value, limit, unit, seen, against, because, source);
    }

    public boolean decided() {
        return outcome == Outcome.DECIDED;
    }

    /** The same judgement, shown after an earlier gate has already decided. */
    public GateResult notReached() {
        return new GateResult(id, Outcome.NOT_REACHED, null, value, limit, unit, seen, against, because, source);
    }
}
