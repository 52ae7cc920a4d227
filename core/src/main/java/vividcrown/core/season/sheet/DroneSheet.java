package vividcrown.core.season.sheet;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.Drones;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.plan.DroneStart;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * Drones for the virgins of one graft.
 *
 * @param comb when drone comb must be in a drone colony
 * @param flights the days on which the virgins may fly
 * @param virgins how many fly together on these days, grafts of other days among them, on average
 * @param coloniesWanted drone colonies for them, at {@link DroneColony#VIRGINS_EACH} each
 * @param coloniesReady of those there are and those the plan gives comb: ripe in time and not of the graft's own mother
 */
public record DroneSheet(LocalDate graft, String breeder, DatedSpan comb, DatedSpan flights, int virgins,
        int coloniesWanted, int coloniesReady, List<Reason> warnings) {

    public DroneSheet {
        warnings = List.copyOf(warnings);
    }

    /**
     * One for each graft whose virgins are to mate.
     *
     * @param starts colonies that are to be given drone comb
     */
    public static List<DroneSheet> of(SeasonBrief brief, List<PlannedBatch> batches, List<DroneStart> starts) {
        Supply supply = new Supply(brief);
        List<PlannedBatch> mating = batches.stream().filter(batch -> mates(brief, batch)).toList();
        List<DroneColony> colonies = new ArrayList<>(brief.drones().colonies());
        int lead = brief.expected().assumptions().span(Figure.DRONE_LEAD).earliestDay();
        starts.forEach(start -> colonies.add(new DroneColony(start.colony(), start.mother(),
                start.combIn().latest().plusDays(lead))));
        return mating.stream().map(batch -> sheet(brief, supply, batch, mating, colonies)).toList();
    }

    private static boolean mates(SeasonBrief brief, PlannedBatch batch) {
        return !brief.forQueens(batch.shares()).isEmpty();
    }

    private static DroneSheet sheet(SeasonBrief brief, Supply supply, PlannedBatch batch, List<PlannedBatch> mating,
            List<DroneColony> colonies) {
        GraftCalendar calendar = GraftCalendar.of(brief.expected().how().on(batch.day()),
                brief.expected().assumptions());
        DatedSpan comb = calendar.when(StepKind.DRONE_COMB).orElseThrow();
        DaySpan flightDays = brief.expected().assumptions().span(Figure.MATING_FLIGHTS);
        DatedSpan flights = calendar.when(StepKind.EMERGENCE).orElseThrow().plus(flightDays);
        int virgins = mating.stream()
                .filter(other -> Math
                        .abs(ChronoUnit.DAYS.between(other.day(), batch.day())) <= DroneColony.TOGETHER_DAYS)
                .mapToInt(other -> supply.ripe(other.day(), other.cups())).sum();
        int wanted = Math.ceilDiv(virgins, DroneColony.VIRGINS_EACH);
        List<DroneColony> ripe = colonies.stream()
                .filter(one -> !one.matureFrom().isAfter(flights.earliest())).toList();
        List<DroneColony> unrelated = ripe.stream().filter(one -> !one.mother().equals(batch.breeder())).toList();
        List<Reason> warnings = new ArrayList<>();
        if (comb.latest().isBefore(brief.today()) && unrelated.isEmpty()) {
            warnings.add(Reason.of(brief.expected().assumptions().source(Figure.DRONE_LEAD), "plan.drones.late", comb));
        }
        ripe.stream().filter(one -> one.mother().equals(batch.breeder())).forEach(
                one -> warnings.add(Reason.of(Source.COMMON_PRACTICE, "plan.drones.related", one.id())));
        if (!colonies.isEmpty() && unrelated.size() < wanted) {
            warnings.add(Reason.of(Source.BUECHLER_2013, "plan.drones.few", virgins, wanted,
                    unrelated.size()));
        }
        return new DroneSheet(batch.day(), batch.breeder(), comb, flights, virgins, wanted, unrelated.size(), warnings);
    }
}
