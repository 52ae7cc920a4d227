package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonRates;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.core.season.recipe.WorkTime;
import vividcrown.core.season.supply.Heirs;
import vividcrown.core.season.supply.Outcome;

/** Measures the season's plan: time and gap by size, and how it does against two rules of thumb. Prints, asserts nothing. */
@EnabledIfSystemProperty(named = "crown.bench", matches = "true")
class SeasonBench {

    private static final int SEASONS = 100;
    private static final int RUNS = 40;
    /** A graft that is to be caught at the first look, as it is counted back by hand. */
    private static final int DAYS_BACK = 28;

    @Test
    void time_to_a_first_plan_and_to_proof() {
        System.out.printf(Locale.ROOT, "%n%-17s %7s %9s %6s %11s %9s %7s %8s%n", "season", "orders", "builders", "nucs",
                "first plan", "in all", "gap", "proven");
        int[][] sizes = {{4, 2, 60}, {15, 6, 250}, {40, 12, 400}, {40, 12, 400}};
        String[] names = {"small", "middle", "large", "with own records"};
        SeasonPlanner.plan(Seasons.random(4, 2, 60, 3), 3, SolveWatch.untilInterrupted());
        for (int index = 0; index < sizes.length; index++) {
            int[] size = sizes[index];
            SeasonBrief plain = Seasons.random(size[0], size[1], size[2], 7);
            SeasonBrief brief = index == 3 ? Seasons.withRecords(plain, 7) : plain;
            long start = System.nanoTime();
            SeasonPlan plan = SeasonPlanner.plan(brief, 10, SolveWatch.untilInterrupted());
            double seconds = (System.nanoTime() - start) / 1e9;
            System.out.printf(Locale.ROOT, "%-17s %7d %9d %6d %9.1f s %7.1f s %5.1f %% %8s%n", names[index], size[0],
                    size[1], size[2], plan.search().firstSeconds(), seconds, 100 * plan.search().gap(),
                    plan.search().proven() ? "yes" : "no");
            assertThat(plan.batches()).isNotEmpty();
        }
    }

    @Test
    void a_small_change_asked_with_one_second() {
        System.out.printf(Locale.ROOT, "%n%-10s %-24s %9s %12s %14s %8s%n", "nucs", "one order", "in all",
                "hold before",
                "hold with it", "changes");
        // with the fewest nucs many orders cannot hold
        for (int nucs : new int[]{400, 120}) {
            SeasonBrief brief = Seasons.withNucs(Seasons.random(40, 12, 400, 7), nucs);
            RecipeShelf shelf = new RecipeShelf();
            SeasonPlan before = SeasonPlanner.plan(brief, shelf, 10, 1, SolveWatch.untilInterrupted());
            SeasonBrief known = Seasons.after(before, brief);
            List<Demand> more = new ArrayList<>(brief.demands());
            more.add(Seasons.order("one more", Product.MATED_QUEENS, 12, 66, 70));
            List<Demand> fewer = brief.demands().subList(0, brief.demands().size() - 1);
            List<Demand> bigger = new ArrayList<>(brief.demands());
            Demand last = bigger.removeLast();
            bigger.add(last.of(last.count() + 3));
            Map<String, SeasonBrief> changes = new LinkedHashMap<>();
            changes.put("more", known.withDemands(more));
            changes.put("less", known.withDemands(fewer));
            changes.put("of three queens more", known.withDemands(bigger));
            // all that is believed of the take changes a little
            changes.put("none, a take counted", Seasons.withRates(known, new SeasonRates(Map.of(LossStep.TAKE,
                    StepOdds.counted(LossStep.TAKE.prior(), 27, 36)))));
            changes.forEach((name, changed) -> {
                long start = System.nanoTime();
                SeasonPlan after = SeasonPlanner.plan(changed, shelf, 1, 1, SolveWatch.untilInterrupted());
                double seconds = (System.nanoTime() - start) / 1e9;
                System.out.printf(Locale.ROOT, "%-10d %-24s %7.1f s %12d %14d %5d/%d%n", nucs, name, seconds,
                        holding(before), holding(after), after.changes().stream()
                                .filter(one -> one.kind() != SeasonPlan.Change.Kind.RESIZED).count(),
                        after.batches().size());
                assertThat(after.batches()).isNotEmpty();
            });
        }
    }

    private static long holding(SeasonPlan plan) {
        return plan.promises().stream().filter(one -> one.state() == Promise.State.HOLDS).count();
    }

