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
 */
public record GateResult(
        String id,
        Outcome outcome,
        @Nullable Verdict verdict,
        @Nullable Double value,
        @Nullable Double limit,
        Unit unit,
        Because because,
        Source source) {

    public enum Outcome {
        PASSED,
        DECIDED,
        NOT_REACHED
    }

    public static GateResult passed(
            String id, @Nullable Double value, @Nullable Double limit, Unit unit, Because because, Source source) {
        return new GateResult(id, Outcome.PASSED, null, value, limit, unit, because, source);
    }

    public static GateResult decided(
            String id,
            Verdict verdict,
            @Nullable Double value,
            @Nullable Double limit,
            Unit unit,
            Because because,
            Source source) {
        return new GateResult(id, Outcome.DECIDED, verdict, value, limit, unit, because, source);
    }

    public boolean decided() {
        return outcome == Outcome.DECIDED;
    }

    /** The same judgement, shown after an earlier gate has already decided. */
    public GateResult notReached() {
        return new GateResult(id, Outcome.NOT_REACHED, null, value, limit, unit, because, source);
    }

    /** The value in words, never rounded onto a limit that it differs from; null where there is none. */
    public @Nullable String seen() {
        if (value == null) {
            return null;
        }
        return limit == null
                ? Term.of(value, unit).text()
                : Term.beside(value, limit, unit).text();
    }

    /** The limit in words; null where there is none. */
    public @Nullable String against() {
        return limit == null ? null : Term.of(limit, unit).text();
    }
}
