package vividcrown.server.queen;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.Purpose;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.queen.Stage;
import vividcrown.core.reason.Sentence;
import vividcrown.server.journal.Contradictions;

/**
 * Keeps up who is in which hive, from the queens' rows alone. Flags the later placing where two are alive in one hive and
 * nobody said that this is known, and a hive that is ended while a queen is inside.
 */
@Component
class Occupancy {

    private static final String FOUND_IN = "HELD";
    private static final String REFRESH = """
            update hive set queen_id = held.queen_id, queens = held.living, rounds = held.rounds,
                empty_since = case when held.queen_id is null then coalesce(held.last_end, hive.set_up_on) end
            from (select h.id, max(q.ended_on) as last_end, count(q.id) as rounds,
                    count(q.id) filter (where q.alive and q.whereabouts = 'HIVE') as living,
                    (array_agg(q.id order by q.placed_sequence desc)
                        filter (where q.alive and q.whereabouts = 'HIVE'))[1] as queen_id
                from hive h left join queen q on q.hive_id = h.id
                where h.id in (:hives) group by h.id) held
            where held.id = hive.id
            """;
    private static final String LIVING = """
            select h.id as hive, h.code, h.ended_by, h.ended_sequence, h.purpose, h.purposed_by,
                h.purposed_sequence, q.stage, q.id as queen, q.code as called, q.placed_by,
                q.placed_sequence, q.placed_beside
            from queen q join hive h on h.id = q.hive_id
            where q.hive_id in (:hives) and q.alive and q.whereabouts = 'HIVE' order by h.id, q.placed_sequence
            """;

    private final JdbcClient jdbc;
    private final Contradictions contradictions;

    Occupancy(JdbcClient jdbc, Contradictions contradictions) {
        this.jdbc = jdbc;
        this.contradictions = contradictions;
    }

    record Held(UUID hive, String code, @Nullable UUID endedBy, long endedSequence, Purpose purpose, UUID purposedBy,
            long purposedSequence, Stage stage, UUID queen, String called, UUID placedBy, long placedSequence,
            boolean placedBeside) {
    }

    void refresh(Collection<UUID> hives) {
        if (hives.isEmpty()) {
            return;
        }
        jdbc.sql(REFRESH).param("hives", hives).update();
        Map<UUID, List<Contradiction>> clashes = new HashMap<>();
        Map<UUID, Held> first = new HashMap<>();
        for (Held held : jdbc.sql(LIVING).param("hives", hives).query(Held.class).list()) {
            List<Contradiction> found = clashes.computeIfAbsent(held.hive(), _ -> new ArrayList<>());
            Held before = first.putIfAbsent(held.hive(), held);
            if (before != null && !held.placedBeside()) {
                found.add(new Contradiction(held.placedBy(),
                        Sentence.of("clash.hiveOccupied", held.code(), before.called())));
            }
            if (!held.purpose().bearsVirgin() && (held.stage().isCell() || held.stage() == Stage.VIRGIN)) {
                found.add(new Contradiction(
                        held.placedSequence() > held.purposedSequence() ? held.placedBy() : held.purposedBy(),
                        Sentence.of("clash.purposeWithVirgin", held.code(), held.purpose().sentence(), held.called())));
            }
            UUID end = held.endedBy();
            if (end != null) {
                UUID later = held.placedSequence() > held.endedSequence() ? held.placedBy() : end;
                found.add(new Contradiction(later, Sentence.of("clash.endedWithQueen", held.code(), held.called())));
            }
        }
        contradictions.replace(FOUND_IN, Set.copyOf(hives), clashes);
    }
}
