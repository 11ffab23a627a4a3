package gradino.core.because;

import java.util.Comparator;
import java.util.List;

/** A typed reason. Two are equal when they say the same of the same numbers, so "what changed" is a set difference. */
public record Because(Reason reason, List<Term> terms) implements Comparable<Because> {

    private static final Comparator<Because> ORDER = Comparator.comparing(Because::reason)
            .thenComparing(
                    b -> String.join(" ", b.terms.stream().map(Term::text).toList()));

    public Because {
        terms = List.copyOf(terms);
    }

    public static Because of(Reason reason, Term... terms) {
        return new Because(reason, List.of(terms));
    }

    /** The reason in words, from {@link Wording}. */
    public String text() {
        return Wording.of(this);
    }

    @Override
    public int compareTo(Because other) {
        return ORDER.compare(this, other);
    }
}
