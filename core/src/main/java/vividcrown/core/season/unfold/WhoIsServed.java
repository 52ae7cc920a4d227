package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/**
 * How the orders stand with what lives, if nothing more is grafted, and whom to ask to wait.
 *
 * @param chances by the demand's id: of its whole number in time, 0–1
 * @param keptBack of today's queens
 * @param behind who stands behind somebody who waits
 */
record WhoIsServed(Map<String, Double> chances, List<WeekAhead.KeepsBack> keptBack, List<Reason> behind) {

    private static final Source HANDED_OUT = Source.derived("what lives handed out to the orders, over many draws");
    /** Chance that an order loses or gains: with less nobody would do anything about it. */
    private static final double MUCH = 0.1;

    /**
     * @param draws the same ones whenever they are asked for
     * @param next the next day on which a graft for queens could be made
     */
    static WhoIsServed of(SeasonBrief brief, Supply supply, List<Stock> stocks, Supplier<Draws> draws,
            LocalDate next) {
        return new Reckoning(supply, draws, next, brief, stocks).served();
    }

    private static final class Reckoning {
        private final Supply supply;
        private final Supplier<Draws> draws;
        private final LocalDate next;
        private final List<WeekAhead.KeepsBack> keptBack = new ArrayList<>();
        private final SeasonBrief all;
        private final List<Stock> stocks;
        /** Of orders and of what lives, what is not settled yet. */
        private SeasonBrief open;
        private List<Stock> there;
        /** Of this, what those that were served before leave. */
        private List<Stock> left;

        Reckoning(Supply supply, Supplier<Draws> draws, LocalDate next, SeasonBrief all, List<Stock> stocks) {
            this.supply = supply;
            this.draws = draws;
            this.next = next;
            this.all = all;
            this.stocks = stocks;
            this.open = all;
            this.there = stocks;
            this.left = stocks;
        }

        WhoIsServed served() {
            Map<String, Double> first = chances(all, stocks);
            // of those at whom nobody has looked yet may be enough to make it whole
            new Timing(all, supply).ordersOfToday().stream().filter(one -> one.kind() == SupplyKind.QUEENS)
                    .map(Wanted::demand)
                    .forEach(order -> settle(order, first.getOrDefault(order.id(), 0.0) >= MUCH));
            Map<String, Double> chances = new HashMap<>(first);
            chances(open, there).forEach((id, chance) -> {
                if (!isBehind(id)) {
                    chances.put(id, chance);
                }
            });
            return new WhoIsServed(chances, keptBack, behindWhoWaits(chances));
        }

        /** Whether somebody who matters more is settled before it: he gets whatever comes. */
        private boolean isBehind(String order) {
            List<Demand> settled = all.demands().stream().filter(one -> !open.demands().contains(one)).toList();
            return all.demands().stream().filter(one -> one.id().equals(order))
                    .anyMatch(one -> settled.stream().anyMatch(first -> first.priority() < one.priority()));
        }

        private Map<String, Double> chances(SeasonBrief brief, List<Stock> lives) {
            return NothingMore.chances(brief, supply, lives, draws.get());
        }

        /** Of what is there for an order of today that is not whole with it others may become whole, and what nobody has looked at yet is theirs. */
        private void settle(Demand order, boolean mayBeWhole) {
            KeptBack kept = new KeptBack(open, supply, draws.get(), next);
            int most = Math.min(order.count(), kept.there(order, left));
            if (mayBeWhole) {
                left = kept.without(order, left, most);
                return;
            }
            List<Demand> others = open.demands().stream().filter(one -> !one.id().equals(order.id())).toList();
            SeasonBrief theirs = open.withDemands(others);
            int given = kept.given(order, left);
            Map<String, Double> low = chances(theirs, kept.without(order, there, most));
            Map<String, Double> high = chances(theirs, kept.without(order, there, given));
            List<String> better = others.stream().map(Demand::id)
                    .filter(id -> high.getOrDefault(id, 0.0) - low.getOrDefault(id, 0.0) >= MUCH).toList();
            if (!better.isEmpty()) {
                keptBack.add(new WeekAhead.KeepsBack(open.today(), order, most, given, better,
                        reasons(order, most, better, low, high)));
            }
            int handedOver = better.isEmpty() ? most : given;
            open = theirs;
            there = kept.without(order, there, handedOver);
            left = kept.without(order, left, handedOver);
        }

        private static List<Reason> reasons(Demand order, int most, List<String> better, Map<String, Double> low,
                Map<String, Double> high) {
            List<Reason> reasons = new ArrayList<>();
            reasons.add(Reason.of(HANDED_OUT, "week.keepBack", order.id(), most, order.count()));
            better.forEach(id -> reasons
                    .add(Reason.of(HANDED_OUT, "week.keepBack.for", id, percent(low, id), percent(high, id))));
            reasons.add(Reason.of(Source.derived("what is worth how much, in the settings"), "week.keepBack.worth",
                    order.id()));
            return reasons;
        }

        /** An order from which those that wait would take so much that somebody had better be told. */
        private List<Reason> behindWhoWaits(Map<String, Double> chances) {
            Map<String, Double> behind = NothingMore.chancesIfWaitingComeFirst(all, supply, stocks, draws.get());
            return all.demands().stream().map(Demand::id)
                    .filter(id -> keptBack.stream().noneMatch(one -> one.others().contains(id)))
                    .filter(id -> chances.getOrDefault(id, 0.0) - behind.getOrDefault(id, 0.0) >= MUCH)
                    .map(id -> Reason.of(HANDED_OUT, "week.waitsBefore", id, percent(chances, id),
                            percent(behind, id)))
                    .toList();
        }

        private static String percent(Map<String, Double> chances, String id) {
            return Math.round(100 * chances.getOrDefault(id, 0.0)) + " %";
        }
    }
}
