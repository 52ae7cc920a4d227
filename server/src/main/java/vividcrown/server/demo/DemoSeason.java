package vividcrown.server.demo;

import com.fasterxml.uuid.Generators;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import vividcrown.core.queen.CullReason;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.Stage;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.season.Product;
import vividcrown.server.colony.ColonySetUp;
import vividcrown.server.graft.GraftPlanned;
import vividcrown.server.journal.Detail;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.order.OrderState;
import vividcrown.server.order.OrderTaken;
import vividcrown.server.queen.KnownQueen;
import vividcrown.server.yard.BoxSetUp;
import vividcrown.server.yard.YardSetUp;

/**
 * The demo's season up to 9 June: an invented producer in an upland valley near 46° N, as journal entries. The same on
 * every run. Everything in it is made up.
 */
final class DemoSeason {

    static final LocalDate TODAY = LocalDate.of(2026, 6, 9);
    static final ZoneId ZONE = ZoneId.of("Europe/Zurich");
    private static final int YEAR = 2026;

    private final UUID operation;
    private final UUID owner;
    private final UUID crew;
    private final Payloads payloads;
    private final List<JournalEntry> entries = new ArrayList<>();
    private final List<UUID> nucs = new ArrayList<>();

    DemoSeason(UUID operation, UUID owner, UUID crew, Payloads payloads) {
        this.operation = operation;
        this.owner = owner;
        this.crew = crew;
        this.payloads = payloads;
    }

    /** Places first, then batches in the order of their grafts. */
    List<JournalEntry> entries() {
        places();
        breeders();
        soldAndLaying();
        layingAndLate();
        badTake();
        justEmerging();
        ripeToday();
        graftedYesterday();
        plan("planned", "26-07", "Runa", "B 2", TODAY.plusDays(3), LarvaAge.FROM_12_TO_24_H,
                Placing.EMERGE_IN_INCUBATOR);
        orders();
        new DemoColonies(colonies(), TODAY).write();
        return entries;
    }

    /** Made up: customers, numbers and days. */
    private void orders() {
        order("Q26-01", "Hollin Farm apiary", false, Product.MATED_QUEENS, 12, 0, TODAY.plusDays(8), null, 1);
        order("Q26-02", "Beck & Daughters", false, Product.RIPE_CELLS, 20, 2, TODAY.plusDays(18), null, 2);
        order("Q26-03", "Valley beekeepers' club", false, Product.MATED_QUEENS, 40, 4, TODAY.plusDays(33), null, 1);
        order("Q26-04", "Orrin Sall", false, Product.NUCS_WITH_QUEEN, 12, 5, TODAY.plusDays(40), "Larch", 2);
        order("Q26-05", "Tarn Head honey", false, Product.MATED_QUEENS, 25, 4, TODAY.plusDays(47), "Scree", 2);
        order("Q26-06", "Mill Lane school", false, Product.VIRGINS, 8, 3, TODAY.plusDays(30), null, 3);
        order("Q26-08", "Low Garth estate", false, Product.MATED_QUEENS, 45, 4, TODAY.plusDays(54), null, 2);
        order("Q26-09", "Coll and Sons", false, Product.RIPE_CELLS, 30, 1, TODAY.plusDays(26), "Larch", 2);
        order("Q26-07", "Spares in nucs", true, Product.MATED_QUEENS, 8, 10, TODAY.plusDays(60), null, 3);
        add(SubjectKind.ORDER, id("Q26-01"), TODAY.minusDays(20), EntryKind.ORDER_MOVED_ON,
                payloads.write(Map.of("state", OrderState.PROMISED)), owner);
    }

    private void order(String code, String customer, boolean ownNeed, Product product, int count, int window,
            LocalDate until, @Nullable String line, int priority) {
        OrderTaken taken = new OrderTaken(customer, ownNeed, product, count, ownNeed ? 10 : null,
                until.minusDays(Math.max(2, window)), until, line, priority, null, null, null);
        add(SubjectKind.ORDER, id(code), TODAY.minusDays(30), EntryKind.ORDER_TAKEN,
                payloads.write(Map.of("code", code, "taken", taken)), owner);
    }

