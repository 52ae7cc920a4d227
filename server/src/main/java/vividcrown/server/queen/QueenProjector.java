package vividcrown.server.queen;

import com.fasterxml.uuid.Generators;
import com.fasterxml.uuid.impl.NameBasedGenerator;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.journal.Corrections;
import vividcrown.core.queen.CullReason;
import vividcrown.core.queen.LifeEntry;
import vividcrown.core.queen.LifeFold;
import vividcrown.core.queen.QueenEvent;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.server.graft.CupsFollow;
import vividcrown.server.graft.Graft;
import vividcrown.server.graft.Grafts;
import vividcrown.server.journal.ContradictionRecord;
import vividcrown.server.journal.Contradictions;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Projector;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.settings.SettingsInForce;

/** Makes the rows of cells and queens by folding their entries, and flags entries that clash. */
@Component
class QueenProjector implements Projector, CupsFollow {
    private final Journal journal;
    private final QueenEntries entries;
    private final Payloads payloads;
    private final Queens queens;
    private final Grafts grafts;
    private final Contradictions contradictions;
    private final NucOccupancy occupancy;
    private final OwnRates rates;
    private final SettingsInForce settings;

    QueenProjector(Journal journal, QueenEntries entries, Payloads payloads, Queens queens, Grafts grafts,
            Contradictions contradictions, NucOccupancy occupancy, OwnRates rates, SettingsInForce settings) {
        this.journal = journal;
        this.entries = entries;
        this.payloads = payloads;
        this.queens = queens;
        this.grafts = grafts;
        this.contradictions = contradictions;
        this.occupancy = occupancy;
        this.rates = rates;
        this.settings = settings;
    }

    @Override
    public SubjectKind subjectKind() {
        return SubjectKind.QUEEN;
    }

    @Override
    public boolean exists(UUID subject) {
        return queens.existsById(subject);
    }

    @Override
    public void project(UUID subject) {
        projectAll(List.of(subject));
    }

    @Override
    public void projectAll(List<UUID> subjects) {
        Map<UUID, Queen> rows = queens.findAllById(subjects).stream()
                .collect(Collectors.toMap(Queen::id, Function.identity()));
        Map<UUID, Graft> batches = grafts
                .findAllById(rows.values().stream().flatMap(queen -> queen.graftId().stream()).distinct().toList())
                .stream().collect(Collectors.toMap(Graft::id, Function.identity()));
        Map<UUID, List<JournalEntry>> records = standing(subjects);
        List<Row> made = new ArrayList<>();
        for (UUID subject : subjects) {
            List<JournalEntry> record = records.getOrDefault(subject, List.of());
            Optional<Queen> queen = Optional.ofNullable(rows.get(subject)).or(() -> known(subject, record));
            queen.ifPresent(row -> made.add(new Row(row, row.graftId().map(batches::get), record)));
        }
        write(made);
    }

    /** One row a cup, whether or not anything was recorded of it since. */
    @Override
    public void follow(Graft graft) {
        NameBasedGenerator names = Generators.nameBasedGenerator(graft.id());
        Map<UUID, Queen> rows = queens.findByGraftIdOrderByBarAscCupAsc(graft.id()).stream()
                .collect(Collectors.toMap(Queen::id, Function.identity()));
        List<Queen> cups = new ArrayList<>();
        for (int bar = 1; bar <= graft.bars(); bar++) {
            for (int cup = 1; cup <= graft.cupsPerBar(); cup++) {
                UUID id = names.generate(bar + "-" + cup);
                String code = String.format(Locale.ROOT, "%s-%d%02d", graft.code(), bar, cup);
                Queen fresh = Queen.ofCup(id, code, graft.id(), bar, cup, graft.motherId());
                cups.add(rows.getOrDefault(id, fresh));
            }
        }
        Map<UUID, List<JournalEntry>> records = standing(cups.stream().map(Queen::id).toList());
        write(cups.stream()
                .map(cup -> new Row(cup, Optional.of(graft), records.getOrDefault(cup.id(), List.of()))).toList());
    }

    /** @param graft the batch she comes from, empty for one known already */
    private record Row(Queen queen, Optional<Graft> graft, List<JournalEntry> record) {
    }

    private Optional<Queen> known(UUID subject, List<JournalEntry> record) {
        return record.stream().filter(entry -> entry.kind() == EntryKind.KNOWN).findFirst()
                .map(entry -> Queen.ofKnown(subject, payloads.read(entry, KnownQueen.class)));
    }

    private Map<UUID, List<JournalEntry>> standing(Collection<UUID> subjects) {
        Map<UUID, List<JournalEntry>> bySubject = journal.findBySubjectIdInOrderBySequence(subjects).stream()
                .collect(Collectors.groupingBy(JournalEntry::subjectId));
        Map<UUID, List<JournalEntry>> standing = new HashMap<>();
        bySubject.forEach((subject, all) -> standing.put(subject, Corrections.standing(all)));
        return standing;
    }

    private void write(List<Row> rows) {
        Set<UUID> nucs = new HashSet<>();
        List<ContradictionRecord> flags = new ArrayList<>();
        Assumptions assumptions = settings.assumptions();
        for (Row row : rows) {
            row.queen().nucId().ifPresent(nucs::add);
            flags.addAll(fold(row, assumptions));
            row.queen().nucId().ifPresent(nucs::add);
        }
        queens.saveAll(rows.stream().map(Row::queen).toList());
        queens.flush();
        contradictions.clear(rows.stream().map(row -> row.queen().id()).toList());
        contradictions.saveAllAndFlush(flags);
        occupancy.refresh(nucs);
        rates.recount(rows.stream().flatMap(row -> row.queen().graftId().stream()).toList());
    }

    private List<ContradictionRecord> fold(Row row, Assumptions assumptions) {
        List<LifeEntry> life = new ArrayList<>();
        row.graft().ifPresent(graft -> life.add(new LifeEntry(graft.id(), graft.graftDay(), 0,
                new QueenEvent.Grafted(graft.id(), row.queen().bar(), row.queen().cup()))));
        row.record().forEach(entry -> entries.lifeEntry(entry).ifPresent(life::add));
        LarvaAge larvaAge = row.graft().map(Graft::larvaAge).orElse(LarvaAge.FROM_12_TO_24_H);
        LifeFold.Folded folded = LifeFold.fold(life, larvaAge, assumptions);
        Optional<LifeEntry> placing = lastOf(life, QueenEvent.PlacedInNuc.class);
        Optional<CullReason> culled = lastOf(life, QueenEvent.Culled.class)
                .map(entry -> ((QueenEvent.Culled) entry.event()).reason());
        row.queen().write(folded.life(), placing, culled);
        Map<UUID, String> clashes = new HashMap<>();
        folded.contradictions().forEach(
                one -> clashes.merge(one.entry(), one.clash().toString(), (first, second) -> first + " " + second));
        return clashes.entrySet().stream().map(one -> new ContradictionRecord(one.getKey(),
                ContradictionRecord.FoundIn.LIFE, row.queen().id(), one.getValue())).toList();
    }

    private static Optional<LifeEntry> lastOf(List<LifeEntry> life, Class<? extends QueenEvent> type) {
        return life.stream().filter(entry -> type.isInstance(entry.event()))
                .max(Comparator.comparing(LifeEntry::day).thenComparing(LifeEntry::sequence));
    }
}
