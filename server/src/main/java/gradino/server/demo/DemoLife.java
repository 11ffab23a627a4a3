package gradino.server.demo;

import gradino.core.body.Sided;
import gradino.core.measure.Instrument;
import gradino.server.intake.Client.Details;

/**
 * How one invented client lives through ten weeks.
 *
 * @param intake what was answered when the client came
 * @param passive true range at the start, left and right, degrees
 * @param gap true control gap, degrees
 * @param gainPerWeek true gain of range a week, degrees
 * @param diligence share of sessions done whole
 * @param weeks of training so far; 0 for a new client
 * @param painAtEnd pain of the last session; 0 for none
 * @param lastMorningOpen the last next-morning questions were not answered yet
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
        boolean lastMorningOpen,
        boolean decideToTheEnd,
        long seed) {
    DemoLife withLastMorningOpen() {
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
                true,
                decideToTheEnd,
                seed);
    }
}
