package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Stream;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.season.DroneColony;
import vividcrown.core.season.DroneMother;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.mating.Lot;
import vividcrown.core.season.mating.Trip;
import vividcrown.core.season.mating.YardChoice;
import vividcrown.core.season.supply.Supply;

/** Chooses the yards of a plan's batches, and tells what it makes of each yard. */
public final class YardPlan {

    /** Below this a virgin started there is a gamble. */
    private static final double GAMBLE = 0.8;

    private final SeasonBrief brief;
    private final Supply supply;
    private final Map<String, Demand> demands = new HashMap<>();
    private final List<DroneColony> drones;

    /** @param starts colonies that the plan gives drone comb */
    public YardPlan(SeasonBrief brief, Supply supply, List<DroneStart> starts) {
        this.brief = brief;
        this.supply = supply;
        brief.demands().forEach(one -> demands.put(one.id(), one));
        this.drones = Stream.concat(brief.drones().colonies().stream(), starts.stream().map(this::flying)).toList();
    }

    private DroneColony flying(DroneStart start) {
        Set<String> reaches = brief.drones().mothers().stream().filter(one -> one.colony().equals(start.colony()))
                .map(DroneMother::reaches).findFirst().orElse(Set.of());
        return new DroneColony(start.colony(), start.mother(),
                start.firstGraft().plusDays(brief.flightsAfter()), reaches);
    }

    /**
     * The same batches, each told where its cells go; unchanged if nobody asks where.
     *
     * @param wanting demands that do not hold: whatever is for them goes where most will lay, however far it is
     */
    List<PlannedBatch> placed(List<PlannedBatch> batches, Set<String> wanting) {
        return placed(batches, batch -> lot(batch, wanting));
    }

    private List<PlannedBatch> placed(List<PlannedBatch> batches, Function<PlannedBatch, Lot> lotOf) {
        if (brief.means().yards().isEmpty()) {
            return batches;
        }
        List<Integer> ofQueens = new ArrayList<>();
        List<Lot> lots = new ArrayList<>();
        for (int at = 0; at < batches.size(); at++) {
            Lot lot = lotOf.apply(batches.get(at));
            if (lot.cells() > 0) {
                ofQueens.add(at);
                lots.add(lot);
            }
        }
        if (lots.stream().noneMatch(lot -> lot.told().isEmpty())) {
            return batches;
        }
        List<List<PlannedBatch.At>> chosen = YardChoice.of(brief, supply, lots, drones);
        List<PlannedBatch> placed = new ArrayList<>(batches);
        for (int index = 0; index < lots.size(); index++) {
            if (lots.get(index).told().isEmpty()) {
                int at = ofQueens.get(index);
                placed.set(at, batches.get(at).with(chosen.get(index)));
            }
        }
        return placed;
    }

    /** With so many cells at each yard as the batch has now, shared out as it was. */
    PlannedBatch counted(PlannedBatch batch) {
        int cells = lot(batch, Set.of()).cells();
        return batch.with(batch.sharedOut(cells).stream()
                .map(one -> new PlannedBatch.At(one.getKey(), one.getValue())).toList());
    }

    private Lot lot(PlannedBatch batch, Set<String> wanting) {
        List<Lot.Stay> stays = new ArrayList<>();
        int asked = 0;
        double upToHere = 0;
        int given = 0;
        for (PlannedBatch.Share share : brief.forQueens(batch.shares())) {
            // whole cells, and together no more than the batch has on average
            upToHere += supply.ripeOnAverage(batch.day(), share.cups(), batch.around());
            int cells = (int) Math.max(given == 0 ? 1 : 0, Math.round(upToHere) - given);
            given += cells;
            asked += Objects.requireNonNull(demands.get(share.demand())).line().isPresent() ? cells : 0;
            stays.add(new Lot.Stay(cells, share.delivery()));
        }
        return new Lot(batch.day(), Optional.of(batch.line()), asked, Optional.of(batch.breeder()), stays,
                brief.forQueens(batch.shares()).stream().anyMatch(share -> wanting.contains(share.demand()))
                        ? Lot.WANTED_MINUTES
                        : Lot.RAISING_MINUTES);
    }

