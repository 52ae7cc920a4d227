package vividcrown.server.mating;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.climate.Climate;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.yard.SiteCondition;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hives;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Agendas;
import vividcrown.server.queen.QueenInNuc;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.Queens;
import vividcrown.server.weather.AfternoonView;
import vividcrown.server.weather.Weathers;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Yards and what stands in them. */
@RestController
@RequestMapping("/api/v1")
class MatingYardController {

    private static final int DAYS_BACK = 28;
    private static final int DAYS_AHEAD = 28;

    /**
     * @param hives hives for mating that stand in it
     * @param held of these, with a cell or queen
     * @param late of these, with one that is late or at which something is overdue
     * @param others other hives that stand in it
     */
    record YardLine(UUID id, String name, int walkOrder, int hives, int held, int late, int others,
            @Nullable LocalDate closedOn) {
    }

    /**
     * @param hives those for mating, in their row
     * @param others how many other hives stand there
     */
    record YardPage(UUID id, String name, String caution, PlaceView place, List<MatingHive> hives, int others,
            List<AfternoonView> afternoons) {
    }

    /**
     * What a yard is like.
     *
     * @param prefix begins the codes of its hives
     * @param latitude degrees north
     * @param longitude degrees east
     * @param elevationMetres above the sea
     * @param climateSaid somebody said so; otherwise it is the likeliest for the place
     * @param ownHighs usual highest temperature of a day in each month, degrees Celsius, January first; empty if nobody knows
     * @param usualHighs the same as they are reckoned with
     * @param fitAfternoons share of afternoons fit for mating in the middle of each month, 0-1
     * @param stationOn the simulated weather station is switched on
     * @param conditions what it is like to work there
     * @param rules what is to be kept to there
     * @param matingLines lines whose virgins are to mate there, empty if none in particular
     * @param driveMinutes there and back from the first yard, as somebody said or else reckoned
     * @param driveSaid somebody said so
     * @param flow what bees find there, if anybody knows
     * @param closedOn the day it was closed; left out while it is open
     */
    record PlaceView(String prefix, int walkOrder, double latitude, double longitude, int elevationMetres,
            Climate climate, boolean climateSaid, List<Double> ownHighs, List<Double> usualHighs,
            List<Double> fitAfternoons, boolean stationOn, Set<SiteCondition> conditions, String rules,
            List<String> matingLines, int driveMinutes, boolean driveSaid, YardFlow.@Nullable FlowView flow,
            @Nullable LocalDate closedOn) {
        static PlaceView of(Yard yard, Yard home, int year, Optional<YardFlow.FlowView> flow) {
            ClimateOfPlace climate = yard.climateOfPlace();
            List<LocalDate> middles = IntStream.rangeClosed(1, 12).mapToObj(month -> LocalDate.of(year, month, 15))
                    .toList();
            return new PlaceView(yard.prefix(), yard.walkOrder(), yard.latitude(), yard.longitude(),
                    yard.elevationMetres(), yard.climate(), yard.climateSaid(), yard.ownHighs(),
                    middles.stream().map(climate::usualHigh).toList(),
                    middles.stream().map(climate::fitAfternoon).toList(), yard.stationOn(), yard.conditions(),
                    yard.rules(), yard.matingLines().stream().sorted().toList(), yard.driveMinutesFrom(home),
                    yard.driveMinutes().isPresent(), flow.orElse(null), yard.closedOn().orElse(null));
        }
    }

    /** @param rounds cells, virgins and queens given so far */
    record MatingHive(UUID id, String code, int position, int rounds, @Nullable LocalDate emptySince,
            @Nullable QueenInNuc queen) {
    }

    record FreeHive(UUID id, String code, UUID yardId, String yard) {
    }

    private record Held(UUID yard, int hives, int held, int others) {
    }

    private static final int MOST_FREE = 1_000;

    private final Yards yards;
    private final Weathers weathers;
    private final YardFlow flows;
    private final Hives hives;
    private final Queens queens;
    private final QueenReader reader;
    private final Agendas agendas;
    private final JdbcClient jdbc;
    private final Today today;

    MatingYardController(Yards yards, Weathers weathers, YardFlow flows, Hives hives, Queens queens, QueenReader reader,
            Agendas agendas, JdbcClient jdbc,
            Today today) {
        this.yards = yards;
        this.weathers = weathers;
        this.flows = flows;
        this.hives = hives;
        this.queens = queens;
        this.reader = reader;
        this.agendas = agendas;
        this.jdbc = jdbc;
        this.today = today;
    }

    @GetMapping("/yards")
    @Operation(operationId = "yards", summary = "Yards in walking order, with how their hives for mating stand")
    @Transactional(readOnly = true)
    public List<YardLine> yards() {
        Map<UUID, Held> held = jdbc.sql("""
                select yard_id as yard, count(*) filter (where purpose in ('MATING_NUC', 'MINI_NUC')) as hives,
                    count(queen_id) filter (where purpose in ('MATING_NUC', 'MINI_NUC')) as held,
                    count(*) filter (where purpose not in ('MATING_NUC', 'MINI_NUC')) as others
                from hive where ended_on is null group by yard_id""").query(Held.class)
                .list().stream().collect(Collectors.toMap(Held::yard, Function.identity()));
        Map<UUID, Integer> late = agendas.lateByYard(today.day()).stream()
                .collect(Collectors.toMap(Agendas.LateHives::yard, Agendas.LateHives::hives));
        return yards.inWalkingOrder().stream().map(yard -> {
            Held here = held.getOrDefault(yard.id(), new Held(yard.id(), 0, 0, 0));
            return new YardLine(yard.id(), yard.name(), yard.walkOrder(), here.hives(), here.held(),
                    late.getOrDefault(yard.id(), 0), here.others(), yard.closedOn().orElse(null));
        }).toList();
    }

    @GetMapping("/yards/{id}")
    @Operation(operationId = "yard", summary = "A mating yard: its hives in their row, and the afternoons about today")
    @Transactional(readOnly = true)
    public YardPage yard(@PathVariable UUID id) {
        Yard yard = yards.findById(id).orElseThrow(() -> Refusal.notHere(YardDeed.YARD, id));
        List<Hives.InRow> row = hives.row(id);
        LocalDate day = today.day();
        Map<UUID, QueenInNuc> views = reader.inNucs(queens.heldIn(id), day).stream()
                .collect(Collectors.toMap(QueenInNuc::id, Function.identity()));
        return new YardPage(yard.id(), yard.name(), yard.caution(),
                PlaceView.of(yard, yards.home().orElse(yard), day.getYear(), flows.at(yard, day)), row.stream()
                        .map(hive -> new MatingHive(hive.id(), hive.code(), hive.position(), hive.rounds(),
                                hive.emptySince(), hive.queenId() == null ? null : views.get(hive.queenId())))
                        .toList(),
                hives.countByYardIdAndEndedOnIsNull(id) - row.size(),
                AfternoonView.between(weathers.at(yard, day.minusDays(DAYS_BACK)), day.minusDays(DAYS_BACK),
                        day.plusDays(DAYS_AHEAD), day));
    }

    /** Where the next ripe cell can go. */
    @GetMapping("/hives/free")
    @Operation(operationId = "freeHives", summary = "Hives for mating that stand empty, in walking order")
    @Transactional(readOnly = true)
    public List<FreeHive> free() {
        Map<UUID, Yard> byId = yards.byId();
        return hives.free(MOST_FREE).stream()
                .map(hive -> new FreeHive(hive.id(), hive.code(), hive.yardId(),
                        Objects.requireNonNull(byId.get(hive.yardId())).name()))
                .toList();
    }
}
