package vividcrown.server.demo;

import com.fasterxml.uuid.Generators;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import vividcrown.core.climate.Climate;
import vividcrown.core.demand.OrderDeed;
import vividcrown.core.demand.OrderState;
import vividcrown.core.demand.OrderTerms;
import vividcrown.core.demand.Product;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.FrameFormat;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.journal.Deed;
import vividcrown.core.lineage.LineageDeed;
import vividcrown.core.merit.MeritDeed;
import vividcrown.core.merit.Trait;
import vividcrown.core.queen.CullReason;
import vividcrown.core.queen.GivenAs;
import vividcrown.core.queen.Leaving;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.Origin;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Sight;
import vividcrown.core.queen.Stage;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.journal.NewEntry;
import vividcrown.server.queen.Cups;

/**
 * The demo's season up to 9 June: an invented producer in an upland valley near 46° N, as journal entries. The same on
 * every run. Everything in it is made up.
 */
final class DemoSeason {

    static final LocalDate TODAY = LocalDate.of(2026, 6, 9);
    static final ZoneId ZONE = ZoneId.of("Europe/Zurich");
    private static final int YEAR = 2026;
    private static final String NUC_FORMAT = FrameFormat.DADANT.label();
    private static final int NUC_FRAMES = 4;
    private static final int BUILDER_FRAMES = 10;

    private final UUID operation;
    private final UUID owner;
    private final UUID crew;
    private final List<NewEntry> entries = new ArrayList<>();
    private final List<UUID> nucs = new ArrayList<>();

    DemoSeason(UUID operation, UUID owner, UUID crew) {
        this.operation = operation;
        this.owner = owner;
        this.crew = crew;
    }

    /** Places first, then batches in the order of their grafts. */
    List<NewEntry> entries() {
        places();
        DemoColonies colonies = new DemoColonies(colonies(), TODAY);
        colonies.setUp();
        breeders();
        caged();
        soldAndLaying();
        layingAndLate();
        badTake();
        justEmerging();
        ripeToday();
        graftedYesterday();
        plan("planned", "26-07", "Runa", "B 2", TODAY.plusDays(3), LarvaAge.FROM_12_TO_24_H,
                Placing.EMERGE_IN_INCUBATOR);
        orders();
        colonies.write();
        colonies.countMites();
        colonies.introduceOne();
        tested();
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
        add(TODAY.minusDays(20), new OrderDeed.MovedOn(id("Q26-01"), OrderState.PROMISED), owner);
    }

