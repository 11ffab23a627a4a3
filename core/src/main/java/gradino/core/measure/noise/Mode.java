package gradino.core.measure.noise;

/** How the limb got to its furthest angle. */
public enum Mode {
    /** With help: hand, prop, strap, gravity. */
    PASSIVE,
    /** By own muscle. */
    ACTIVE,
    /** Help is removed and own muscle keeps the limb there. */
    HANDS_OFF;

    /** Which kind of published table a reading of this mode may be held against. */
    public String tableMode() {
        return this == PASSIVE ? "passive" : "active";
    }
}
