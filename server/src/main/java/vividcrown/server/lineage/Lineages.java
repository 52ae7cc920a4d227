package vividcrown.server.lineage;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.lineage.BroodLoss;
import vividcrown.core.lineage.Mating;
import vividcrown.core.lineage.MatingOutlook;
import vividcrown.core.merit.Merit;
import vividcrown.core.merit.Score;
import vividcrown.core.merit.Trait;
import vividcrown.server.lineage.LineageViews.EstimateView;
import vividcrown.server.lineage.Stocks.Bee;
import vividcrown.server.lineage.Stocks.Stock;

/** The stock with its marks, as one question asks of it. */
@Component
class Lineages {

    /** Under that a number is nothing but the mean. */
    private static final double TELLS = 0.01;

    private final Stocks stocks;
    private final Marks marks;

    Lineages(Stocks stocks, Marks marks) {
        this.stocks = stocks;
        this.marks = marks;
    }

    /** @param merits by trait, of every trait that was marked at all */
    record Known(Stock stock, List<Score> scores, Map<Trait, Merit> merits) {
        List<EstimateView> of(UUID queen) {
            return merits.entrySet().stream()
                    .flatMap(one -> Optional.ofNullable(one.getValue().of().get(queen.toString()))
                            .filter(estimate -> estimate.reliability() > TELLS)
                            .map(estimate -> EstimateView.of(one.getKey(), estimate)).stream())
                    .toList();
        }

        Optional<Merit.Estimate> together(UUID queen) {
            return Marks.together(merits, queen);
        }

        /** Who is expected to be worth at least so much more than the mean, in marks. */
        List<UUID> atLeast(double least) {
            return stock.bees().keySet().stream()
                    .filter(id -> together(id).filter(one -> one.value() >= least).isPresent()).toList();
        }

        /** What her own brood is expected to lose, by whom she mated with. */
        MatingOutlook own(Bee queen) {
            return MatingOutlook.of(stock.kinship(), queen.id().toString(), MatingOutlook.Who.SHE,
                    Objects.requireNonNull(stock.matings().getOrDefault(queen.id(), Mating.UNKNOWN)),
                    BroodLoss.USUAL_ALLELES);
        }
    }

    Stock stock(LocalDate today) {
        return stocks.stock(today);
    }

    Known known(LocalDate today) {
        Stock stock = stocks.stock(today);
        List<Score> scores = marks.all(stock, today);
        return new Known(stock, scores, Marks.merits(stock, scores));
    }
}
