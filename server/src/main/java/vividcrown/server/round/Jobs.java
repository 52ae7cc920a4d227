package vividcrown.server.round;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.queen.Due;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.Work;
import vividcrown.core.rearing.CalendarStep;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.round.Item;
import vividcrown.core.round.Kit;
import vividcrown.core.round.Stop;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.cups.BatchSteps;
import vividcrown.server.graft.Graft;
import vividcrown.server.graft.Grafts;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.Settings;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Builder;
import vividcrown.server.yard.Builders;
import vividcrown.server.yard.Nuc;
import vividcrown.server.yard.Nucs;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Every job there is: at queens' boxes, at batches, at nucs that stand empty. Due or not, in no order. */
@Component
public class Jobs {

    /** The incubator has no yard; it comes before the first. */
    static final UUID INCUBATOR = new UUID(0, 1);
    static final String GIVE_CELL = "GIVE_CELL";
    private static final int DAYS_OF_BATCHES = 40;
    private static final int DAYS_OF_PLANS = 60;

    private final Yards yards;
    private final Nucs nucs;
    private final Builders builders;
    private final Grafts grafts;
    private final Queens queens;
    private final QueenReader reader;
    private final ColonyJobs colonyJobs;
    private final SettingsInForce settings;

    Jobs(Yards yards, Nucs nucs, Builders builders, Grafts grafts, Queens queens, QueenReader reader,
            ColonyJobs colonyJobs,
            SettingsInForce settings) {
        this.yards = yards;
        this.nucs = nucs;
        this.builders = builders;
        this.grafts = grafts;
        this.queens = queens;
        this.reader = reader;
        this.colonyJobs = colonyJobs;
        this.settings = settings;
    }

    /**
     * All that the jobs were made from, so that nobody reads it twice.
     *
     * @param stops the jobs
     * @param expected living cells and queens in nucs and incubator
     * @param nucOfCell for each ripe cell that is to be given: the empty nuc it goes to
     */
    public record Found(List<Stop> stops, List<QueenReader.Expected> expected, Map<UUID, Yard> yards,
            Map<UUID, Nuc> nucs, Map<UUID, UUID> nucOfCell) {
    }

    public Found find(LocalDate today) {
        Map<UUID, Yard> yardsById = yards.findAll().stream().collect(Collectors.toMap(Yard::id, Function.identity()));
        Map<UUID, Nuc> nucsById = nucs.findAll().stream().collect(Collectors.toMap(Nuc::id, Function.identity()));
        List<QueenReader.Expected> expected = reader.expect(queens.atWork(), today);
        List<Stop> stops = new ArrayList<>();
        Settings own = settings.current();
        expected.forEach(one -> one.outlook().due()
                .ifPresent(due -> stops.add(atQueen(one, due, yardsById, nucsById, own.scheme()))));
        stops.addAll(colonyJobs.due(today, yardsById));
        List<Queen> ripe = atBatches(stops, yardsById, own.assumptions(), today);
        Map<UUID, UUID> nucOfCell = atEmptyNucs(stops, ripe, yardsById, nucsById, today);
        return new Found(stops, expected, yardsById, nucsById, nucOfCell);
    }

    private static Stop atQueen(QueenReader.Expected one, Due due, Map<UUID, Yard> yards, Map<UUID, Nuc> nucs,
            MarkingScheme scheme) {
        Queen queen = one.queen();
        Stop.Box box = queen.cage().map(Jobs::cage)
                .orElseGet(() -> box(nucs.get(queen.nucId().orElseThrow()), yards));
        return new Stop(box, due.work().name(), queen.id(), Sentence.of("work." + due.work().name()), due.window(),
                due.reasons(), Kit.toDo(due.work(), one.life().emergenceYear(), scheme));
    }

    private static Stop.Box cage(int number) {
        return new Stop.Box(INCUBATOR, "Incubator", 0, number, "cage " + number);
    }

    private static Stop.Box box(Nuc nuc, Map<UUID, Yard> yards) {
        Yard yard = yards.get(nuc.yardId());
        return new Stop.Box(yard.id(), yard.name(), yard.walkOrder(), nuc.position(), nuc.code());
    }