    /**
     * The same where nobody has said it yet, beside those of which it was said: grafts that were planned by hand, or long ago.
     */
    List<PlannedBatch> placedWhereOpen(List<PlannedBatch> batches) {
        return placed(batches, batch -> lot(batch, Set.of()).at(counted(batch).at()));
    }

    /** By yard, as they were given. */
    public List<YardUse> uses(List<PlannedBatch> batches) {
        Workload workload = new Workload(brief, supply, batches);
        return brief.means().yards().stream().map(yard -> use(yard, batches, workload)).toList();
    }

    private YardUse use(MatingYard yard, List<PlannedBatch> batches, Workload workload) {
        TreeMap<LocalDate, Double> virgins = new TreeMap<>();
        Set<String> lines = new TreeSet<>();
        double laying = 0;
        for (PlannedBatch batch : batches) {
            double part = batch.partAt(yard.id());
            if (part > 0) {
                double cells = part * supply.ripeOnAverage(batch.day(),
                        brief.forQueens(batch.shares()).stream().mapToInt(PlannedBatch.Share::cups).sum(),
                        batch.around());
                virgins.merge(batch.day(), cells, Double::sum);
                laying += cells * supply.rate(LossStep.MATING, batch.day(),
                        batch.around().with(Circumstance.YARD, yard.id())).mean();
                lines.add(batch.line());
            }
        }
        double cells = virgins.values().stream().mapToDouble(Double::doubleValue).sum();
        List<Trip> trips = workload.trips().stream().filter(trip -> trip.yard().equals(yard.id())).toList();
        return new YardUse(yard.id(), (int) Math.round(cells), workload.mostAt(yard.id()), yard.nucs(),
                cells > 0 ? laying / cells : 0, trips.size(),
                trips.stream().mapToInt(Trip::minutes).sum() / 60.0, reasons(yard, virgins, lines));
    }

    private List<Reason> reasons(MatingYard yard, TreeMap<LocalDate, Double> virgins, Set<String> lines) {
        List<Reason> reasons = new ArrayList<>();
        yard.lines().stream().sorted().forEach(line -> reasons.add(Reason.of(Source.derived("the lines wished there"),
                lines.contains(line)
                        ? "plan.yard.wished"
                        : lines.isEmpty() ? "plan.yard.kept" : "plan.yard.lent",
                line)));
        virgins.keySet().stream().min((one, two) -> Double.compare(supply.matingWeatherAt(yard.id(), one),
                supply.matingWeatherAt(yard.id(), two))).ifPresent(worst -> {
                    double weather = supply.matingWeatherAt(yard.id(), worst);
                    reasons.add(Reason.of(Source.derived("chance of two fit afternoons there, emergence + 5 to + 21"),
                            weather < GAMBLE ? "plan.yard.gamble" : "plan.yard.weather", worst,
                            Math.round(weather * 100) + " %"));
                });
        if (!drones.isEmpty()) {
            virgins.keySet().stream().map(graft -> shortOfDrones(yard, virgins, graft)).flatMap(Optional::stream)
                    .findFirst()
                    .ifPresent(reasons::add);
        }
        return reasons;
    }

    private Optional<Reason> shortOfDrones(MatingYard yard, TreeMap<LocalDate, Double> virgins, LocalDate graft) {
        LocalDate flights = graft.plusDays(brief.flightsAfter());
        int flying = YardChoice.flying(drones, yard.id(), flights);
        int wanted = DroneColony.wantedFor(virgins, graft);
        return flying >= wanted
                ? Optional.empty()
                : Optional.of(Reason.of(Source.COMMON_PRACTICE, "plan.yard.drones", flights, flying, wanted));
    }
}
