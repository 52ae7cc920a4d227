package vividcrown.server.journal;

import com.fasterxml.uuid.Generators;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.Month;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import javax.sql.DataSource;
import org.postgresql.PGConnection;
import org.postgresql.copy.PGCopyOutputStream;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Touch;
import vividcrown.core.queen.Leaving;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Sight;
import vividcrown.core.queen.Stage;
import vividcrown.core.reading.Looked;
import vividcrown.core.reading.Sign;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.queen.Cups;

/**
 * Ten seasons of a large operation, the last one running: written straight into the record, without any computed row. Deeds
 * and their ids are those that people would have recorded; who and where is made up.
 */
public final class TenSeasons {

    /** Places in the record, past those of anybody else. */
    private static final long FROM = 1_000_000;
    private static final int FIRST_SEASON = 2017;
    private static final int LAST_SEASON = 2026;
    private static final int GRAFTS_A_SEASON = 540;
    private static final int GRAFTING_DAYS = 90;
    private static final int BARS = 4;
    private static final int CUPS_PER_BAR = 10;
    private static final int TAKEN = 30;
    private static final int MATING_YARDS = 13;
    private static final int NUCS_IN_A_YARD = 400;
    private static final int COLONIES = 500;
    private static final int BUILDERS = 40;
    private static final int MOTHERS = 60;
    private static final int READINGS_A_SEASON = 26;
    private static final int DAYS_BETWEEN_READINGS = 7;
    /** Of a queen's life, the days after her graft. */
    private static final int RIPE = 10;
    private static final int EMERGED = 12;
    private static final int NO_EGGS = 20;
    private static final int EGGS = 26;
    private static final int SEALED_BROOD = 36;
    private static final int MARKED = 37;
    private static final int GONE = 40;
    private static final List<Integer> NOTED = List.of(11, 15, 22, 29, 31, 33);

    private final Deeds deeds;
    private final DataSource database;
    private final UUID operation;
    private final UUID person;
    private final LocalDate today;
    private final List<UUID> nucs = new ArrayList<>();
    private final List<UUID> colonies = new ArrayList<>();
    private final List<UUID> builders = new ArrayList<>();
    private final List<UUID> mothers = new ArrayList<>();
    private long sequence;
    private PGCopyOutputStream entries;
    private final StringBuilder subjects = new StringBuilder();
    private PGCopyOutputStream touched;

    /** @param database as its owner, past row-level security */
    public TenSeasons(Deeds deeds, DataSource database, UUID operation, UUID person, LocalDate today) {
        this.deeds = deeds;
        this.database = database;
        this.operation = operation;
        this.person = person;
        this.today = today;
    }

    /** One of the mating yards, of 400 nucs. */
    public UUID matingYard() {
        return id("mating yard 1");
    }

    /** Entries written. */
    public long write() {
        try (Connection one = database.getConnection(); Connection other = database.getConnection()) {
            one.setAutoCommit(false);
            other.setAutoCommit(false);
            relaxed(one);
            relaxed(other);
            sequence = FROM;
            entries = new PGCopyOutputStream(one.unwrap(PGConnection.class),
                    """
                            copy journal_entry (id, operation_id, happened_at, happened_on, zone, recorded_at, recorded_by, kind,
                            version, payload, sequence) from stdin""");
            touched = new PGCopyOutputStream(other.unwrap(PGConnection.class),
                    """
                            copy journal_subject (entry_id, subject_id, role, operation_id, subject_kind, sequence) from stdin""");
            places();
            for (int season = FIRST_SEASON; season <= LAST_SEASON; season++) {
                grafts(season);
                readings(season);
            }
            entries.close();
            touched.close();
            one.commit();
            one.createStatement().execute("select setval('journal_sequence', " + (sequence + 1) + ")");
            one.commit();
            other.commit();
            return sequence - FROM;
        } catch (SQLException | IOException failed) {
            throw new IllegalStateException("the ten seasons could not be written", failed);
        }
    }

