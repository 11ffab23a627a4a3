package gradino.server.platform;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tools.jackson.databind.json.JsonMapper;

/** Binds and maps, nothing more; logs each statement at level trace. Inside a transaction every call uses its connection. */
@Component
public class Sql {
    /** For a condition on a whole collection, which is bound as the first value: as many rows, one statement. */
    public static final String AMONG = " IN (SELECT value FROM json_each(?1)) ";

    private static final Logger LOG = LoggerFactory.getLogger(Sql.class);
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final int BATCH = 1_000;

    private final DataSource dataSource;
    private final Writes writes;

    Sql(DataSource dataSource, Writes writes) {
        this.dataSource = new TransactionAwareDataSourceProxy(dataSource);
        this.writes = writes;
    }

    /** One row to one value. */
    @FunctionalInterface
    public interface Row<T> {
        T map(ResultSet row) throws SQLException;
    }

    public <T> List<T> list(String sql, Row<T> row, @Nullable Object... values) {
        LOG.trace(sql);
        try (var connection = dataSource.getConnection();
                var statement = connection.prepareStatement(sql)) {
            bind(statement, values);
            try (var result = statement.executeQuery()) {
                var rows = new ArrayList<T>();
                while (result.next()) {
                    rows.add(row.map(result));
                }
                return rows;
            }
        } catch (SQLException e) {
            throw StorageException.of(e);
        }
    }

    /** Row by row, for what does not fit into memory as a whole. Nothing may be read or written meanwhile that waits for this. */
    public <T> void each(String sql, Row<T> row, Consumer<T> to, @Nullable Object... values) {
        LOG.trace(sql);
        try (var connection = dataSource.getConnection();
                var statement = connection.prepareStatement(sql)) {
            bind(statement, values);
            try (var result = statement.executeQuery()) {
                while (result.next()) {
                    to.accept(row.map(result));
                }
            }
        } catch (SQLException e) {
            throw StorageException.of(e);
        }
    }

    public <T> Optional<T> first(String sql, Row<T> row, @Nullable Object... values) {
        return list(sql, row, values).stream().findFirst();
    }

    /** @return rows changed */
    public int update(String sql, @Nullable Object... values) {
        LOG.trace(sql);
        try (var connection = dataSource.getConnection();
                var statement = connection.prepareStatement(sql)) {
            bind(statement, values);
            int rows = statement.executeUpdate();
            written();
            return rows;
        } catch (SQLException e) {
            throw StorageException.of(e);
        }
    }

    /** The same statement over many rows, in batches: the driver keeps a batch's values until it runs. */
    public void batch(String sql, List<@Nullable Object[]> rows) {
        if (rows.isEmpty()) {
            return;
        }
        LOG.trace(sql);
        try (var connection = dataSource.getConnection();
                var statement = connection.prepareStatement(sql)) {
            for (int i = 0; i < rows.size(); i++) {
                bind(statement, rows.get(i));
                statement.addBatch();
                if (i % BATCH == BATCH - 1) {
                    statement.executeBatch();
                }
            }
            statement.executeBatch();
            written();
        } catch (SQLException e) {
            throw StorageException.of(e);
        }
    }

    /** Inside a transaction its commit counts. */
    private void written() {
        if (!TransactionSynchronizationManager.isActualTransactionActive()) {
            writes.one();
        }
    }

    public static Instant instant(ResultSet row, String column) throws SQLException {
        return Instant.ofEpochMilli(row.getLong(column));
    }

    public static @Nullable Instant instantOrNull(ResultSet row, String column) throws SQLException {
        long millis = row.getLong(column);
        return row.wasNull() ? null : Instant.ofEpochMilli(millis);
    }

    public static @Nullable Integer integer(ResultSet row, String column) throws SQLException {
        int value = row.getInt(column);
        return row.wasNull() ? null : value;
    }

    public static @Nullable Double real(ResultSet row, String column) throws SQLException {
        double value = row.getDouble(column);
        return row.wasNull() ? null : value;
    }

    private static void bind(PreparedStatement statement, @Nullable Object[] values) throws SQLException {
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, column(values[i]));
        }
    }

    private static @Nullable Object column(@Nullable Object value) {
        if (value instanceof Instant instant) {
            return instant.toEpochMilli();
        } else if (value instanceof Boolean flag) {
            return flag ? 1 : 0;
        } else if (value instanceof Enum<?> constant) {
            return constant.name();
        } else if (value instanceof Collection<?> many) {
            return JSON.writeValueAsString(many);
        }
        return value;
    }
}
