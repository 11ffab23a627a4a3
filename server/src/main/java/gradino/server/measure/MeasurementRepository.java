package gradino.server.measure;

import gradino.core.body.Segment;
import gradino.core.body.Side;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.Tester;
import gradino.core.measure.noise.Trials;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.Tape.BodyLength;
import gradino.core.quantity.Centimetres;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.PainScore;
import gradino.server.measure.Measurement.Incline;
import gradino.server.measure.Measurement.TapeInput;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns measurement. */
@Repository
public class MeasurementRepository {
    private static final String COLUMNS =
            "id, client_id, motion, side, mode, warmth, position, instrument, tester, happened_at, "
                    + "recorded_at, trials, tape_lengths, tape_start_cm, end_feel, pain, control_grade, note, "
                    + "tape_inputs, measured_by, bench, incline, assessment_id";
    private static final String INSERT = """
            INSERT INTO measurement
              (id, client_id, motion, side, mode, warmth, position, instrument, tester, happened_at, recorded_at, trials,
               tape_lengths, tape_start_cm, tape_inputs, end_feel, pain, control_grade, note, measured_by, bench, incline,
               assessment_id, median_deg, trial_count)
            VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            ON CONFLICT (id) DO NOTHING
            """;

    private final Sql sql;

    MeasurementRepository(Sql sql) {
        this.sql = sql;
    }

    public List<Measurement> of(String clientId) {
        return of(List.of(clientId));
    }

    public List<Measurement> of(Collection<String> clientIds) {
        return sql.list(
                "SELECT " + COLUMNS + " FROM measurement WHERE client_id" + Sql.AMONG + "ORDER BY happened_at, id",
                MeasurementRepository::measurement,
                clientIds);
    }

    List<Measurement> ofAssessment(String clientId, String assessmentId) {
        return sql.list(
                "SELECT " + COLUMNS
                        + " FROM measurement WHERE client_id = ? AND assessment_id = ? ORDER BY happened_at, id",
                MeasurementRepository::measurement,
                clientId,
                assessmentId);
    }

    /** When a client was first measured. */
    public Optional<Instant> first(String clientId) {
        return sql.first(
                "SELECT happened_at FROM measurement WHERE client_id = ? ORDER BY happened_at LIMIT 1",
                row -> Sql.instant(row, "happened_at"),
                clientId);
    }

    /** When each client was last measured. */
    public Map<String, Instant> last(Collection<String> clientIds) {
        var last = new HashMap<String, Instant>();
        sql.list(
                "SELECT c.value AS client_id, (SELECT max(happened_at) FROM measurement WHERE client_id = c.value) AS last"
                        + " FROM json_each(?) c WHERE last IS NOT NULL",
                row -> last.put(row.getString("client_id"), Sql.instant(row, "last")),
                clientIds);
        return last;
    }

    /** By which a motion was last measured cold in a position. */
    private Optional<Instrument> newestInstrument(String clientId, String motion, String position) {
        return sql.first("""
                SELECT instrument FROM measurement
                 WHERE client_id = ? AND warmth = 'COLD' AND motion = ? AND position = ? AND mode <> 'HANDS_OFF'
                 ORDER BY happened_at DESC LIMIT 1
                """, row -> Instrument.valueOf(row.getString("instrument")), clientId, motion, position);
    }

    /** Whose readings a line goes by: what it names, else the newest, else the usual one. */
    public Instrument instrument(@Nullable Instrument named, String clientId, String motion, String position) {
        return named != null
                ? named
                : newestInstrument(clientId, motion, position).orElse(Instrument.GONIOMETER);
    }

    public void each(Consumer<Measurement> to) {
        sql.each(
                "SELECT " + COLUMNS + " FROM measurement ORDER BY client_id, happened_at, id",
                MeasurementRepository::measurement,
                to);
    }

    public boolean has(String id) {
        return sql.first("SELECT 1 FROM measurement WHERE id = ?", row -> true, id)
                .isPresent();
    }

    /** Stores each once: an id that is there already is left as it is. */
    public void insert(List<Measurement> measurements) {
        sql.batch(
                INSERT,
                measurements.stream().map(MeasurementRepository::columns).toList());
    }

