package gradino.core.measure.limit;

import java.util.Comparator;

/**
 * How soon a motion should be worked on: what the goal needs, then the deficit, then asymmetry, then the control gap. Parts
 * are compared one after another and never added up; each is shown. 0 means that this part asks for nothing.
 *
 * @param goalShortDegrees of the worse side below what the goal needs
 * @param deficitSds of the worse side below the usual mean, in its standard deviations
 * @param asymmetryDegrees between the sides, when it is more than noise
 * @param gapOverDegrees of the worse side's control gap above its limit, when it is more than noise
 */
public record Priority(double goalShortDegrees, double deficitSds, double asymmetryDegrees, double gapOverDegrees)
        implements Comparable<Priority> {
    public static final Priority NONE = new Priority(0, 0, 0, 0);

    /** Most pressing first. Parts within half a degree, or a tenth of an SD, count as equal. */
    private static final Comparator<Priority> ORDER = Comparator.<Priority>comparingLong(
                    p -> -Math.round(p.goalShortDegrees))
            .thenComparingLong(p -> -Math.round(p.deficitSds * 10))
            .thenComparingLong(p -> -Math.round(p.asymmetryDegrees))
            .thenComparingLong(p -> -Math.round(p.gapOverDegrees));

    public Priority {
        goalShortDegrees = Math.max(0, goalShortDegrees);
        deficitSds = Math.max(0, deficitSds);
        asymmetryDegrees = Math.max(0, asymmetryDegrees);
        gapOverDegrees = Math.max(0, gapOverDegrees);
    }

    public Priority worse(Priority other) {
        return new Priority(
                Math.max(goalShortDegrees, other.goalShortDegrees),
                Math.max(deficitSds, other.deficitSds),
                Math.max(asymmetryDegrees, other.asymmetryDegrees),
                Math.max(gapOverDegrees, other.gapOverDegrees));
    }

    public boolean isNone() {
        return equals(NONE);
    }

    @Override
    public int compareTo(Priority other) {
        return ORDER.compare(this, other);
    }
}
