package vividcrown.core.season.supply;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;

/** What a planned graft is reckoned with: how much of it comes through each step, from this box, mother and hand. */
public final class Assumed {

    private Assumed() {
    }

    /**
     * One reason a step, up to what the graft is for; for mated queens where it is for nobody yet.
     *
     * @param batch one graft of a plan for this season
     */
    public static List<Reason> of(SeasonBrief brief, PlannedBatch batch) {
        Supply supply = new Supply(brief);
        Map<String, Product> products = brief.demands().stream()
                .collect(Collectors.toMap(Demand::id, Demand::product));
        Product product = Product.RIPE_CELLS;
        LocalDate delivery = batch.day().plusDays(supply.soonest(Product.MATED_QUEENS));
        for (PlannedBatch.Share share : batch.shares()) {
            Product wanted = Objects.requireNonNull(products.get(share.demand()));
            if (wanted.losses().size() >= product.losses().size()) {
                product = wanted;
                delivery = share.delivery();
            }
        }
        if (batch.shares().isEmpty()) {
            product = Product.MATED_QUEENS;
        }
        List<Rate> rates = supply.steps(product, batch.day(), delivery, List.of(), batch.around());
        List<Reason> reasons = new ArrayList<>();
        double left = batch.cups();
        for (int step = 0; step < rates.size(); step++) {
            left *= rates.get(step).mean();
            LossStep loss = product.losses().get(step);
            Source source = brief.expected().rates().steps().containsKey(loss)
                    ? Source.derived("own counts, this box, mother and hand taken into account")
                    : loss.source();
            reasons.add(Reason.of(source, "plan.assumed." + loss.name(), Math.round(left),
                    Math.round(rates.get(step).mean() * 100) + " %", delivery));
        }
        return reasons;
    }
}
