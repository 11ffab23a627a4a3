package gradino.server.account.people;

import gradino.server.platform.Sql;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/**
 * Whose rows carry an id, whatever table they stand in: read off the schema itself, so that no new table can be forgotten. A table
 * counts where an id is one row's alone; it leads to a client by itself, by its run or by its line.
 */
@Repository
public class OwnedIdRepository {
    private static final String TABLES = """
            SELECT m.name, max(c.name = 'client_id'), max(c.name = 'run_id'), max(c.name = 'line_id')
              FROM sqlite_schema m, pragma_table_info(m.name) c
             WHERE m.type = 'table'
             GROUP BY m.name
            HAVING max(c.name = 'id' AND c.type = 'TEXT' AND (c.pk = 1 OR EXISTS (
                       SELECT 1 FROM pragma_index_list(m.name) i
                        WHERE i."unique" AND (SELECT group_concat(k.name) FROM pragma_index_info(i.name) k) = 'id')))
               AND (m.name = 'client' OR max(c.name IN ('client_id', 'run_id', 'line_id')))
            """;

    private final Sql sql;
    private volatile @Nullable String owners;

    OwnedIdRepository(Sql sql) {
        this.sql = sql;
    }

    /** The clients that any of these ids belong to. */
    @Transactional(readOnly = true)
    public Set<String> clientsOf(Collection<String> ids) {
        var known = owners;
        if (known == null) {
            known = union();
            owners = known;
        }
        return new HashSet<>(sql.list(known, row -> row.getString(1), List.copyOf(ids)));
    }

    private String union() {
        return sql
                .list(TABLES, row -> select(row.getString(1), row.getBoolean(2), row.getBoolean(3), row.getBoolean(4)))
                .stream()
                .collect(Collectors.joining(" UNION "));
    }

    private static String select(String table, boolean client, boolean run, boolean line) {
        if (table.equals("client")) {
            return "SELECT id FROM client WHERE id" + Sql.AMONG;
        } else if (client) {
            return "SELECT client_id FROM " + table + " WHERE id" + Sql.AMONG;
        }
        var by = run ? "run" : line ? "line" : "";
        return "SELECT o.client_id FROM %s t JOIN %s o ON o.id = t.%s_id WHERE t.id%s"
                .formatted(table, by, by, Sql.AMONG);
    }
}
