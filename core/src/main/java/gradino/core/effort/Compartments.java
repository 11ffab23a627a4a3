package gradino.core.effort;

/**
 * The three-compartment model of isometric fatigue: resting, active and fatigued motor units, percent of all, summing to 100.
 *
 * <p>dMA/dt = C − F·MA, dMF/dt = F·MA − R·MF, with C = L(TL − MA) while the resting units suffice and C = L·MR when they do
 * not; L = 10/s. R is multiplied while nothing is asked. Sources: Xia &amp; Frey Law 2008, J Biomech 41:3046-3052; rest
 * multiplier Looft, Herkert &amp; Frey-Law 2018, J Biomech 77:16-25 (from memory).
 *
 * <p>At a constant target both cases are linear, and which of them holds depends on MF alone: the resting units suffice while
 * MF &lt; 100 − TL. So each stretch is solved in closed form and only the moment of change is searched for; there is no step
 * size. An instance never changes.
 *
 * @param active MA, %
 * @param fatigued MF, %
 */
record Compartments(double active, double fatigued) {
    static final Compartments FRESH = new Compartments(0, 0);
    static final double TRACKING = 10;
    private static final double ALL = 100;
    private static final int HALVINGS = 50;

    /** What could be held now, % of the fresh maximum. */
    double capacity() {
        return ALL - fatigued;
    }

    /** The state after so many seconds of a constant target, 0 to 100 %. */
    Compartments after(double seconds, double target, Fatigue set) {
        boolean suffices = suffices(target);
        var end = within(seconds, target, set, suffices);
        if (end.suffices(target) == suffices || seconds < 1e-9) {
            return end;
        }
        double low = 0;
        double high = seconds;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (within(middle, target, set, suffices).suffices(target) == suffices) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return within(high, target, set, suffices).within(seconds - high, target, set, !suffices);
    }

    /** Whether the resting units suffice for a target. */
    boolean suffices(double target) {
        return fatigued < ALL - target;
    }

    private Compartments within(double t, double target, Fatigue set, boolean suffices) {
        return suffices ? tracking(t, target, set) : depleted(t, set);
    }

    private Compartments tracking(double t, double target, Fatigue set) {
        double recovery = target == 0 ? set.recovery() * set.rest() : set.recovery();
        double fast = Math.exp(-(TRACKING + set.fatigue()) * t);
        return tracked(target, set, recovery, fast, Math.exp(-recovery * t));
    }

    /** The closed form with its two powers of e, which whoever asks often works out once. */
    Compartments tracked(double target, Fatigue set, double recovery, double fast, double slow) {
        double k = TRACKING + set.fatigue();
        double settled = target * TRACKING / k;
        double away = active - settled;
        double ma = settled + away * fast;
        double mf = fatigued * slow
                + set.fatigue() * settled * (1 - slow) / recovery
                + set.fatigue() * away * (slow - fast) / (k - recovery);
        return new Compartments(ma, mf);
    }

    /** Two linear equations about their common rest point, by the eigenvalues, which are real since L is far above F. */
    private Compartments depleted(double t, Fatigue set) {
        double f = set.fatigue();
        double r = set.recovery();
        double a = -(TRACKING + f);
        double b = -TRACKING;
        double restFatigued = ALL * f / (f + r + f * r / TRACKING);
        double restActive = restFatigued * r / f;
        double half = (a - r) / 2;
        double root = Math.sqrt(half * half - (a * -r - b * f));
        double one = half + root;
        double two = half - root;
        double x = active - restActive;
        double y = fatigued - restFatigued;
        double first = Math.exp(one * t);
        double second = Math.exp(two * t);
        double p = (two * first - one * second) / (two - one);
        double q = (second - first) / (two - one);
        return new Compartments(restActive + p * x + q * (a * x + b * y), restFatigued + p * y + q * (f * x - r * y));
    }
}
