package gradino.server.measure;

import gradino.core.body.Side;
import gradino.core.measure.EndFeel;
import gradino.core.measure.Instrument;
import gradino.core.measure.Mode;
import gradino.core.measure.SeriesKey;
import gradino.core.measure.Tester;
import gradino.core.measure.Trials;
import gradino.core.measure.Warmth;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.PainScore;
import gradino.server.measure.Measurement.TapeInput;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/**
 * What the range map rests on: a client's cold readings, series by series. Ten years of a client are twenty thousand rows,
 * and fetching a cell costs more than what is in it; so each series comes as one text, a line a reading, its parts
 * separated by tabs. The table itself is {@link MeasurementRepository}'s.
 */
@Repository
class ColdReadingRepository {
    private static final String BY_SERIES = """
            SELECT motion, side, mode, position, instrument,
                   group_concat(concat_ws(char(9), happened_at, tester, ifnull(end_feel, ''), ifnull(measured_by, ''), trials),
                                char(10))
              FROM measurement WHERE client_id = ? AND warmth = 'COLD'
             GROUP BY motion, position, instrument, side, mode
            """;
    /** SQLite takes the bare columns from the row with the greatest time. */
    private static final String LAST_TAPE = """
            SELECT motion, side, mode, position, tape_lengths, tape_start_cm, tape_inputs, max(happened_at)
              FROM measurement WHERE client_id = ? AND warmth = 'COLD' AND tape_lengths IS NOT NULL
             GROUP BY motion, position, side, mode
            """;

    private static final int PARTS = 5;

    private final Sql sql;

    ColdReadingRepository(Sql sql) {
        this.sql = sql;
    }

    /** In the order of time within each series. Notes, pain and control grades are left out; a tape series keeps its last tape. */
    List<Measurement> of(String clientId) {
        var tapes = new HashMap<SeriesKey, TapeInput>();
        sql.list(LAST_TAPE, row -> tapes.put(key(row, Instrument.TAPE), tape(row)), clientId);
        var all = new ArrayList<Measurement>();
        sql.list(BY_SERIES, row -> series(clientId, row, tapes), clientId).forEach(all::addAll);
        return all;
    }

    private static SeriesKey key(ResultSet row, Instrument instrument) throws SQLException {
        return new SeriesKey(
                row.getString(1),
                Side.valueOf(row.getString(2)),
                Mode.valueOf(row.getString(3)),
                row.getString(4),
                instrument);
    }

    private static TapeInput tape(ResultSet row) throws SQLException {
        return new TapeInput(
                MeasurementRepository.numbers(row.getString(5)),
                row.getDouble(6),
                MeasurementRepository.body(row.getString(7)));
    }

    private static List<Measurement> series(String clientId, ResultSet row, Map<SeriesKey, TapeInput> tapes)
            throws SQLException {
        var key = key(row, Instrument.valueOf(row.getString(5)));
        var tape = tapes.get(key);
        var readings = new ArrayList<Measurement>();
        for (var line : row.getString(6).split("\n")) {
            readings.add(reading(clientId, key, line.split("\t", PARTS), tape));
        }
        readings.sort(Comparator.comparing(Measurement::happenedAt));
        return readings;
    }

    private static Measurement reading(String clientId, SeriesKey key, String[] parts, @Nullable TapeInput tape) {
        return new Measurement(
                "",
                clientId,
                key.motion(),
                key.side(),
                key.mode(),
                Warmth.COLD,
                key.position(),
                key.instrument(),
                Tester.valueOf(parts[1]),
                Instant.ofEpochMilli(Long.parseLong(parts[0])),
                Instant.EPOCH,
                trials(parts[4]),
                tape,
                parts[2].isEmpty() ? null : EndFeel.valueOf(parts[2]),
                PainScore.NONE,
                null,
                "",
                parts[3].isEmpty() ? null : parts[3],
                null,
                null);
    }

    private static Trials trials(String text) {
        var angles = new ArrayList<Degrees>();
        for (double degrees : MeasurementRepository.numbers(text)) {
            angles.add(Degrees.of(degrees));
        }
        return new Trials(angles);
    }
}
