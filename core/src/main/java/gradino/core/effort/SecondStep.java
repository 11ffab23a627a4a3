package gradino.core.effort;

/**
 * One second of the model with its powers of e worked out once: a session asks for thousands of them. Seconds in which the
 * resting units run out, or suffice again, are left to {@link Compartments#after}.
 */
final class SecondStep {
    private final Fatigue set;
    private final double fast;
    private final double slowAtWork;
    private final double slowAtRest;

    SecondStep(Fatigue set) {
        this.set = set;
        this.fast = Math.exp(-(Compartments.TRACKING + set.fatigue()));
        this.slowAtWork = Math.exp(-set.recovery());
        this.slowAtRest = Math.exp(-set.recovery() * set.rest());
    }

    Compartments next(Compartments now, double target) {
        boolean rests = target == 0;
        double recovery = rests ? set.recovery() * set.rest() : set.recovery();
        var then = now.tracked(target, set, recovery, fast, rests ? slowAtRest : slowAtWork);
        return now.suffices(target) && then.suffices(target) ? then : now.after(1, target, set);
    }
}
