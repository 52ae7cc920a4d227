package vividcrown.core.split;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.solver.Solver;
import vividcrown.core.split.SplitQuestion.Floor;
import vividcrown.core.split.recipe.Gets;
import vividcrown.core.split.recipe.SplitRecipe;

/**
 * The choice of frames as an integer program (CP-SAT): which frame leaves its hive for which group of new units, how many units
 * each group makes, how many frames of nurses are shaken out of each hive. Frames of a kind are alike to a unit, so a group needs
 * only enough of each kind; which frame goes into which of its units is dealt afterwards.
 *
 * <p>Maximised: the number of units before all, then their brood, less what it costs the crop, hives opened, yards visited,
 * shakes, combs. Bees are reckoned in hundredths of a frame.
 */
final class SplitModel {

    /** Bees shaken off one frame of open brood, in frames densely covered. */
    static final double SHAKE_FRAMES = 0.7;
    /** Frames of bees above an excluder that may be shaken, if there are supers. */
    static final int SHAKES_FROM_SUPERS = 6;
    private static final int HUNDREDTHS = 100;
    /** Several that take turns within one search end the whole process at times when its time runs out on a busy machine (seen with version 9.15). */
    static final int WORKERS = 1;
    /** Of the worth: a hundredth of a unit in a hundred. */
    private static final double CLOSE_ENOUGH = 1e-4;
    private static final int MOST_UNITS = 400;
    private static final int MOST_OF_ONE_HIVE_WHEN_STRIPPED = 4;
    private static final int MOST_OF_ONE_HIVE_WHEN_POOLED = 2;

    /** New units of one recipe that share their frames: out of all hives, or out of one. */
    record Group(SplitRecipe recipe, Optional<Integer> hive, Drift drift, int most) {
        boolean strips() {
            return recipe.donor() == SplitRecipe.Donor.STRIPS_ONE_HIVE;
        }

        boolean takesQueen() {
            return recipe.donor() == SplitRecipe.Donor.ONE_HIVE_WITH_QUEEN;
        }
    }

    /**
     * @param units how many of each group
     * @param frames by group, the frames that leave by hive
     * @param shakes by group, frames of nurses shaken by hive
     * @param missingFood by group, frames of food for which syrup stands
     * @param under by hive, frames of brood under its floor, where that was allowed
     */
    record Solution(List<Integer> units, List<Map<Integer, List<FrameSeen>>> frames,
            List<Map<Integer, Integer>> shakes, List<Integer> missingFood, Map<Integer, Integer> under, long worth,
            long bound, boolean proven, double seconds) {

        int made() {
            return units.stream().mapToInt(Integer::intValue).sum();
        }

        Set<Integer> opened() {
            Set<Integer> opened = new HashSet<>();
            frames.forEach(group -> opened.addAll(group.keySet()));
            shakes.forEach(group -> opened.addAll(group.keySet()));
            return opened;
        }

        /** How far the best there can be lies above it, of its worth, 0–1. */
        double gap() {
            return proven || bound <= 0 ? 0 : Math.max(0, (double) (bound - worth) / Math.max(1, Math.abs(bound)));
        }
    }

    private final SplitQuestion question;
    private final List<Unit> hives;
    private final List<Floor> floors;
    private final List<Group> groups;
    private final CpModel model = new CpModel();
    private final LinearExprBuilder worth = LinearExpr.newBuilder();
    private final List<IntVar> units = new ArrayList<>();
    /** By group, then by hive and frame: it goes there. */
    private final List<Map<Integer, Map<FrameSeen, BoolVar>>> goes = new ArrayList<>();
    private final List<Map<Integer, IntVar>> shakes = new ArrayList<>();
    private final List<IntVar> missingFood = new ArrayList<>();
    private final List<BoolVar> opened = new ArrayList<>();
    private final Map<Integer, IntVar> under = new LinkedHashMap<>();
    private final boolean floorsMayBreak;

