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
            update nuc set queen_id = held.queen_id, rounds = held.rounds,
                empty_since = case when held.queen_id is null then coalesce(held.last_end, nuc.set_up_on) end
            from (select n.id, max(q.ended_on) as last_end, count(q.id) as rounds,
                    (array_agg(q.id order by q.placed_sequence desc)
                        filter (where q.alive and q.whereabouts = 'NUC'))[1] as queen_id
                from nuc n left join queen q on q.nuc_id = n.id
                where n.id in (:nucs) group by n.id) held
            where held.id = nuc.id
            """;

    private static final String CLEAR_FLAGS = """
            delete from contradiction where found_in = 'NUC'
                and subject_id in (select id from queen where nuc_id in (:nucs))
            """;

    private static final String DOUBLY_HELD = """
            select placed_by, id, nuc, holds
            from (select q.placed_by, q.id, n.code as nuc, first_value(q.code) over placings as holds,
                    row_number() over placings as place
                from queen q join nuc n on n.id = q.nuc_id
                where q.nuc_id in (:nucs) and q.alive and q.whereabouts = 'NUC'
                window placings as (partition by q.nuc_id order by q.placed_sequence)) placed
            where place > 1
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
