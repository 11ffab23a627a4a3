package gradino.server.demo;

import gradino.core.body.Sided;
import gradino.core.effort.SimulatedPerson.Manner;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Instrument;
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
     * @param awayFrom days ago on which a time without training began; 0 for none
     * @param awayDays that it lasted
     * @param ill whether it was an illness
     * @param alone at home, nobody watches
     * @param warmGain what the work gives for an hour, degrees
     * @param feel of the end, passive
     * @param stop what the last session ended by; null for nothing
     */
    record Course(
            String method,
            String session,
            boolean measuredAll,
            int awayFrom,
            int awayDays,
            boolean ill,
            boolean alone,
            double warmGain,
            EndFeel feel,
            @Nullable StopSign stop) {
        private static final double USUAL_WARM_GAIN = 8;
        static final Course USUAL = of("ramp-both-ways", "Hip, inward rotation").whole();

        static Course of(String method, String session) {
            return new Course(method, session, false, 0, 0, false, false, USUAL_WARM_GAIN, EndFeel.STRETCH, null);
        }

        private Course whole() {
            return new Course(method, session, true, 0, 0, false, false, warmGain, feel, null);
        }

        Course away(int from, int days, boolean ill) {
            return new Course(method, session, measuredAll, from, days, ill, alone, warmGain, feel, stop);
        }

        Course atHome() {
            return new Course(method, session, measuredAll, awayFrom, awayDays, ill, true, warmGain, feel, stop);
        }

        Course warm(double gain) {
            return new Course(method, session, measuredAll, awayFrom, awayDays, ill, alone, gain, feel, stop);
        }

        Course feeling(EndFeel other) {
            return new Course(method, session, measuredAll, awayFrom, awayDays, ill, alone, warmGain, other, stop);
        }

        Course stopped(StopSign sign) {
            return new Course(method, session, measuredAll, awayFrom, awayDays, ill, alone, warmGain, feel, sign);
        }

        boolean isAway(int daysAgo) {
            return daysAgo <= awayFrom && daysAgo > awayFrom - awayDays;
        }
    }

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
