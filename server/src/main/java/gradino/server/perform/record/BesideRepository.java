package gradino.server.perform.record;

import gradino.core.advance.state.Beside.Trained;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.server.platform.Sql;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;

/** What was done of a client's lines: read from run_line and run_close. */
@Repository
public class BesideRepository {
    private final Sql sql;

    BesideRepository(Sql sql) {
        this.sql = sql;
    }

    /** What was trained since a moment: by client, then by motion, lines of one run one after the other. */
    public Map<String, Map<String, List<Trained>>> since(Instant since, Collection<String> clientIds) {
        var rows = sql.list("""
                        SELECT o.client_id, o.motion, o.id, x.run_id, x.left_class, x.right_class, c.happened_at
                          FROM run_close c
                         CROSS JOIN run_line x ON x.run_id = c.run_id
                         CROSS JOIN line o ON o.id = x.line_id
                         WHERE c.happened_at > ?2 AND o.client_id""" + Sql.AMONG + "ORDER BY x.run_id", BesideRepository::row, clientIds, since);
        return rows.stream()
                .collect(Collectors.groupingBy(
                        Row::clientId,
                        Collectors.groupingBy(Row::motion, Collectors.mapping(Row::trained, Collectors.toList()))));
    }

    private record Row(String clientId, String motion, Trained trained) {}

    private static Row row(ResultSet row) throws SQLException {
        return new Row(
                row.getString("client_id"),
                row.getString("motion"),
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