    /** @param floorsMayBreak to see whose floor stands against one unit more: each frame under it costs dearly */
    SplitModel(SplitQuestion question, List<Unit> hives, List<Floor> floors, List<Group> groups,
            boolean floorsMayBreak) {
        this.question = question;
        this.hives = hives;
        this.floors = floors;
        this.groups = groups;
        this.floorsMayBreak = floorsMayBreak;
        Solver.load();
        for (int hive = 0; hive < hives.size(); hive++) {
            opened.add(model.newBoolVar("opened"));
            worth.addTerm(opened.getLast(), -Prices.OPENED);
        }
        groups.forEach(this::group);
        for (int hive = 0; hive < hives.size(); hive++) {
            hive(hive);
        }
        wanted();
        stock();
        roads();
        model.maximize(worth);
    }

    private void group(Group group) {
        SplitRecipe.Frames need = group.recipe().frames();
        IntVar made = model.newIntVar(0, Math.min(MOST_UNITS, group.most()), "units");
        units.add(made);
        worth.addTerm(made, Prices.UNIT);
        LinearExprBuilder brood = LinearExpr.newBuilder();
        LinearExprBuilder eggs = LinearExpr.newBuilder();
        LinearExprBuilder sealed = LinearExpr.newBuilder();
        LinearExprBuilder food = LinearExpr.newBuilder();
        LinearExprBuilder bees = LinearExpr.newBuilder();
        Map<Integer, Map<FrameSeen, BoolVar>> all = new LinkedHashMap<>();
        Map<Integer, IntVar> shaken = new LinkedHashMap<>();
        long onFrames = Math.round(HUNDREDTHS * group.drift().stayOnFrames());
        for (int hive = 0; hive < hives.size(); hive++) {
            boolean another = group.hive().isPresent() && group.hive().get() != hive;
            // cells for a swarm: the hive is dealt with by taking its queen, and by nothing else
            if (another || hives.get(hive).is(UnitTrait.SWARM_CELLS) && !group.takesQueen()) {
                continue;
            }
            Map<FrameSeen, BoolVar> ofHive = new LinkedHashMap<>();
            for (FrameSeen frame : hives.get(hive).framesWithBees()) {
                if (!isOffered(hive, frame, group)) {
                    continue;
                }
                BoolVar one = model.newBoolVar("goes");
                ofHive.put(frame, one);
                model.addImplication(one, opened.get(hive));
                boolean ofBrood = frame.comb().isOfBrood();
                (ofBrood ? brood : food).add(one);
                if (ofBrood && frame.comb().hasEggs()) {
                    eggs.add(one);
                }
                if (frame.comb().isMostlySealed()) {
                    sealed.add(one);
                }
                bees.addTerm(one, Math.round(frame.covered() * onFrames));
                worth.addTerm(one, Prices.worth(hives.get(hive), frame)
                        - Prices.frame(hives.get(hive), frame, question.conditions().flow()));
                if (frame.queen() && group.takesQueen()) {
                    // she goes with her frame
                    model.addEquality(one, made);
                }
            }
            all.put(hive, ofHive);
            shaken.put(hive, shaken(hive, bees, group));
            if (group.recipe().donor() == SplitRecipe.Donor.SEVERAL) {
                LinearExprBuilder fromOne = LinearExpr.newBuilder();
                ofHive.forEach((frame, one) -> fromOne.add(one));
                model.addLessOrEqual(fromOne, MOST_OF_ONE_HIVE_WHEN_POOLED);
            }
        }
        goes.add(all);
        shakes.add(shaken);
        IntVar syrup = model.newIntVar(0, (long) MOST_UNITS * Math.max(1, need.food()), "syrup for food");
        missingFood.add(syrup);
        worth.addTerm(syrup, -Prices.MISSING_FOOD);
        model.addGreaterOrEqual(minus(brood, made, need.broodLeast()), 0);
        model.addLessOrEqual(minus(brood, made, need.broodBest()), 0);
        model.addGreaterOrEqual(minus(eggs, made, need.withEggs()), 0);
        // sealed brood asks no feeding, but where there is none open brood must do
        IntVar open = model.newIntVar(0, (long) MOST_UNITS * Math.max(1, need.mostlySealed()), "open for sealed");
        worth.addTerm(open, -Prices.OPEN_FOR_SEALED);
        model.addGreaterOrEqual(minus(sealed, made, need.mostlySealed()).add(open), 0);
        model.addLessOrEqual(minus(food, made, need.food()), 0);
        model.addGreaterOrEqual(minus(food, made, need.food()).add(syrup), 0);
        model.addGreaterOrEqual(minus(bees, made, Math.round(HUNDREDTHS * group.recipe().beesLeast())), 0);
        // from nothing nothing is made
        model.addLessOrEqual(minus(bees, made, 20L * HUNDREDTHS), 0);
        if (group.strips()) {
            // a hive is stripped for two or more, or left alone
            BoolVar stripped = model.newBoolVar("stripped");
            model.addGreaterOrEqual(made, 2).onlyEnforceIf(stripped);
            model.addEquality(made, 0).onlyEnforceIf(stripped.not());
        }
    }

