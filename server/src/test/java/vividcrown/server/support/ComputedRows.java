package vividcrown.server.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.server.operation.CurrentOperation;

/** Every row of an operation that is computed from its record, as text. */
public final class ComputedRows {

    private static final List<String> TABLES = List.of("yard", "hive", "box", "frame", "builder", "graft",
            "graft_tally",
            "mating_tally", "queen", "queen_agenda", "queen_order", "order_queen", "contradiction", "settings",
            "put_off");

    private ComputedRows() {
    }

    /** @return by the table */
    public static Map<String, List<String>> of(Application.Running application, UUID operation) {
        JdbcClient database = application.context().getBean(JdbcClient.class);
        return CurrentOperation.in(operation, () -> {
            Map<String, List<String>> rows = new TreeMap<>();
            for (String table : TABLES) {
                rows.put(table, database.sql("select to_jsonb(t)::text from %s t order by 1".formatted(table))
                        .query(String.class).list());
            }
            return rows;
        });
    }

    /** Rows that were made one by one are those that a rebuild makes of the whole record. */
    public static void areThoseOfARebuild(Application.Running application, UUID operation) {
        Map<String, List<String>> oneByOne = of(application, operation);
        application.rebuild(operation);
        Map<String, List<String>> again = of(application, operation);
        oneByOne.forEach((table, rows) -> assertThat(again.get(table)).as(table).containsExactlyElementsOf(rows));
    }

    /** Ids of everything that an operation has, in any table. */
    public static Set<UUID> ids(Application.Running application, UUID operation) {
        JdbcClient database = application.context().getBean(JdbcClient.class);
        return CurrentOperation.in(operation, () -> {
            Set<UUID> ids = new TreeSet<>();
            database.sql("""
                    select c.table_name, c.column_name from information_schema.columns c
                    where c.table_schema = 'public' and c.data_type = 'uuid' and exists (
                        select from information_schema.columns o where o.table_schema = 'public'
                            and o.table_name = c.table_name and o.column_name = 'operation_id')""")
                    .query((row, _) -> List.of(row.getString(1), row.getString(2))).list()
                    .forEach(column -> ids.addAll(database.sql("select distinct %s from %s where %s is not null"
                            .formatted(column.get(1), column.get(0), column.get(1))).query(UUID.class).list()));
            return ids;
        });
    }
}
