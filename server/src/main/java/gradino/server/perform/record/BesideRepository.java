package gradino.server.perform.record;

import gradino.core.advance.state.Beside;
import gradino.core.advance.state.Beside.Trained;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.server.platform.Sql;
import gradino.server.prescribe.program.Line;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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
    public Map<String, Beside> of(Collection<Line> lines, Instant since) {
        var clients = lines.stream().map(Line::clientId).distinct().toList();
        var trained = sql.list("""
                        SELECT o.client_id, o.motion, o.id, x.run_id, x.left_class, x.right_class, c.happened_at
                          FROM run_close c
                         CROSS JOIN run_line x ON x.run_id = c.run_id
                         CROSS JOIN line o ON o.id = x.line_id
                         WHERE c.happened_at > ?2 AND o.client_id""" + Sql.AMONG + "ORDER BY x.run_id", BesideRepository::row, clients, since).stream()
                .collect(Collectors.groupingBy(Row::motion, Collectors.mapping(Row::trained, Collectors.toList())));
        var beside = new HashMap<String, Beside>();
        for (var line : lines) {
            var ofMotion = trained.getOrDefault(new Motion(line.clientId(), line.motion()), List.of());
            if (!ofMotion.isEmpty()) {
                beside.put(line.id(), Beside.of(line.id(), ofMotion));
            }
        }
        return beside;
    }

    private record Motion(String clientId, String motion) {}

    private record Row(Motion motion, Trained trained) {}

    private static Row row(ResultSet row) throws SQLException {
        return new Row(
                new Motion(row.getString("client_id"), row.getString("motion")),
                new Trained(
                        row.getString("id"),
                        row.getString("run_id"),
                        Sql.instant(row, "happened_at"),
                        effortClass(row.getString("left_class")),
                        effortClass(row.getString("right_class"))));
    }

    private static @Nullable EffortClass effortClass(@Nullable String name) {
        return name == null ? null : EffortClass.valueOf(name);
    }
}
