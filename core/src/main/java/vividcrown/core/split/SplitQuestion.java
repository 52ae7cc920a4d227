package vividcrown.core.split;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.Unit;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.split.recipe.SplitRecipe;

/**
 * What can be split, and into what.
 *
 * @param hives as they were last read
 * @param wanted recipes, each with how many units are wanted of it
 * @param place where the new units go instead of their recipes' own places; empty if nobody minds
 * @param stock what is there for it; what is not named is taken to be there
 * @param floors of single hives, by code: what they must keep
 * @param locks moves that are kept or forbidden
 * @param ownGrowth units grow so many times as fast as is usual
 * @param ownDrift so many times the usual share of bees flies home
 * @param roads kilometres from where the new units go to each yard; those not named are at hand
 */
public record SplitQuestion(Conditions conditions, List<Unit> hives, List<Wanted> wanted, Optional<Place> place,
        Stock stock, Map<String, Floor> floors, List<Lock> locks, Map<String, Double> roads,
        double ownGrowth, double ownDrift) {

    /** With the trade's figures for growth and drift. */
    public SplitQuestion(Conditions conditions, List<Unit> hives, List<Wanted> wanted, Optional<Place> place,
            Stock stock,
            Map<String, Floor> floors, List<Lock> locks, Map<String, Double> roads) {
        this(conditions, hives, wanted, place, stock, floors, locks, roads, 1, 1);
    }

    public SplitQuestion {
        hives = List.copyOf(hives);
        wanted = List.copyOf(wanted);
        floors = Map.copyOf(floors);
        locks = List.copyOf(locks);
        roads = Map.copyOf(roads);
    }

    /** @param most units of it; as many as can be had if empty */
    public record Wanted(SplitRecipe recipe, Optional<Integer> most) {
    }

    /**
     * What stands ready.
     *
     * @param boxes for new units
     * @param drawn drawn combs
     * @param foundation frames with foundation
     * @param feeders for new units
     * @param syrupLitres ready or to be made
     * @param ripeCells ripe on the day
     * @param virgins
     * @param matedQueens caged, or in nucs to be taken
     */
    public record Stock(Optional<Integer> boxes, Optional<Integer> drawn, Optional<Integer> foundation,
            Optional<Integer> feeders, Optional<Double> syrupLitres, Optional<Integer> ripeCells,
            Optional<Integer> virgins, Optional<Integer> matedQueens) {

        public static final Stock WHATEVER = new Stock(Optional.empty(), Optional.empty(), Optional.empty(),
                Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    }

    /**
     * What a hive must keep.
     *
     * @param brood frames of brood
     * @param bees frames of bees
     */
    public record Floor(int brood, double bees) {
    }

    /**
     * A frame that is to go, or to stay, whatever the plan would say.
     *
     * @param goes into a new unit; otherwise it stays
     */
    public record Lock(String hive, FrameAt frame, boolean goes) {
    }

    SplitQuestion with(Stock other) {
        return new SplitQuestion(conditions, hives, wanted, place, other, floors, locks, roads, ownGrowth, ownDrift);
    }

    /** Codes of hives that nobody may open, by what else is planned there. */
    public Set<FrameAt> locked(String hive, boolean goes) {
        return locks.stream().filter(lock -> lock.hive().equals(hive) && lock.goes() == goes).map(Lock::frame)
                .collect(Collectors.toUnmodifiableSet());
    }

    double kilometres(String yard) {
        return roads.getOrDefault(yard, 0.0);
    }
}
