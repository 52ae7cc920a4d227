package vividcrown.core.season.mating;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.supply.Supply;

/**
 * A way to a yard and back.
 *
 * @param minutes of driving
 */
public record Trip(String yard, LocalDate day, int minutes) {

    /** All that a plan's batches take, wherever their virgins are to mate: none if nobody asks where. */
    public static List<Trip> of(SeasonBrief brief, Supply supply, List<PlannedBatch> batches) {
        if (brief.means().yards().isEmpty()) {
            return List.of();
        }
        Visits visits = new Visits(brief, supply);
        Map<String, List<Visits.Visit>> wanted = new TreeMap<>();
        for (PlannedBatch batch : batches) {
            List<LocalDate> caught = brief.forQueens(batch.shares()).stream().map(PlannedBatch.Share::delivery)
                    .toList();
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
