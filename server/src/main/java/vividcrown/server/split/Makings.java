package vividcrown.server.split;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.HiveEnd;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.split.Place;
import vividcrown.core.split.making.Making;
import vividcrown.core.split.making.MakingStep;
import vividcrown.core.split.making.SplitDeed;
import vividcrown.core.split.making.SplitSheet;
import vividcrown.core.split.moving.MoveStep;
import vividcrown.core.split.moving.Moving;
import vividcrown.core.split.recipe.RecipeKind;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Contradictions;
import vividcrown.server.journal.Projector;
import vividcrown.server.journal.Records;

/** Splits, and strength that is moved, as they were taken to the yard; their rows made from the record. */
@Component
@Order(55)
public class Makings implements Projector {

    private static final String FOUND_IN = "SPLIT";
    /** Whatever follows a split is over by then. */
    private static final int FOLLOWED_DAYS = 70;

    /** A split that was put off so long is planned anew. */
    private static final int STILL_MEANT_DAYS = 7;
    private static final int YEARS_OF_RECORD = 10;
    /** From an autumn split to the first flow of the next year. */
    private static final int WINTER_DAYS = 240;

    private final SplitTable splits;
    private final Hives hives;
    private final Records records;
    private final Contradictions contradictions;

    Makings(SplitTable splits, Hives hives, Records records, Contradictions contradictions) {
        this.splits = splits;
        this.hives = hives;
        this.records = records;
        this.contradictions = contradictions;
    }

    /** Those that are followed, the newest first. */
    public Map<UUID, Making> followed(LocalDate today) {
        Map<UUID, Making> all = new LinkedHashMap<>();
        standing(today).forEach((id, record) -> Making.fold(record).ifPresent(one -> all.put(id, one)));
        return all;
    }

    /** Strength that is moved, and followed, the newest first. */
    public Map<UUID, Moving> movesFollowed(LocalDate today) {
        Map<UUID, Moving> all = new LinkedHashMap<>();
        standing(today).forEach((id, record) -> Moving.fold(record).ifPresent(one -> all.put(id, one)));
        return all;
    }

    private Map<UUID, List<Entry>> standing(LocalDate today) {
        List<UUID> ids = splits
                .findByDayGreaterThanEqualAndDroppedFalseOrderByDayDescIdDesc(today.minusDays(FOLLOWED_DAYS)).stream()
                .map(SplitRow::id).toList();
        Map<UUID, List<Entry>> standing = records.standing(ids);
        Map<UUID, List<Entry>> inOrder = new LinkedHashMap<>();
        ids.forEach(id -> inOrder.put(id, standing.getOrDefault(id, List.of())));
        return inOrder;
    }

    /** Codes of units that are to be made and are not set up yet. */
    Set<String> codesMeant(LocalDate today) {
        return followed(today).values().stream().flatMap(making -> making.sheet().units().stream()
                .filter(unit -> making.how(new MakingStep.SetUp(unit)).isEmpty())).map(SplitSheet.NewHive::code)
                .collect(Collectors.toSet());
    }

    /** A frame of a hive. */
    record FrameMeant(String code, FrameAt at) {
    }

    /** Frames that other sheets are to take, and have not taken yet. */
    List<FrameMeant> framesMeant(LocalDate today) {
        LocalDate since = today.minusDays(STILL_MEANT_DAYS);
        Stream<FrameMeant> splits = followed(today).values().stream()
                .filter(making -> !making.sheet().day().isBefore(since))
                .flatMap(making -> MakingStep.of(making.sheet()).stream().filter(step -> making.how(step).isEmpty())
                        .flatMap(step -> step instanceof MakingStep.Frame frame
                                ? Stream.of(new FrameMeant(frame.giver().code(), frame.comes().at()))
                                : Stream.of()));
        Stream<FrameMeant> moves = movesFollowed(today).values().stream()
                .filter(moving -> !moving.sheet().day().isBefore(since))
                .flatMap(moving -> MoveStep.of(moving.sheet()).stream().filter(step -> moving.how(step).isEmpty())
                        .flatMap(step -> step instanceof MoveStep.Frame frame
                                ? Stream.of(new FrameMeant(frame.at().code(), frame.goes().at()))
                                : Stream.of()));
        return Stream.concat(splits, moves).toList();
    }

