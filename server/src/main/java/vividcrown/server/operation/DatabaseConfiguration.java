package vividcrown.server.operation;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
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

    @Bean
    @FlywayDataSource
    DataSource ownerDataSource(CrownProperties properties) {
        return pool(properties, 2);
    }

    @Bean
    @Primary
    DataSource dataSource(CrownProperties properties) {
        HikariDataSource pool = pool(properties, 12);
        // The pool opens its first connection when asked for one: by then Flyway has made the role.
        pool.setConnectionInitSql("set role crown_app");
        return new OperationDataSource(pool);
    }

    private static HikariDataSource pool(CrownProperties properties, int size) {
        DatabaseAddress address = DatabaseAddress.parse(properties.databaseUrl());
        HikariDataSource pool = new HikariDataSource();
        pool.setJdbcUrl(address.jdbcUrl());
        pool.setUsername(address.user());
        pool.setPassword(address.password());
        pool.setMaximumPoolSize(size);
        pool.setMinimumIdle(1);
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
            Connection connection = super.getConnection();
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
    }
}
