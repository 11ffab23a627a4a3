package gradino.core.measure;

/** What the angle was read with. Readings of different instruments are never pooled. */
public enum Instrument {
    GONIOMETER,
    INCLINOMETER,
    TAPE,
    TYPED
}