    /** Of pooled autumn splits of earlier years: how many came through, how many did not. */
    int[] autumnSplits(LocalDate today) {
        List<UUID> ids = splits.findByDayBetween(today.minusYears(YEARS_OF_RECORD), today.minusDays(WINTER_DAYS))
                .stream()
                .map(SplitRow::id).toList();
        List<UUID> units = records.standing(ids).values().stream().flatMap(record -> Making.fold(record).stream())
                .filter(making -> making.sheet().recipe() == RecipeKind.POOLED_AUTUMN_SPLIT)
                .flatMap(making -> making.sheet().units().stream().filter(making::stands))
                .map(SplitSheet.NewHive::hive).toList();
        int lost = 0;
        int survived = 0;
        for (Hive hive : hives.findAllById(units)) {
            LocalDate spring = hive.setUpOn().plusDays(WINTER_DAYS);
            boolean ended = hive.endedOn().filter(day -> !day.isAfter(spring)).isPresent();
            // one that was sold says nothing of how it would have wintered
            boolean sold = hive.endReason().filter(why -> why == HiveEnd.SOLD).isPresent();
            lost += ended && !sold ? 1 : 0;
            survived += ended ? 0 : 1;
        }
        return new int[]{survived, lost};
    }

    /** Units of the last year that were made of combs with their bees and nothing shaken in: where each was put. */
    Map<UUID, Place> madeOfFramesAlone(LocalDate today) {
        List<UUID> ids = splits.findByDayBetween(today.minusYears(1), today).stream().map(SplitRow::id).toList();
        Map<UUID, Place> made = new HashMap<>();
        records.standing(ids).values().stream().flatMap(record -> Making.fold(record).stream())
                .forEach(making -> making.sheet().units().stream()
                        .filter(unit -> making.stands(unit) && unit.shakes().isEmpty())
                        .forEach(unit -> made.put(unit.hive(), making.sheet().place())));
        return made;
    }

    Optional<Making> of(UUID split) {
        return splits.findById(split)
                .flatMap(row -> Making.fold(records.standing(List.of(split)).getOrDefault(split, List.of())));
    }

    Optional<Moving> movesOf(UUID split) {
        return splits.findById(split)
                .flatMap(row -> Moving.fold(records.standing(List.of(split)).getOrDefault(split, List.of())));
    }

    @Override
    public SubjectKind subjectKind() {
        return SplitDeed.SPLIT;
    }

    @Override
    public void project(Map<UUID, List<Entry>> bySubject) {
        Map<UUID, List<Contradiction>> clashes = new HashMap<>();
        bySubject.forEach((id, record) -> {
            Optional<Making> making = Making.fold(record);
            Optional<Moving> moving = Moving.fold(record);
            making.ifPresent(one -> splits.save(new SplitRow(id, one.sheet().day(), one.dropped())));
            moving.ifPresent(one -> splits.save(new SplitRow(id, one.sheet().day(), one.dropped())));
            if (making.isEmpty() && moving.isEmpty()) {
                splits.deleteAllByIdInBatch(List.of(id));
            }
            List<Contradiction> found = new ArrayList<>();
            making.ifPresent(one -> found.addAll(one.contradictions()));
            moving.ifPresent(one -> found.addAll(one.contradictions()));
            clashes.put(id, found);
        });
        splits.flush();
        contradictions.replace(FOUND_IN, bySubject.keySet(), clashes);
    }

    @Override
    public void clear() {
        splits.deleteAllInBatch();
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return splits.findAllById(subjects).stream().map(SplitRow::id).collect(Collectors.toSet());
    }
}
