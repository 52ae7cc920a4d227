package vividcrown.server.operation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.server.support.Application;

/** The database itself keeps operations apart, whatever the code above it forgets. */
@ExtendWith(Application.class)
class RowLevelSecurityTest {

    /** Every table that holds rows of an operation, as the database knows them: a table of tomorrow is in it too. */
    private static List<String> tables(JdbcClient jdbc) {
        return jdbc.sql("""
                select table_name from information_schema.columns
                where table_schema = 'public' and column_name = 'operation_id' order by table_name
                """).query(String.class).list();
    }

    @Test
    void no_table_shows_rows_of_another_operation(Application.Running running) {
        UUID mine = running.demo().operation();
        UUID other = running.demo().operation();
        JdbcClient jdbc = running.context().getBean(JdbcClient.class);
        List<String> tables = tables(jdbc);
        assertThat(tables).contains("journal_entry", "queen", "settings", "graft_tally");
        for (String table : tables) {
            List<UUID> seen = CurrentOperation.in(mine, () -> jdbc
                    .sql("select distinct operation_id from " + table).query(UUID.class).list());
            assertThat(seen).as(table).doesNotContain(other).isSubsetOf(mine);
        }
    }

    @Test
    void without_an_operation_nothing_is_seen(Application.Running running) {
        running.demo();
        JdbcClient jdbc = running.context().getBean(JdbcClient.class);
        for (String table : tables(jdbc)) {
            assertThat(jdbc.sql("select count(*) from " + table).query(Integer.class).single()).as(table).isZero();
        }
    }

    @Test
    void a_row_cannot_be_written_into_another_operation(Application.Running running) {
        UUID mine = running.demo().operation();
        UUID other = running.demo().operation();
        JdbcClient jdbc = running.context().getBean(JdbcClient.class);
        assertThatThrownBy(() -> CurrentOperation.in(mine, () -> jdbc
                .sql("insert into settings (id, operation_id, detail) values (?, ?, '{}')").param(other).param(other)
                .update())).isInstanceOf(DataAccessException.class).rootCause()
                .hasMessageContaining("row-level security");
    }

    /** The door for searching runs as the owner of the tables, past the policies: it must look at the operation itself. */
    @Test
    void searching_for_queens_finds_none_of_another_operation(Application.Running running) {
        UUID mine = running.demo().operation();
        UUID other = running.demo().operation();
        JdbcClient jdbc = running.context().getBean(JdbcClient.class);
        String search = "select distinct operation_id from queens_called('26-0', 1000000, 0)";
        assertThat(CurrentOperation.in(mine, () -> jdbc.sql(search).query(UUID.class).list())).containsExactly(mine)
                .doesNotContain(other);
        assertThat(jdbc.sql(search).query(UUID.class).list()).isEmpty();
    }
}
