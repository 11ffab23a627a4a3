package gradino.server.measure;

import gradino.core.body.Side;
import gradino.core.measure.limit.EndFeel;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.noise.Tester;
import gradino.server.measure.ColdSeries.Reading;
import gradino.server.measure.Measurement.TapeInput;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/**
 * What the range map rests on: a client's cold readings, series by series. Ten years of a client are twenty thousand rows,
 * and fetching a cell costs more than what is in it; so each series comes as one text, a line a reading, its parts
 * separated by tabs, straight from the index that holds them. The table itself is {@link MeasurementRepository}'s.
 */
@Repository
class ColdReadingRepository {
    private static final String BY_SERIES = """
            SELECT motion, side, mode, position, instrument, group_concat(brief, char(10))
              FROM measurement WHERE client_id = ? AND warmth = 'COLD'
             GROUP BY motion, position, instrument, side, mode
            """;
    private static final String BY_SERIES_OF_MOTION = BY_SERIES.replace("GROUP BY", "AND motion = ? GROUP BY");

    /** SQLite takes the bare columns from the row with the greatest time. */
    private static final String LAST_TAPE = """
            SELECT motion, side, mode, position, tape_lengths, tape_start_cm, tape_inputs, max(happened_at)
              FROM measurement WHERE client_id = ? AND warmth = 'COLD' AND tape_lengths IS NOT NULL
             GROUP BY motion, position, side, mode
            """;

    private final Sql sql;

    ColdReadingRepository(Sql sql) {
        this.sql = sql;
    }

    List<ColdSeries> of(String clientId) {
        var tapes = new HashMap<SeriesKey, Double>();
        sql.list(LAST_TAPE, row -> tapes.put(key(row, Instrument.TAPE), bodyUncertainty(row)), clientId);
        return sql.list(BY_SERIES, row -> series(row, tapes), clientId);
    }

    /** Of one motion; without the uncertainty that body lengths put on a tape's value. */
    List<ColdSeries> of(String clientId, String motion) {
        return sql.list(BY_SERIES_OF_MOTION, row -> series(row, Map.of()), clientId, motion);
    }

    private static SeriesKey key(ResultSet row, Instrument instrument) throws SQLException {
        return new SeriesKey(
                row.getString(1),
                Side.valueOf(row.getString(2)),
                Mode.valueOf(row.getString(3)),
                row.getString(4),
                instrument);
    }

    private static double bodyUncertainty(ResultSet row) throws SQLException {
        var tape = new TapeInput(
                MeasurementRepository.numbers(row.getString(5)),
                row.getDouble(6),
                MeasurementRepository.body(row.getString(7)));
        return tape.bodyUncertainty(row.getString(4));
    }

    private static ColdSeries series(ResultSet row, Map<SeriesKey, Double> tapes) throws SQLException {
        var key = key(row, Instrument.valueOf(row.getString(5)));
        return new ColdSeries(key, readings(row.getString(6)), tapes.getOrDefault(key, 0.0));
    }

    /** A line a reading. */
    private static List<Reading> readings(String lines) {
        var readings = new ArrayList<Reading>();
        for (int from = 0; from < lines.length(); ) {
            int end = lines.indexOf('\n', from);
            end = end < 0 ? lines.length() : end;
            readings.add(reading(new Parts(lines, from, end)));
            from = end + 1;
        }
        return readings;
    }

    /** Time, median, trials, tester, end feel, who measured: as the column {@code brief} joins them. */
    private static Reading reading(Parts parts) {
        return new Reading(
                Instant.ofEpochMilli(Long.parseLong(parts.next())),
                Double.parseDouble(parts.next()),
                Integer.parseInt(parts.next()),
                Tester.valueOf(parts.next()),
                orNull(parts.next(), EndFeel::valueOf),
                orNull(parts.next(), who -> who));
    }

    private static <T> @Nullable T orNull(String text, Function<String, T> reader) {
        return text.isEmpty() ? null : reader.apply(text);
    }

    /** The parts of a line one after the other: no array is made for each of twenty thousand lines. */
    private static final class Parts {
        private final String text;
        private final int end;
        private int from;

        Parts(String text, int from, int end) {
            this.text = text;
            this.from = from;
            this.end = end;
        }

        String next() {
            int tab = text.indexOf('\t', from);
            int stop = tab < 0 || tab > end ? end : tab;
            var part = text.substring(from, stop);
            from = Math.min(end, stop + 1);
            return part;
        }
    }
}
