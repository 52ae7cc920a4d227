package vividcrown.core.season.sheet;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.stream.Collectors;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.supply.Supply;

/**
 * What a plan uses up, by week. Amounts are common practice, from memory: a litre of syrup and half a kilogram of pollen
 * feed for a load, a quarter litre of syrup for each nuc that is given a cell, twenty grams of candy a cage.
 *
 * @param weeks by the Monday of the week
 */
public record Shopping(Map<LocalDate, Map<Material, Integer>> weeks) {

    /** What is used up. The unit is in the name where it is not "pieces". */
    public enum Material {
        CELL_CUPS, GRAFTING_BARS, SYRUP_DECILITRES, POLLEN_FEED_GRAMS, INCUBATOR_CAGES, QUEEN_CAGES, CANDY_GRAMS,
        QUEENS_TO_PAINT, NUC_FRAMES
    }

    private static final int CUPS_A_BAR = 15;
    private static final int SYRUP_A_LOAD_DECILITRES = 10;
    private static final int SYRUP_A_NUC_DECILITRES = 3;
    private static final int POLLEN_FEED_A_LOAD_GRAMS = 500;
    private static final int CANDY_A_CAGE_GRAMS = 20;
    /** Frames that go with each nuc that is sold with its queen. */
    private static final int FRAMES_A_NUC_SOLD = 5;

    /** Of the grafts and of what is delivered when. */
    public static Shopping of(SeasonBrief brief, List<PlannedBatch> batches, Map<Demand, LocalDate> deliveries) {
        Map<LocalDate, Map<Material, Integer>> weeks = new TreeMap<>();
        Supply supply = new Supply(brief);
        Map<String, Demand> demands = brief.demands().stream().collect(Collectors.toMap(Demand::id, one -> one));
        batches.stream().map(one -> Map.entry(one.day(), one.builder())).distinct().forEach(load -> {
            use(weeks, load.getKey().minusDays(1), Material.SYRUP_DECILITRES, SYRUP_A_LOAD_DECILITRES);
            use(weeks, load.getKey().minusDays(1), Material.POLLEN_FEED_GRAMS, POLLEN_FEED_A_LOAD_GRAMS);
        });
        for (PlannedBatch batch : batches) {
            use(weeks, batch.day(), Material.CELL_CUPS, batch.cups());
            use(weeks, batch.day(), Material.GRAFTING_BARS, Math.ceilDiv(batch.cups(), CUPS_A_BAR));
            for (PlannedBatch.Share share : batch.shares()) {
                int ripe = supply.ripe(batch.day(), share.cups());
                LocalDate placed = batch.day().plusDays(brief.ripeAfter());
                switch (SupplyKind.of(Objects.requireNonNull(demands.get(share.demand())).product())) {
                    case CELLS -> {
                        // handed over as they are
                    }
                    case VIRGINS -> use(weeks, placed, Material.INCUBATOR_CAGES, ripe);
                    case QUEENS -> use(weeks, placed, Material.SYRUP_DECILITRES, ripe * SYRUP_A_NUC_DECILITRES);
                }
            }
        }
        deliveries.forEach((demand, day) -> deliver(weeks, day, demand));
        return new Shopping(weeks);
    }

    private static void deliver(Map<LocalDate, Map<Material, Integer>> weeks, LocalDate day, Demand demand) {
        switch (demand.product()) {
            case RIPE_CELLS -> {
                // carried in the block they are in
            }
            case VIRGINS -> cages(weeks, day, demand.count());
            case LAYING_QUEENS, MATED_QUEENS, JUDGED_QUEENS -> {
                cages(weeks, day, demand.count());
                use(weeks, day, Material.QUEENS_TO_PAINT, demand.count());
            }
            case NUCS_WITH_QUEEN -> {
                use(weeks, day, Material.QUEENS_TO_PAINT, demand.count());
                use(weeks, day, Material.NUC_FRAMES, demand.count() * FRAMES_A_NUC_SOLD);
            }
        }
    }

    private static void cages(Map<LocalDate, Map<Material, Integer>> weeks, LocalDate day, int count) {
        use(weeks, day, Material.QUEEN_CAGES, count);
        use(weeks, day, Material.CANDY_GRAMS, count * CANDY_A_CAGE_GRAMS);
    }

    private static void use(Map<LocalDate, Map<Material, Integer>> weeks, LocalDate day, Material what, int count) {
        weeks.computeIfAbsent(day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)),
                _ -> new EnumMap<>(Material.class)).merge(what, count, Integer::sum);
    }

    /** All weeks together. */
    public Map<Material, Integer> list() {
        Map<Material, Integer> all = new EnumMap<>(Material.class);
        List.copyOf(weeks.values())
                .forEach(week -> week.forEach((what, count) -> all.merge(what, count, Integer::sum)));
        return all;
    }
}