    private static LinearExprBuilder minus(LinearExprBuilder sum, IntVar made, long each) {
        return LinearExpr.newBuilder().add(sum).addTerm(made, -each);
    }

    private boolean isOffered(int hive, FrameSeen frame, Group group) {
        return isOfUse(frame, group.recipe()) && DonorRules.mayLeave(frame, group.recipe())
                && !question.locked(hives.get(hive).code(), false).contains(frame.at());
    }

    /** A frame of a kind that goes into such a unit. */
    static boolean isOfUse(FrameSeen frame, SplitRecipe recipe) {
        return frame.comb().isOfBrood() && recipe.frames().broodBest() > 0
                || frame.comb().isOfFood() && recipe.frames().food() > 0;
    }

    private IntVar shaken(int hive, LinearExprBuilder bees, Group group) {
        IntVar frames = model.newIntVar(0, shakesAtMost(hive), "shakes");
        bees.addTerm(frames, Math.round(HUNDREDTHS * SHAKE_FRAMES * group.drift().stayOfShakes()));
        boolean above = hives.get(hive).is(UnitTrait.HAS_SUPERS);
        worth.addTerm(frames, -(above ? Prices.SHAKE_FROM_ABOVE_EXCLUDER : Prices.SHAKE));
        model.addLessOrEqual(frames, LinearExpr.term(opened.get(hive), shakesAtMost(hive)));
        return frames;
    }

    private int shakesAtMost(int hive) {
        Unit unit = hives.get(hive);
        return unit.broodFrames() + (unit.is(UnitTrait.HAS_SUPERS) ? SHAKES_FROM_SUPERS : 0);
    }

