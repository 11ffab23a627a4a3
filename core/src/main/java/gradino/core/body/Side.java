package gradino.core.body;

/** Side of the body a dose, a reading or a phase belongs to. */
public enum Side {
    LEFT,
    RIGHT;

    public Side other() {
        return this == LEFT ? RIGHT : LEFT;
    }

    public String word() {
        return this == LEFT ? "left" : "right";
    }
}
