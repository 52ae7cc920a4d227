package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.RunningShares;
import vividcrown.core.season.supply.Supply;

/** What lives, by what it is to be handed over as: cells and virgins for orders that want them in their time, all the rest as queens. */
final class Stocks {

    private Stocks() {
    }

    static List<Stock> of(SeasonBrief brief) {
        List<PromiseGroup> groups = PromiseGroup.of(brief.demands(), brief.today());
        RunningShares shares = new RunningShares(brief, groups, new Supply(brief));
        List<Stock> stocks = new ArrayList<>();
        // two rows may be alike in everything, and are two all the same
        Map<RunningBatch, Integer> taken = new IdentityHashMap<>();
        for (PromiseGroup group : groups) {
            SupplyKind kind = SupplyKind.of(group.product());
            if (kind != SupplyKind.QUEENS) {
                shares.shares(group).forEach(share -> {
                    stocks.add(new Stock(share.batch().with(share.alive()), kind, share.alive(), false));
                    taken.merge(share.batch(), share.alive(), Integer::sum);
                });
            }
        }
        NucsForCells nucs = new NucsForCells(brief.means());
        brief.underway().running().stream().sorted(Comparator.comparing(RunningBatch::graftDay)).forEach(batch -> {
            int left = batch.alive() - taken.getOrDefault(batch, 0);
            if (left > 0) {
                stocks.add(inNucs(brief, new Stock(batch.with(left), SupplyKind.QUEENS, left, false), nucs));
            }
        });
        return stocks;
    }

    /** Of cells that hang still no more than there are nucs for. */
    private static Stock inNucs(SeasonBrief brief, Stock stock, NucsForCells nucs) {
        LocalDate ripeOn = stock.graft().plusDays(brief.ripeAfter());
        if (stock.isPlaced(ripeOn, brief.today())) {
            return stock;
        }
        int there = Math.min(nucs.left(ripeOn),
                brief.means().freeNucs(ripeOn.minusDays(1), stock.lineAsked(brief.demands())));
        int place = Math.min(there, stock.meant());
        nucs.place(ripeOn, place);
        return new Stock(stock.batch(), stock.kind(), place, stock.planned());
    }
}
