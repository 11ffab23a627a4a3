package gradino.core.because;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** One variable part of a reason: an amount with its unit, or a word of the trade. */
public sealed interface Term extends Comparable<Term> {
    int MOST_DECIMALS = 6;
    /** Below it every whole number is exact. */
    double WHOLE = 1e15;

    /** @param decimals shown at most */
    record Amount(double value, Unit unit, int decimals) implements Term {
        @Override
        public String text() {
            var suffix = unit == Unit.DAY && value == 1 ? " day" : unit.suffix();
            return number(value, unit, decimals) + suffix;
        }
    }

    record Word(String text) implements Term {}

    String text();

    static Term of(double value, Unit unit) {
        return new Amount(value, unit, usual(unit));
    }

    /** With as many decimals as it takes not to look like the limit that it differs from. */
    static Term beside(double value, double limit, Unit unit) {
        int decimals = usual(unit);
        while (value != limit
                && decimals < MOST_DECIMALS
                && number(value, unit, decimals).equals(number(limit, unit, decimals))) {
            decimals++;
        }
        return new Amount(value, unit, decimals);
    }

    private static int usual(Unit unit) {
        // Plates of 1.25 kg are usual.
        return unit == Unit.RATIO || unit == Unit.KILOGRAM ? 2 : 1;
    }

    static Term of(String word) {
        return new Word(word);
    }

    @Override
    default int compareTo(Term other) {
        return text().compareTo(other.text());
    }

    private static String number(double value, Unit unit, int decimals) {
        if (value == Math.rint(value) && Math.abs(value) < WHOLE && (unit == Unit.KILOGRAM || decimals == 1)) {
            // Nearly every amount is whole, and reasons are written by the thousand.
            return Long.toString((long) value);
        }
        var rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
        boolean isWhole = rounded.stripTrailingZeros().scale() <= 0;
        if (unit == Unit.KILOGRAM || (decimals == 1 && isWhole)) {
            rounded = rounded.stripTrailingZeros();
        }
        return rounded.toPlainString();
    }
}
