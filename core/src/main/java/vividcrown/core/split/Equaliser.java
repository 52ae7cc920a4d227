package vividcrown.core.split;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.odds.Interval;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Sentence;
import vividcrown.core.solver.Solver;
import vividcrown.core.split.EqualisePlan.Gift;
import vividcrown.core.split.EqualisePlan.Pool;
import vividcrown.core.split.EqualisePlan.Sample;
import vividcrown.core.split.EqualisePlan.Stands;
import vividcrown.core.split.EqualisePlan.Verdict;
import vividcrown.core.split.EqualisePlan.What;
import vividcrown.core.split.recipe.SplitRecipe.Target;

/**
 * Day ten: each unit against its target, then who gives what to whom in fewest moves and openings. Never a queen, never from a
 * suspect, never a unit whose young queen is out to mate. Frames of brood are counted as the trade counts them; with a frame come
 * its bees.
 *
 * <p>An integer program (CP-SAT) over how many each gives and gets, yard by yard; which frame it is is picked afterwards: mostly
 * sealed brood first, which asks no feeding.
 */
public final class Equaliser {

    /** The first frame that a unit lacks is worth more than the next, and the weaker it is the more. */
    private static final int FIRST = 1000;
    private static final int NEXT = 700;
    private static final int BEES = 300;
    private static final int MOVE = 20;
    private static final int OPENED = 35;
    private static final int MOST_GIFTS = 4;
    /** A yard is hardly ever more than a moment; none goes without. */
    private static final double LEAST_SECONDS = 0.3;
    private static final int HUNDREDTHS = 100;
    private static final double A_SHAKE = SplitModel.SHAKE_FRAMES;
    private static final double NEARLY = 0.3;
    private static final double SURE = 0.9;

    private Equaliser() {
    }

    /** @param mostSeconds above 0 */
    public static EqualisePlan plan(EqualiseQuestion question, double mostSeconds) {
        Solver.load();
        Map<String, List<Unit>> yards = new TreeMap<>();
        question.units().forEach(unit -> yards
                .computeIfAbsent(question.acrossYards() ? "" : unit.yard(), _ -> new ArrayList<>()).add(unit));
        List<Gift> gifts = new ArrayList<>();
        List<Pool> pools = new ArrayList<>();
        boolean proven = true;
        double gap = 0;
        double seconds = 0;
        for (List<Unit> yard : yards.values()) {
            OfYard of = new OfYard(question, yard, Math.max(LEAST_SECONDS, mostSeconds / yards.size()));
            gifts.addAll(of.gifts);
            pools.addAll(of.pools);
            proven &= of.proven;
            gap = Math.max(gap, of.gap);
            seconds += of.seconds;
        }
        int opened = (int) gifts.stream().flatMap(gift -> Stream.of(gift.from(), gift.to())).distinct()
                .count();
        return new EqualisePlan(question.units().stream().map(unit -> verdict(unit, question)).toList(), gifts, pools,
                sample(question), opened, proven, gap, seconds);
    }

    // --- who may give and get ----------------------------------------------------------------------------------------

    private static Optional<Sentence> waits(Unit unit) {
        if (unit.is(UnitTrait.SUSPECT)) {
            return Optional.of(Sentence.of("equalise.waits.suspect"));
        }
        if (unit.is(UnitTrait.ROBBED)) {
            return Optional.of(Sentence.of("equalise.waits.robbed"));
        }
        if (unit.is(UnitTrait.SWARM_CELLS)) {
            return Optional.of(Sentence.of("equalise.waits.cells"));
        }
        if (unit.is(UnitTrait.HANDS_OFF)) {
            return Optional.of(Sentence.of("equalise.waits.young"));
        }
        boolean noBrood = unit.frames().stream().noneMatch(frame -> frame.comb().brood() > 0);
        return switch (unit.queen().is()) {
            case KEPT -> Optional.empty();
            case LAYING -> noBrood ? Optional.of(Sentence.of("equalise.waits.noBrood")) : Optional.empty();
            // brood given to one who may have none would be spent: her first
            case NONE -> Optional.of(Sentence.of("equalise.waits.noQueen"));
            case UNKNOWN -> unit.hasEggs()
                    ? Optional.empty()
                    : Optional.of(Sentence.of("equalise.waits.noQueen"));
            case LAYING_WORKERS, DRONE_LAYER -> Optional.of(Sentence.of("equalise.waits.lost"));
            case VIRGIN, CELL -> Optional.of(Sentence.of("equalise.waits.young"));
        };
    }

