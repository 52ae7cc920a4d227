package vividcrown.server.support;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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
}
