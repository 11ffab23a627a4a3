package gradino.core.intake;

import gradino.core.quantity.OutOfBoundsException;
import java.util.Set;

/**
 * Generalised joint hypermobility by Beighton score and age.
 *
 * <p>Source: Beighton, Solomon &amp; Soskolne 1973 (score of 9); cut-offs Malfait et al. 2017, Am J Med Genet C 175:8-26
 * (value from memory): ≥ 6 before puberty, ≥ 5 to 50 years, ≥ 4 over 50; one point below counts with two or more of five
 * answers about earlier years (Hakim &amp; Grahame 2003). Puberty is taken at 12 years (house rule).
 *
 * @param score 0 to 9
 * @param earlierYears answers "yes" about earlier years, 0 to 5
 */
public record Beighton(int score, int earlierYears) {
    private static final int PUBERTY_YEARS = 12;
    private static final int EARLIER_YEARS_NEEDED = 2;

    /** The nine manoeuvres; one point each. */
    public enum Item {
        LITTLE_FINGER_LEFT,
        LITTLE_FINGER_RIGHT,
        THUMB_LEFT,
        THUMB_RIGHT,
        ELBOW_LEFT,
        ELBOW_RIGHT,
        KNEE_LEFT,
        KNEE_RIGHT,
        PALMS
    }

    public Beighton {
        OutOfBoundsException.require("Beighton score", score, 0, 9, "of 9");
        OutOfBoundsException.require("answers about earlier years", earlierYears, 0, 5, "of 5");
    }

    public Beighton(int score) {
        this(score, 0);
    }

    public static Beighton of(Set<Item> seen, int earlierYears) {
        return new Beighton(seen.size(), earlierYears);
    }

    public boolean isHypermobileAt(int ageYears) {
        int cutOff = cutOff(ageYears);
        return score >= cutOff || (score == cutOff - 1 && earlierYears >= EARLIER_YEARS_NEEDED);
    }

    public static int cutOff(int ageYears) {
        if (ageYears < PUBERTY_YEARS) {
            return 6;
        }
        return ageYears <= 50 ? 5 : 4;
    }
}
