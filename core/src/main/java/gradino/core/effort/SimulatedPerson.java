package gradino.core.effort;

import gradino.core.prescribe.timeline.Timeline.Phase;
import gradino.core.quantity.OutOfBoundsException;
import java.util.List;
import java.util.Random;

/**
 * Somebody invented who presses against a force gauge: follows the asked effort with a delay, overshoots, trembles and tires. The
 * same seed presses the same way. A model to try the floor with, not a claim about people (house rule).
 *
 * @param strengthNewtons what all of it is, 5 to 5000 N
 */
public record SimulatedPerson(Manner manner, double strengthNewtons, long seed) {
    public static final double SAMPLES_PER_SECOND = 50;

    private static final double DELAY_SECONDS = 0.3;
    private static final double RISE_SECONDS = 0.25;
    private static final double TREMOR_HERTZ = 9;
    private static final double TREMOR_SHARE = 0.012;
    private static final double NOISE_NEWTONS = 1;
    private static final double RESOLUTION_NEWTONS = 0.1;
    private static final double OVER_EAGER = 1.25;
    private static final double FADES_PER_SECOND = 0.03;
    private static final double STOPS_AFTER_SHARE = 0.6;

    public SimulatedPerson {
        OutOfBoundsException.require("strengthNewtons", strengthNewtons, 5, 5000, "N");
    }

    /** How they go about it. */
    public enum Manner {
        GOOD,
        /** A quarter more than asked. */
        OVER_EAGER,
        /** Loses three hundredths of the asked effort a second once it is above half. */
        FADING,
        /** Lets go after six tenths of the contraction. */
        STOPS_EARLY
    }

    /**
     * The gauge's trace of one contraction, from the first phase's start to the last one's end.
     *
     * @param phases without gaps
     */
    public ForceTrace press(List<Phase> phases) {
        double start = phases.get(0).startSecond();
        double end = phases.get(phases.size() - 1).endSecond();
        int samples = (int) Math.round((end - start) * SAMPLES_PER_SECOND);
        var pressing = new Pressing(this);
        double[] seconds = new double[samples];
        double[] newtons = new double[samples];
        for (int i = 0; i < samples; i++) {
            seconds[i] = start + i / SAMPLES_PER_SECOND;
            newtons[i] = pressing.next(wanted(phases, seconds[i] - DELAY_SECONDS, start, end));
        }
        return ForceTrace.read(seconds, newtons).trace().orElseThrow();
    }

    /**
     * The same person sample by sample, told only what is asked now. Not for several threads at once.
     */
    public static final class Pressing {
        private static final int DELAY_SAMPLES = (int) Math.round(DELAY_SECONDS * SAMPLES_PER_SECOND);

        private final SimulatedPerson person;
        private final Random random;
        private final double[] late = new double[DELAY_SAMPLES];
        private double force;
        private double hardSeconds;
        private int samples;

        public Pressing(SimulatedPerson person) {
            this.person = person;
            this.random = new Random(person.seed);
        }

        /**
         * One fiftieth of a second on, with the delay of somebody who follows a cue.
         *
         * @param asked % of all strength, 0 to 100
         * @param leftShare of the contraction that is still to come, 0 to 1
         * @return what the gauge gives, N
         */
        public double follow(double asked, double leftShare) {
            int at = samples % DELAY_SAMPLES;
            double now = late[at];
            late[at] = person.meant(asked / 100, 1 - leftShare);
            return next(now);
        }

        /** @param wanted share of all strength that is meant */
        private double next(double wanted) {
            hardSeconds = wanted == 0 ? 0 : hardSeconds + (wanted > 0.5 ? 1 / SAMPLES_PER_SECOND : 0);
            double held = person.manner == Manner.FADING
                    ? wanted * Math.max(0.3, 1 - FADES_PER_SECOND * hardSeconds)
                    : wanted;
            force += (held - force) / (RISE_SECONDS * SAMPLES_PER_SECOND);
            return person.felt(force, samples++ / SAMPLES_PER_SECOND, random);
        }
    }

    /** What they make of an effort, as shares of all strength. */
    private double meant(double asked, double through) {
        return switch (manner) {
            case OVER_EAGER -> Math.min(1, asked * OVER_EAGER);
            case STOPS_EARLY -> through > STOPS_AFTER_SHARE ? 0 : asked;
            case GOOD, FADING -> Math.min(1, asked);
        };
    }

    /** Share of all strength that is meant at a moment. */
    private double wanted(List<Phase> phases, double second, double start, double end) {
        for (var phase : phases) {
            if (second >= phase.startSecond() && second < phase.endSecond()) {
                double share = (second - phase.startSecond()) / phase.seconds();
                double from = phase.effortFrom().value();
                double asked = (from + share * (phase.effortTo().value() - from)) / 100;
                return meant(asked, (second - start) / (end - start));
            }
        }
        return 0;
    }

    /** What the gauge gives of it: tremor grows with the force, noise does not, and it counts in tenths of a newton. */
    private double felt(double share, double second, Random random) {
        double force = share * strengthNewtons;
        double tremor = force * TREMOR_SHARE * Math.sin(2 * Math.PI * TREMOR_HERTZ * second);
        double read = force + tremor + NOISE_NEWTONS * random.nextGaussian();
        return Math.rint(read / RESOLUTION_NEWTONS) * RESOLUTION_NEWTONS;
    }
}
