package vividcrown.server.operation;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.time.Duration;
import java.util.Map;
import java.util.UUID;
import javax.sql.DataSource;
import org.hibernate.cfg.MultiTenancySettings;
import org.hibernate.context.spi.CurrentTenantIdentifierResolver;
import org.springframework.boot.flyway.autoconfigure.FlywayDataSource;
import org.springframework.boot.hibernate.autoconfigure.HibernatePropertiesCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Two ways into one database: migrations run as the role of the address, everything else as {@code crown_app}, which
 * row-level security holds to the rows of one operation.
 */
@Configuration
class DatabaseConfiguration {

    private static final UUID NO_OPERATION = new UUID(0, 0);
    private static final int CONNECTIONS = 16;
    /** A connection that says nothing for longer is given up. Migrations, which go by the other way, may take as long as they take. */
    private static final String SILENT_SECONDS = "120";
    private static final long AWAY_AFTER_MILLIS = 1_500;
    /** How long a busy pool is waited for, though the database is there. */
    private static final Duration BUSY_FOR = Duration.ofSeconds(10);

    @Bean
    @FlywayDataSource
    DataSource ownerDataSource(CrownProperties properties) {
        return pool(properties, 2);
    }

    @Bean
    @Primary
    DataSource dataSource(CrownProperties properties) {
        HikariDataSource pool = pool(properties, CONNECTIONS);
        pool.addDataSourceProperty("socketTimeout", SILENT_SECONDS);
        // The pool opens its first connection when asked for one: by then Flyway has made the role.
        pool.setConnectionInitSql("set role crown_app");
        return new OperationDataSource(pool);
    }

    /** @param size connections; a thread that finds the database away hears so within a second and a half */
    private static HikariDataSource pool(CrownProperties properties, int size) {
        DatabaseAddress address = DatabaseAddress.parse(properties.databaseUrl());
        HikariDataSource pool = new HikariDataSource();
        pool.setJdbcUrl(address.jdbcUrl());
        pool.setUsername(address.user());
        pool.setPassword(address.password());
        pool.setMaximumPoolSize(size);
        pool.setMinimumIdle(1);
        pool.setConnectionTimeout(AWAY_AFTER_MILLIS);
        pool.setValidationTimeout(AWAY_AFTER_MILLIS - 500);
        return pool;
    }

    @Bean
    HibernatePropertiesCustomizer operationAsTenant() {
        return properties -> properties.putAll(Map.of(MultiTenancySettings.MULTI_TENANT_IDENTIFIER_RESOLVER,
                new CurrentTenantIdentifierResolver<UUID>() {
                    @Override
                    public UUID resolveCurrentTenantIdentifier() {
                        return CurrentOperation.id().orElse(NO_OPERATION);
                    }

                    @Override
                    public boolean validateExistingCurrentSessions() {
                        return true;
                    }
                }));
    }

    /** Tells PostgreSQL, on each connection handed out, whose rows it may show. */
    private static final class OperationDataSource extends DelegatingDataSource {
        OperationDataSource(DataSource pool) {
            super(pool);
        }

        @Override
        public Connection getConnection() throws SQLException {
            Connection connection = connection();
            String operation = CurrentOperation.id().map(UUID::toString).orElse("");
            try (PreparedStatement statement = connection
                    .prepareStatement("select set_config('crown.operation', ?, false)")) {
                statement.setString(1, operation);
                statement.execute();
                return connection;
            } catch (SQLException failed) {
                connection.close();
                throw failed;
            }
        }

        /** Where the pool gives none because the database is away, that is said at once; where others have them all, they give them back. */
        private Connection connection() throws SQLException {
            long until = System.nanoTime() + BUSY_FOR.toNanos();
            for (;;) {
                try {
                    return super.getConnection();
                } catch (SQLTransientConnectionException none) {
                    if (none.getCause() != null || System.nanoTime() > until) {
                        throw none;
                    }
                }
            }
        }
    }
}
