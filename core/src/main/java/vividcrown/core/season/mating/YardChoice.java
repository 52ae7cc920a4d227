package vividcrown.core.season.mating;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.TreeSet;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.solver.Solver;

/**
 * Which yard takes the ripe cells of each lot (CP-SAT): where the most of them will lay, in weather and by the yard's own record, where drones
 * fly that are not their brothers, where their line is wished, with as little driving as that leaves, and never more than nucs are free there.
 */
public final class YardChoice {

    /** Costs are tenths of a minute. */
    private static final int TENTHS = 10;
    /** A cell where its line is not wished, though nobody asks for that line. */
    private static final int NOT_WISHED_MINUTES = 5;
    /** A cell whose brothers fly at that yard. */
    private static final int RELATED_MINUTES = 10;
    private static final int SHORT_OF_DRONES_MINUTES = 600;
    /** Nobody places more cells at a yard than nucs are free there, as long as others have room. */
    private static final int NO_NUC_MINUTES = 2_000;
    /** In the solver's own steps; see the effort of the season's search. The clock only guards. */
    private static final double MOST_STEPS = 0.04;
    private static final double MOST_SECONDS = 0.4;

    private final SeasonBrief brief;
    private final Supply supply;
    private final List<Lot> lots;
    private final List<DroneColony> drones;
    private final List<MatingYard> yards;
    private final Visits visits;
    private final CpModel model = new CpModel();
    private final LinearExprBuilder cost = LinearExpr.newBuilder();
    /** By lot and yard. */
    private final IntVar[][] cells;
    private final BoolVar[][] used;

    static {
        Solver.load();
    }

    private YardChoice(SeasonBrief brief, Supply supply, List<Lot> lots, List<DroneColony> drones) {
        this.brief = brief;
        this.supply = supply;
        this.lots = lots;
        this.drones = drones;
        this.yards = brief.means().yards().stream().filter(yard -> yard.nucs() > 0).toList();
        this.visits = new Visits(brief, supply);
        this.cells = new IntVar[lots.size()][yards.size()];
        this.used = new BoolVar[lots.size()][yards.size()];
    }

    /**
     * @param drones colonies whose drones fly, those to come among them; none: drones are taken to be everywhere
     * @return for each lot, how many of its cells go where; nothing where no yard has nucs
     */
    public static List<List<PlannedBatch.At>> of(SeasonBrief brief, Supply supply, List<Lot> lots,
            List<DroneColony> drones) {
        YardChoice choice = new YardChoice(brief, supply, List.copyOf(lots), List.copyOf(drones));
        if (lots.isEmpty()) {
            return List.of();
        }
        if (choice.yards.size() < 2) {
            return lots.stream().map(lot -> choice.yards.stream()
                    .map(yard -> new PlannedBatch.At(yard.id(), lot.cells())).toList()).toList();
        }
        return choice.solve();
    }

    private List<List<PlannedBatch.At>> solve() {
        for (int lot = 0; lot < lots.size(); lot++) {
            shared(lot);
        }
        for (int yard = 0; yard < yards.size(); yard++) {
            nucs(yard);
            trips(yard);
            if (!drones.isEmpty()) {
                drones(yard);
            }
        }
        model.minimize(cost);
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(MOST_SECONDS).setMaxDeterministicTime(MOST_STEPS).setNumWorkers(1)
                .setLinearizationLevel(2).setRandomSeed(1);
        CpSolverStatus status = solver.solve(model);
        boolean found = status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
        List<List<PlannedBatch.At>> chosen = new ArrayList<>();
        for (int lot = 0; lot < lots.size(); lot++) {
            List<PlannedBatch.At> at = new ArrayList<>();
            for (int yard = 0; yard < yards.size(); yard++) {
                int here = found ? (int) solver.value(cells[lot][yard]) : yard == best(lot) ? lots.get(lot).cells() : 0;
                if (here > 0) {
                    at.add(new PlannedBatch.At(yards.get(yard).id(), here));
                }
            }
            at.sort(Comparator.comparing(PlannedBatch.At::cells).reversed());
            chosen.add(at);
        }
        return chosen;
    }

    /** Every cell of a lot goes somewhere; where fewer will lay, it costs what raising the missing takes. */
    private void shared(int lot) {
        Lot one = lots.get(lot);
        if (!one.told().isEmpty()) {
            told(lot);
            return;
        }
        List<String> wished = brief.means().yardsFor(one.line()).stream().map(MatingYard::id).toList();
        double best = mates(one, yards.get(best(lot)));
        LinearExprBuilder all = LinearExpr.newBuilder();
        LinearExprBuilder elsewhere = LinearExpr.newBuilder();
        for (int yard = 0; yard < yards.size(); yard++) {
            MatingYard there = yards.get(yard);
            cells[lot][yard] = model.newIntVar(0, one.cells(), "");
            used[lot][yard] = model.newBoolVar("");
            model.addLessOrEqual(
                    LinearExpr.newBuilder().add(cells[lot][yard]).addTerm(used[lot][yard], -one.cells()), 0);
            all.add(cells[lot][yard]);
            boolean isWished = wished.isEmpty() || wished.contains(there.id());
            if (!isWished) {
                elsewhere.add(cells[lot][yard]);
            }
            double minutes = one.queenMinutes() * (best - mates(one, there)) + (isWished ? 0 : NOT_WISHED_MINUTES)
                    + (isBrothersYard(one, there) ? RELATED_MINUTES : 0);
            cost.addTerm(cells[lot][yard], Math.round(TENTHS * minutes));
        }
        model.addEquality(all, one.cells());
        model.addLessOrEqual(elsewhere, one.cells() - Math.min(one.asked(), one.cells()));
    }