    @Test
    void against_two_rules_of_thumb() {
        Tally planned = new Tally();
        Tally mondays = new Tally();
        Set<String> holding = planned.holding;
        Tally backward = new Tally();
        for (int seed = 1; seed <= SEASONS; seed++) {
            SeasonBrief brief = Seasons.random(8, 4, 240, seed);
            SeasonPlan plan = SeasonPlanner.plan(brief, 3, SolveWatch.untilInterrupted());
            String season = String.valueOf(seed);
            plan.promises().forEach(promise -> {
                planned.promised += promise.chance();
                if (promise.state() == Promise.State.HOLDS) {
                    holding.add(season + promise.demand().id());
                }
            });
            run(brief, seed, ofPlan(plan), planned);
            run(brief, seed, everyMonday(brief), mondays);
            run(brief, seed, backFromEachOrder(brief), backward);
        }
        System.out.printf(Locale.ROOT, "%n%d seasons of 8 orders, each lived through %d times%n", SEASONS, RUNS);
        System.out.printf("%-34s %14s %16s %12s%n", "", "met on time", "queens wasted", "hours");
        planned.print("the plan, 90 % wanted");
        System.out.printf(Locale.ROOT, "promised %.1f %% on average; of %d orders said to hold %.1f %% were met%n",
                100 * planned.promised * RUNS / planned.orders, holding.size(), 100.0 * planned.heldMet
                        / (holding.size() * RUNS));
        mondays.print("every Monday, a fifth more");
        backward.print("back from each order, a fifth more");
        assertThat(planned.orders).isPositive();
    }

    /** Cups of one day for one order. */
    private record Grafted(LocalDate day, String demand, int cups, LocalDate delivery) {
    }

    private static final class Tally {
        private int orders;
        private int met;
        private long wasted;
        private double hours;
        private int seasons;
        private double promised;
        private int heldMet;
        private final Set<String> holding = new HashSet<>();

        void print(String name) {
            System.out.printf(Locale.ROOT, "%-34s %12.1f %% %16.1f %12.1f%n", name, 100.0 * met / orders,
                    (double) wasted / seasons, hours / seasons);
        }
    }

    private static List<Grafted> ofPlan(SeasonPlan plan) {
        return plan.batches().stream().flatMap(batch -> batch.shares().stream()
                .map(share -> new Grafted(batch.day(), share.demand(), share.cups(), share.delivery()))).toList();
    }

    /** Each Monday for what falls due in the week four weeks ahead; cells two Mondays ahead of their week. */
    private static List<Grafted> everyMonday(SeasonBrief brief) {
        List<Grafted> grafted = new ArrayList<>();
        for (Demand demand : brief.demands()) {
            int back = back(demand.product());
            LocalDate monday = demand.until().minusDays(back).with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
            if (!monday.isBefore(brief.today())) {
                LocalDate ready = monday.plusDays(back);
                boolean cells = demand.product() == Product.RIPE_CELLS;
                grafted.add(new Grafted(monday, demand.id(), aFifthMore(demand), cells ? ready : demand.until()));
            }
        }
        return fitting(brief, grafted);
    }

    private static List<Grafted> backFromEachOrder(SeasonBrief brief) {
        List<Grafted> grafted = new ArrayList<>();
        for (Demand demand : brief.demands()) {
            LocalDate day = brief.means().crew().lastWorkdayUntil(demand.until().minusDays(back(demand.product())));
            if (!day.isBefore(brief.today())) {
                boolean cells = demand.product() == Product.RIPE_CELLS;
                grafted.add(new Grafted(day, demand.id(), aFifthMore(demand),
                        cells ? day.plusDays(10) : demand.until()));
            }
        }
        return fitting(brief, grafted);
    }

    private static int back(Product product) {
        return switch (product) {
            case RIPE_CELLS -> 10;
            case VIRGINS -> 13;
            case LAYING_QUEENS, MATED_QUEENS, JUDGED_QUEENS, NUCS_WITH_QUEEN -> DAYS_BACK;
        };
    }

    /** What the average losses leave, and a fifth more. */
    private static int aFifthMore(Demand demand) {
        double through = demand.product().losses().stream().mapToDouble(step -> step.prior().mean())
                .reduce(1, (one, two) -> one * two);
        return (int) Math.ceil(1.2 * demand.count() / through);
    }

