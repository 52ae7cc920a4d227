package vividcrown.core.season.supply;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import vividcrown.core.demand.Product;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.demand.SupplyKind;

/**
 * Demand against the supply to be expected, both added up from today, with the band in which the supply lies eight times
 * out of ten: its lower edge is missed one time in ten, as a promise with the usual assurance is. Cells count as cells, virgins as virgins: one band for each kind.
 *
 * @param days the points: weekly, and each day on which something is due
 */
public record SupplyBand(SupplyKind kind, List<Point> days) {

    /**
     * @param demanded promised until then
     * @param low not fewer, nine times out of ten
     * @param middle as often more as fewer
     * @param high not more, nine times out of ten
     */
    public record Point(LocalDate day, int demanded, int low, int middle, int high) {
    }

    public SupplyBand {
        days = List.copyOf(days);
    }

    /** @param plan its grafts, with what is on its way */
    public static List<SupplyBand> of(SeasonBrief brief, List<PlannedBatch> plan) {
        Map<SupplyKind, List<Demand>> byKind = brief.demands().stream()
                .collect(Collectors.groupingBy(one -> SupplyKind.of(one.product())));
        List<SupplyBand> bands = new ArrayList<>();
        for (SupplyKind kind : SupplyKind.values()) {
            if (byKind.containsKey(kind)) {
                bands.add(new Reckoning(brief, plan, kind, byKind.get(kind)).band());
            }
        }
        return bands;
    }

    private record Reckoning(SeasonBrief brief, List<PlannedBatch> plan, SupplyKind kind, List<Demand> demands) {

        SupplyBand band() {
            Supply supply = new Supply(brief);
            LocalDate last = demands.stream().map(Demand::until).filter(day -> !day.isAfter(brief.until()))
                    .max(LocalDate::compareTo).orElse(brief.until());
            List<RunningBatch> running = running(supply);
            TreeSet<LocalDate> days = new TreeSet<>();
            for (LocalDate day = brief.today(); day.isBefore(last); day = day.plusWeeks(1)) {
                days.add(day);
            }
            demands.stream().map(Demand::until).filter(day -> !day.isAfter(last)).forEach(days::add);
            days.add(last);
            List<Point> points = days.stream().map(day -> point(supply, running, day)).toList();
            return new SupplyBand(kind, points);
        }

        /**
         * What is on its way as this kind: cells and virgins that are set aside for demands; all the rest will be queens.
         */
        private List<RunningBatch> running(Supply supply) {
            List<PromiseGroup> groups = PromiseGroup.of(brief.demands(), brief.today());
            RunningShares shares = new RunningShares(brief, groups, supply);
            Map<RunningBatch, Integer> alive = new LinkedHashMap<>();
            if (kind == SupplyKind.QUEENS) {
                brief.underway().running().forEach(batch -> alive.put(batch, batch.alive()));
            }
            for (PromiseGroup group : groups) {
                SupplyKind servedAs = SupplyKind.of(group.product());
                shares.shares(group).forEach(share -> {
                    if (kind == SupplyKind.QUEENS && servedAs != SupplyKind.QUEENS) {
                        alive.merge(share.batch(), -share.alive(), Integer::sum);
                    } else if (kind != SupplyKind.QUEENS && servedAs == kind) {
                        alive.merge(share.batch(), share.alive(), Integer::sum);
                    }
                });
            }
            return alive.entrySet().stream().map(one -> one.getKey().with(one.getValue())).toList();
        }

        private Point point(Supply supply, List<RunningBatch> running, LocalDate day) {
            int demanded = demands.stream().filter(one -> !one.until().isAfter(day)).mapToInt(Demand::count).sum();
            Yield all = Yield.NOTHING;
            Product product = product();
            for (RunningBatch batch : running) {
                if (!day.isBefore(batch.graftDay().plusDays(supply.soonest(product)))
                        && batch.passed().size() <= product.losses().size()) {
                    all = all.plus(supply.ofRunning(batch, batch.alive(), product, day));
                }
            }
            Map<LocalDate, List<Supply.Part>> grafted = plan.stream().filter(one -> !day
                    .isBefore(one.day().plusDays(supply.soonest(product))))
                    .collect(Collectors.groupingBy(PlannedBatch::day, Collectors.flatMapping(
                            one -> Supply.Part.of(one, cupsFor(one), kind).stream(), Collectors.toList())));
            for (Map.Entry<LocalDate, List<Supply.Part>> graft : grafted.entrySet()) {
                all = all.plus(supply.yield(product, graft.getKey(), day, graft.getValue()));
            }
            return new Point(day, demanded, all.quantile(0.1), all.quantile(0.5), all.quantile(0.9));
        }

        private Product product() {
            return switch (kind) {
                case CELLS -> Product.RIPE_CELLS;
                case VIRGINS -> Product.VIRGINS;
                case QUEENS -> Product.MATED_QUEENS;
            };
        }

        private int cupsFor(PlannedBatch batch) {
            return batch.shares().stream().filter(share -> demands.stream()
                    .anyMatch(demand -> demand.id().equals(share.demand()))).mapToInt(PlannedBatch.Share::cups).sum();
        }
    }
}
