package gradino.server.platform;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayDataSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.jdbc.datasource.LazyConnectionDataSourceProxy;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.EnableTransactionManagement;

/** One SQLite file: a single IMMEDIATE writer and a few query-only readers, chosen by the transaction. */
@Configuration(proxyBeanMethods = false)
@EnableTransactionManagement
public class Database {
    public static final String FILE = "gradino.db";
    private static final int READERS = 4;
    private static final String BUSY_TIMEOUT_MS = "5000";

    @Bean
    @FlywayDataSource
    HikariDataSource writer(@Value("${gradino.data}") Path directory, DataLock lock) {
        var config = config(directory, "writer", 1);
        config.addDataSourceProperty("transaction_mode", "IMMEDIATE");
        // What is erased is written over, not only let go.
        config.setConnectionInitSql("PRAGMA secure_delete = 1");
        return new HikariDataSource(config);
    }

    /** Lazy, so that the file and its schema exist before a reader first opens it. */
    @Bean
    HikariDataSource readers(@Value("${gradino.data}") Path directory, @Qualifier("writer") DataSource writer) {
        var config = config(directory, "readers", READERS);
        config.setInitializationFailTimeout(-1);
        config.setMinimumIdle(0);
        config.setConnectionInitSql("PRAGMA query_only = 1");
        return new HikariDataSource(config);
    }

    @Bean
    @Primary
    DataSource dataSource(@Qualifier("writer") DataSource writer, @Qualifier("readers") DataSource readers) {
        var routed = new LazyConnectionDataSourceProxy(writer);
        routed.setReadOnlyDataSource(readers);
        routed.setDefaultAutoCommit(true);
        return routed;
    }

    @Bean
    PlatformTransactionManager transactionManager(DataSource dataSource, Writes writes) {
        var manager = new DataSourceTransactionManager(dataSource);
        manager.addListener(writes);
        return manager;
    }

    private static HikariConfig config(Path directory, String name, int size) {
        try {
            Files.createDirectories(directory);
        } catch (IOException e) {
            throw new UncheckedIOException("the data directory " + directory + " cannot be made", e);
        }
        var config = new HikariConfig();
        config.setPoolName(name);
        config.setJdbcUrl("jdbc:sqlite:" + directory.resolve(FILE).toAbsolutePath());
        config.setMaximumPoolSize(size);
        config.addDataSourceProperty("journal_mode", "WAL");
        config.addDataSourceProperty("foreign_keys", "true");
        config.addDataSourceProperty("synchronous", "FULL");
        config.addDataSourceProperty("busy_timeout", BUSY_TIMEOUT_MS);
        // Pages of 8 MB: what one client has measured in ten years stays in memory.
        config.addDataSourceProperty("cache_size", "-8000");
        return config;
    }
}
