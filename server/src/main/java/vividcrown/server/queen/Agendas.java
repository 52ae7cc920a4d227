package vividcrown.server.queen;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.queen.QueenAgenda.Line;
import vividcrown.server.operation.CurrentOperation;

/** What is due at queens' hives, on which days these stay shut, and who is in doubt: by the days on which it holds. */
@Component
public class Agendas {

    private static final String INSERT = """
            insert into queen_agenda (queen_id, operation_id, position, kind, work, earliest, latest, holds_from, holds_until)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?)
            """;
    private static final String HOLDS = """
            select distinct queen_id from queen_agenda
            where kind = :kind and holds_from <= :day and holds_until >= :day
            """;

    private final JdbcClient jdbc;
    private final JdbcTemplate batches;

    Agendas(JdbcClient jdbc, JdbcTemplate batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    void replace(Map<UUID, List<Line>> lines) {
        if (lines.isEmpty()) {
            return;
        }
        jdbc.sql("delete from queen_agenda where queen_id in (:queens)").param("queens", lines.keySet()).update();
        UUID operation = CurrentOperation.require();
        List<Object[]> rows = new ArrayList<>();
        lines.forEach((queen, all) -> {
            int position = 0;
            for (Line line : all) {
                rows.add(row(queen, operation, position++, line));
            }
        });
        batches.batchUpdate(INSERT, rows);
    }

    private static Object[] row(UUID queen, UUID operation, int position, Line line) {
        return switch (line) {
            case Line.IsDue due -> new Object[]{queen, operation, position, "DUE", due.work().name(),
                    due.window().earliest(), due.window().latest(), due.from(), due.until()};
            case Line.StaysShut shut ->
                new Object[]{queen, operation, position, "SHUT", "", null, null, shut.from(), shut.until()};
            case Line.IsInDoubt doubt ->
                new Object[]{queen, operation, position, "LATE", "", null, null, doubt.from(), doubt.until()};
        };
    }

    void clear() {
        jdbc.sql("delete from queen_agenda").update();
    }

    /** Queens at whose hives something may be done by that day. */
    public Set<UUID> dueBy(LocalDate day) {
        return ids(HOLDS + " and earliest <= :day", "DUE", day);
    }

    /** Queens at whose hives something will fall due, by what is known on that day. */
    public Set<UUID> dueEver(LocalDate day) {
        return ids(HOLDS, "DUE", day);
    }

    /** Queens whose hives stay shut on that day. */
    public Set<UUID> shutOn(LocalDate day) {
        return ids(HOLDS, "SHUT", day);
    }

    /** Queens of whom it is a question whether they will still come good. */
    public Set<UUID> inDoubtOn(LocalDate day) {
        return ids(HOLDS, "LATE", day);
    }

    /** Hives with a queen that is late, or at which something should have been done before that day; by the yard. */
    public List<LateHives> lateByYard(LocalDate day) {
        return jdbc.sql("""
                select h.yard_id as yard, count(distinct h.id) as hives
                from queen_agenda a join hive h on h.queen_id = a.queen_id
                where a.holds_from <= :day and a.holds_until >= :day and h.ended_on is null
                    and h.purpose in ('MATING_NUC', 'MINI_NUC')
                    and (a.kind = 'DUE' and a.latest < :day or a.kind = 'LATE')
                group by h.yard_id""").param("day", day).query(LateHives.class).list();
    }

    public record LateHives(UUID yard, int hives) {
    }

    private Set<UUID> ids(String sql, String kind, LocalDate day) {
        return new HashSet<>(jdbc.sql(sql).param("kind", kind).param("day", day).query(UUID.class).list());
    }
}
