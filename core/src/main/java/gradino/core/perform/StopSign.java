package gradino.core.perform;

/** Signs that end a session at once. Each says how far the suspension reaches. */
public enum StopSign {
    SHARP_PAIN(Scope.JOINT_SIDE),
    NUMBNESS_TINGLING_WEAKNESS(Scope.WHOLE_CLIENT),
    PINCH_THAT_STAYS(Scope.JOINT_SIDE),
    LOCKING_GIVING_WAY(Scope.JOINT),
    DIZZINESS_CHEST_PAIN_SIGHT(Scope.WHOLE_CLIENT),
    SEVERE_HEADACHE(Scope.WHOLE_CLIENT),
    SWELLING(Scope.JOINT),
    PULSING_UNDER_TOOL(Scope.JOINT_SIDE),
    PAIN_AFTER_48_HOURS(Scope.JOINT_SIDE);

    /** What is suspended until the coach clears it in writing. */
    public enum Scope {
        WHOLE_CLIENT,
        JOINT,
        JOINT_SIDE
    }

    private final Scope scope;

    StopSign(Scope scope) {
        this.scope = scope;
    }

    public Scope scope() {
        return scope;
    }
}
