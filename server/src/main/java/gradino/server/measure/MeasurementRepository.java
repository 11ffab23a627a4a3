package gradino.server.measure;

import gradino.core.body.Side;
import gradino.core.measure.EndFeel;
import gradino.core.measure.Instrument;
import gradino.core.measure.Mode;
import gradino.core.measure.Tester;
import gradino.core.measure.Trials;
import gradino.core.measure.Warmth;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.PainScore;
import gradino.server.measure.Measurement.TapeInput;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** Owns measurement. */
@Repository
public class MeasurementRepository {
    private static final String INSERT = """
            INSERT INTO measurement
              (id, client_id, motion, side, mode, warmth, position, instrument, tester, happened_at, recorded_at, trials,
               tape_lengths, tape_start_cm, tape_shank_cm, end_feel, pain, control_grade, note)
            VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
            ON CONFLICT (id) DO NOTHING
            """;

    private final Sql sql;

    MeasurementRepository(Sql sql) {
        this.sql = sql;
    }

    public List<Measurement> of(String clientId) {
        return sql.list(
                "SELECT * FROM measurement WHERE client_id = ? ORDER BY happened_at, id",
                MeasurementRepository::measurement,
                clientId);
    }

    public List<Measurement> all() {
        return sql.list(
                "SELECT * FROM measurement ORDER BY client_id, happened_at, id", MeasurementRepository::measurement);
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
            tape == null ? null : tape.shankCm(),
            m.endFeel(),
            m.pain().value(),
            m.controlGrade(),
            m.note()
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
                new Trials(numbers(row.getString("trials")).stream()
                        .map(Degrees::of)
                        .toList()),
                tape(row),
                feel == null ? null : EndFeel.valueOf(feel),
                PainScore.of(row.getInt("pain")),
                Sql.integer(row, "control_grade"),
                row.getString("note"));
    }

    private static @Nullable TapeInput tape(ResultSet row) throws SQLException {
        var lengths = row.getString("tape_lengths");
        return lengths == null
                ? null
                : new TapeInput(numbers(lengths), row.getDouble("tape_start_cm"), row.getDouble("tape_shank_cm"));
    }

    public static String joined(List<Double> numbers) {
        return numbers.stream().map(String::valueOf).collect(Collectors.joining(";"));
    }

    public static List<Double> numbers(String joined) {
        return Arrays.stream(joined.split(";")).map(Double::valueOf).toList();
    }
}
