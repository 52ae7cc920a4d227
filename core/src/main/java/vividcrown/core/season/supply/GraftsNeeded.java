package vividcrown.core.season.supply;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Wrong;

/**
 * The smallest number of grafts that meets a demand with the chosen assurance, and which step holds it back.
 *
 * @param grafts how many; empty if more than {@link #MOST_GRAFTS} would be needed
 * @param yield what comes of them; of {@link #MOST_GRAFTS} if they do not do
 * @param chance of meeting the demand with that yield
 * @param steps what one percentage point more would be worth at each step, the most valuable first
 */
public record GraftsNeeded(Optional<Integer> grafts, Yield yield, double chance, List<StepWorth> steps,
        List<Reason> reasons) {

    /** More than a season's bars for one order; beyond it the plan is at fault, not the number. */
    public static final int MOST_GRAFTS = 1_200;

    public GraftsNeeded {
        steps = List.copyOf(steps);
        reasons = List.copyOf(reasons);
    }

    /**
     * @param mean share that comes through
     * @param grafts grafts that would do with one percentage point more
     * @param chance of meeting the demand with the same grafts and one percentage point more
     */
    public record StepWorth(LossStep step, double mean, Optional<Integer> grafts, double chance) {
    }

    /**
     * @param wanted how many, at least 1
     * @param assurance chance of having them, between 0.5 and 0.999
     * @param batches on how many different days the grafts are made, at least 1
     * @param rates belief about each step, in place of the trade's
     */
    public static GraftsNeeded forDemand(Product product, int wanted, double assurance, int batches,
            Map<LossStep, Rate> rates) {
        if (wanted < 1 || wanted > MOST_GRAFTS) {
            throw Wrong.of("wrong.GraftsNeeded", MOST_GRAFTS, wanted);
        }
        if (!(assurance >= 0.5 && assurance <= 0.999)) {
            throw Wrong.of("wrong.GraftsNeeded.2", assurance);
        }
        if (batches < 1 || batches > 40) {
            throw Wrong.of("wrong.GraftsNeeded.3", batches);
        }
        List<LossStep> losses = product.losses();
        List<Rate> steps = losses.stream().map(step -> rates.getOrDefault(step, step.prior())).toList();
        Optional<Integer> needed = smallest(wanted, assurance, batches, steps);
        Yield yield = Yield.ofBatches(needed.orElse(most(batches)), batches, steps);
        List<StepWorth> worth = new ArrayList<>();
        for (int index = 0; index < steps.size(); index++) {
            List<Rate> better = new ArrayList<>(steps);
            better.set(index, onePointMore(steps.get(index)));
            worth.add(new StepWorth(losses.get(index), steps.get(index).mean(),
                    smallest(wanted, assurance, batches, better),
                    Yield.ofBatches(needed.orElse(most(batches)), batches, better).atLeast(wanted)));
        }
        worth.sort((one, two) -> Double.compare(two.chance(), one.chance()));
        return new GraftsNeeded(needed, yield, yield.atLeast(wanted), worth,
                reasons(losses, steps, wanted, worth.getFirst()));
    }

    /** The distribution of one batch costs its square, so a single batch is kept shorter. */
    private static int most(int batches) {
        return Math.min(MOST_GRAFTS, 400 * batches);
    }

    /** The chance grows with the grafts, so halving finds it. */
    private static Optional<Integer> smallest(int wanted, double assurance, int batches, List<Rate> steps) {
        int most = most(batches);
        if (Yield.ofBatches(most, batches, steps).atLeast(wanted) < assurance) {
            return Optional.empty();
        }
        int tooFew = wanted - 1;
        int enough = most;
        while (enough - tooFew > 1) {
            int middle = (tooFew + enough) / 2;
            if (Yield.ofBatches(middle, batches, steps).atLeast(wanted) >= assurance) {
                enough = middle;
            } else {
                tooFew = middle;
            }
        }
        return Optional.of(enough);
    }

    private static Rate onePointMore(Rate rate) {
        double weight = rate.successes() + rate.failures();
        double mean = Math.min(0.999, rate.mean() + 0.01);
        return Rate.of(mean * weight, (1 - mean) * weight);
    }

    private static List<Reason> reasons(List<LossStep> losses, List<Rate> steps, int wanted, StepWorth weakest) {
        List<Reason> reasons = new ArrayList<>();
        double through = 1;
        for (int index = 0; index < losses.size(); index++) {
            through *= steps.get(index).mean();
            reasons.add(Reason.of(losses.get(index).source(), "season.step." + losses.get(index).name(),
                    percent(steps.get(index).mean())));
        }
        reasons.add(Reason.of(Source.derived("product of the steps"), "season.through", percent(through),
                Math.ceil(wanted / through)));
        reasons.add(Reason.of(Source.derived("the same reckoning with one percentage point more"), "season.weakest",
                weakest.step().name().toLowerCase(java.util.Locale.ROOT), percent(weakest.chance())));
        return reasons;
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
