package gradino.core.because;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** One variable part of a reason: an amount with its unit, or a word of the trade. */
public sealed interface Term extends Comparable<Term> {

    record Amount(double value, Unit unit) implements Term {
        @Override
        public String text() {
            var suffix = unit == Unit.DAY && value == 1 ? " day" : unit.suffix();
            return number(value, unit == Unit.RATIO ? 2 : 1) + suffix;
        }
    }

    record Word(String text) implements Term {}

    String text();

    static Term of(double value, Unit unit) {
        return new Amount(value, unit);
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
