package vividcrown.server.queen;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.queen.AffectsQueens;
import vividcrown.core.queen.CullReason;
import vividcrown.core.queen.LifeEntry;
import vividcrown.core.queen.LifeFold;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.Milestone;
import vividcrown.core.queen.QueenAgenda;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.QueenEvent;
import vividcrown.core.queen.QueenLife;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.settings.Settings;
import vividcrown.server.journal.Contradictions;
import vividcrown.server.settings.SettingsInForce;

/** Writes the rows of cells and queens by folding their records, and all that hangs on them. */
@Component
class QueenRows {

    private static final String FOUND_IN = "LIFE";

    private final QueenTable queens;
    private final Batches batches;
    private final Contradictions contradictions;
    private final Occupancy occupancy;
    private final Agendas agendas;
    private final OwnRates rates;
    private final SettingsInForce settings;
    private final EntityManager entities;

    QueenRows(QueenTable queens, Batches batches, Contradictions contradictions, Occupancy occupancy, Agendas agendas,
            OwnRates rates, SettingsInForce settings, EntityManager entities) {
        this.queens = queens;
        this.batches = batches;
        this.contradictions = contradictions;
        this.occupancy = occupancy;
        this.agendas = agendas;
        this.rates = rates;
        this.settings = settings;
        this.entities = entities;
    }

    /** @param records by the queen */
    void write(List<QueenRow> rows, Map<UUID, List<Entry>> records) {
        Map<UUID, Batches.Batch> grafts = batchesOf(rows);
        Settings own = settings.current();
        Assumptions assumptions = own.assumptions();
        MarkingScheme scheme = own.scheme();
        Rate mating = LossStep.MATING.prior();
        Set<UUID> hives = new HashSet<>();
        Map<UUID, List<Contradiction>> clashes = new HashMap<>();
        Map<UUID, List<QueenAgenda.Line>> lines = new HashMap<>();
        for (QueenRow queen : rows) {
            queen.hiveId().ifPresent(hives::add);
            Optional<Batches.Batch> batch = queen.graftId().map(grafts::get);
            clashes.put(queen.id(), fold(queen, batch, records.getOrDefault(queen.id(), List.of()), assumptions));
            // nobody grafts from a cell, whatever was said of it
            breeds(queen, queen.stage().isCell() ? List.of() : records.getOrDefault(queen.id(), List.of()));
            lines.put(queen.id(), QueenAgenda.of(queen.life(), batch.map(Batches.Batch::plan), assumptions, mating,
                    scheme));
            queen.hiveId().ifPresent(hives::add);
        }
        queens.saveAllAndFlush(rows);
        contradictions.replace(FOUND_IN, rows.stream().map(QueenRow::id).toList(), clashes);
        agendas.replace(lines);
        occupancy.refresh(hives);
        rates.recount(rows.stream().flatMap(queen -> queen.graftId().stream()).toList());
    }

    void delete(List<QueenRow> rows) {
        if (rows.isEmpty()) {
            return;
        }
        List<UUID> ids = rows.stream().map(QueenRow::id).toList();
        Set<UUID> hives = new HashSet<>();
        rows.forEach(queen -> queen.hiveId().ifPresent(hives::add));
        List<UUID> grafts = rows.stream().flatMap(queen -> queen.graftId().stream()).toList();
        queens.deleteAllByIdInBatch(ids);
        queens.flush();
        rows.forEach(entities::detach);
        contradictions.replace(FOUND_IN, ids, Map.of());
        Map<UUID, List<QueenAgenda.Line>> none = new HashMap<>();
        ids.forEach(id -> none.put(id, List.of()));
        agendas.replace(none);
        occupancy.refresh(hives);
        rates.recount(grafts);
    }

    /** The last to speak is right. */
    private static void breeds(QueenRow queen, List<Entry> record) {
        boolean breeds = false;
        Optional<Integer> daughters = Optional.empty();
        for (Entry entry : record) {
            if (entry.deed() instanceof QueenDeed.Known known && known.queen().equals(queen.id())) {
                breeds = known.breeder();
            } else if (entry.deed() instanceof QueenDeed.BreederSaid said) {
                breeds = said.breeder();
                daughters = said.daughters();
            }
        }
        queen.breeds(breeds, breeds ? daughters : Optional.empty());
    }

    private Map<UUID, Batches.Batch> batchesOf(List<QueenRow> rows) {
        return batches.of(rows.stream().flatMap(queen -> queen.graftId().stream()).distinct().toList());
    }

    private static List<Contradiction> fold(QueenRow queen, Optional<Batches.Batch> batch, List<Entry> record,
            Assumptions assumptions) {
        List<LifeEntry> life = new ArrayList<>();
        batch.ifPresent(graft -> life.add(new LifeEntry(graft.graft(), graft.graftDay(), 0,
                new QueenEvent.Grafted(graft.graft(), queen.bar(), queen.cup()))));
        record.forEach(entry -> event(queen.id(), entry)
                .ifPresent(event -> life.add(new LifeEntry(entry.id(), entry.day(), entry.sequence(), event))));
        LarvaAge larvaAge = batch.map(Batches.Batch::plan).map(GraftPlan::larvaAge).orElse(LarvaAge.FROM_12_TO_24_H);
        LifeFold.Folded folded = LifeFold.fold(life, larvaAge, assumptions);
        Optional<CullReason> culled = lastOf(life, QueenEvent.Culled.class)
                .map(entry -> ((QueenEvent.Culled) entry.event()).reason());
        queen.write(folded.life(), lastOf(life, QueenEvent.Placed.class), matingHive(life, folded.life()), culled);
        return folded.contradictions();
    }

    /** Where she was when her eggs were first seen, or is while they are not: a queen is often moved on when she lays. */
    private static Optional<UUID> matingHive(List<LifeEntry> life, QueenLife folded) {
        LocalDate until = folded.on(Milestone.EGGS_SEEN).orElse(LocalDate.MAX);
        return life.stream().filter(entry -> !entry.day().isAfter(until))
                .filter(entry -> entry.event() instanceof QueenEvent.Placed)
                .max(Comparator.comparing(LifeEntry::day).thenComparing(LifeEntry::sequence))
                .map(entry -> ((QueenEvent.Placed) entry.event()).hive());
    }

    private static Optional<QueenEvent> event(UUID queen, Entry entry) {
        return entry.deed() instanceof AffectsQueens deed ? deed.eventFor(queen) : Optional.empty();
    }

    private static Optional<LifeEntry> lastOf(List<LifeEntry> life, Class<? extends QueenEvent> type) {
        return life.stream().filter(entry -> type.isInstance(entry.event()))
                .max(Comparator.comparing(LifeEntry::day).thenComparing(LifeEntry::sequence));
    }
}