    /** The two tables are filled side by side: what one refers to is not committed in the other yet. */
    private static void relaxed(Connection connection) throws SQLException {
        connection.createStatement().execute("set session_replication_role = replica");
    }

    private void places() {
        LocalDate opened = LocalDate.of(FIRST_SEASON, Month.APRIL, 1);
        for (int yard = 1; yard <= MATING_YARDS; yard++) {
            UUID place = id("mating yard " + yard);
            add(opened, new YardDeed.Opened(place, "Alp " + yard, "A" + yard, 10 + yard, 46.1, 9.9, 1_100, ""));
            for (int position = 1; position <= NUCS_IN_A_YARD; position++) {
                String code = "A%d-%03d".formatted(yard, position);
                add(opened, new HiveDeed.SetUp(named(nucs, code), place, code, position, Purpose.MATING_NUC,
                        List.of(new Box(id(code + " box"), BoxKind.BROOD, "Dadant", 3, 3))));
            }
        }
        UUID home = id("home");
        add(opened, new YardDeed.Opened(home, "Long Meadow", "L", 9, 46.0, 9.8, 620, ""));
        for (int colony = 1; colony <= COLONIES; colony++) {
            String code = "C " + colony;
            add(opened, new HiveDeed.SetUp(named(colonies, code), home, code, colony, Purpose.PRODUCTION,
                    List.of(Box.brood(id(code + " box"), "Dadant", 10))));
        }
        for (int builder = 1; builder <= BUILDERS; builder++) {
            String code = "S " + builder;
            add(opened, new HiveDeed.SetUp(named(builders, code), home, code, COLONIES + builder, Purpose.BUILDER,
                    List.of(Box.brood(id(code + " box"), "Dadant", 10))));
            add(opened, new RearingDeed.BuilderRun(id(code), BuilderSchool.STARTER_THEN_FINISHER, Optional.of(40),
                    Optional.empty()));
        }
        for (int mother = 1; mother <= MOTHERS; mother++) {
            add(opened, new QueenDeed.Known(named(mothers, "mother " + mother), "M-16-%02d".formatted(mother), "", true,
                    Optional.empty(), Stage.JUDGED, 2016, "line " + mother % 9, Optional.empty()));
        }
    }

    private void grafts(int season) {
        LocalDate first = LocalDate.of(season, Month.APRIL, 20);
        for (int number = 1; number <= GRAFTS_A_SEASON; number++) {
            LocalDate day = first.plusDays((long) number * GRAFTING_DAYS / GRAFTS_A_SEASON);
            UUID graft = id("graft " + season + " " + number);
            UUID builder = builders.get(number % BUILDERS);
            add(day, new RearingDeed.Planned(graft, String.format(Locale.ROOT, "X%02d-%03d", season % 100, number),
                    mothers.get(number % MOTHERS), builder, number % 2 == 0 ? "Ilva" : "Jory",
                    day.atTime(10, 0).atZone(ZoneId.of("Europe/Zurich")), LarvaAge.FROM_12_TO_24_H,
                    Placing.CELLS_TO_NUCS, 34.5, BARS, CUPS_PER_BAR, List.of(), false));
            add(day, new RearingDeed.Done(graft));
            cups(graft, day, season, number);
        }
    }

    private void cups(UUID graft, LocalDate day, int season, int number) {
        Set<UUID> took = new LinkedHashSet<>();
        Set<UUID> missed = new HashSet<>();
        for (int cup = 0; cup < BARS * CUPS_PER_BAR; cup++) {
            UUID id = Cups.id(graft, cup / CUPS_PER_BAR + 1, cup % CUPS_PER_BAR + 1);
            (cup < TAKEN ? took : missed).add(id);
        }
        add(day.plusDays(1), new QueenDeed.TakeCounted(graft, took, missed));
        int place = number * TAKEN;
        for (UUID queen : took) {
            life(queen, day, nucs.get(place++ % nucs.size()), season);
        }
    }