    private void order(String code, String customer, boolean ownNeed, Product product, int count, int window,
            LocalDate until, @Nullable String line, int priority) {
        OrderTerms terms = new OrderTerms(customer, ownNeed, product, count,
                ownNeed ? Optional.of(10) : Optional.empty(),
                until.minusDays(Math.max(2, window)), until, Optional.ofNullable(line), priority, Optional.empty(),
                Optional.empty(), Optional.empty());
        add(TODAY.minusDays(30), new OrderDeed.Taken(id(code), code, terms), owner);
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
                seen(queen, batch.day(31), Sight.NOT_FOUND);
                seen(queen, batch.day(36), Sight.DEAD);
                continue;
            }
            seen(queen, batch.day(25 + index % 4), Sight.EGGS);
            seen(queen, batch.day(34 + index % 3), Sight.SEALED_WORKER_BROOD);
            if (index % 7 != 3) {
                queen(batch.day(36),
                        new QueenDeed.Marked(queen, MarkingScheme.INTERNATIONAL.colourOf(YEAR),
                                String.valueOf(index)));
            }
            if (index >= 22) {
                queen(batch.day(37), new QueenDeed.TakenOut(queen, "order 31", Optional.of(Leaving.SOLD)));
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
                seen(queen, batch.day(25), Sight.NO_EGGS_YET);
                seen(queen, batch.day(30), Sight.NO_EGGS_YET);
            } else if (index == 11) {
                seen(queen, batch.day(25), Sight.NO_EGGS_YET);
                seen(queen, batch.day(32), Sight.DRONE_BROOD_ONLY);
            } else if (index % 9 == 2) {
                seen(queen, batch.day(25), Sight.NO_EGGS_YET);
                seen(queen, batch.day(32), Sight.EGGS);
            } else {
                seen(queen, batch.day(25), Sight.EGGS);
            }
        }
        queen(batch.day(30), new QueenDeed.Noted(placed.get(4), "Runs on the comb, small. Nuc is light."));
    }

    /** Grafted 15 May on a cold, windy day: 19 of 45 took. */
    private void badTake() {
        Batch batch = graft("26-03", "Tessa", "B 1", LocalDate.of(2026, 5, 15), 19, 2);
        List<UUID> placed = batch.placed(66, 16);
        batch.emerged(placed, 1);
        for (int index = 1; index < 5; index++) {
            seen(placed.get(index), batch.day(24), Sight.EGGS);
        }
    }

    /** Grafted 25 May: in nucs since 4 June, half of them looked at, two duds. */
    private void justEmerging() {
        Batch batch = graft("26-04", "Runa", "B 3", LocalDate.of(2026, 5, 25), 40, 3);
        List<UUID> placed = batch.placed(82, 20);
        for (int index = 0; index < 10; index++) {
            seen(placed.get(index), batch.day(14), index == 3 || index == 7 ? Sight.DUD : Sight.EMERGED);
        }
        List<UUID> second = batch.more(22, 12);
        second.subList(0, 4).forEach(queen -> seen(queen, batch.day(14), Sight.EMERGED));
    }

    /** Grafted 30 May: ripe today. */
    private void ripeToday() {
        Batch batch = graft("26-05", "Orla", "B 2", LocalDate.of(2026, 5, 30), 38, 3);
        batch.step(StepKind.CULL, 9);
    }

    private void graftedYesterday() {
        plan("26-06", "26-06", "Selva", "B 1", TODAY.minusDays(1), LarvaAge.FROM_12_TO_24_H, Placing.CELLS_TO_NUCS);
        add(TODAY.minusDays(1), new RearingDeed.Done(id("26-06")), owner);
    }

    /** A graft of 45 cups, counted, culled; {@code took} cups took and the first {@code culled} of them were culled. */
    private Batch graft(String code, String mother, String builder, LocalDate day, int took, int culled) {
        plan(code, code, mother, builder, day, LarvaAge.FROM_12_TO_24_H, Placing.CELLS_TO_NUCS);
        UUID graft = id(code);
        add(day, new RearingDeed.Done(graft), owner);
        Batch batch = new Batch(graft, day);
        Set<UUID> didNotTake = new HashSet<>();
        for (int cup = 0; cup < 45; cup++) {
            if ((cup * 17) % 45 < took) {
                batch.cells.add(batch.cup(cup));
            } else {
                didNotTake.add(batch.cup(cup));
            }
        }
        queen(batch.day(1), new QueenDeed.TakeCounted(graft, Set.copyOf(batch.cells), didNotTake));
        batch.step(StepKind.COUNT_TAKE, 1);
        CullReason[] reasons = {CullReason.SHORT, CullReason.MISSHAPEN, CullReason.COLD, CullReason.STUBBY};
        for (int index = 0; index < culled; index++) {
            queen(batch.day(9), new QueenDeed.Culled(batch.cells.removeFirst(), reasons[index]));
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
            return Cups.id(graft, index / 15 + 1, index % 15 + 1);
        }

        void step(StepKind step, int afterGraft) {
            add(day(afterGraft), new RearingDeed.StepDone(graft, step), owner);
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
                queen(day(10), QueenDeed.Placed.cell(cell, nucs.get(first + index)));
                placed.add(cell);
            }
            return placed;
        }

        /** The first {@code duds} cells came to nothing. */
        void emerged(List<UUID> placed, int duds) {
            for (int index = 0; index < placed.size(); index++) {
                seen(placed.get(index), day(13), index < duds ? Sight.DUD : Sight.EMERGED);
            }
        }
    }

    private void plan(String key, String code, String mother, String builder, LocalDate day, LarvaAge age,
            Placing placing) {
        String grafter = day.getDayOfMonth() % 3 == 0 ? "Ilva" : "Jory";
        LocalDate plannedOn = day.minusDays(7).isAfter(TODAY) ? TODAY : day.minusDays(7);
        add(plannedOn, new RearingDeed.Planned(id(key), code, id(mother), id(builder), grafter,
                day.atTime(14, 0).atZone(ZONE), age, placing, 34.5, 3, 15, List.of(), true), owner);
    }

    private void yard(String name, String prefix, int order, double latitude, double longitude, int elevation,
            int nucCount, String caution) {
        LocalDate opened = LocalDate.of(2022, 4, 2);
        add(opened, new YardDeed.Opened(id(name), name, prefix, order, latitude, longitude, elevation, caution), owner);
        add(opened, new YardDeed.ClimateSaid(id(name), Climate.UPLAND, List.of()), owner);
        add(opened, new YardDeed.StationSwitched(id(name), true), owner);
        for (int position = 1; position <= nucCount; position++) {
            String code = String.format(Locale.ROOT, "%s %02d", prefix, position);
            nucs.add(id(code));
            add(LocalDate.of(2026, 5, 1), new HiveDeed.SetUp(id(code), id(name), code, position, Purpose.MATING_NUC,
                    List.of(Box.brood(id(code + " box"), NUC_FORMAT, NUC_FRAMES))), crew);
        }
    }

    private void builder(String code, String yard, int position, BuilderSchool school) {
        LocalDate day = LocalDate.of(2026, 4, 20);
        add(day, new HiveDeed.SetUp(id(code), id(yard), code, position, Purpose.BUILDER,
                List.of(Box.brood(id(code + " box"), NUC_FORMAT, BUILDER_FRAMES))), owner);
        add(day, new RearingDeed.BuilderRun(id(code), school, Optional.of(BuilderSchool.EXCEPTIONAL_LOAD),
                Optional.empty()), owner);
    }

    private DemoColonies.Book colonies() {
        return new DemoColonies.Book() {
            @Override
            public UUID hive(String code) {
                return id(code);
            }

            @Override
            public UUID yard(String name) {
                return id(name);
            }

            @Override
            public UUID box(String code, int level) {
                return id(code + " box " + level);
            }

            @Override
            public void entry(LocalDate day, Deed deed) {
                add(day, deed, entries.size() % 3 == 0 ? crew : owner);
            }
        };
    }

    private void breeder(String name, String code, int year) {
        LocalDate day = LocalDate.of(2026, 4, 1);
        add(day, new QueenDeed.Known(id(name), code, name, true, Optional.empty(), Stage.JUDGED, year,
                name.equals("Tessa") ? "Scree" : name.equals("Orla") ? "Birch" : "Larch",
                name.equals("Orla")
                        ? Optional.of(new Origin(Origin.Kind.BOUGHT, "a breeder down the valley"))
                        : Optional.empty()),
                owner);
        queen(day, new QueenDeed.Marked(id(name), MarkingScheme.INTERNATIONAL.colourOf(year), ""));
        String hive = name.equals("Runa") ? "H 1" : name.equals("Selva") ? "H 11" : "";
        if (!hive.isEmpty()) {
            add(LocalDate.of(2026, 4, 6), new QueenDeed.Placed(id(name), id(hive), GivenAs.LAYING_QUEEN,
                    Optional.empty(), false), owner);
        }
    }

    /** Two bought queens wait for a colony. */
    private void caged() {
        for (int number = 61; number <= 62; number++) {
            UUID queen = id("caged " + number);
            LocalDate day = TODAY.minusDays(number - 58L);
            add(day, new QueenDeed.Known(queen, "25-" + number, "", false, Optional.empty(), Stage.JUDGED, 2025,
                    "Birch",
                    Optional.of(new Origin(Origin.Kind.BOUGHT, "a breeder down the valley"))), owner);
            queen(day, new QueenDeed.Caged(queen, number - 40, Optional.empty(), Optional.of(6)));
        }
    }

    /** Daughters of last year that went to two testers, who wrote back what they were like: eight of each mother. */
    private void tested() {
        LocalDate back = LocalDate.of(2026, 4, 20);
        int number = 0;
        for (String mother : List.of("Runa", "Tessa", "Orla")) {
            double gentle = mother.equals("Runa") ? 3.5 : mother.equals("Tessa") ? 3 : 2.5;
            double crop = mother.equals("Runa") ? 2.5 : mother.equals("Tessa") ? 3 : 2;
            for (int sister = 0; sister < 8; sister++) {
                number++;
                UUID queen = id("tested " + number);
                add(LocalDate.of(2026, 4, 2), new QueenDeed.Known(queen, "T-25-%02d".formatted(number), "", false,
                        Optional.of(id(mother)), Stage.JUDGED, 2025,
                        mother.equals("Tessa") ? "Scree" : mother.equals("Orla") ? "Birch" : "Larch",
                        Optional.empty()), owner);
                add(LocalDate.of(2026, 4, 3), new QueenDeed.TakenOut(queen, "tester", Optional.of(Leaving.GIVEN_AWAY)),
                        owner);
                Optional<UUID> yard = Optional.of(id(sister % 2 == 0 ? "Weir Bend" : "Quarry Terrace"));
                double swing = new double[]{0, 0.5, -0.5, 0, 0.5, 0, -0.5, 0}[sister];
                add(back,
                        new MeritDeed.Scored(queen, Trait.TEMPER, Math.min(4, gentle + swing), yard, Optional.empty()),
                        owner);
                add(back, new MeritDeed.Scored(queen, Trait.CROP, crop - swing, yard, Optional.empty()), owner);
                add(back, new MeritDeed.Scored(queen, Trait.WINTERING, 3 + swing, yard, Optional.empty()), owner);
            }
        }
        add(back, new LineageDeed.Mated(id("Tessa"), LineageDeed.How.STATION, Optional.of(id("Orla")), 6, 12), owner);
    }

    private void seen(UUID queen, LocalDate day, Sight sight) {
        queen(day, new QueenDeed.Seen(queen, sight));
    }

    private void queen(LocalDate day, QueenDeed deed) {
        add(day, deed, entries.size() % 3 == 0 ? crew : owner);
    }

    private void add(LocalDate day, Deed deed, UUID by) {
        var happened = day.atTime(LocalTime.of(9, entries.size() % 60)).atZone(ZONE);
        entries.add(new NewEntry(id("entry " + entries.size()), happened, happened.plusMinutes(2).toInstant(), by, deed,
                Optional.empty()));
    }

    private UUID id(String name) {
        return Generators.nameBasedGenerator(operation).generate(name);
    }
}
