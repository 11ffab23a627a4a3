package gradino.server.demo;

import gradino.core.body.Sided;
import gradino.core.effort.SimulatedPerson.Manner;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Instrument;
import gradino.core.perform.Observer;
import gradino.core.perform.StopSign;
import gradino.server.intake.Client.Details;
import org.jspecify.annotations.Nullable;

/**
 * How one invented client lives through their weeks.
 *
 * @param intake what was answered when the client came
 * @param passive true range at the start, left and right, degrees
 * @param gap true control gap, degrees
 * @param gainPerWeek true gain of range a week, degrees
 * @param diligence share of sessions done whole
 * @param weeks of training so far; 0 for a new client
 * @param painAtEnd pain of the last session; 0 for none
 * @param decideToTheEnd false leaves what was earned by the last sessions for the coach
 */
record DemoLife(
        String id,
        Details details,
        DemoIntake intake,
        String motion,
        String position,
        Instrument instrument,
        Sided<Double> passive,
        double gap,
        double gainPerWeek,
        double diligence,
        int weeks,
        int painAtEnd,
        boolean decideToTheEnd,
        long seed,
        Besides besides,
        Course course) {
    /**
     * What only some have.
     *
     * @param lastMorningOpen the last next-morning questions were not answered yet
     * @param gauges how they press against the force gauges of the last two weeks; null without
     */
    record Besides(boolean lastMorningOpen, @Nullable Manner gauges) {
        static final Besides NOTHING = new Besides(false, null);
    }

    /**
     * By which school, and how it went.
     *
     * @param method id
     * @param session what it is called
     * @param measuredAll whether the whole body was measured twice
     * @param also what else is in the session, in a position where nothing was measured; null for nothing
     */
    record Course(
            String method,
            String session,
            boolean measuredAll,
            Twist twist,
            @Nullable Also also) {
        private static final double USUAL_WARM_GAIN = 8;
        static final Course USUAL = new Course("ramp-both-ways", "Hip, inward rotation", true, new Steady(), null);

        static Course of(String method, String session, Twist twist) {
            return new Course(method, session, false, twist, null);
        }

        Course and(String otherMethod, String motion, String position) {
            return new Course(method, session, measuredAll, twist, new Also(otherMethod, motion, position));
        }

        boolean isAway(int daysAgo) {
            return twist instanceof Away away && daysAgo <= away.from() && daysAgo > away.from() - away.days();
        }

        Observer observer() {
            return twist instanceof AtHome ? Observer.CLIENT : Observer.COACH;
        }

        /** What the work gives for an hour, degrees. */
        double warmGain() {
            return twist instanceof Borrowed borrowed ? borrowed.warmGain() : USUAL_WARM_GAIN;
        }

        EndFeel feel() {
            return twist instanceof Blocked ? EndFeel.HARD_BLOCK : EndFeel.STRETCH;
        }

        @Nullable
        StopSign stop() {
            return twist instanceof Stopped stopped ? stopped.sign() : null;
        }
    }

    /** A second line. */
    record Also(String method, String motion, String position) {}

    /** The one thing that went otherwise. */
    sealed interface Twist {}

    record Steady() implements Twist {}

    /** @param from days ago */
    record Away(int from, int days, boolean ill) implements Twist {}

    /** Nobody watches. */
    record AtHome() implements Twist {}

    /** What a session gains is gone by the next. */
    record Borrowed(double warmGain) implements Twist {}

    /** The end feels hard. */
    record Blocked() implements Twist {}

    /** The last session ended by a sign. */
    record Stopped(StopSign sign) implements Twist {}

    DemoLife with(Besides other) {
        return with(weeks, other);
    }

    DemoLife through(int otherWeeks) {
        return with(otherWeeks, besides);
    }

    private DemoLife with(int weeks, Besides other) {
        return new DemoLife(
                id,
                details,
                intake,
                motion,
                position,
                instrument,
                passive,
                gap,
                gainPerWeek,
                diligence,
                weeks,
                painAtEnd,
                decideToTheEnd,
                seed,
                other,
                course);
    }
}