    /** What a hive keeps, and what each frame of brood costs it. */
    private void hive(int hive) {
        Unit unit = hives.get(hive);
        Floor floor = floors.get(hive);
        LinearExprBuilder broodGone = LinearExpr.newBuilder();
        LinearExprBuilder eggsGone = LinearExpr.newBuilder();
        LinearExprBuilder shaken = LinearExpr.newBuilder();
        LinearExprBuilder beesGone = LinearExpr.newBuilder();
        Map<FrameSeen, List<Literal>> once = new LinkedHashMap<>();
        List<IntVar> strips = new ArrayList<>();
        List<IntVar> queens = new ArrayList<>();
        for (int group = 0; group < groups.size(); group++) {
            Group of = groups.get(group);
            Map<FrameSeen, BoolVar> frames = goes.get(group).getOrDefault(hive, Map.of());
            // who flies home is not lost to it, if it goes no further than that
            double stays = of.drift().stayOnFrames();
            frames.forEach((frame, one) -> {
                once.computeIfAbsent(frame, _ -> new ArrayList<>()).add(one);
                if (frame.comb().isOfBrood()) {
                    broodGone.add(one);
                }
                if (frame.comb().hasEggs()) {
                    eggsGone.add(one);
                }
                beesGone.addTerm(one, Math.round(HUNDREDTHS * frame.covered() * stays));
            });
            IntVar shakes = this.shakes.get(group).get(hive);
            if (shakes != null) {
                shaken.add(shakes);
                beesGone.addTerm(shakes, Math.round(HUNDREDTHS * SHAKE_FRAMES * of.drift().stayOfShakes()));
            }
            if (of.hive().isPresent() && of.hive().get() == hive) {
                (of.strips() ? strips : queens).add(units.get(group));
            }
        }
        once.forEach((frame, any) -> {
            if (question.locked(unit.code(), true).contains(frame.at())) {
                model.addExactlyOne(any);
            } else {
                model.addAtMostOne(any);
            }
        });
        int brood = unit.broodFrames();
        int canGive = Math.max(0, brood - floor.brood());
        int bees = (int) Math.round(HUNDREDTHS * unit.framesOfBees());
        int canGiveBees = (int) Math.max(0, bees - Math.round(HUNDREDTHS * floor.bees()));
        int strippedGives = Math.max(canGive, brood - DonorRules.STRIPPED.brood());
        int strippedBees = (int) Math.max(canGiveBees, bees - Math.round(HUNDREDTHS * DonorRules.STRIPPED.bees()));
        BoolVar stripped = model.newBoolVar("stripped");
        model.addLessOrEqual(stripped, sum(strips));
        LinearExprBuilder most = LinearExpr.newBuilder().add(canGive).addTerm(stripped, strippedGives - canGive);
        if (floorsMayBreak) {
            IntVar below = model.newIntVar(0, Math.max(0, brood - canGive), "under its floor");
            under.put(hive, below);
            most.add(below);
            worth.addTerm(below, -Prices.UNIT / 20);
        }
        model.addLessOrEqual(broodGone, most);
        model.addLessOrEqual(beesGone, LinearExpr.newBuilder().add(canGiveBees + (floorsMayBreak ? bees : 0))
                .addTerm(stripped, strippedBees - canGiveBees));
        // each frame that stays is shaken once at most; above the excluder there are more
        model.addLessOrEqual(LinearExpr.newBuilder().add(shaken).add(broodGone), shakesAtMost(hive));
        if (!queens.isEmpty()) {
            // one queen, one nuc of hers; what stays behind needs eggs to raise another
            model.addLessOrEqual(sum(queens), 1);
            int eggs = (int) unit.frames().stream().filter(frame -> frame.comb().hasEggs()).count();
            model.addLessOrEqual(eggsGone, Math.max(0, eggs - 1));
        }
        BoolVar[] nth = new BoolVar[brood];
        LinearExprBuilder counted = LinearExpr.newBuilder();
        for (int at = 0; at < brood; at++) {
            nth[at] = model.newBoolVar("nth");
            counted.add(nth[at]);
            worth.addTerm(nth[at], -Prices.brood(unit, at));
        }
        model.addEquality(counted, broodGone);
    }

    private static LinearExprBuilder sum(List<IntVar> all) {
        LinearExprBuilder sum = LinearExpr.newBuilder();
        all.forEach(sum::add);
        return sum;
    }

    /** Groups out of single hives share what is wanted of their recipe. */
    private void wanted() {
        for (SplitQuestion.Wanted wanted : question.wanted()) {
            wanted.most().ifPresent(most -> model.addLessOrEqual(sum(unitsOf(wanted.recipe())), most));
        }
    }

