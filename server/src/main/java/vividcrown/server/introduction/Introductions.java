package vividcrown.server.introduction;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.introduction.Introduction;
import vividcrown.core.introduction.IntroductionDeed;
import vividcrown.core.introduction.IntroductionDeed.Outcome;
import vividcrown.core.introduction.OwnAcceptance;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Contradictions;
import vividcrown.server.journal.Projector;
import vividcrown.server.journal.Records;

/** Queens on their way into colonies, and their rows made from the record. */
@Component
@Order(58)
public class Introductions implements Projector {

    private static final String FOUND_IN = "INTRODUCTION";
    private static final int SHOWN_DAYS = 60;

    private final IntroductionTable table;
    private final Hives hives;
    private final Records records;
    private final Contradictions contradictions;

    Introductions(IntroductionTable table, Hives hives, Records records, Contradictions contradictions) {
        this.table = table;
        this.hives = hives;
        this.records = records;
        this.contradictions = contradictions;
    }

    /** Those that are under way, the first begun first. */
    public Map<UUID, Introduction> open() {
        return folded(table.findByClosedOnIsNullOrderByBegunOnAscIdAsc());
    }

    /** Those that came out lately, the last first. */
    Map<UUID, Introduction> closedLately(LocalDate today) {
        return folded(table.findByClosedOnGreaterThanEqualOrderByClosedOnDescIdDesc(today.minusDays(SHOWN_DAYS)));
    }

    Optional<Introduction> of(UUID id) {
        return table.findById(id).flatMap(row -> Optional.ofNullable(folded(List.of(row)).get(id)));
    }

    private Map<UUID, Introduction> folded(List<IntroductionRow> rows) {
        Map<UUID, List<Entry>> standing = records.standing(rows.stream().map(IntroductionRow::id).toList());
        Map<UUID, Introduction> all = new LinkedHashMap<>();
        rows.forEach(row -> Introduction.fold(standing.getOrDefault(row.id(), List.of()))
                .ifPresent(one -> all.put(row.id(), one)));
        return all;
    }

    /** Hives into which a queen is on her way. */
    public Set<UUID> underWayIn(Collection<UUID> hiveIds) {
        return hiveIds.isEmpty()
                ? Set.of()
                : table.findByHiveIdInAndClosedOnIsNull(hiveIds).stream().map(IntroductionRow::hiveId)
                        .collect(Collectors.toSet());
    }

    boolean isOnHerWay(UUID queen) {
        return !table.findByQueenIdAndClosedOnIsNull(queen).isEmpty();
    }

    /** What the operation's own say of each way. */
    OwnAcceptance own() {
        return new OwnAcceptance(results());
    }

    /** Those that came out and say something of how they were given. */
    List<OwnAcceptance.Result> results() {
        List<IntroductionRow> rows = table.findByClosedOnIsNotNull();
        Map<UUID, String> yards = hives.findAllById(rows.stream().map(IntroductionRow::hiveId).distinct().toList())
                .stream().collect(Collectors.toMap(Hive::id, hive -> hive.yardId().toString()));
        return rows.stream()
                .filter(row -> row.outcome().filter(out -> out != Outcome.TAKEN_BACK).isPresent()
                        && row.cause().filter(OwnAcceptance::saysOfTheWay).isPresent())
                .map(row -> new OwnAcceptance.Result(row.method(), row.begunOn(), yards.getOrDefault(row.hiveId(), ""),
                        row.outcome().filter(Outcome.KEPT::equals).isPresent(), row.sprayed()))
                .toList();
    }

    @Override
    public SubjectKind subjectKind() {
        return IntroductionDeed.INTRODUCTION;
    }

    @Override
    public void project(Map<UUID, List<Entry>> bySubject) {
        Map<UUID, List<Contradiction>> clashes = new HashMap<>();
        bySubject.forEach((id, record) -> Introduction.fold(record).ifPresentOrElse(one -> {
            table.save(new IntroductionRow(id, one));
            clashes.put(id, one.contradictions());
        }, () -> table.deleteAllByIdInBatch(List.of(id))));
        table.flush();
        contradictions.replace(FOUND_IN, bySubject.keySet(), clashes);
    }

    @Override
    public void clear() {
        table.deleteAllInBatch();
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return table.findAllById(subjects).stream().map(IntroductionRow::id).collect(Collectors.toSet());
    }
}
