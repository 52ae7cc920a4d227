package vividcrown.core.season.plan;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.season.BreederQueen;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.DroneMother;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.solver.Solver;
import vividcrown.core.time.DatedSpan;

/**
 * Which mother each load is grafted from, and which colonies are given drone comb, and when: so that virgins find ripe
 * drones enough, seldom their own brothers, and every mother has about her even share. It does not touch days, builders
 * or numbers, so it is solved after them, in a moment.
 */
final class ParentsModel {

    /** A drone colony missed when virgins fly, in minutes. */
    private static final int SHORT_OF_DRONES = 600;
    /** Comb in and out, drones fed: what a drone colony costs, and each day that it is kept. */
    private static final int START = 60;
    /** Another colony than the crew was told. */
    private static final int OTHER_COLONY = 15;
    private static final int KEPT_A_DAY = 1;
    /** A larva whose brothers fly with her. */
    private static final int RELATED_A_CUP = 10;
    private static final int BEYOND_SHARE_A_CUP = 2;
    /** Another line than the crew was told. */
    private static final int OTHER_LINE = 60;
    /** In the solver's own count: some 0.4 seconds; the clock only guards. */
    private static final double MOST_STEPS = 0.1;
    private static final double MOST_SECONDS = 1.5;

    private final SeasonBrief brief;
    private final Supply supply;
    private final List<Load> loads;
    private final CpModel model = new CpModel();
    private final LinearExprBuilder cost = LinearExpr.newBuilder();
    private final List<BoolVar[]> motherOf = new ArrayList<>();
    /** By the day of the graft: whether each of the drone mothers has ripe drones for its virgins. */
    private final TreeMap<LocalDate, BoolVar[]> ripe = new TreeMap<>();

    static {
        Solver.load();
    }

    /** @param droneStarts colonies to be given drone comb, the earliest first */
    record Parents(List<PlannedBatch> batches, List<DroneStart> droneStarts) {
    }

    ParentsModel(SeasonBrief brief, Supply supply, List<Load> loads) {
        this.brief = brief;
        this.supply = supply;
        this.loads = loads;
        mothers();
        drones();
        relatives();
        shares();
        model.minimize(cost);
    }

    private void mothers() {
        int turn = 0;
        for (Load load : loads) {
            BoolVar[] choice = new BoolVar[brief.means().breeders().size()];
            List<Literal> fitting = new ArrayList<>();
            for (int mother = 0; mother < choice.length; mother++) {
                BreederQueen queen = brief.means().breeders().get(mother);
                choice[mother] = model.newBoolVar("");
                if (load.line().filter(line -> !line.equals(queen.line())).isPresent()) {
                    model.addEquality(choice[mother], 0);
                } else {
                    fitting.add(choice[mother]);
                    cost.addTerm(choice[mother], minutes(load, queen));
                }
            }
            model.addExactlyOne(fitting);
            int next = turn++ % fitting.size();
            for (int option = 0; option < fitting.size(); option++) {
                model.addHint((BoolVar) fitting.get(option), option == next);
            }
            motherOf.add(choice);
        }
    }

    /** Cups that a mother whose larvae give less costs more, and what it costs to tell the crew another line. */
    private long minutes(Load load, BreederQueen queen) {
        int percent = supply.percent(supply.usual().with(Circumstance.MOTHER, queen.id()));
        boolean otherLine = brief.underway().before().stream()
                .anyMatch(before -> before.day().equals(load.day()) && before.builder().equals(load.builder())
                        && before.line().filter(line -> !line.equals(queen.line())).isPresent());
        return Math.max(0, (long) load.cups() * (150 - percent) / 100) + (otherLine ? OTHER_LINE : 0);
    }

    // --- drones ------------------------------------------------------------------------------------------------------

    private void drones() {
        List<DroneMother> candidates = brief.drones().mothers();
        TreeMap<LocalDate, Double> virgins = virginsByGraft();
        LocalDate soonest = brief.today()
                .plusDays(brief.expected().assumptions().span(Figure.DRONE_LEAD).earliestDay());
        BoolVar[] before = new BoolVar[0];
        LocalDate last = brief.today();
        for (LocalDate graft : virgins.keySet()) {
            LocalDate flights = graft.plusDays(brief.flightsAfter());
            BoolVar[] here = new BoolVar[candidates.size()];
            LinearExprBuilder there = LinearExpr.newBuilder();
            for (int index = 0; index < here.length; index++) {
                here[index] = model.newBoolVar("");
                there.add(here[index]);
                if (flights.isBefore(soonest)) {
                    model.addEquality(here[index], 0);
                }
                if (before.length > 0) {
                    model.addLessOrEqual(before[index], here[index]);
                    // once it is a drone colony it stays one
                    cost.addTerm(before[index], KEPT_A_DAY * ChronoUnit.DAYS.between(last, graft));
                }
            }
            ripe.put(graft, here);
            IntVar missing = model.newIntVar(0, 50, "");
            there.add(missing);
            cost.addTerm(missing, SHORT_OF_DRONES);
            model.addGreaterOrEqual(there, Math.max(0, DroneColony.wantedFor(virgins, graft) - flying(flights)));
            before = here;
            last = graft;
        }
        for (int index = 0; index < before.length; index++) {
            cost.addTerm(before[index], START + (candidates.get(index).meant() ? 0 : OTHER_COLONY));
        }
    }

