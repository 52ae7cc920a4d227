package vividcrown.server.season;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import vividcrown.core.demand.Product;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.unfold.WeekAhead;
import vividcrown.server.wire.ReasonView;

/**
 * The week ahead.
 *
 * @param grafts by day
 * @param placings ripe cells by day
 * @param keptBack queens of today that are kept for other orders
 * @param orders how each order stands if nothing more is done
 * @param notes what stands in the way
 */
record WeekAheadView(List<GraftStepView> grafts, List<PlacingView> placings, List<KeptBackView> keptBack,
        List<WeekOrderView> orders, List<ReasonView> notes) {

    /**
     * @param kind as what it is to be handed over
     * @param line it has to be of; left out if it does not matter
     * @param place of its ripe cells, so many at most are worth a nuc
     * @param ifs by the takes of the graft before
     */
    record GraftStepView(LocalDate day, SupplyKind kind, @Nullable String line, int cups, int place, List<TakesIf> ifs,
            List<ReasonView> reasons) {
    }

    /** @param takes counted of the graft before, about @param cups then */
    record TakesIf(int takes, int cups) {
    }

    /**
     * @param batch which cells
     * @param ripe about so many are ripe that day
     * @param place of these that are worth a nuc
     * @param over that nobody would get the queen of
     * @param at of those that are placed, how many at which yard; empty if nobody asks where
     */
    record PlacingView(LocalDate day, String batch, int ripe, int place, int over, List<CellsAtYard> at,
            List<ReasonView> reasons) {
    }

    /**
     * @param demand an order of today that is not whole
     * @param there queens for it, at most as many as are missing
     * @param give of these that are handed over today
     * @param others orders for which the rest is kept
     */
    record KeptBackView(LocalDate day, String demand, int there, int give, List<String> others,
            List<ReasonView> reasons) {
    }

    /** @param cells that are to be placed there */
    record CellsAtYard(String yard, int cells) {
    }

    /**
     * @param ifNothingMore chance of the whole number in time with what lives alone, 0–1
     * @param helpsUntil last day on which a graft still helps it; left out if none does
     */
    record WeekOrderView(String demand, Product product, int count, LocalDate until, double ifNothingMore,
            @Nullable LocalDate helpsUntil) {
    }

    static WeekAheadView of(WeekAhead week) {
        return new WeekAheadView(
                week.steps().stream().filter(WeekAhead.Grafts.class::isInstance).map(WeekAhead.Grafts.class::cast)
                        .map(one -> new GraftStepView(one.day(), one.kind(), one.line().orElse(null), one.cups(),
                                one.place(),
                                one.ifs().stream().map(then -> new TakesIf(then.takes(), then.cups())).toList(),
                                ReasonView.of(one.reasons())))
                        .toList(),
                week.steps().stream().filter(WeekAhead.Places.class::isInstance).map(WeekAhead.Places.class::cast)
                        .map(one -> new PlacingView(one.day(), one.batch(), one.ripe(), one.place(),
                                one.over(),
                                one.at().stream().map(there -> new CellsAtYard(there.yard(), there.cells())).toList(),
                                ReasonView.of(one.reasons())))
                        .toList(),
                week.steps().stream().filter(WeekAhead.KeepsBack.class::isInstance)
                        .map(WeekAhead.KeepsBack.class::cast)
                        .map(one -> new KeptBackView(one.day(), one.demand().id(), one.there(), one.give(),
                                one.others(), ReasonView.of(one.reasons())))
                        .toList(),
                week.orders().stream()
                        .map(one -> new WeekOrderView(one.demand().id(), one.demand().product(), one.demand().count(),
                                one.demand().until(), Math.round(1000 * one.ifNothingMore()) / 1000.0,
                                one.helpsUntil().orElse(null)))
                        .toList(),
                ReasonView.of(week.notes()));
    }
}