    /** @return the ripe cells that can be placed today, the oldest batch first */
    private List<Queen> atBatches(List<Stop> stops, Map<UUID, Yard> yards, Assumptions assumptions,
            LocalDate today) {
        Map<UUID, Builder> boxes = builders.findAll().stream()
                .collect(Collectors.toMap(Builder::id, Function.identity()));
        List<Graft> running = grafts
                .findByGraftDayGreaterThanEqualOrderByGraftDayAscCodeAsc(today.minusDays(DAYS_OF_BATCHES)).stream()
                .filter(graft -> graft.graftDay().isBefore(today.plusDays(DAYS_OF_PLANS))).toList();
        Map<UUID, List<Queen>> onTheBar = queens.onTheBar(running.stream().map(Graft::id).toList()).stream()
                .collect(Collectors.groupingBy(queen -> queen.graftId().orElseThrow()));
        List<Queen> ripe = new ArrayList<>();
        for (Graft graft : running) {
            Builder builder = boxes.get(graft.builderId());
            Yard yard = yards.get(builder.yardId());
            Stop.Box box = new Stop.Box(yard.id(), yard.name(), yard.walkOrder(), -builder.position(), builder.code());
            GraftCalendar calendar = GraftCalendar.of(graft.plan(builder.school()), assumptions);
            List<Queen> cells = onTheBar.getOrDefault(graft.id(), List.of());
            for (StepKind kind : BatchSteps.open(graft, calendar)) {
                CalendarStep step = calendar.step(kind).orElseThrow();
                boolean nothingLeft = graft.grafted() && cells.isEmpty();
                if (!nothingLeft) {
                    stops.add(new Stop(box, kind.name(), graft.id(), Sentence.of("step." + kind.name()), step.when(),
                            step.reasons(), kit(kind, graft, cells.size())));
                }
                if (kind == StepKind.PLACE_CELLS && isRipe(calendar, today)) {
                    cells.stream().sorted(Comparator.comparing(Queen::code)).forEach(ripe::add);
                }
            }
        }
        return ripe;
    }

    /** From the day of placing until the first virgin may be out: after that nobody gives a cell away blindly. */
    private static boolean isRipe(GraftCalendar calendar, LocalDate today) {
        LocalDate ripe = calendar.when(StepKind.PLACE_CELLS).orElseThrow().earliest();
        LocalDate firstVirgin = calendar.when(StepKind.EMERGENCE).orElseThrow().earliest();
        return !today.isBefore(ripe) && !today.isAfter(firstVirgin);
    }

    private static Kit kit(StepKind kind, Graft graft, int cells) {
        return switch (kind) {
            case GRAFT -> Kit.of(Item.GRAFTING_BARS, graft.bars())
                    .plus(Kit.of(Item.CELL_CUPS, graft.bars() * graft.cupsPerBar()));
            case CAGE_CELLS -> Kit.of(Item.INCUBATOR_CAGES, cells);
            case MAKE_UP_BUILDER -> Kit.of(Item.SYRUP_DECILITRES, 10);
            case RESTOCK_BUILDER -> Kit.of(Item.BROOD_FRAMES, 1).plus(Kit.of(Item.SYRUP_DECILITRES, 10));
            default -> Kit.NOTHING;
        };
    }

    /** Gives the first ripe cell to the first empty nuc of the walk, and so on. */
    private static Map<UUID, UUID> atEmptyNucs(List<Stop> stops, List<Queen> ripe, Map<UUID, Yard> yards,
            Map<UUID, Nuc> nucs, LocalDate today) {
        List<Nuc> empty = nucs.values().stream().filter(nuc -> nuc.queenId().isEmpty())
                .sorted(Comparator.comparingInt((Nuc nuc) -> yards.get(nuc.yardId()).walkOrder())
                        .thenComparingInt(Nuc::position))
                .limit(ripe.size()).toList();
        Map<UUID, UUID> nucOfCell = new HashMap<>();
        for (int index = 0; index < empty.size(); index++) {
            Nuc nuc = empty.get(index);
            Queen cell = ripe.get(index);
            nucOfCell.put(cell.id(), nuc.id());
            Reason reason = Reason.of(Source.COMMON_PRACTICE, "due.giveCell", nuc.emptySince().orElse(today),
                    cell.code());
            stops.add(new Stop(box(nuc, yards), GIVE_CELL, cell.id(), Sentence.of("work." + GIVE_CELL),
                    DatedSpan.on(today), List.of(reason), Kit.toGiveACell()));
        }
        return nucOfCell;
    }

    /** Whether a job is at a queen's own box. */
    static boolean isAtQueen(String job) {
        for (Work work : Work.values()) {
            if (work.name().equals(job)) {
                return true;
            }
        }
        return false;
    }
}