    private TreeMap<LocalDate, Double> virginsByGraft() {
        TreeMap<LocalDate, Double> virgins = new TreeMap<>();
        for (Load load : loads) {
            brief.forQueens(load.shares())
                    .forEach(share -> virgins.merge(load.day(),
                            supply.ripeOnAverage(load.day(), share.cups(), supply.usual()), Double::sum));
        }
        return virgins;
    }

    private int flying(LocalDate flights) {
        return (int) brief.drones().colonies().stream().filter(one -> !one.matureFrom().isAfter(flights)).count();
    }

    /** A load from a mother whose sons fly with its virgins is dear. */
    private void relatives() {
        for (int at = 0; at < loads.size(); at++) {
            Load load = loads.get(at);
            BoolVar[] sons = ripe.getOrDefault(load.day(), new BoolVar[0]);
            LocalDate flights = load.day().plusDays(brief.flightsAfter());
            for (int mother = 0; mother < brief.means().breeders().size(); mother++) {
                String id = brief.means().breeders().get(mother).id();
                BoolVar chosen = motherOf.get(at)[mother];
                if (brief.drones().colonies().stream().anyMatch(one -> one.mother().equals(id)
                        && !one.matureFrom().isAfter(flights)) && ripe.containsKey(load.day())) {
                    cost.addTerm(chosen, (long) RELATED_A_CUP * load.cups());
                }
                for (int index = 0; index < sons.length; index++) {
                    if (brief.drones().mothers().get(index).mother().equals(id)) {
                        BoolVar both = model.newBoolVar("");
                        model.addGreaterOrEqual(LinearExpr.newBuilder().add(both).addTerm(chosen, -1)
                                .addTerm(sons[index], -1), -1);
                        cost.addTerm(both, (long) RELATED_A_CUP * load.cups());
                    }
                }
            }
        }
    }

    /** What goes beyond a mother's share is dearer: many mothers are kept, and as many daughters of each as were wished. */
    private void shares() {
        int all = loads.stream().mapToInt(Load::cups).sum();
        for (int mother = 0; mother < brief.means().breeders().size(); mother++) {
            int share = (int) Math
                    .ceil(all * brief.means().breeders().get(mother).share(brief.means().breeders()) - 1e-9);
            LinearExprBuilder used = LinearExpr.newBuilder();
            for (int at = 0; at < loads.size(); at++) {
                used.addTerm(motherOf.get(at)[mother], loads.get(at).cups());
            }
            IntVar over = model.newIntVar(0, Math.max(1, all), "");
            cost.addTerm(over, BEYOND_SHARE_A_CUP);
            used.addTerm(over, -1);
            model.addLessOrEqual(used, share);
        }
    }

    // --- solving -----------------------------------------------------------------------------------------------------

    Parents solve() {
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(MOST_SECONDS).setMaxDeterministicTime(MOST_STEPS)
                // several at once would choose now these mothers, now others that are as good
                .setNumWorkers(1).setRandomSeed(1);
        CpSolverStatus status = solver.solve(model);
        boolean found = status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
        List<PlannedBatch> batches = new ArrayList<>();
        for (int at = 0; at < loads.size(); at++) {
            batches.add(loads.get(at).from(mother(solver, found, at), brief.means().crew().grafter()));
        }
        batches.sort(Comparator.comparing(PlannedBatch::day).thenComparing(PlannedBatch::builder)
                .thenComparing(PlannedBatch::line));
        return new Parents(batches, found ? starts(solver) : List.of());
    }

    /** Without time for a choice, the first that fits. */
    private BreederQueen mother(CpSolver solver, boolean found, int at) {
        for (int mother = 0; mother < brief.means().breeders().size(); mother++) {
            BreederQueen queen = brief.means().breeders().get(mother);
            boolean fits = loads.get(at).line().filter(line -> !line.equals(queen.line())).isEmpty();
            if (found ? solver.booleanValue(motherOf.get(at)[mother]) : fits) {
                return queen;
            }
        }
        throw new IllegalStateException("no mother for " + loads.get(at));
    }

    private List<DroneStart> starts(CpSolver solver) {
        List<DroneStart> starts = new ArrayList<>();
        for (int index = 0; index < brief.drones().mothers().size(); index++) {
            int at = index;
            Optional<LocalDate> first = ripe.entrySet().stream()
                    .filter(one -> solver.booleanValue(one.getValue()[at])).map(Map.Entry::getKey).findFirst();
            first.ifPresent(graft -> {
                DatedSpan comb = brief.expected().assumptions().span(Figure.DRONE_LEAD).negated()
                        .windowFrom(graft.plusDays(brief.flightsAfter()));
                DroneMother mother = brief.drones().mothers().get(at);
                starts.add(new DroneStart(mother.colony(), mother.mother(), comb, graft));
            });
        }
        starts.sort(Comparator.comparing(DroneStart::firstGraft).thenComparing(DroneStart::colony));
        return starts;
    }
}
