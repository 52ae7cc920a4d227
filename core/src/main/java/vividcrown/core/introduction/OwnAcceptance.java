package vividcrown.core.introduction;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.Rate;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.odds.StepOdds.Batch;
import vividcrown.core.odds.StepOdds.Count;

/**
 * What the operation's own introductions say of each way: months and yards borrow from one another, a yard with few counts is
 * believed to be much like the others ({@link StepOdds}). Only colonies where nothing royal turned out to be in there count: the
 * way is not to blame for a virgin that was overlooked.
 */
public final class OwnAcceptance {

    private final Map<Method, StepOdds> byMethod = new EnumMap<>(Method.class);
    private final Map<Method, Integer> counted = new EnumMap<>(Method.class);

    /** One that came out: @param kept her eggs were seen @param sprayed with syrup when she was given */
    public record Result(Method method, LocalDate day, String yard, boolean kept, boolean sprayed) {
        private Batch batch() {
            return new Batch(around(day, yard), new Count(1, kept ? 1 : 0));
        }
    }

    public OwnAcceptance(List<Result> results) {
        for (Method method : Method.values()) {
            List<Batch> own = results.stream().filter(one -> one.method() == method).map(Result::batch).toList();
            byMethod.put(method, StepOdds.learnt(method.way().prior(), own));
            counted.put(method, own.size());
        }
    }

    /** Neither is believed in before it was tried. */
    private static final Rate NOTHING_KNOWN = Rate.of(1, 1);

    /**
     * Given with a spray of syrup and without, all ways together.
     *
     * @param with how many were sprayed, and how many of them were kept
     * @param without the same of those that were not
     * @param better chance that the spray does some good, by these counts alone; 0.5 says nothing
     */
    public record Spray(Count with, Count without, double better) {
    }

    /** What the operation's own say of the spray; empty while one of the two was never tried. */
    public static Optional<Spray> spray(List<Result> results) {
        Count with = count(results, true);
        Count without = count(results, false);
        return with.tried() == 0 || without.tried() == 0
                ? Optional.empty()
                : Optional.of(new Spray(with, without,
                        NOTHING_KNOWN.updatedBy(with.succeeded(), with.tried())
                                .chanceAbove(NOTHING_KNOWN.updatedBy(without.succeeded(), without.tried()))));
    }

    private static Count count(List<Result> results, boolean sprayed) {
        List<Result> those = results.stream().filter(one -> one.sprayed() == sprayed).toList();
        return new Count(those.size(), (int) those.stream().filter(Result::kept).count());
    }

    /** Whether somebody else was in there: then the outcome says nothing of the way. */
    public static boolean saysOfTheWay(IntroductionDeed.Cause cause) {
        return switch (cause) {
            case NONE, BALLED, TOO_FEW_YOUNG_BEES, DID_NOT_MATE, UNKNOWN -> true;
            case ANOTHER_QUEEN, VIRGIN_THERE, CELLS_THERE, WORKERS_LAY, ROBBED -> false;
        };
    }

    private static Around around(LocalDate day, String yard) {
        return Around.graftOf(day).with(Circumstance.YARD, yard);
    }

    /** What is believed of each way on that day in that yard. */
    public Map<Method, Rate> at(LocalDate day, String yard) {
        Map<Method, Rate> rates = new EnumMap<>(Method.class);
        byMethod.forEach((method, odds) -> rates.put(method, odds.at(around(day, yard))));
        return rates;
    }

    /** How many of the operation's own this rests on. */
    public int counted(Method method) {
        return counted.getOrDefault(method, 0);
    }
}
