package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import gradino.core.advance.state.Event;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Because;
import gradino.core.because.Reason;
import gradino.core.because.Term;
import gradino.core.because.Unit;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.reading.PropGrid;
import gradino.core.measure.reading.RangeReading;
import gradino.core.perform.StopSign;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.method.Method;
import gradino.core.prescribe.program.Plan;
import gradino.core.prescribe.timeline.SideOrder;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.Tenths;
import gradino.server.platform.CoreJson;
import java.time.Instant;
import java.util.List;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

/** Everything that is stored or sent as JSON comes back as it was. */
public class CoreJsonTest {
    private static final JsonMapper JSON =
            CoreJson.configure(JsonMapper.builder()).build();
    private static final Instant AT = Instant.parse("2026-03-02T09:00:00.123Z");
    private static final Dose DOSE =
            new Dose(Degrees.of(31.5), Method.rampBothWays().firstBlocks(true));
    private static final Plan PLAN = new Plan(
            "hip-internal-rotation",
            "prone-knee-bent",
            Method.RAMP_BOTH_WAYS,
            SideOrder.ONE_AFTER_OTHER,
            Side.RIGHT,
            20,
            20,
            3,
            "",
            null,
            Sided.both(DOSE));

    @DataProvider
    public Object[][] values() {
        var dose = DOSE;
        return new Object[][] {
            {Plan.class, PLAN},
            {Timeline.class, PLAN.timeline()},
            {PropGrid.class, new PropGrid.AngleStep(0.5)},
            {PropGrid.class, new PropGrid.Blocks(Centimetres.of(42), Centimetres.of(1))},
            {Because.class, Because.of(Reason.AT_TOP, Term.of("sets"), Term.of(4, Unit.COUNT))},
            {
                Event.class,
                new Event.MeasuredCold(Side.LEFT, Mode.PASSIVE, new RangeReading(AT, 31, 9), EndFeel.STRETCH, AT)
            },
            {Event.class, Event.MorningAnswered.first("s", true, Tenths.of(2), AT, AT)},
            {Event.class, Event.MorningAnswered.first("s", false, null, AT, AT)},
            {
                Event.class,
                new Event.DoseDecided(
                        "d",
                        Side.RIGHT,
                        Event.Answer.CHANGED,
                        Verdict.STEP_UP,
                        LeverId.ANGLE,
                        dose,
                        dose.withSets(3),
                        AT,
                        AT)
            },
            {Event.class, new Event.StopSignElsewhere("s", StopSign.SWELLING, null, AT, AT)},
            {Event.class, new Event.Cleared(AT, List.of("s"), AT, AT)},
        };
    }

    @Test(dataProvider = "values")
    public <T> void comesBackAsItWas(Class<T> type, T value) {
        var text = JSON.writerFor(type).writeValueAsString(value);
        assertThat(JSON.readValue(text, type)).isEqualTo(value);
    }

    @Test
    public void quantitiesArePlainNumbersAndReasonsCarryTheirWords() {
        assertThat(JSON.writeValueAsString(Degrees.of(31.5))).isEqualTo("31.5");
        assertThat(JSON.writeValueAsString(List.of(Tenths.of(7)))).isEqualTo("[7]");
        assertThat(JSON.writeValueAsString(Because.of(Reason.EFFORT_NOT_RATED)))
                .contains("\"text\":\"A set has no effort rating: how hard it was is not known\"");
    }

    @Test
    public void aMissingOrForeignPartIsRefused() {
        var plan = JSON.writeValueAsString(PLAN);
        assertThatThrownBy(() -> JSON.readValue(plan.replace("\"setUpSeconds\":20,", ""), Plan.class))
                .hasMessageContaining("setUpSeconds");
        assertThatThrownBy(
                        () -> JSON.readValue(plan.replace("{\"motion\"", "{\"colour\":\"red\",\"motion\""), Plan.class))
                .hasMessageContaining("colour");
    }
}
