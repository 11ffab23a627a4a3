package gradino.server.exchange.table;

import gradino.core.body.Segment;
import gradino.core.body.Side;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.Tester;
import gradino.core.measure.noise.Trials;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.PainScore;
import gradino.server.measure.Measurement;
import gradino.server.measure.Measurement.Incline;
import gradino.server.measure.Measurement.TapeInput;
import gradino.server.measure.MeasurementRepository;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Measurements. */
public final class MeasurementTables {
    private MeasurementTables() {}

    public static final CsvTable<Measurement> MEASUREMENTS = new CsvTable<>(
            "measurements.csv",
            List.of(
                    "measurement_id",
                    "client_id",
                    "motion",
                    "side",
                    "mode",
                    "warmth",
                    "position",
                    "instrument",
                    "tester",
                    "happened_at",
                    "recorded_at",
                    "trials_deg",
                    "tape_lengths_cm",
                    "tape_start_cm",
                    "tape_body_cm",
                    "end_feel",
                    "pain",
                    "control_grade",
                    "note",
                    "measured_by",
                    "bench",
                    "incline_deg",
                    "assessment_id"),
            MeasurementTables::measurementCells,
            MeasurementTables::measurement);

    private static List<@Nullable Object> measurementCells(Measurement m) {
        var tape = m.tape();
        return Arrays.asList(
                m.id(),
                m.clientId(),
                m.motion(),
                CsvRow.word(m.side()),
                CsvRow.word(m.mode()),
                CsvRow.word(m.warmth()),
                m.position(),
                CsvRow.word(m.instrument()),
                CsvRow.word(m.tester()),
                m.happenedAt(),
                m.recordedAt(),
                MeasurementRepository.joined(
                        m.trials().angles().stream().map(Degrees::value).toList()),
                tape == null ? null : MeasurementRepository.joined(tape.lengthsCm()),
                tape == null ? null : tape.startCm(),
                tape == null ? null : MeasurementRepository.bodyText(tape.body()),
                CsvRow.word(m.endFeel()),
                m.pain().value(),
                m.controlGrade(),
                m.note(),
                m.measuredBy(),
                m.incline() == null ? null : m.incline().bench(),
                m.incline() == null ? null : m.incline().degrees(),
                m.assessmentId());
    }

    private static Measurement measurement(CsvRow r) {
        var happened = r.instant("happened_at");
        var tape = r.isEmpty("tape_lengths_cm")
                ? null
                : new TapeInput(
                        r.read("tape_lengths_cm", List.of(0.0), MeasurementRepository::numbers),
                        r.read("tape_start_cm", 0.0, Double::parseDouble),
                        r.read("tape_body_cm", Map.<Segment, BodyLength>of(), MeasurementRepository::body));
        return new Measurement(
                r.isEmpty("measurement_id") ? "csv-" + r.contentHash() : r.text("measurement_id"),
                r.required("client_id"),
                r.required("motion"),
                r.choice("side", Side.LEFT),
                r.choice("mode", Mode.PASSIVE),
                r.choice("warmth", Warmth.COLD),
                r.required("position"),
                r.choice("instrument", Instrument.TYPED),
                r.choice("tester", Tester.COACH),
                happened,
                r.instant("recorded_at", happened),
                r.read("trials_deg", Trials.of(0), MeasurementTables::trials),
                tape,
                r.optionalChoice("end_feel", EndFeel.class),
                r.read("pain", PainScore.NONE, text -> PainScore.of(text.isEmpty() ? 0 : Integer.parseInt(text))),
                r.optional("control_grade", MeasurementTables::grade),
                r.text("note"),
                r.optional("measured_by", MeasurementTables::account),
                r.isEmpty("bench")
                        ? null
                        : new Incline(r.text("bench"), r.read("incline_deg", 0.0, Double::parseDouble)),
                blank(r.text("assessment_id")));
    }

    private static @Nullable String blank(String text) {
        return text.isEmpty() ? null : text;
    }

    private static String account(String text) {
        if (text.chars().anyMatch(Character::isISOControl)) {
            throw new IllegalArgumentException("an account's id is one plain word");
        }
        return text;
    }

    private static Trials trials(String text) {
        return new Trials(
                MeasurementRepository.numbers(text).stream().map(Degrees::of).toList());
    }

    private static Integer grade(String text) {
        int grade = Integer.parseInt(text);
        if (grade < 0 || grade > 3) {
            throw new IllegalArgumentException("a control grade is 0 to 3");
        }
        return grade;
    }
}
