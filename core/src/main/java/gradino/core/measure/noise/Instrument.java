package gradino.core.measure.noise;

/** What the angle was read with. Readings of different instruments are never pooled. */
public enum Instrument {
    GONIOMETER,
    INCLINOMETER,
    TAPE,
    TYPED
}
