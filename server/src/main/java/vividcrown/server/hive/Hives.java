package vividcrown.server.hive;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import vividcrown.core.hive.Purpose;

/** Hives of the operation. */
public interface Hives extends Repository<HiveRow, UUID> {
    Optional<Hive> findById(UUID id);

    List<Hive> findAllById(Iterable<UUID> ids);

    boolean existsById(UUID id);

    /** A hive for mating as its yard's row shows it. */
    record InRow(UUID id, String code, int position, int rounds, @Nullable LocalDate emptySince,
            @Nullable UUID queenId) {
    }

    /** The hives for mating that stand in a yard, in walking order. */
    @Query("""
            select new vividcrown.server.hive.Hives$InRow(h.id, h.code, h.position, h.rounds, h.emptySince, h.queenId)
            from Hive h where h.yardId = :yard and h.endedOn is null and h.purpose in (MATING_NUC, MINI_NUC)
            order by h.position
            """)
    List<InRow> row(UUID yard);

    /** Those that stand, kept for one of these. */
    List<Hive> findByPurposeInAndEndedOnIsNullOrderByYardIdAscPositionAsc(Collection<Purpose> purposes);

    List<Hive> findByEndedOnIsNullOrderByCode();

    List<Hive> findByYardIdAndEndedOnIsNullOrderByPosition(UUID yard);

    List<Hive> findByYardIdAndPurposeInAndEndedOnIsNull(UUID yard, Collection<Purpose> purposes);

    int countByYardIdAndEndedOnIsNull(UUID yard);

    /** Of two with one code the one that stands, or else the later. */
    @Query("select h from Hive h where lower(h.code) = lower(:code) order by h.endedOn desc nulls first limit 1")
    Optional<Hive> called(String code);

    /** Codes of hives that stand or stood, by a pattern with {@code %}. */
    @Query("select h.code from Hive h where h.code like :pattern")
    List<String> codesLike(String pattern);

    /** Mating hives that stand empty, in walking order. */
    @Query("""
            select h from Hive h join Yard y on y.id = h.yardId
            where h.endedOn is null and h.queenId is null and h.purpose in (MATING_NUC, MINI_NUC)
            order by y.walkOrder, y.id, h.position limit :most
            """)
    List<Hive> free(int most);

    /** A hive and the yard that it stands in. */
    record Stand(UUID hive, UUID yard) {
    }

    @Query("""
            select new vividcrown.server.hive.Hives$Stand(h.id, h.yardId) from Hive h
            where h.endedOn is null and h.purpose in (MATING_NUC, MINI_NUC)
            """)
    List<Stand> matingStands();

    @Query("""
            select h from Hive h where h.endedOn is null and h.purpose in (PRODUCTION, DRONE_COLONY)
            and h.droneCombFrom is not null order by h.code
            """)
    List<Hive> droneCombMeant();

    /** Colonies of which nothing is left, since a day. */
    @Query("select h from Hive h where h.endedOn >= :since and h.endReason = DIED_OUT")
    List<Hive> diedSince(LocalDate since);

    default List<Hive> keptFor(Purpose... purposes) {
        return findByPurposeInAndEndedOnIsNullOrderByYardIdAscPositionAsc(List.of(purposes));
    }

    /** Colonies that are read through the season. */
    default List<Hive> colonies() {
        return keptFor(Purpose.PRODUCTION, Purpose.DRONE_COLONY);
    }
}
