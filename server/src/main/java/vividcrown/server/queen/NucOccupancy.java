package vividcrown.server.queen;

import java.util.Collection;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.reason.Sentence;

/**
 * Keeps up who is in which nuc, from the queens' rows alone, and flags the later placing where two are alive in one nuc.
 */
@Component
class NucOccupancy {

    private static final String REFRESH = """
            update nuc set
                queen_id = (select q.id from queen q where q.nuc_id = nuc.id and q.alive and q.whereabouts = 'NUC'
                    order by coalesce(q.placed_as_virgin_on, q.placed_as_cell_on) desc nulls last, q.code desc limit 1),
                empty_since = case when exists
                    (select from queen q where q.nuc_id = nuc.id and q.alive and q.whereabouts = 'NUC')
                    then null
                    else coalesce((select max(q.ended_on) from queen q where q.nuc_id = nuc.id), nuc.set_up_on) end,
                rounds = (select count(*) from queen q where q.nuc_id = nuc.id)
            where id in (:nucs)
            """;

    private static final String CLEAR_FLAGS = """
            delete from contradiction c where c.found_in = 'NUC'
                and c.entry_id in (select q.placed_by from queen q where q.nuc_id in (:nucs))
            """;

    private static final String DOUBLY_HELD = """
            select later.placed_by, later.id, nuc.code as nuc, earlier.code as holds
            from queen later
            join nuc on nuc.id = later.nuc_id
            join journal_entry put on put.id = later.placed_by
            join lateral (select q.code from queen q join journal_entry p on p.id = q.placed_by
                where q.nuc_id = later.nuc_id and q.id <> later.id and q.alive and q.whereabouts = 'NUC'
                    and (p.happened_on, p.sequence) < (put.happened_on, put.sequence)
                order by p.happened_on, p.sequence limit 1) earlier on true
            where later.nuc_id in (:nucs) and later.alive and later.whereabouts = 'NUC'
            """;

    private static final String FLAG = """
            insert into contradiction (entry_id, found_in, operation_id, subject_id, clash)
            values (:entry, 'NUC', current_operation(), :queen, :clash)
            """;

    private final JdbcClient jdbc;

    NucOccupancy(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private record DoublyHeld(UUID placedBy, UUID id, String nuc, String holds) {
    }

    void refresh(Collection<UUID> nucs) {
        if (nucs.isEmpty()) {
            return;
        }
        jdbc.sql(REFRESH).param("nucs", nucs).update();
        jdbc.sql(CLEAR_FLAGS).param("nucs", nucs).update();
        for (DoublyHeld one : jdbc.sql(DOUBLY_HELD).param("nucs", nucs).query(DoublyHeld.class).list()) {
            jdbc.sql(FLAG).param("entry", one.placedBy()).param("queen", one.id())
                    .param("clash", Sentence.of("clash.nucOccupied", one.nuc(), one.holds()).toString()).update();
        }
    }
}
