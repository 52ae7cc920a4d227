package vividcrown.server.mating;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.Purpose;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Agendas;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.QueenView;
import vividcrown.server.queen.Queens;
import vividcrown.server.weather.AfternoonView;
import vividcrown.server.weather.WeatherStation;
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
     */
    record YardLine(UUID id, String name, int walkOrder, int hives, int held, int late) {
    }

    record YardPage(UUID id, String name, String caution, List<MatingHive> hives, List<AfternoonView> afternoons) {
    }

    /** @param rounds cells, virgins and queens given so far */
    record MatingHive(UUID id, String code, int position, int rounds, @Nullable LocalDate emptySince,
            @Nullable QueenView queen) {
    }

    record FreeHive(UUID id, String code, UUID yardId, String yard) {
    }

    private record Held(UUID yard, int hives, int held) {
    }

    private static final int MOST_FREE = 1_000;

    private final Yards yards;
    private final Hives hives;
    private final Queens queens;
    private final QueenReader reader;
    private final Agendas agendas;
    private final JdbcClient jdbc;
    private final Today today;

    MatingYardController(Yards yards, Hives hives, Queens queens, QueenReader reader, Agendas agendas, JdbcClient jdbc,
            Today today) {
        this.yards = yards;
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
                select yard_id as yard, count(*) as hives, count(queen_id) as held from hive
                where ended_on is null and purpose in ('MATING_NUC', 'MINI_NUC') group by yard_id""").query(Held.class)
                .list().stream().collect(Collectors.toMap(Held::yard, Function.identity()));
        Map<UUID, Integer> late = agendas.lateByYard(today.day()).stream()
                .collect(Collectors.toMap(Agendas.LateHives::yard, Agendas.LateHives::hives));
        return yards.inWalkingOrder().stream().map(yard -> {
            Held here = held.getOrDefault(yard.id(), new Held(yard.id(), 0, 0));
            return new YardLine(yard.id(), yard.name(), yard.walkOrder(), here.hives(), here.held(),
                    late.getOrDefault(yard.id(), 0));
        }).toList();
    }

    @GetMapping("/yards/{id}")
    @Operation(operationId = "yard", summary = "A mating yard: its hives in their row, and the afternoons about today")
    @Transactional(readOnly = true)
    public YardPage yard(@PathVariable UUID id) {
        Yard yard = yards.findById(id).orElseThrow(() -> Refusal.notHere(YardDeed.YARD, id));
        List<Hive> row = hives.findByYardIdAndPurposeInAndEndedOnIsNullOrderByPosition(id,
                List.of(Purpose.MATING_NUC, Purpose.MINI_NUC));
        LocalDate day = today.day();
        Map<UUID, QueenView> views = reader.view(queens.heldIn(id), row, day).stream()
                .collect(Collectors.toMap(QueenView::id, Function.identity()));
        return new YardPage(yard.id(), yard.name(), yard.caution(), row.stream()
                .map(hive -> new MatingHive(hive.id(), hive.code(), hive.position(), hive.rounds(),
                        hive.emptySince().orElse(null), hive.queenId().map(views::get).orElse(null)))
                .toList(),
                AfternoonView.between(new WeatherStation(yard.id(), yard.elevationMetres()), day.minusDays(DAYS_BACK),
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
