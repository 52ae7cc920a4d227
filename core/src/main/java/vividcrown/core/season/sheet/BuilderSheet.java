package vividcrown.core.season.sheet;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.rearing.CalendarStep;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.plan.Load;
import vividcrown.core.time.DatedSpan;

/**
 * The season of one cell builder: its loads with the days of each, and its rests.
 *
 * @param loads by day
 * @param rests from when a row of loads is done until it can take the next
 */
public record BuilderSheet(CellBuilder builder, List<Load> loads, List<DatedSpan> rests) {

    private static final Set<StepKind> AT_THE_BUILDER = Set.of(StepKind.MAKE_UP_BUILDER, StepKind.GRAFT,
            StepKind.COUNT_TAKE, StepKind.MOVE_TO_FINISHER, StepKind.RESTOCK_BUILDER, StepKind.CHECK_ROGUE_CELLS,
            StepKind.HANDS_OFF_CELLS, StepKind.CULL, StepKind.PLACE_CELLS, StepKind.CAGE_CELLS);

    /**
     * @param sealed the likely day on which its cells are sealed
     * @param ripe the likely day on which they leave the builder
     * @param steps what is done at the builder for this load, by day
     */
    public record Load(LocalDate graft, int cups, LocalDate sealed, LocalDate ripe, List<CalendarStep> steps) {
        public Load {
            steps = List.copyOf(steps);
        }
    }

    public BuilderSheet {
        loads = List.copyOf(loads);
        rests = List.copyOf(rests);
    }

    public static List<BuilderSheet> of(SeasonBrief brief, List<PlannedBatch> batches) {
        return brief.means().builders().stream().sorted(Comparator.comparing(CellBuilder::id))
                .map(builder -> sheet(brief, builder, batches)).toList();
    }

    private static BuilderSheet sheet(SeasonBrief brief, CellBuilder builder, List<PlannedBatch> batches) {
        TreeMap<LocalDate, Integer> cups = batches.stream().filter(one -> one.builder().equals(builder.id()))
                .collect(Collectors.toMap(PlannedBatch::day, PlannedBatch::cups, Integer::sum, TreeMap::new));
        List<Load> loads = new ArrayList<>();
        cups.forEach((day, count) -> loads.add(load(brief, builder, day, count)));
        return new BuilderSheet(builder, loads, rests(builder.rhythm(), List.copyOf(cups.keySet())));
    }

    private static Load load(SeasonBrief brief, CellBuilder builder, LocalDate day, int cups) {
        GraftPlan how = brief.expected().how();
        GraftPlan plan = new GraftPlan(day, how.larvaAge(), builder.school(), how.placing(), how.incubatorCelsius());
        GraftCalendar calendar = GraftCalendar.of(plan, brief.expected().assumptions());
        LocalDate sealed = brief.expected().assumptions().queen().sealed()
                .shiftedByHours(-how.larvaAge().youngestSinceEggHours()).from(day).likely();
        return new Load(day, cups, sealed, day.plusDays(brief.ripeAfter()),
                calendar.steps().stream().filter(step -> AT_THE_BUILDER.contains(step.kind())).toList());
    }

    /** After the last load of a row it is broken up and made up anew. */
    private static List<DatedSpan> rests(BuilderRhythm rhythm, List<LocalDate> days) {
        List<DatedSpan> rests = new ArrayList<>();
        int inARow = 0;
        for (int index = 0; index < days.size(); index++) {
            boolean rested = index > 0 && !days.get(index)
                    .isBefore(days.get(index - 1).plusDays(rhythm.daysBetweenLoads() + (long) rhythm.restDays()));
            inARow = rested ? 1 : inARow + 1;
            if (inARow == rhythm.loadsBeforeRest()) {
                LocalDate end = days.get(index).plusDays(rhythm.daysBetweenLoads());
                rests.add(DatedSpan.ofClosed(end, end.plusDays(Math.max(0, rhythm.restDays() - 1L))));
                inARow = 0;
            }
        }
        return rests;
    }
}
