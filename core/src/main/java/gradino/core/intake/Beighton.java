package gradino.core.intake;

import gradino.core.quantity.OutOfBoundsException;

/**
 * Generalised joint hypermobility by Beighton score and age.
 *
 * <p>Source: Beighton, Solomon &amp; Soskolne 1973 (score of 9); cut-offs Malfait et al. 2017, Am J Med Genet C 175:8-26
 * (value from memory): ≥ 6 before puberty, ≥ 5 to 50 years, ≥ 4 over 50. Puberty is taken at 12 years (house rule).
 *
 * @param score 0 to 9
 */
public record Beighton(int score) {
    private static final int PUBERTY_YEARS = 12;

    public Beighton {
        OutOfBoundsException.require("Beighton score", score, 0, 9, "of 9");
    }

    public boolean isHypermobileAt(int ageYears) {
        return score >= cutOff(ageYears);
    }

    private static int cutOff(int ageYears) {
        if (ageYears < PUBERTY_YEARS) {
            return 6;
        }
        return ageYears <= 50 ? 5 : 4;
    }
}
