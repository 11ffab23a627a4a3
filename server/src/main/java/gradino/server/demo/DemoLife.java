package gradino.server.demo;

import gradino.core.body.Sided;
import gradino.core.effort.SimulatedPerson.Manner;
import gradino.core.measure.noise.Instrument;
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
        Besides besides) {
    /**
     * What only some have.
     *
     * @param lastMorningOpen the last next-morning questions were not answered yet
     * @param gauges how they press against the force gauges of the last two weeks; null without
     */
    record Besides(boolean lastMorningOpen, @Nullable Manner gauges) {
        static final Besides NOTHING = new Besides(false, null);
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
                other);
    }
}