    /** Frames of brood that it can spare. */
    static int canGive(Unit unit, EqualiseQuestion question) {
        if (DonorRules.refusesNow(unit, question.conditions().day()).isPresent() || waits(unit).isPresent()) {
            return 0;
        }
        int most = (int) unit.frames().stream().filter(Equaliser::mayGo).count();
        return Math.clamp(unit.broodFrames() - keepsBrood(unit, question), 0, Math.min(most, MOST_GIFTS));
    }

    private static boolean mayGo(FrameSeen frame) {
        return frame.comb().isOfBrood() && !frame.queen() && !frame.cells();
    }

    private static int keepsBrood(Unit unit, EqualiseQuestion question) {
        int target = (int) Math.ceil(question.targetOf(unit).broodFrames());
        return isSmall(unit)
                ? target
                : Math.max(target,
                        DonorRules.floor(unit, question.conditions().year(), question.conditions().day()).brood());
    }

    private static double keepsBees(Unit unit, EqualiseQuestion question) {
        double target = question.targetOf(unit).framesOfBees();
        return isSmall(unit)
                ? target
                : Math.max(target,
                        DonorRules.floor(unit, question.conditions().year(), question.conditions().day()).bees());
    }

    private static boolean isSmall(Unit unit) {
        return unit.purpose() != Purpose.PRODUCTION && unit.purpose() != Purpose.DRONE_COLONY;
    }

    /** Frames of brood that it lacks. */
    static int lacks(Unit unit, EqualiseQuestion question) {
        if (waits(unit).isPresent()) {
            return 0;
        }
        int room = Math.max(0, unit.slots() - unit.broodFrames());
        return Math.clamp((int) Math.round(question.targetOf(unit).broodFrames()) - unit.broodFrames(), 0,
                Math.min(room, MOST_GIFTS));
    }

    private static Verdict verdict(Unit unit, EqualiseQuestion question) {
        Target target = question.targetOf(unit);
        int brood = unit.broodFrames();
        double bees = Math.round(unit.framesOfBees() * 10) / 10.0;
        Optional<Sentence> waits = waits(unit);
        if (waits.isPresent()) {
            return new Verdict(unit.code(), Stands.WAITS, brood, bees, waits.get());
        }
        boolean half = brood <= target.broodFrames() / 2 && target.broodFrames() > 0;
        boolean lacking = lacks(unit, question) > 0 || bees < target.framesOfBees() - NEARLY;
        Stands stands = half
                ? Stands.OVER_SPLIT
                : lacking ? Stands.SHORT : canGive(unit, question) > 0 ? Stands.CAN_GIVE : Stands.RIGHT;
        return new Verdict(unit.code(), stands, brood, bees, Sentence.of("equalise." + stands.name(), brood, bees,
                target.broodFrames(), target.framesOfBees()));
    }

    // --- one yard ----------------------------------------------------------------------------------------------------

    private static final class OfYard {
        private final EqualiseQuestion question;
        private final List<Unit> units;
        private final List<Gift> gifts = new ArrayList<>();
        private final List<Pool> pools = new ArrayList<>();
        private boolean proven = true;
        private double gap;
        private double seconds;

        OfYard(EqualiseQuestion question, List<Unit> units, double mostSeconds) {
            this.question = question;
            this.units = units;
            solve(mostSeconds);
        }

