package gradino.core.body;

import gradino.core.because.Source;
import org.jspecify.annotations.Nullable;

/**
 * A published range, from {@code norms.csv}.
 *
 * @param mode passive, active, or any where the source does not say; a reading is only compared with its own mode
 * @param position joint position the table was taken in
 * @param sex male, female or any
 * @param kind what the numbers are, and so what may be done with them
 * @param meanDegrees mean of the population, or the round number
 * @param sdDegrees standard deviation between people, not of the mean; null when not published
 * @param lowerDegrees 95 % interval of the mean; null when not published
 */
public record Norm(
        String motion,
        String mode,
        String position,
        String population,
        String sex,
        int fromYears,
        int toYears,
        Kind kind,
        double meanDegrees,
        @Nullable Double sdDegrees,
        @Nullable Double lowerDegrees,
        @Nullable Double upperDegrees,
        Source source) {

    public enum Kind {
        /** Mean of people who were measured, mostly with their standard deviation. */
        STUDY,
        /** Only the mean and how sure it is: that is no usual range. */
        MEAN_INTERVAL,
        /** A round number of a manual. */
        ROUND
    }

    public Norm {
        if (sdDegrees != null && !(sdDegrees > 0)) {
            throw new IllegalArgumentException("a standard deviation is above 0, was " + sdDegrees);
        }
        if (!(fromYears <= toYears)) {
            throw new IllegalArgumentException("ages " + fromYears + " to " + toYears);
        }
    }

    /** Whether it tells how people differ, so that a lower and an upper edge can be drawn: mean ± 1 SD. */
    public boolean hasEdges() {
        return sdDegrees != null;
    }

    /** mean + {@code sds}·SD, degrees. Only with {@link #hasEdges}. */
    public double edge(double sds) {
        if (sdDegrees == null) {
            throw new IllegalStateException("no standard deviation in " + source.text());
        }
        return meanDegrees + sds * sdDegrees;
    }

    /** Lower edge of the usual range: mean − 1 SD. */
    public double lowerEdge() {
        return edge(-1);
    }

    public double upperEdge() {
        return edge(1);
    }

    /** Whether a person belongs to the table's people. */
    public enum Fit {
        SAME_GROUP,
        OTHER_GROUP,
        /** Age or sex is not known, so that nobody can tell. */
        GUESS
    }

    public Fit fit(Person person) {
        Integer age = person.ageYears();
        boolean sexMatters = !sex.equals("any");
        if (age == null || (sexMatters && person.sex() == null)) {
            return Fit.GUESS;
        }
        boolean sexFits = !sexMatters || sex.equals(person.sex());
        return sexFits && age >= fromYears && age <= toYears ? Fit.SAME_GROUP : Fit.OTHER_GROUP;
    }

    /** How far the table's people are from this one: years outside its ages, and 20 more for the other sex. */
    int distance(Person person) {
        int otherSex = sex.equals("any") || sex.equals(person.sex()) ? 0 : 20;
        Integer age = person.ageYears();
        if (age == null) {
            int adult = 30;
            return otherSex + (adult < fromYears || adult > toYears ? 1 : 0);
        }
        return otherSex + Math.max(0, Math.max(fromYears - age, age - toYears));
    }

    /**
     * Whom a table is looked up for.
     *
     * @param sex male or female; null when not said
     * @param ageYears null when not said
     */
    public record Person(@Nullable String sex, @Nullable Integer ageYears) {
        public static final Person UNKNOWN = new Person(null, null);
    }
}
