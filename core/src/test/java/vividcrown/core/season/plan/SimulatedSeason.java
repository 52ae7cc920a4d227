package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.SplittableRandom;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Rate;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.supply.Supply;

/** Draws what really comes of grafts: each batch draws its luck at each step, each cup its own. */
final class SimulatedSeason {

    private final Supply supply;
    private final UniformRandomProvider random;

    SimulatedSeason(SeasonBrief brief, long seed) {
        this.supply = new Supply(brief);
        this.random = new SplittableRandom(seed)::nextLong;
    }

    int comesOf(Product product, LocalDate graft, LocalDate delivery, int cups) {
        return comesOf(product, graft, delivery, cups, supply.usual());
    }

    int comesOf(Product product, LocalDate graft, LocalDate delivery, int cups, Around around) {
        List<Rate> steps = supply.steps(product, graft, delivery, List.of(), around);
        int left = cups;
        for (Rate step : steps) {
            double share = BetaDistribution.of(step.successes(), step.failures()).createSampler(random).sample();
            left = left == 0 ? 0 : BinomialDistribution.of(left, share).createSampler(random).sample();
        }
        return left;
    }
}
