package gradino.core.report;

import gradino.core.measure.noise.Mode;

/**
 * Why a range has no change to tell: two readings are needed, of the same position and instrument.
 */
public record Missing(Mode mode, Why why) {

    /** What keeps two readings apart, or away. */
    public enum Why {
        /** Nothing was measured cold in the period. */
        NEVER_MEASURED,
        /** Measured on one day only. */
        ONE_DAY,
        /** The other day has a reading by another instrument. */
        OTHER_INSTRUMENT,
        /** The other day has a reading in another position. */
        OTHER_POSITION
    }
}
