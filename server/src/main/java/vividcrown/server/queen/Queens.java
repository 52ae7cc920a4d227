package vividcrown.server.queen;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

public interface Queens extends Repository<QueenRow, UUID> {
    Optional<Queen> findById(UUID id);

    List<Queen> findAllById(Iterable<UUID> ids);

    List<Queen> findAllByOrderByCode();

    List<Queen> findByGraftIdOrderByBarAscCupAsc(UUID graft);

    List<Queen> findByGraftIdIn(Collection<UUID> grafts);

    List<Queen> findByAliveTrueAndGraftIdIn(Collection<UUID> grafts);

    List<Queen> findByBreederTrueAndAliveTrueOrderByCode();

    /** Living cells and queens in hives for mating and in the incubator. */
    @Query("""
            select q from Queen q where q.alive and (q.whereabouts = INCUBATOR or q.whereabouts = HIVE
                and exists (select 1 from Hive h where h.id = q.hiveId and h.purpose in (MATING_NUC, MINI_NUC)))
            """)
    List<Queen> atWork();

    /** Living cells that still hang on their bar. */
    @Query("select q from Queen q where q.graftId in :grafts and q.alive and q.whereabouts = BAR")
    List<Queen> onTheBar(Collection<UUID> grafts);

    /** Living cells and queens in cages. */
    @Query("select q from Queen q where q.alive and q.whereabouts = INCUBATOR")
    List<Queen> caged();

    List<Queen> findByCodeIn(Collection<String> codes);

    /** @param laid how many of them laid */
    record Daughters(long all, long laid) {
    }

    @Query("""
            select new vividcrown.server.queen.Queens$Daughters(count(q), count(q.eggsSeenOn)) from Queen q
            where q.motherId = :mother
            """)
    Daughters daughters(UUID mother);

    /** A queen and the hive she is in, or was last. */
    record InHive(UUID queen, UUID hive) {
    }

    /** Queens that are, or were last, in these hives, and did not end before that day. */
    @Query("""
            select new vividcrown.server.queen.Queens$InHive(q.id, q.hiveId) from Queen q
            where q.hiveId in :hives and (q.endedOn is null or q.endedOn >= :since)
            """)
    List<InHive> inHives(Collection<UUID> hives, LocalDate since);

    /** Cells and queens in a yard's standing hives for mating. */
    @Query("""
            select q from Queen q join Hive h on h.queenId = q.id
            where h.yardId = :yard and h.endedOn is null and h.purpose in (MATING_NUC, MINI_NUC)
            """)
    List<Queen> heldIn(UUID yard);

    /** Living queens in a hive, the last placed first. */
    @Query("select q from Queen q where q.hiveId = :hive and q.alive and q.whereabouts = HIVE order by q.placedSequence desc")
    List<Queen> livingIn(UUID hive);

    /** The line she belongs to: her own, or that of the nearest mother who has one. */
    default String lineOf(Queen queen) {
        Queen from = queen;
        Set<UUID> seen = new HashSet<>();
        while (from.graftId().isPresent() && seen.add(from.id())) {
            Optional<Queen> mother = from.motherId().flatMap(this::findById);
            if (mother.isEmpty()) {
                break;
            }
            from = mother.get();
        }
        return from.line();
    }

    /** Whether one is a daughter of another, or further down from her. */
    default boolean descends(UUID from, UUID of) {
        Set<UUID> seen = new HashSet<>();
        Optional<UUID> mother = findById(from).flatMap(Queen::motherId);
        while (mother.isPresent() && seen.add(mother.get())) {
            if (mother.get().equals(of)) {
                return true;
            }
            mother = findById(mother.get()).flatMap(Queen::motherId);
        }
        return false;
    }

    /** Which of these codes are taken. */
    @Query("select q.code from Queen q where q.code in :codes")
    Set<String> codesAmong(Collection<String> codes);
}
