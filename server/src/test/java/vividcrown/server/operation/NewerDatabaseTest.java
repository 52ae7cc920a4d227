package vividcrown.server.operation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.server.support.Application;

/** An application that is started on what a newer one left. */
class NewerDatabaseTest {

    @Test
    void a_newer_database_is_refused_with_what_to_do_and_nothing_is_changed() {
        String url = Application.freshDatabase();
        try (Application.Running now = Application.on(url)) {
            JdbcClient database = JdbcClient.create(now.context().getBean("ownerDataSource", DataSource.class));
            database.sql("""
                    insert into flyway_schema_history (installed_rank, version, description, type, script, checksum,
                        installed_by, execution_time, success)
                    values (999, '999', 'later', 'SQL', 'V999__later.sql', 0, 'crown', 1, true)""").update();
            assertThatThrownBy(() -> Application.on(url).close()).rootCause().isInstanceOf(NewerDatabase.class)
                    .satisfies(newer -> {
                        FailureAnalysis said = new NewerDatabase.Analyzer().analyze(newer);
                        assertThat(said.getDescription()).contains("of version 999").contains("Nothing was changed");
                        assertThat(said.getAction()).contains("./crown restore");
                    });
            assertThat(database.sql("select count(*) from flyway_schema_history where version = '999'")
                    .query(Integer.class).single()).isEqualTo(1);
        }
    }
}