    private void places() {
        yard("Weir Bend", "W", 1, 46.213, 8.871, 310, 48, "");
        yard("Quarry Terrace", "T", 2, 46.241, 8.902, 540, 40,
                "T 9 is defensive: full suit, second person, phone at hand.");
        yard("Larch Step", "L", 3, 46.268, 8.934, 860, 32, "Cattle on the pasture until September: strap the boxes.");
        builder("B 1", "Weir Bend", 1, BuilderSchool.STARTER_THEN_FINISHER);
        builder("B 2", "Weir Bend", 2, BuilderSchool.STARTER_FINISHER);
        builder("B 3", "Quarry Terrace", 1, BuilderSchool.QUEENRIGHT_EXCLUDER);
    }

    private void breeders() {
        breeder("Runa", "R-24-03", 2024);
        breeder("Selva", "R-24-11", 2024);
        breeder("Tessa", "R-25-02", 2025);
        breeder("Orla", "R-23-07", 2023);
    }

    /** Grafted 27 April: judged and marked, a third of them sold. */
    private void soldAndLaying() {
        Batch batch = graft("26-01", "Runa", "B 1", LocalDate.of(2026, 4, 27), 39, 3);
        List<UUID> placed = batch.placed(0, 34);
        batch.emerged(placed, 2);
        for (int index = 2; index < placed.size(); index++) {
            UUID queen = placed.get(index);
            if (index == 5) {
                queen(queen, batch.day(31), EntryKind.NOT_FOUND, Detail.NONE);
                queen(queen, batch.day(36), EntryKind.DEAD, Detail.NONE);
                continue;
            }
            queen(queen, batch.day(25 + index % 4), EntryKind.EGGS_SEEN, Detail.NONE);
            queen(queen, batch.day(34 + index % 3), EntryKind.SEALED_WORKER_BROOD, Detail.NONE);
            if (index % 7 != 3) {
                queen(queen, batch.day(36), EntryKind.MARKED,
                        Detail.ofMark(MarkingScheme.INTERNATIONAL.colourOf(YEAR), String.valueOf(index)));
            }
            if (index >= 22) {
                queen(queen, batch.day(37), EntryKind.TAKEN_OUT, Detail.ofText("sold, order 31"));
            }
        }
    }

    /** Grafted 6 May: most lay, three are late, one lays only drones. */
    private void layingAndLate() {
        Batch batch = graft("26-02", "Selva", "B 2", LocalDate.of(2026, 5, 6), 37, 4);
        List<UUID> placed = batch.placed(34, 32);
        batch.emerged(placed, 1);
        for (int index = 1; index < placed.size(); index++) {
            UUID queen = placed.get(index);
            if (index == 4 || index == 17 || index == 23) {
                queen(queen, batch.day(25), EntryKind.NO_EGGS_YET, Detail.NONE);
                queen(queen, batch.day(30), EntryKind.NO_EGGS_YET, Detail.NONE);
            } else if (index == 11) {
                queen(queen, batch.day(25), EntryKind.NO_EGGS_YET, Detail.NONE);
                queen(queen, batch.day(32), EntryKind.DRONE_BROOD_ONLY, Detail.NONE);
            } else if (index % 9 == 2) {
                queen(queen, batch.day(25), EntryKind.NO_EGGS_YET, Detail.NONE);
                queen(queen, batch.day(32), EntryKind.EGGS_SEEN, Detail.NONE);
            } else {
                queen(queen, batch.day(25), EntryKind.EGGS_SEEN, Detail.NONE);
            }
        }
        queen(placed.get(4), batch.day(30), EntryKind.NOTE, Detail.ofText("Runs on the comb, small. Nuc is light."));
    }

    /** Grafted 15 May on a cold, windy day: 19 of 45 took. */
    private void badTake() {
        Batch batch = graft("26-03", "Tessa", "B 1", LocalDate.of(2026, 5, 15), 19, 2);
        List<UUID> placed = batch.placed(66, 16);
        batch.emerged(placed, 1);
        for (int index = 1; index < 5; index++) {
            queen(placed.get(index), batch.day(24), EntryKind.EGGS_SEEN, Detail.NONE);
        }
    }

