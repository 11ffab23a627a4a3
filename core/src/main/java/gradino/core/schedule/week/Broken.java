package gradino.core.schedule.week;

/**
 * A rule that a week breaks.
 *
 * @param line the one that is wrong there; empty for a day as a whole
 * @param other the line it collides with; empty where there is none
 * @param day of the week, 0 to 6; −1 for the week as a whole
 * @param is what it comes to: seconds, hours or days by the rule
 * @param bound what it may come to
 */
public record Broken(Rule rule, String line, String other, int day, long is, long bound) {
    /** What is never broken by a plan of ours. */
    public enum Rule {
        /** The day has fewer seconds. */
        MINUTES,
        /** Hours from the end of one to the start of the next. */
        SPACING,
        /** Days a week of a line, or of a joint. */
        CAP,
        /** Place, equipment, a restriction, a pause, or whoever must be there. */
        ALLOWED,
        /** What is past is as it was. */
        PAST,
        /** Lines of a kept session are done on the same days. */
        TOGETHER
    }
}