        private void solve(double mostSeconds) {
            CpModel model = new CpModel();
            LinearExprBuilder worth = LinearExpr.newBuilder();
            List<IntVar> out = new ArrayList<>();
            List<IntVar> in = new ArrayList<>();
            List<IntVar> shaken = new ArrayList<>();
            List<IntVar> added = new ArrayList<>();
            for (Unit unit : units) {
                int gives = canGive(unit, question);
                int lacks = lacks(unit, question);
                boolean mayBeOpened = waits(unit).isEmpty();
                BoolVar opened = model.newBoolVar("opened");
                worth.addTerm(opened, -OPENED);
                IntVar goes = model.newIntVar(0, gives, "out");
                IntVar comes = model.newIntVar(0, lacks, "in");
                double keeps = keepsBees(unit, question);
                boolean maySpare = gives > 0 || mayBeOpened
                        && DonorRules.refusesNow(unit, question.conditions().day()).isEmpty();
                double over = maySpare ? Math.max(0, unit.framesOfBees() - keeps) : 0;
                IntVar off = model.newIntVar(0, (long) Math.floor(over / A_SHAKE), "shaken");
                double short0 = mayBeOpened
                        ? Math.max(0, question.targetOf(unit).framesOfBees() - unit.framesOfBees() - NEARLY)
                        : 0;
                IntVar on = model.newIntVar(0, (long) Math.ceil(short0 / A_SHAKE), "added");
                int each = (int) Math.round(HUNDREDTHS * beesOnAFrame(unit));
                model.addLessOrEqual(
                        LinearExpr.newBuilder().addTerm(goes, each).addTerm(off, Math.round(HUNDREDTHS * A_SHAKE)),
                        Math.max(0, Math.round(HUNDREDTHS * over)));
                // with a frame come its bees: only what is short then is shaken in
                BoolVar stillShort = model.newBoolVar("still short");
                model.addLessOrEqual(
                        LinearExpr.newBuilder().addTerm(comes, HUNDREDTHS - 10)
                                .addTerm(on, Math.round(HUNDREDTHS * A_SHAKE)),
                        Math.round(HUNDREDTHS * (short0 + A_SHAKE)) - 1).onlyEnforceIf(stillShort);
                model.addEquality(on, 0).onlyEnforceIf(stillShort.not());
                for (IntVar any : List.of(goes, comes, off, on)) {
                    model.addLessOrEqual(any, LinearExpr.term(opened, 20));
                    worth.addTerm(any, -MOVE / 2);
                }
                for (int nth = 0; nth < lacks; nth++) {
                    BoolVar has = model.newBoolVar("has");
                    model.addGreaterOrEqual(comes, LinearExpr.term(has, nth + 1));
                    worth.addTerm(has, (nth == 0 ? FIRST : NEXT) - 10L * unit.broodFrames());
                }
                worth.addTerm(on, BEES);
                out.add(goes);
                in.add(comes);
                shaken.add(off);
                added.add(on);
            }
            model.addEquality(sum(out), sum(in));
            model.addEquality(sum(shaken), sum(added));
            model.maximize(worth);
            CpSolver solver = new CpSolver();
            solver.getParameters().setMaxTimeInSeconds(mostSeconds)
                    .setNumWorkers(SplitModel.WORKERS).setRandomSeed(1);
            CpSolverStatus status = solver.solve(model);
            seconds = solver.wallTime();
            if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
                proven = false;
                return;
            }
            proven = status == CpSolverStatus.OPTIMAL;
            gap = proven || solver.bestObjectiveBound() <= 0
                    ? 0
                    : (solver.bestObjectiveBound() - solver.objectiveValue()) / solver.bestObjectiveBound();
            give(counts(solver, out), counts(solver, in), What.BROOD_WITH_ITS_BEES);
            give(counts(solver, shaken), counts(solver, added), What.SHAKE_OF_NURSES);
            pool(counts(solver, in));
        }

        private static int[] counts(CpSolver solver, List<IntVar> all) {
            return all.stream().mapToInt(one -> (int) solver.value(one)).toArray();
        }

        private static LinearExprBuilder sum(List<IntVar> all) {
            LinearExprBuilder sum = LinearExpr.newBuilder();
            all.forEach(sum::add);
            return sum;
        }

        private static double beesOnAFrame(Unit unit) {
            return unit.framesWithBees().stream().filter(Equaliser::mayGo).mapToDouble(FrameSeen::covered).max()
                    .orElse(0);
        }