    /** Grafted 25 May: in nucs since 4 June, half of them looked at, two duds. */
    private void justEmerging() {
        Batch batch = graft("26-04", "Runa", "B 3", LocalDate.of(2026, 5, 25), 40, 3);
        List<UUID> placed = batch.placed(82, 20);
        for (int index = 0; index < 10; index++) {
            queen(placed.get(index), batch.day(14), index == 3 || index == 7 ? EntryKind.DUD : EntryKind.EMERGED,
                    Detail.NONE);
        }
        List<UUID> second = batch.more(22, 12);
        second.subList(0, 4).forEach(queen -> queen(queen, batch.day(14), EntryKind.EMERGED, Detail.NONE));
    }

    /** Grafted 30 May: ripe today. */
    private void ripeToday() {
        Batch batch = graft("26-05", "Orla", "B 2", LocalDate.of(2026, 5, 30), 38, 3);
        batch.step(StepKind.CULL, 9);
    }

    private void graftedYesterday() {
        plan("26-06", "26-06", "Selva", "B 1", TODAY.minusDays(1), LarvaAge.FROM_12_TO_24_H, Placing.CELLS_TO_NUCS);
        entry(SubjectKind.GRAFT, id("26-06"), TODAY.minusDays(1), EntryKind.GRAFTED, Detail.NONE, owner);
    }

    /** A graft of 45 cups, counted, culled; {@code took} cups took and the first {@code culled} of them were culled. */
    private Batch graft(String code, String mother, String builder, LocalDate day, int took, int culled) {
        plan(code, code, mother, builder, day, LarvaAge.FROM_12_TO_24_H, Placing.CELLS_TO_NUCS);
        UUID graft = id(code);
        entry(SubjectKind.GRAFT, graft, day, EntryKind.GRAFTED, Detail.NONE, owner);
        Batch batch = new Batch(graft, day);
        for (int cup = 0; cup < 45; cup++) {
            boolean isTaken = (cup * 17) % 45 < took;
            queen(batch.cup(cup), batch.day(1), isTaken ? EntryKind.TOOK : EntryKind.DID_NOT_TAKE, Detail.NONE);
            if (isTaken) {
                batch.cells.add(batch.cup(cup));
            }
        }
        batch.step(StepKind.COUNT_TAKE, 1);
        CullReason[] reasons = {CullReason.SHORT, CullReason.MISSHAPEN, CullReason.COLD, CullReason.STUBBY};
        for (int index = 0; index < culled; index++) {
            queen(batch.cells.removeFirst(), batch.day(9), EntryKind.CULLED, Detail.ofCull(reasons[index]));
        }
        return batch;
    }

    /** Writes down what became of one batch. */
    private final class Batch {
        private final UUID graft;
        private final LocalDate graftDay;
        private final List<UUID> cells = new ArrayList<>();

        Batch(UUID graft, LocalDate graftDay) {
            this.graft = graft;
            this.graftDay = graftDay;
        }

        LocalDate day(int afterGraft) {
            return graftDay.plusDays(afterGraft);
        }

        UUID cup(int index) {
            return Generators.nameBasedGenerator(graft).generate((index / 15 + 1) + "-" + (index % 15 + 1));
        }

        void step(StepKind step, int afterGraft) {
            entry(SubjectKind.GRAFT, graft, day(afterGraft), EntryKind.STEP_DONE, Detail.ofStep(step), owner);
        }

        /** Places cells into nucs from the {@code first} on, and drops what is left over. */
        List<UUID> placed(int first, int count) {
            List<UUID> placed = more(first, count);
            step(StepKind.PLACE_CELLS, 10);
            return placed;
        }

        List<UUID> more(int first, int count) {
            List<UUID> placed = new ArrayList<>();
            for (int index = 0; index < count && !cells.isEmpty(); index++) {
                UUID cell = cells.removeFirst();
                queen(cell, day(10), EntryKind.PLACED_IN_NUC, Detail.ofNuc(nucs.get(first + index)));
                placed.add(cell);
            }
            return placed;
        }

        /** The first {@code duds} cells came to nothing. */
        void emerged(List<UUID> placed, int duds) {
            for (int index = 0; index < placed.size(); index++) {
                queen(placed.get(index), day(13), index < duds ? EntryKind.DUD : EntryKind.EMERGED, Detail.NONE);
            }
        }
    }

