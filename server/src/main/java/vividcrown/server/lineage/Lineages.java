package vividcrown.server.lineage;

import java.lang.ref.SoftReference;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.jdbc.core.simple.JdbcClient;
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
import vividcrown.server.operation.CurrentOperation;

/** The stock with its marks, as one question asks of it. */
@Component
class Lineages {

    /** Under that a number is nothing but the mean. */
    private static final double TELLS = 0.01;

    private final Stocks stocks;
    private final Marks marks;
    private final JdbcClient jdbc;
    /** By operation: a stock of ten seasons takes seconds to put together, and changes only with the record. */
    private final Map<UUID, SoftReference<Kept>> kept = new ConcurrentHashMap<>();

    /** @param entry the newest of the record when it was put together */
    private record Kept(long entry, LocalDate day, Known known) {
    }

    Lineages(Stocks stocks, Marks marks, JdbcClient jdbc) {
        this.stocks = stocks;
        this.marks = marks;
        this.jdbc = jdbc;
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
        UUID operation = CurrentOperation.require();
        // asked before anything is read: what is recorded meanwhile makes it old
        long newest = jdbc.sql("select coalesce(max(sequence), 0) from journal_entry where operation_id = ?")
                .param(operation).query(Long.class).single();
        Optional<Known> before = Optional.ofNullable(kept.get(operation)).map(SoftReference::get)
                .filter(one -> one.entry() == newest && one.day().equals(today)).map(Kept::known);
        return before.orElseGet(() -> {
            Stock stock = stocks.stock(today);
            List<Score> scores = marks.all(stock, today);
            Known known = new Known(stock, scores, Marks.merits(stock, scores));
            kept.put(operation, new SoftReference<>(new Kept(newest, today, known)));
            return known;
        });
    }
}
