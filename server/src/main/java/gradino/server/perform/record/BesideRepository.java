package gradino.server.perform.record;

import gradino.core.advance.state.Beside;
import gradino.core.body.Side;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** What was done of a line's motion in the client's other lines: read from run_line and run_close. */
@Repository
public class BesideRepository {
    private final Sql sql;

    BesideRepository(Sql sql) {
        this.sql = sql;
    }

    /** Runs since a moment that had the motion of each line in others of the client's lines, and not that line. */
    public Map<String, Beside> of(Collection<String> lineIds, Instant since) {
        var rows = sql.list("""
                SELECT l.id, x.run_id, x.left_class, x.right_class, c.happened_at FROM run_close c
                 CROSS JOIN run_line x ON x.run_id = c.run_id
                 CROSS JOIN line o ON o.id = x.line_id
                  JOIN line l ON l.client_id = o.client_id AND l.motion = o.motion AND l.id <> o.id
                 WHERE c.happened_at > ?2
                   AND NOT EXISTS (SELECT 1 FROM run_line y WHERE y.run_id = x.run_id AND y.line_id = l.id)
                   AND l.id""" + Sql.AMONG + "ORDER BY l.id, x.run_id", BesideRepository::done, lineIds, since);
        var beside = new HashMap<String, Beside>();
        hardest(rows)
                .forEach((run, classes) -> classes.forEach((side, in) -> beside.merge(
                        run.lineId(),
                        Beside.NONE.plus(side, in, run.endedAt()),
                        (known, one) -> known.plus(side, in, run.endedAt()))));
        return beside;
    }

    private record RunBeside(String lineId, String runId, Instant endedAt) {}

    private record Done(
            RunBeside run,
            @Nullable EffortClass left,
            @Nullable EffortClass right) {}

    private static Done done(ResultSet row) throws SQLException {
        return new Done(
                new RunBeside(row.getString("id"), row.getString("run_id"), Sql.instant(row, "happened_at")),
                effortClass(row.getString("left_class")),
                effortClass(row.getString("right_class")));
    }

    private static @Nullable EffortClass effortClass(@Nullable String name) {
        return name == null ? null : EffortClass.valueOf(name);
    }

    /** Two lines of one run are one session, of the harder class. */
    private static Map<RunBeside, Map<Side, EffortClass>> hardest(List<Done> rows) {
        var found = new HashMap<RunBeside, Map<Side, EffortClass>>();
        for (var row : rows) {
            var classes = found.computeIfAbsent(row.run(), r -> new EnumMap<>(Side.class));
            Stream.ofNullable(row.left()).forEach(c -> classes.merge(Side.LEFT, c, BesideRepository::harder));
            Stream.ofNullable(row.right()).forEach(c -> classes.merge(Side.RIGHT, c, BesideRepository::harder));
        }
        return found;
    }

    private static EffortClass harder(EffortClass one, EffortClass other) {
        return one.compareTo(other) >= 0 ? one : other;
    }
}
