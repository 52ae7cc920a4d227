package vividcrown.server.round;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.colony.ColonyWork;
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
import vividcrown.core.settings.Settings;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.colony.ColonyStanding;
import vividcrown.server.colony.ColonyStandings;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.queen.Agendas;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.Queens;
import vividcrown.server.rearing.BatchSteps;
import vividcrown.server.rearing.CellBuilders;
import vividcrown.server.rearing.Graft;
import vividcrown.server.rearing.Grafts;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Every job there is: at queens' hives, at batches, at colonies, at hives that stand empty. In no order. */
@Component
public class Jobs {

    /** The incubator has no yard; it comes before the first. */
    static final UUID INCUBATOR = new UUID(0, 1);
    static final String GIVE_CELL = "GIVE_CELL";
    private static final int DAYS_OF_BATCHES = 40;
    private static final int DAYS_OF_PLANS = 60;

    private final Yards yards;
    private final Hives hives;
    private final CellBuilders builders;
    private final Grafts grafts;
    private final Queens queens;
    private final QueenReader reader;
    private final Agendas agendas;
    private final ColonyStandings colonies;
    private final SplitStops splitStops;
    private final IntroductionStops introductionStops;
    private final SettingsInForce settings;

    Jobs(Yards yards, Hives hives, CellBuilders builders, Grafts grafts, Queens queens, QueenReader reader,
            Agendas agendas, ColonyStandings colonies, SplitStops splitStops,
            IntroductionStops introductionStops, SettingsInForce settings) {
        this.yards = yards;
        this.hives = hives;
        this.builders = builders;
        this.grafts = grafts;
        this.queens = queens;
        this.reader = reader;
        this.agendas = agendas;
        this.colonies = colonies;
        this.splitStops = splitStops;
        this.introductionStops = introductionStops;
        this.settings = settings;
    }

    /**
     * All that the jobs were made from, so that nobody reads it twice.
     *
     * @param stops the jobs
     * @param expected cells and queens at whose hives something is due
     * @param hives the hives they are in, and those that cells are to be given to
     * @param hiveOfCell for each ripe cell that is to be given: the empty hive it goes to
     * @param splitOf the split that a job belongs to, by the job's key
     */
    public record Found(List<Stop> stops, List<QueenReader.Expected> expected, Map<UUID, Yard> yards,
            Map<UUID, Hive> hives, Map<UUID, UUID> hiveOfCell, Map<String, UUID> splitOf) {
    }

    /** What tells a job from every other. */
    static String keyOf(UUID subject, String job) {
        return subject + " " + job;
    }

    /** Whatever may be done by that day. */
    Found dueBy(LocalDate today) {
        return find(agendas.dueBy(today), today);
    }

    /** Whatever will fall due too, as far as is known. */
    public Found all(LocalDate today) {
        return find(agendas.dueEver(today), today);
    }

    private Found find(Set<UUID> due, LocalDate today) {
        Map<UUID, Yard> yardsById = yards.byId();
        List<QueenReader.Expected> expected = reader.expect(queens.findAllById(due), today);
        Map<UUID, Hive> hivesById = new HashMap<>();
        hives.findAllById(expected.stream().flatMap(one -> one.queen().hiveId().stream()).distinct().toList())
                .forEach(hive -> hivesById.put(hive.id(), hive));
        List<Stop> stops = new ArrayList<>();
        Settings own = settings.current();
        expected.forEach(one -> one.outlook().due()
                .ifPresent(job -> stops.add(atQueen(one, job, yardsById, hivesById, own.scheme()))));
        stops.addAll(atColonies(yardsById, today));
        Map<String, UUID> splitOf = new HashMap<>();
        splitStops.of(yardsById, today).forEach(one -> {
            stops.add(one.stop());
            splitOf.put(keyOf(one.stop().subject(), one.stop().job()), one.split());
        });
        stops.addAll(introductionStops.of(yardsById, today));
        List<Queen> ripe = atBatches(stops, yardsById, own.assumptions(), today);
        Map<UUID, UUID> hiveOfCell = atEmptyHives(stops, ripe, yardsById, hivesById, today);
        return new Found(stops, expected, yardsById, hivesById, hiveOfCell, splitOf);
    }

    private List<Stop> atColonies(Map<UUID, Yard> yardsById, LocalDate today) {
        List<Hive> rows = hives.colonies();
        Map<UUID, ColonyStanding> standing = colonies.of(rows, yardsById, today);
        List<Stop> stops = new ArrayList<>();
        for (Hive hive : rows) {
            Stop.Box box = box(hive, yardsById);
            ColonyStanding stands = Objects.requireNonNull(standing.get(hive.id()));
            stands.work().ifPresent(work -> stops.add(stop(box, hive, work)));
            stops.addAll(MiteStops.of(box, hive, stands, today));
            hive.droneCombMeant().ifPresent(days -> stops.add(stop(box, hive, ColonyWork.droneComb(days))));
        }
        return stops;
    }

    private static Stop stop(Stop.Box box, Hive hive, ColonyWork work) {
        return new Stop(box, work.job(), hive.id(), work.toDo(), work.when(), work.reasons(), work.kit());
    }

