package vividcrown.core.season.unfold;

import static org.assertj.core.api.Assertions.assertThat;
import static vividcrown.core.season.Seasons.builder;
import static vividcrown.core.season.Seasons.day;
import static vividcrown.core.season.Seasons.order;

import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.hipparchus.distribution.discrete.BinomialDistribution;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.season.Crew;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.recipe.WorkTime;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.season.supply.Yield;

/**
 * One order at its last graft: two decisions, cups now and cells to place ten days later, whose cost can be written out exactly from the
 * beta-binomial distributions (a newsvendor with two stages; Birge &amp; Louveaux 2011, from memory). What is chosen from draws must cost
 * hardly more than the best of all choices.
 */
class ExactChoiceTest {

    private static final int DELIVERED = 33;
    private static final int USUAL_LOAD = 38;
    private static final int MOST = 170;

    @ParameterizedTest
    @CsvSource({"30, 60, 2400, 20", "12, 60, 600, 60", "45, 200, 0, 40"})
    void what_is_chosen_costs_hardly_more_than_the_exact_best(int wanted, double lateQueen, double lateOrder,
            double wasted) {
        SeasonBrief brief = Seasons.brief(List.of(order("A", Product.MATED_QUEENS, wanted, DELIVERED, DELIVERED)),
                List.of(builder("B 1", 45)), 400, Crew.EVERY_DAY);
        SeasonWorth worth = new SeasonWorth(lateQueen, lateOrder, wasted, 0.2);
        Ahead.Graft chosen = new Ahead(brief.with(worth), List.of(), 512, 7)
                .grafts(Map.of(SupplyKind.QUEENS, day(7)), 400, USUAL_LOAD).getFirst();
        Supply supply = new Supply(brief);
        double[] ofPlaced = ofPlaced(supply, wanted, worth);
        double placing = new Timing(brief, supply).placing(worth);
        double best = Double.MAX_VALUE;
        for (int cups = 0; cups <= MOST; cups++) {
            double[] come = Yield.ofBatch(cups, List.of(rate(supply, LossStep.TAKE), rate(supply, LossStep.SOUND)))
                    .chances();
            for (int place = 0; place <= cups; place++) {
                best = Math.min(best, cost(come, cups, place, ofPlaced, placing));
            }
        }
        double[] ripe = Yield.ofBatch(chosen.cups(), List.of(rate(supply, LossStep.TAKE), rate(supply, LossStep.SOUND)))
                .chances();
        // how many are placed is asked again when they are ripe
        double cost = IntStream.rangeClosed(0, chosen.cups())
                .mapToDouble(place -> cost(ripe, chosen.cups(), place, ofPlaced, placing)).min().orElseThrow();
        assertThat(cost).isLessThan(1.02 * best);
    }

    private static Rate rate(Supply supply, LossStep step) {
        return supply.rate(step, day(0), supply.usual());
    }

    /** By the number of cells placed: what is missing on the day, and what is over in the end, in minutes. */
    private static double[] ofPlaced(Supply supply, int wanted, SeasonWorth worth) {
        double laying = supply.laying(Product.MATED_QUEENS, day(0), day(DELIVERED));
        double[] costs = new double[MOST + 1];
        for (int placed = 0; placed <= MOST; placed++) {
            double[] mated = Yield.ofBatch(placed,
                    List.of(rate(supply, LossStep.EMERGENCE), rate(supply, LossStep.MATING))).chances();
            for (int queens = 0; queens < mated.length; queens++) {
                if (mated[queens] < 1e-12) {
                    continue;
                }
                BinomialDistribution lays = new BinomialDistribution(queens, laying);
                for (int there = 0; there <= queens; there++) {
                    int missing = Math.max(0, wanted - there);
                    double cost = missing * worth.lateQueen() + (missing > 0 ? worth.lateOrder() : 0)
                            + (queens - Math.min(wanted, there)) * worth.wastedQueen();
                    costs[placed] += mated[queens] * lays.probability(there) * cost;
                }
            }
        }
        return costs;
    }

    private static double cost(double[] ripe, int cups, int place, double[] ofPlaced, double placing) {
        double cost = cups * WorkTime.GRAFT_A_CUP + WorkTime.LOAD * Math.ceilDiv(cups, USUAL_LOAD);
        for (int cells = 0; cells < ripe.length; cells++) {
            int placed = Math.min(cells, place);
            cost += ripe[cells] * (ofPlaced[placed] + placed * placing);
        }
        return cost;
    }
}