    private List<IntVar> unitsOf(SplitRecipe recipe) {
        List<IntVar> of = new ArrayList<>();
        for (int group = 0; group < groups.size(); group++) {
            if (groups.get(group).recipe().equals(recipe)) {
                of.add(units.get(group));
            }
        }
        return of;
    }

    private void stock() {
        SplitQuestion.Stock stock = question.stock();
        limit(stock.boxes(), 1, _ -> true);
        limit(stock.ripeCells(), 1,
                recipe -> recipe.gets() == Gets.RIPE_CELL);
        limit(stock.virgins(), 1, recipe -> recipe.gets() == Gets.VIRGIN);
        limit(stock.matedQueens(), 1,
                recipe -> recipe.gets() == Gets.MATED_QUEEN);
        LinearExprBuilder combs = LinearExpr.newBuilder();
        LinearExprBuilder litres = LinearExpr.newBuilder();
        for (int group = 0; group < groups.size(); group++) {
            combs.addTerm(units.get(group), groups.get(group).recipe().frames().drawn());
            litres.addTerm(units.get(group), Math.round(10 * groups.get(group).recipe().feedLitres()));
            litres.addTerm(missingFood.get(group), Math.round(10 * Layout.LITRES_FOR_A_FOOD_FRAME));
            goes.get(group).values().forEach(frames -> frames.values().forEach(combs::add));
        }
        IntVar foundation = model.newIntVar(0, stock.foundation().orElse(100_000), "foundation");
        IntVar drawn = model.newIntVar(0, stock.drawn().orElse(100_000), "drawn");
        model.addEquality(combs, LinearExpr.newBuilder().add(foundation).add(drawn));
        worth.addTerm(foundation, -Prices.FOUNDATION_INSTEAD);
        worth.addTerm(drawn, -Prices.DRAWN);
        stock.syrupLitres().ifPresent(litre -> model.addLessOrEqual(litres, Math.round(10 * litre)));
        stock.feeders().ifPresent(feeders -> {
            LinearExprBuilder fed = LinearExpr.newBuilder();
            for (int group = 0; group < groups.size(); group++) {
                fed.addTerm(units.get(group), groups.get(group).recipe().feedLitres() > 0 ? 1 : 0);
            }
            model.addLessOrEqual(fed, feeders);
        });
    }

    private void limit(Optional<Integer> there, int each, Predicate<SplitRecipe> which) {
        there.ifPresent(most -> {
            LinearExprBuilder used = LinearExpr.newBuilder();
            for (int group = 0; group < groups.size(); group++) {
                if (which.test(groups.get(group).recipe())) {
                    used.addTerm(units.get(group), each);
                }
            }
            model.addLessOrEqual(used, most);
        });
    }

    private void roads() {
        Map<String, BoolVar> visited = new LinkedHashMap<>();
        for (int hive = 0; hive < hives.size(); hive++) {
            String yard = hives.get(hive).yard();
            BoolVar there = visited.computeIfAbsent(yard, _ -> model.newBoolVar("visited"));
            model.addImplication(opened.get(hive), there);
        }
        visited.forEach((yard, there) -> worth.addTerm(there,
                -Prices.VISIT - Math.round(2 * question.kilometres(yard) * Prices.KILOMETRE)));
    }

    // --- asking ------------------------------------------------------------------------------------------------------

    void atLeast(int made) {
        model.addGreaterOrEqual(sum(units), made);
    }

    void atMost(int made) {
        model.addLessOrEqual(sum(units), made);
    }

    /** Some other set of hives than this one. */
    void notThese(Set<Integer> hivesOpened) {
        LinearExprBuilder other = LinearExpr.newBuilder();
        int same = 0;
        for (int hive = 0; hive < hives.size(); hive++) {
            if (hivesOpened.contains(hive)) {
                other.addTerm(opened.get(hive), -1);
                same++;
            } else {
                other.add(opened.get(hive));
            }
        }
        model.addGreaterOrEqual(other, 1 - same);
    }