    /** No more than the builders that are free that day bring up, and no more than the free nucs take. */
    private static List<Grafted> fitting(SeasonBrief brief, List<Grafted> wanted) {
        Map<String, LocalDate> busyUntil = new HashMap<>();
        Map<LocalDate, Integer> nucs = new TreeMap<>();
        Map<LocalDate, Integer> room = new TreeMap<>();
        List<Grafted> fitting = new ArrayList<>();
        wanted.stream().sorted(Comparator.comparing(Grafted::day)).forEach(graft -> {
            int cups = graft.cups();
            int got = Math.min(cups, room.getOrDefault(graft.day(), 0));
            room.merge(graft.day(), -got, Integer::sum);
            for (CellBuilder builder : brief.means().builders()) {
                boolean free = !graft.day().isBefore(busyUntil.getOrDefault(builder.id(), brief.today()));
                if (got < cups && free) {
                    int take = Math.min(cups - got, builder.load());
                    got += take;
                    room.merge(graft.day(), builder.load() - take, Integer::sum);
                    busyUntil.put(builder.id(), graft.day().plusDays(builder.rhythm().daysBetweenLoads()));
                }
            }
            Demand demand = demand(brief, graft.demand());
            if (SupplyKind.of(demand.product()) == SupplyKind.QUEENS) {
                LocalDate in = graft.day().plusDays(10);
                int free = in.datesUntil(graft.delivery())
                        .mapToInt(day -> brief.means().nucs() - nucs.getOrDefault(day, 0))
                        .min().orElse(brief.means().nucs());
                got = Math.min(got, (int) (free / 0.786));
                int placed = (int) Math.ceil(got * 0.786);
                in.datesUntil(graft.delivery()).forEach(day -> nucs.merge(day, placed, Integer::sum));
            }
            if (got > 0) {
                fitting.add(new Grafted(graft.day(), graft.demand(), got, graft.delivery()));
            }
        });
        return fitting;
    }

    private static Demand demand(SeasonBrief brief, String id) {
        return brief.demands().stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
    }

    /**
     * Lives a season through many times: orders that fall due together share what comes, and what they have over waits for
     * the next, as it would in any yard.
     */
    private static void run(SeasonBrief brief, long seed, List<Grafted> grafts, Tally tally) {
        SimulatedSeason luck = new SimulatedSeason(brief, seed);
        List<PromiseGroup> groups = PromiseGroup.of(brief.demands(), brief.today());
        Heirs heirs = Heirs.of(groups);
        for (int run = 0; run < RUNS; run++) {
            Map<PromiseGroup, Integer> over = new HashMap<>();
            for (PromiseGroup group : Outcome.inOrder(groups)) {
                Map<String, Integer> byDay = new TreeMap<>();
                boolean late = false;
                for (Grafted graft : grafts) {
                    if (group.demands().stream().anyMatch(one -> one.id().equals(graft.demand()))) {
                        byDay.merge(graft.day() + " " + graft.delivery(), graft.cups(), Integer::sum);
                        late |= graft.delivery().isAfter(group.until());
                    }
                }
                int come = byDay.entrySet().stream().mapToInt(one -> luck.comesOf(group.product(),
                        LocalDate.parse(one.getKey().substring(0, 10)), LocalDate.parse(one.getKey().substring(11)),
                        one.getValue())).sum() + heirs.giver(group).map(over::remove).orElse(0);
                int wanted = 0;
                for (Demand demand : group.demands()) {
                    wanted += demand.count();
                    tally.orders++;
                    boolean met = come >= wanted && !late;
                    tally.met += met ? 1 : 0;
                    tally.heldMet += met && tally.holding.contains(seed + demand.id()) ? 1 : 0;
                }
                over.put(group, Math.max(0, come - group.count()));
            }
            tally.wasted += over.values().stream().mapToInt(Integer::intValue).sum();
            tally.seasons++;
            tally.hours += hours(brief, grafts);
        }
    }

    private static double hours(SeasonBrief brief, List<Grafted> grafts) {
        double minutes = 0;
        Map<LocalDate, Integer> cups = new TreeMap<>();
        for (Grafted graft : grafts) {
            cups.merge(graft.day(), graft.cups(), Integer::sum);
            minutes += graft.cups() * WorkTime.GRAFT_A_CUP;
            if (SupplyKind.of(demand(brief, graft.demand()).product()) == SupplyKind.QUEENS) {
                minutes += graft.cups() * 0.786 * (WorkTime.PLACE_A_CELL + WorkTime.VISIT_A_NUC);
            }
        }
        double usualLoad = brief.means().builders().stream().mapToInt(CellBuilder::load).average().orElseThrow();
        for (int count : cups.values()) {
            minutes += WorkTime.LOAD * Math.ceil(count / usualLoad);
        }
        minutes += brief.demands().stream().mapToInt(Demand::count).sum() * WorkTime.CATCH_A_QUEEN;
        return minutes / 60;
    }
}
