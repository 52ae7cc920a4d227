package vividcrown.core.season.mating;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/**
 * A way to a yard and back.
 *
 * @param minutes of driving
 */
public record Trip(String yard, LocalDate day, int minutes) {

    /** All that a plan's batches take, wherever their virgins are to mate: none if nobody asks where. */
    public static List<Trip> of(SeasonBrief brief, Supply supply, List<PlannedBatch> batches) {
        Visits visits = new Visits(brief, supply);
        Map<String, Demand> demands = brief.demands().stream().collect(Collectors.toMap(Demand::id, one -> one));
        Map<String, List<Visits.Visit>> wanted = new TreeMap<>();
        for (PlannedBatch batch : batches) {
            List<LocalDate> caught = batch.shares().stream()
                    .filter(share -> share.cups() > 0 && demands.containsKey(share.demand())
                            && SupplyKind.of(demands.get(share.demand()).product()) == SupplyKind.QUEENS)
                    .map(PlannedBatch.Share::delivery).toList();
            if (!caught.isEmpty()) {
                batch.at().stream().filter(at -> at.cells() > 0)
                        .forEach(at -> wanted.computeIfAbsent(at.yard(), _ -> new ArrayList<>())
                                .addAll(visits.of(batch.day(), caught)));
            }
        }
        List<Trip> trips = new ArrayList<>();
        wanted.forEach((yard, all) -> visits.fewest(all).forEach(day -> trips.add(new Trip(yard, day,
                brief.means().yard(yard).map(MatingYard::driveMinutes).orElse(0)))));
        return trips;
    }

}