    private void plan(String key, String code, String mother, String builder, LocalDate day, LarvaAge age,
            Placing placing) {
        String grafter = day.getDayOfMonth() % 3 == 0 ? "Ilva" : "Jory";
        GraftPlanned planned = new GraftPlanned(code, id(mother), id(builder), grafter, day.atTime(14, 0).atZone(ZONE),
                age,
                placing, 34.5, 3, 15, null, true);
        LocalDate plannedOn = day.minusDays(7).isAfter(TODAY) ? TODAY : day.minusDays(7);
        add(SubjectKind.GRAFT, id(key), plannedOn, EntryKind.GRAFT_PLANNED, payloads.write(planned), owner);
    }

    private void yard(String name, String prefix, int order, double latitude, double longitude, int elevation,
            int nucCount, String caution) {
        LocalDate opened = LocalDate.of(2022, 4, 2);
        add(SubjectKind.YARD, id(name), opened, EntryKind.YARD_OPENED,
                payloads.write(new YardSetUp(name, prefix, order, latitude, longitude, elevation, caution)), owner);
        for (int position = 1; position <= nucCount; position++) {
            String code = String.format(Locale.ROOT, "%s %02d", prefix, position);
            nucs.add(id(code));
            add(SubjectKind.NUC, id(code), LocalDate.of(2026, 5, 1), EntryKind.NUC_SET_UP,
                    payloads.write(new BoxSetUp(id(name), code, position, null, null)), crew);
        }
    }

    private void builder(String code, String yard, int position, BuilderSchool school) {
        add(SubjectKind.BUILDER, id(code), LocalDate.of(2026, 4, 20), EntryKind.BUILDER_SET_UP,
                payloads.write(new BoxSetUp(id(yard), code, position, school, BuilderSchool.EXCEPTIONAL_LOAD)), owner);
    }

    private DemoColonies.Book colonies() {
        return new DemoColonies.Book() {
            @Override
            public void colony(String code, String yard, int position, int frames, String format) {
                add(SubjectKind.COLONY, id(code), LocalDate.of(2026, 4, 6), EntryKind.COLONY_SET_UP,
                        payloads.write(new ColonySetUp(id(yard), code, position, frames, format,
                                code.equals("H 1") ? id("Runa") : code.equals("H 11") ? id("Selva") : null,
                                code.equals("H 3") || code.equals("H 11") || code.equals("H 8")
                                        ? LocalDate.of(2026, 4, 16)
                                        : null)),
                        owner);
            }

            @Override
            public void entry(String code, LocalDate day, EntryKind kind, Detail detail) {
                add(SubjectKind.COLONY, id(code), day, kind, payloads.write(detail),
                        entries.size() % 3 == 0 ? crew : owner);
            }
        };
    }

    private void breeder(String name, String code, int year) {
        add(SubjectKind.QUEEN, id(name), LocalDate.of(2026, 4, 1), EntryKind.KNOWN,
                payloads.write(new KnownQueen(code, name, true, null, Stage.JUDGED, year,
                        name.equals("Tessa") ? "Scree" : name.equals("Orla") ? "Birch" : "Larch")),
                owner);
        queen(id(name), LocalDate.of(2026, 4, 1), EntryKind.MARKED,
                Detail.ofMark(MarkingScheme.INTERNATIONAL.colourOf(year), ""));
    }

    private void queen(UUID queen, LocalDate day, EntryKind kind, Detail detail) {
        entry(SubjectKind.QUEEN, queen, day, kind, detail, entries.size() % 3 == 0 ? crew : owner);
    }

    private void entry(SubjectKind subjectKind, UUID subject, LocalDate day, EntryKind kind, Detail detail, UUID by) {
        add(subjectKind, subject, day, kind, payloads.write(detail), by);
    }

    private void add(SubjectKind subjectKind, UUID subject, LocalDate day, EntryKind kind, String detail, UUID by) {
        var happened = day.atTime(LocalTime.of(9, entries.size() % 60)).atZone(ZONE);
        Instant recorded = happened.plusMinutes(2).toInstant();
        entries.add(new JournalEntry(id("entry " + entries.size()), happened, recorded, by, subjectKind, subject, kind,
                detail, null));
    }

    private UUID id(String name) {
        return Generators.nameBasedGenerator(operation).generate(name);
    }
}
