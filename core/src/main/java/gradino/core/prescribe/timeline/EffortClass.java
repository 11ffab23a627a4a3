package gradino.core.prescribe.timeline;

import gradino.core.quantity.EffortPercent;

/** How hard a line is by its peak effort, and what follows for the week (common practice, no source). */
public enum EffortClass {
    LIGHT(30, 1, 7),
    MODERATE(60, 1, 5),
    HARD(85, 2, 3),
    /** Twice a week, three times with bodyweight only, which is all there is so far. */
    MAXIMAL(100, 2, 3);

    /** With added load, whatever the effort. */
    public static final int LOADED_WEEKLY_CAP = 2;

    private final int topPercent;
    private final int spacingDays;
    private final int weeklyCap;

    EffortClass(int topPercent, int spacingDays, int weeklyCap) {
        this.topPercent = topPercent;
        this.spacingDays = spacingDays;
        this.weeklyCap = weeklyCap;
    }

    public static EffortClass of(EffortPercent peak) {
        for (var effortClass : values()) {
            if (peak.value() <= effortClass.topPercent) {
                return effortClass;
            }
        }
        throw new IllegalStateException("no class for " + peak);
    }

    /** Days before the same joint again. */
    public int spacingDays() {
        return spacingDays;
    }

    /** Most sessions of the joint a week. */
    public int weeklyCap() {
        return weeklyCap;
    }
}