    private static Stop atQueen(QueenReader.Expected one, Due due, Map<UUID, Yard> yards, Map<UUID, Hive> hives,
            MarkingScheme scheme) {
        Queen queen = one.queen();
        Stop.Box box = queen.cage().map(Jobs::cage)
                .orElseGet(() -> box(Objects.requireNonNull(hives.get(queen.hiveId().orElseThrow())), yards));
        return new Stop(box, due.work().name(), queen.id(), Sentence.of("work." + due.work().name()), due.window(),
                due.reasons(), Kit.toDo(due.work(), one.life().emergenceYear(), scheme));
    }

    private static Stop.Box cage(int number) {
        return new Stop.Box(INCUBATOR, "Incubator", 0, number, "cage " + number);
    }

    static Stop.Box box(Hive hive, Map<UUID, Yard> yards) {
        Yard yard = Objects.requireNonNull(yards.get(hive.yardId()));
        return new Stop.Box(yard.id(), yard.name(), yard.walkOrder(), hive.position(), hive.code());
    }

    /** @return the ripe cells that can be placed today, the oldest batch first */
    private List<Queen> atBatches(List<Stop> stops, Map<UUID, Yard> yards, Assumptions assumptions,
            LocalDate today) {
        List<Graft> running = grafts
                .findByGraftDayGreaterThanEqualOrderByGraftDayAscCodeAsc(today.minusDays(DAYS_OF_BATCHES)).stream()
                .filter(graft -> graft.graftDay().isBefore(today.plusDays(DAYS_OF_PLANS))).toList();
        Map<UUID, CellBuilders.CellBuilder> boxes = builders
                .of(running.stream().map(Graft::builderId).distinct().toList());
        Map<UUID, List<Queen>> onTheBar = queens.onTheBar(running.stream().map(Graft::id).toList()).stream()
                .collect(Collectors.groupingBy(queen -> queen.graftId().orElseThrow()));
        Map<UUID, Queen> gone = queens.findAllById(running.stream().filter(graft -> !graft.grafted())
                .map(Graft::motherId).distinct().toList()).stream().filter(mother -> mother.stage().isEnd())
                .collect(Collectors.toMap(Queen::id, Function.identity()));
        List<Queen> ripe = new ArrayList<>();
        for (Graft graft : running) {
            CellBuilders.CellBuilder builder = Objects.requireNonNull(boxes.get(graft.builderId()));
            Yard yard = Objects.requireNonNull(yards.get(builder.yardId()));
            Stop.Box box = new Stop.Box(yard.id(), yard.name(), yard.walkOrder(), -builder.position(), builder.code());
            GraftCalendar calendar = GraftCalendar.of(graft.plan(builder.school()), assumptions);
            List<Queen> cells = onTheBar.getOrDefault(graft.id(), List.of());
            if (!graft.grafted() && gone.containsKey(graft.motherId())) {
                stops.add(motherGone(box, graft, Objects.requireNonNull(gone.get(graft.motherId())), today));
                continue;
            }
            for (StepKind kind : BatchSteps.open(graft, calendar)) {
                CalendarStep step = calendar.step(kind).orElseThrow();
                boolean nothingLeft = graft.grafted() && cells.isEmpty();
                if (!nothingLeft) {
                    stops.add(new Stop(box, kind.name(), graft.id(), Sentence.of("step." + kind.name()), step.when(),
                            step.reasons(), kit(kind, graft, cells.size())));
                }
                if (kind == StepKind.PLACE_CELLS && calendar.isRipeOn(today)) {
                    cells.stream().sorted(Comparator.comparing(Queen::code)).forEach(ripe::add);
                }
            }
        }
        return ripe;
    }

    /** Nothing is made ready for a graft from a queen who is dead or sold. */
    private static Stop motherGone(Stop.Box box, Graft graft, Queen mother, LocalDate today) {
        LocalDate by = graft.graftDay().isBefore(today) ? today : graft.graftDay();
        return new Stop(box, StepKind.GRAFT.name(), graft.id(), Sentence.of("work.MOTHER_GONE"),
                DatedSpan.ofClosed(today, by), List.of(Reason.of(Source.COMMON_PRACTICE, "due.motherGone",
                        mother.name().isEmpty() ? mother.code() : mother.name())),
                Kit.NOTHING);
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

    /** Gives the first ripe cell to the first empty hive of the walk, and so on. */
    private Map<UUID, UUID> atEmptyHives(List<Stop> stops, List<Queen> ripe, Map<UUID, Yard> yards,
            Map<UUID, Hive> hivesById, LocalDate today) {
        List<Hive> empty = ripe.isEmpty() ? List.of() : hives.free(ripe.size());
        Map<UUID, UUID> hiveOfCell = new HashMap<>();
        for (int index = 0; index < empty.size(); index++) {
            Hive hive = empty.get(index);
            Queen cell = ripe.get(index);
            hivesById.put(hive.id(), hive);
            hiveOfCell.put(cell.id(), hive.id());
            Reason reason = Reason.of(Source.COMMON_PRACTICE, "due.giveCell", hive.emptySince().orElse(today),
                    cell.code());
            stops.add(new Stop(box(hive, yards), GIVE_CELL, cell.id(), Sentence.of("work." + GIVE_CELL),
                    DatedSpan.on(today), List.of(reason), Kit.toGiveACell()));
        }
        return hiveOfCell;
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