    /**
     * @param found empty if it cannot be, or nothing was found in time
     * @param outOfTime nobody knows whether it can be
     */
    record Answer(Optional<Solution> found, boolean outOfTime) {
    }

    Answer solve(double mostSeconds) {
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(mostSeconds)
                .setNumWorkers(WORKERS).setRandomSeed(1)
                .setRelativeGapLimit(CLOSE_ENOUGH);
        CpSolverStatus status = solver.solve(model);
        Optional<Solution> found = switch (status) {
            case OPTIMAL, FEASIBLE -> Optional.of(read(solver, status == CpSolverStatus.OPTIMAL
                    && solver.bestObjectiveBound() - solver.objectiveValue() < 1));
            case INFEASIBLE, UNKNOWN, MODEL_INVALID, UNRECOGNIZED -> Optional.empty();
        };
        return new Answer(found, status == CpSolverStatus.UNKNOWN);
    }

    private Solution read(CpSolver solver, boolean proven) {
        List<Map<Integer, List<FrameSeen>>> frames = new ArrayList<>();
        List<Map<Integer, Integer>> shaken = new ArrayList<>();
        for (int group = 0; group < groups.size(); group++) {
            Map<Integer, List<FrameSeen>> leave = new LinkedHashMap<>();
            goes.get(group).forEach((hive, all) -> all.forEach((frame, one) -> {
                if (solver.booleanValue(one)) {
                    leave.computeIfAbsent(hive, _ -> new ArrayList<>()).add(frame);
                }
            }));
            frames.add(leave);
            Map<Integer, Integer> counts = new LinkedHashMap<>();
            shakes.get(group).forEach((hive, count) -> {
                if (solver.value(count) > 0) {
                    counts.put(hive, (int) solver.value(count));
                }
            });
            shaken.add(counts);
        }
        Map<Integer, Integer> broken = new LinkedHashMap<>();
        under.forEach((hive, below) -> {
            if (solver.value(below) > 0) {
                broken.put(hive, (int) solver.value(below));
            }
        });
        return new Solution(units.stream().map(one -> (int) solver.value(one)).toList(), frames, shaken,
                missingFood.stream().map(one -> (int) solver.value(one)).toList(), broken,
                Math.round(solver.objectiveValue()), Math.round(solver.bestObjectiveBound()), proven,
                solver.wallTime());
    }

    /** Groups for a question: one for each recipe, or one for each hive where all must come out of one. */
    static List<Group> groups(SplitQuestion question, List<Unit> hives, List<SplitRecipe> recipes) {
        List<Group> groups = new ArrayList<>();
        for (SplitRecipe recipe : recipes) {
            int most = question.wanted().stream().filter(one -> one.recipe().equals(recipe)).findFirst()
                    .flatMap(SplitQuestion.Wanted::most).orElse(MOST_UNITS);
            switch (recipe.donor()) {
                case ANY, SEVERAL -> groups.add(new Group(recipe, Optional.empty(), drift(question, recipe), most));
                case ONE_HIVE, ONE_HIVE_WITH_QUEEN, STRIPS_ONE_HIVE -> {
                    int ofOne = recipe.donor() == SplitRecipe.Donor.ONE_HIVE_WITH_QUEEN
                            ? 1
                            : MOST_OF_ONE_HIVE_WHEN_STRIPPED;
                    for (int hive = 0; hive < hives.size(); hive++) {
                        groups.add(
                                new Group(recipe, Optional.of(hive), drift(question, recipe), Math.min(ofOne, most)));
                    }
                }
            }
        }
        return groups;
    }

    static Place place(SplitQuestion question, SplitRecipe recipe) {
        return question.place().orElse(recipe.place());
    }

    private static Drift drift(SplitQuestion question, SplitRecipe recipe) {
        return Drift.of(place(question, recipe), question.conditions().kilometres()).times(question.ownDrift());
    }
}
