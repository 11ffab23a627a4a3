package gradino.core.prescribe.method;

/**
 * Where practitioners disagree, the method carries the answer.
 *
 * @param breathWords the rule as the school says it
 * @param stretchingWords the rule as the school says it
 */
public record SchoolRules(
        BreathRule breath, String breathWords, Cramp cramp, Stretching stretching, String stretchingWords) {}
