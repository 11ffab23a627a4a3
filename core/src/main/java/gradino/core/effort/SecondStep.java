package gradino.core.effort;

/**
 * One second of the model with its powers of e worked out once: a session asks for thousands of them. Seconds in which the
 * resting units run out, or suffice again, are left to {@link Compartments#after}.
 */
final class SecondStep {
    private static final double TRACKING = 10;

    private final Fatigue set;
    private final double k;
    private final double fast;
    private final double slowAtWork;
    private final double slowAtRest;

    SecondStep(Fatigue set) {
        this.set = set;
        this.k = TRACKING + set.fatigue();
        this.fast = Math.exp(-k);
        this.slowAtWork = Math.exp(-set.recovery());
        this.slowAtRest = Math.exp(-set.recovery() * set.rest());
    }

    Compartments next(Compartments now, double target) {
        double recovery = target == 0 ? set.recovery() * set.rest() : set.recovery();
        double slow = target == 0 ? slowAtRest : slowAtWork;
        double settled = target * TRACKING / k;
        double away = now.active() - settled;
        var then = new Compartments(
                settled + away * fast,
                now.fatigued() * slow
                        + set.fatigue() * settled * (1 - slow) / recovery
                        + set.fatigue() * away * (slow - fast) / (k - recovery));
        return now.suffices(target) && then.suffices(target) ? then : now.after(1, target, set);
    }
}