    private void life(UUID queen, LocalDate day, UUID nuc, int season) {
        add(day.plusDays(RIPE), QueenDeed.Placed.cell(queen, nuc));
        add(day.plusDays(EMERGED), new QueenDeed.Seen(queen, Sight.EMERGED));
        add(day.plusDays(NO_EGGS), new QueenDeed.Seen(queen, Sight.NO_EGGS_YET));
        add(day.plusDays(EGGS), new QueenDeed.Seen(queen, Sight.EGGS));
        add(day.plusDays(SEALED_BROOD), new QueenDeed.Seen(queen, Sight.SEALED_WORKER_BROOD));
        add(day.plusDays(MARKED),
                new QueenDeed.Marked(queen, MarkingScheme.INTERNATIONAL.colourOf(season), "7"));
        NOTED.forEach(after -> add(day.plusDays(after), new QueenDeed.Noted(queen, "calm, fed")));
        add(day.plusDays(GONE), new QueenDeed.TakenOut(queen, "", Optional.of(Leaving.SOLD)));
    }

    private void readings(int season) {
        List<ReadingNotes.Side> sides = new ArrayList<>();
        for (int slot = 1; slot <= 10; slot++) {
            Sign sign = slot < 3 || slot > 8
                    ? Sign.SEALED_HONEY
                    : slot == 3 ? Sign.EGGS_SINGLE : Sign.SEALED_WORKER_SOLID;
            sides.add(new ReadingNotes.Side(1, slot, FrameSide.NEAR, List.of(sign, Sign.POLLEN)));
            sides.add(new ReadingNotes.Side(1, slot, FrameSide.FAR, List.of(sign)));
        }
        ReadingNotes notes = new ReadingNotes(Set.of(Sign.QUEEN), Set.of(Sign.QUEEN_CELLS), List.of(), sides, List.of(),
                Optional.of(8.5), Optional.of(2), Optional.of(3), Optional.empty(), Optional.empty(),
                Optional.of(Looked.EVERY_FRAME), Optional.empty(), Optional.empty());
        for (int reading = 0; reading < READINGS_A_SEASON; reading++) {
            for (int colony = 0; colony < COLONIES; colony++) {
                LocalDate day = LocalDate.of(season, Month.APRIL, 2)
                        .plusDays((long) reading * DAYS_BETWEEN_READINGS + colony % DAYS_BETWEEN_READINGS);
                add(day, new HiveDeed.Read(colonies.get(colony), notes));
            }
        }
    }

    private UUID named(List<UUID> all, String name) {
        all.add(id(name));
        return all.getLast();
    }

    private UUID id(String name) {
        return Generators.nameBasedGenerator(operation).generate("ten seasons: " + name);
    }

    /** What lies ahead is not recorded yet. */
    private void add(LocalDate day, Deed deed) {
        if (!day.isBefore(today)) {
            return;
        }
        UUID entry = new UUID(0x0190_0000_0000_7000L | sequence << 20, 0x8000_0000_0000_0000L | sequence);
        DeedKind<?> kind = deeds.kindOf(deed);
        String at = day + " 10:00:00+02";
        StringBuilder row = new StringBuilder();
        row.append(entry).append('\t').append(operation).append('\t').append(at).append('\t').append(day)
                .append("\tEurope/Zurich\t").append(at).append('\t').append(person).append('\t').append(kind.name())
                .append('\t').append(kind.version()).append('\t').append(deeds.write(deed).replace("\\", "\\\\"))
                .append('\t').append(sequence).append('\n');
        subjects.setLength(0);
        for (Touch touch : new LinkedHashSet<>(deed.touches())) {
            subjects.append(entry).append('\t').append(touch.id()).append('\t').append(touch.role().name()).append('\t')
                    .append(operation).append('\t').append(touch.kind().name()).append('\t').append(sequence)
                    .append('\n');
        }
        sequence++;
        try {
            entries.write(row.toString().getBytes(StandardCharsets.UTF_8));
            touched.write(subjects.toString().getBytes(StandardCharsets.UTF_8));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
