package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import vividcrown.core.demand.Product;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;

/** Looks through a finished plan for anything that cannot be done, from its grafts alone. */
final class LimitsBroken {

    private LimitsBroken() {
    }

    static List<String> by(SeasonPlan plan, SeasonBrief brief) {
        List<String> broken = new ArrayList<>();
        Map<String, CellBuilder> builders = brief.means().builders().stream()
                .collect(Collectors.toMap(CellBuilder::id, one -> one));
        Map<String, TreeSet<LocalDate>> loaded = new TreeMap<>();
        Map<String, Integer> cups = new TreeMap<>();
        Map<LocalDate, Double> nucs = new TreeMap<>();
        for (PlannedBatch batch : plan.batches()) {
            loaded.computeIfAbsent(batch.builder(), _ -> new TreeSet<>()).add(batch.day());
            cups.merge(batch.builder() + batch.day(), batch.cups(), Integer::sum);
            if (cups.get(batch.builder() + batch.day()) > builders.get(batch.builder()).load()) {
                broken.add("too many cups in " + batch);
            }
            if (!brief.means().crew().works(batch.day()) || !brief.means().crew().works(batch.day().plusDays(10))) {
                broken.add("on a day off: " + batch);
            }
            for (PlannedBatch.Share share : batch.shares()) {
                Demand demand = brief.demands().stream().filter(one -> one.id().equals(share.demand())).findFirst()
                        .orElseThrow();
                if (demand.line().filter(line -> !line.equals(batch.line())).isPresent()) {
                    broken.add("wrong line: " + batch);
                }
                if (demand.product() == Product.MATED_QUEENS || demand.product() == Product.NUCS_WITH_QUEEN) {
                    batch.day().plusDays(10).datesUntil(share.delivery())
                            .forEach(day -> nucs.merge(day, share.cups() * 0.85 * 0.925, Double::sum));
                }
            }
        }
        nucs.forEach((day, used) -> {
            // on average; what takes a nuc is whole
            if (Math.floor(used + 1e-6) > brief.means().nucs()) {
                broken.add("too few nucs on " + day + ": " + used);
            }
        });
        loaded.forEach((id, days) -> {
            var rhythm = builders.get(id).rhythm();
            for (LocalDate day : days) {
                if (days.subSet(day.minusDays(rhythm.daysBetweenLoads() - 1L), true, day, true).size() > 1) {
                    broken.add(id + " loaded again too soon: " + day);
                }
                if (days.subSet(day.minusDays(rhythm.restStretchDays() - 1L), true, day, true).size() > rhythm
                        .loadsBeforeRest()) {
                    broken.add(id + " got no rest: " + day);
                }
            }
        });
        return broken;
    }
}
