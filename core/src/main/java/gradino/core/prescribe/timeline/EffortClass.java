package gradino.core.prescribe.timeline;

import gradino.core.prescribe.method.Dose;
import gradino.core.quantity.EffortPercent;

/** How hard a line is by its peak effort, and what follows for the week (common practice, no source). */
public enum EffortClass {
    LIGHT(30, 6, 7),
    MODERATE(60, 18, 5),
    HARD(85, 42, 3),
    MAXIMAL(100, 42, 3),
    /** With added load, whatever the effort: a weight, or a band. */
    LOADED(100, 42, 2);

    private static final int HOURS_A_DAY = 24;

    private final int topPercent;
    private final int spacingHours;
    private final int weeklyCap;

    EffortClass(int topPercent, int spacingHours, int weeklyCap) {
        this.topPercent = topPercent;
        this.spacingHours = spacingHours;
        this.weeklyCap = weeklyCap;
    }

    public static EffortClass of(EffortPercent peak) {
        return of(peak, false);
    }

    /** Of what a side does: added load is loaded whatever the effort. */
    public static EffortClass of(Dose dose) {
        return of(dose.ceiling(), dose.hasAddedLoad());
    }

    public static EffortClass of(EffortPercent peak, boolean loaded) {
        if (loaded) {
            return LOADED;
        }
        for (var effortClass : values()) {
            if (peak.value() <= effortClass.topPercent) {
                return effortClass;
            }
        }
        throw new IllegalStateException("no class for " + peak);
    }

    /**
     * Hours from the end of one session to the start of the next (house rule: an evening, then an afternoon, counts).
     */
    public int spacingHours() {
        return spacingHours;
    }

    /** Hours that real soreness the next morning adds: a light session is no reason to wait. */
    public int hoursWhenSore() {
        return this == LIGHT ? 0 : HOURS_A_DAY;
    }

    /** Most sessions of the joint a week. */
    public int weeklyCap() {
        return weeklyCap;
    }
}