    private static @Nullable Object[] columns(Measurement m) {
        var tape = m.tape();
        return new @Nullable Object[] {
            m.id(),
            m.clientId(),
            m.motion(),
            m.side(),
            m.mode(),
            m.warmth(),
            m.position(),
            m.instrument(),
            m.tester(),
            m.happenedAt(),
            m.recordedAt(),
            joined(m.trials().angles().stream().map(Degrees::value).toList()),
            tape == null ? null : joined(tape.lengthsCm()),
            tape == null ? null : tape.startCm(),
            tape == null ? null : bodyText(tape.body()),
            m.endFeel(),
            m.pain().value(),
            m.controlGrade(),
            m.note(),
            m.measuredBy(),
            m.incline() == null ? null : m.incline().bench(),
            m.incline() == null ? null : m.incline().degrees(),
            m.assessmentId(),
            m.trials().median().value(),
            m.trials().angles().size()
        };
    }

    private static Measurement measurement(ResultSet row) throws SQLException {
        var feel = row.getString("end_feel");
        return new Measurement(
                row.getString("id"),
                row.getString("client_id"),
                row.getString("motion"),
                Side.valueOf(row.getString("side")),
                Mode.valueOf(row.getString("mode")),
                Warmth.valueOf(row.getString("warmth")),
                row.getString("position"),
                Instrument.valueOf(row.getString("instrument")),
                Tester.valueOf(row.getString("tester")),
                Sql.instant(row, "happened_at"),
                Sql.instant(row, "recorded_at"),
                new Trials(angles(row.getString("trials"))),
                tape(row),
                feel == null ? null : EndFeel.valueOf(feel),
                PainScore.of(row.getInt("pain")),
                Sql.integer(row, "control_grade"),
                row.getString("note"),
                row.getString("measured_by"),
                incline(row),
                row.getString("assessment_id"));
    }

    private static @Nullable Incline incline(ResultSet row) throws SQLException {
        var bench = row.getString("bench");
        return bench == null ? null : new Incline(bench, row.getDouble("incline"));
    }

    private static @Nullable TapeInput tape(ResultSet row) throws SQLException {
        var lengths = row.getString("tape_lengths");
        return lengths == null
                ? null
                : new TapeInput(numbers(lengths), row.getDouble("tape_start_cm"), body(row.getString("tape_inputs")));
    }

    /** SHANK:42.5:0.5, separated by semicolons: segment, length and its uncertainty, cm. */
    public static String bodyText(Map<Segment, BodyLength> body) {
        if (body.isEmpty()) {
            return "";
        }
        return new EnumMap<>(body)
                .entrySet().stream()
                        .map(e -> e.getKey() + ":" + e.getValue().length().value() + ":"
                                + e.getValue().standardUncertainty())
                        .collect(Collectors.joining(";"));
    }

    /** @throws IllegalArgumentException for anything else */
    public static Map<Segment, BodyLength> body(String text) {
        var body = new EnumMap<Segment, BodyLength>(Segment.class);
        if (text.isEmpty()) {
            return body;
        }
        for (var part : text.split(";")) {
            var cells = part.split(":");
            if (cells.length != 3) {
                throw new IllegalArgumentException("a body length is segment:cm:uncertainty");
            }
            var length = Centimetres.of(Double.parseDouble(cells[1]));
            body.put(Segment.valueOf(cells[0]), new BodyLength(length, Double.parseDouble(cells[2])));
        }
        return body;
    }

    public static String joined(List<Double> numbers) {
        return numbers.stream().map(String::valueOf).collect(Collectors.joining(";"));
    }

    static List<Degrees> angles(String joined) {
        return numbers(joined).stream().map(Degrees::of).toList();
    }

    public static List<Double> numbers(String joined) {
        var numbers = new ArrayList<Double>();
        int from = 0;
        for (int end = joined.indexOf(';'); end >= 0; end = joined.indexOf(';', from)) {
            numbers.add(Double.valueOf(joined.substring(from, end)));
            from = end + 1;
        }
        numbers.add(Double.valueOf(joined.substring(from)));
        return numbers;
    }
}