        /** Whoever gives most serves whoever lacks most: few givers for each. */
        private void give(int[] out, int[] in, What what) {
            Deque<Unit> frames = new ArrayDeque<>();
            order(out).forEach(unit -> {
                for (int count = 0; count < out[unit]; count++) {
                    frames.add(units.get(unit));
                }
            });
            Map<Unit, Integer> given = new LinkedHashMap<>();
            Map<Unit, Integer> taken = new LinkedHashMap<>();
            for (int unit : order(in)) {
                for (int count = 0; count < in[unit]; count++) {
                    Unit from = frames.poll();
                    if (from == null) {
                        return;
                    }
                    gifts.add(gift(from, units.get(unit), what, given.merge(from, 1, Integer::sum) - 1,
                            taken.merge(units.get(unit), 1, Integer::sum)));
                }
            }
        }

        private static List<Integer> order(int[] counts) {
            List<Integer> order = new ArrayList<>();
            for (int at = 0; at < counts.length; at++) {
                if (counts[at] > 0) {
                    order.add(at);
                }
            }
            order.sort(Comparator.comparingInt((Integer at) -> counts[at]).reversed());
            return order;
        }

        private Gift gift(Unit from, Unit to, What what, int nth, int nthTaken) {
            boolean known = from.queensFrame().isPresent();
            if (what == What.SHAKE_OF_NURSES) {
                return new Gift(from.code(), to.code(), what, Optional.empty(),
                        !known && !from.is(UnitTrait.HAS_SUPERS), 0, Sentence.of("equalise.because.shake"));
            }
            FrameSeen frame = from.frames().stream().filter(Equaliser::mayGo)
                    .sorted(Comparator.comparingDouble((FrameSeen one) -> -one.comb().sealed())).skip(nth).findFirst()
                    .orElseThrow();
            return new Gift(from.code(), to.code(), what, Optional.of(frame.at()), !known && !frame.searched(),
                    giftSlot(to, nthTaken), Sentence.of("equalise.because.frame", SplitPlanner.kindOf(frame)));
        }

        /** Weak units that nobody helps go together, the weakest into the next. */
        private void pool(int[] in) {
            Deque<Unit> weak = new ArrayDeque<>();
            for (int at = 0; at < units.size(); at++) {
                Unit unit = units.get(at);
                Target target = question.targetOf(unit);
                boolean half = unit.broodFrames() <= target.broodFrames() / 2 && target.broodFrames() > 0;
                if (waits(unit).isEmpty() && half && in[at] == 0) {
                    weak.add(unit);
                }
            }
            List<Unit> sorted = weak.stream().sorted(Comparator.comparingDouble(Unit::framesOfBees)).toList();
            for (int at = 0; at + 1 < sorted.size(); at += 2) {
                pools.add(new Pool(sorted.get(at).code(), sorted.get(at + 1).code(), Sentence.of("equalise.pool")));
            }
        }
    }

    /** Beside the nest, on the side away from the queen where she is known. */
    static int giftSlot(Unit to, int nth) {
        List<Integer> nest = to.frames().stream().filter(one -> one.box() == 1 && one.comb().isOfBrood())
                .map(FrameSeen::slot).sorted().toList();
        if (nest.isEmpty()) {
            return Math.clamp(2L + nth, 1, to.slots());
        }
        int queen = to.queensFrame().map(FrameSeen::slot).orElse(nest.getFirst());
        boolean sheIsLow = queen - nest.getFirst() <= nest.getLast() - queen;
        int slot = sheIsLow ? nest.getLast() + nth : nest.getFirst() - nth;
        return Math.clamp(slot, 1, to.slots());
    }

    // --- the rest of the yard ----------------------------------------------------------------------------------------

    private static Optional<Sample> sample(EqualiseQuestion question) {
        int counted = question.units().size();
        int all = question.unitsInAll().orElse(counted);
        if (all <= counted || counted == 0) {
            return Optional.empty();
        }
        int weak = (int) question.units().stream()
                .filter(unit -> verdict(unit, question).stands() == Stands.OVER_SPLIT).count();
        // a Beta(1, 1) prior: nothing is known of this yard before the first is counted
        Interval share = Rate.of(1, 1).updatedBy(weak, counted).credible(SURE);
        int rest = all - counted;
        Interval likely = new Interval(Math.floor(share.low() * rest), Math.ceil(share.high() * rest), SURE);
        return Optional.of(new Sample(counted, all, share, likely, Sentence.of("equalise.sample", counted, all,
                Math.round(100 * share.low()), Math.round(100 * share.high()), (int) likely.low(),
                (int) likely.high())));
    }
}