    /** It takes nucs, drones and ways where it is said to go, whatever is better. */
    private void told(int lot) {
        for (int yard = 0; yard < yards.size(); yard++) {
            String id = yards.get(yard).id();
            int here = lots.get(lot).told().stream().filter(one -> one.yard().equals(id))
                    .mapToInt(PlannedBatch.At::cells).sum();
            cells[lot][yard] = model.newIntVar(here, here, "");
            used[lot][yard] = model.newBoolVar("");
            model.addEquality(used[lot][yard], here > 0 ? 1 : 0);
        }
    }

    private int best(int lot) {
        Lot one = lots.get(lot);
        List<MatingYard> wished = brief.means().yardsFor(one.line());
        int best = 0;
        for (int yard = 1; yard < yards.size(); yard++) {
            boolean better = mates(one, yards.get(yard)) > mates(one, yards.get(best));
            boolean isWished = wished.contains(yards.get(yard));
            boolean bestIsWished = wished.contains(yards.get(best));
            best = isWished && !bestIsWished || better && isWished == bestIsWished ? yard : best;
        }
        return best;
    }

    private double mates(Lot lot, MatingYard yard) {
        return supply.rate(LossStep.MATING, lot.graft(), supply.usual().with(Circumstance.MOTHER, lot.mother())
                .with(Circumstance.YARD, yard.id())).mean();
    }

    private boolean isBrothersYard(Lot lot, MatingYard yard) {
        return drones.stream().anyMatch(drone -> lot.mother().filter(drone.mother()::equals).isPresent()
                && drone.fliesAt(yard.id(), flights(lot)));
    }

    private LocalDate flights(Lot lot) {
        return lot.graft().plusDays(brief.flightsAfter());
    }

    // --- what a yard bears -----------------------------------------------------------------------------------------------

    /** On no day more cells than nucs are free; by how many it is more on its worst day is dear. */
    private void nucs(int yard) {
        TreeSet<LocalDate> days = new TreeSet<>();
        int all = 0;
        for (Lot lot : lots) {
            LocalDate ripe = lot.graft().plusDays(brief.ripeAfter());
            // what stands there changes on these days only, and what is free on any
            ripe.datesUntil(lot.last().isAfter(ripe) ? lot.last() : ripe.plusDays(1)).forEach(days::add);
            all += lot.cells();
        }
        IntVar over = model.newIntVar(0, Math.max(1, all), "");
        cost.addTerm(over, (long) TENTHS * NO_NUC_MINUTES);
        for (LocalDate day : days) {
            LinearExprBuilder standing = LinearExpr.newBuilder();
            boolean any = false;
            for (int lot = 0; lot < lots.size(); lot++) {
                Lot one = lots.get(lot);
                int here = one.standingOn(day, one.graft().plusDays(brief.ripeAfter()));
                if (here > 0) {
                    any = true;
                    // a part of a lot goes when its queens are caught: the same part at every yard
                    standing.addTerm(cells[lot][yard], Math.round(100.0 * here / one.cells()));
                }
            }
            if (any) {
                standing.addTerm(over, -100);
                model.addLessOrEqual(standing, 100L * yards.get(yard).freeNucs(day));
            }
        }
    }

    private void trips(int yard) {
        int minutes = yards.get(yard).driveMinutes();
        if (minutes == 0) {
            return;
        }
        Map<LocalDate, BoolVar> out = new HashMap<>();
        for (int lot = 0; lot < lots.size(); lot++) {
            Lot one = lots.get(lot);
            for (Visits.Visit visit : visits.of(one.graft(), one.stays().stream().map(Lot.Stay::until).toList())) {
                LinearExprBuilder made = LinearExpr.newBuilder();
                visits.days(visit).forEach(day -> made.add(out.computeIfAbsent(day, _ -> {
                    BoolVar trip = model.newBoolVar("");
                    cost.addTerm(trip, (long) TENTHS * minutes);
                    return trip;
                })));
                made.addTerm(used[lot][yard], -1);
                model.addGreaterOrEqual(made, 0);
            }
        }
    }

    /** Virgins that fly together at a yard want one drone colony for fifty, and never fewer than two. */
    private void drones(int yard) {
        TreeMap<LocalDate, List<Integer>> byGraft = new TreeMap<>();
        for (int lot = 0; lot < lots.size(); lot++) {
            byGraft.computeIfAbsent(lots.get(lot).graft(), _ -> new ArrayList<>()).add(lot);
        }
        byGraft.forEach((graft, here) -> {
            int flying = flying(drones, yards.get(yard).id(), graft.plusDays(brief.flightsAfter()));
            IntVar missing = model.newIntVar(0, 50, "");
            cost.addTerm(missing, (long) TENTHS * SHORT_OF_DRONES_MINUTES);
            LinearExprBuilder together = LinearExpr.newBuilder();
            byGraft.subMap(graft.minusDays(DroneColony.TOGETHER_DAYS), true, graft.plusDays(DroneColony.TOGETHER_DAYS),
                    true).values()
                    .forEach(near -> near.forEach(lot -> together.add(cells[lot][yard])));
            together.addTerm(missing, -DroneColony.VIRGINS_EACH);
            model.addLessOrEqual(together, (long) DroneColony.VIRGINS_EACH * flying);
            here.forEach(lot -> model.addGreaterOrEqual(
                    LinearExpr.newBuilder().add(missing).addTerm(used[lot][yard], -DroneColony.LEAST), -flying));
        });
    }

    /** Drone colonies whose drones fly at a yard on a day. */
    public static int flying(List<DroneColony> drones, String yard, LocalDate day) {
        return (int) drones.stream().filter(one -> one.fliesAt(yard, day)).count();
    }
}
