package gradino.core.because;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** One variable part of a reason: an amount with its unit, or a word of the trade. */
public sealed interface Term extends Comparable<Term> {
    int MOST_DECIMALS = 6;

    /** @param decimals shown at most */
    record Amount(double value, Unit unit, int decimals) implements Term {
        @Override
        public String text() {
            var suffix = unit == Unit.DAY && value == 1 ? " day" : unit.suffix();
            return number(value, decimals) + suffix;
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
                && number(value, decimals).equals(number(limit, decimals))) {
            decimals++;
        }
        return new Amount(value, unit, decimals);
    }

    private static int usual(Unit unit) {
        return unit == Unit.RATIO ? 2 : 1;
    }

    static Term of(String word) {
        return new Word(word);
    }

    @Override
    default int compareTo(Term other) {
        return text().compareTo(other.text());
    }

    private static String number(double value, int decimals) {
        var plain = BigDecimal.valueOf(value)
                .setScale(decimals, RoundingMode.HALF_UP)
                .toPlainString();
        return decimals == 1 && plain.endsWith(".0") ? plain.substring(0, plain.length() - 2) : plain;
    }
}
