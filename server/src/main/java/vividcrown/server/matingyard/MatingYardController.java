package vividcrown.server.matingyard;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.server.clock.Today;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.QueenView;
import vividcrown.server.queen.Queens;
import vividcrown.server.weather.AfternoonView;
import vividcrown.server.weather.WeatherStation;
import vividcrown.server.yard.Nuc;
import vividcrown.server.yard.Nucs;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Yards and what stands in them. */
@RestController
@RequestMapping("/api/v1")
class MatingYardController {

    private static final int DAYS_BACK = 28;
    private static final int DAYS_AHEAD = 28;

    record YardLine(UUID id, String name, int walkOrder, int nucs, int held, int late) {
    }

    record YardPage(UUID id, String name, String caution, List<NucView> nucs, List<AfternoonView> afternoons) {
    }

    /** @param rounds cells and virgins given so far */
    record NucView(UUID id, String code, int position, int rounds, @Nullable LocalDate emptySince,
            @Nullable QueenView queen) {
    }

    record FreeNuc(UUID id, String code, UUID yardId, String yard) {
    }

    private final Yards yards;
    private final Nucs nucs;
    private final Queens queens;
    private final QueenReader reader;
    private final Today today;

    MatingYardController(Yards yards, Nucs nucs, Queens queens, QueenReader reader, Today today) {
        this.yards = yards;
        this.nucs = nucs;
        this.queens = queens;
        this.reader = reader;
        this.today = today;
    }

    @GetMapping("/yards")
    List<YardLine> yards() {
        Map<UUID, List<Nuc>> byYard = nucs.findAll().stream().collect(Collectors.groupingBy(Nuc::yardId));
        Map<UUID, Boolean> late = reader.expect(queens.atWork(), today.day()).stream()
                .collect(Collectors.toMap(one -> one.queen().id(), one -> one.outlook().isLate()
                        || one.outlook().due().map(due -> due.isOverdueOn(today.day())).orElse(false)));
        return inWalkingOrder().stream().map(yard -> {
            List<Nuc> here = byYard.getOrDefault(yard.id(), List.of());
            List<UUID> held = here.stream().flatMap(nuc -> nuc.queenId().stream()).toList();
            return new YardLine(yard.id(), yard.name(), yard.walkOrder(), here.size(), held.size(),
                    (int) held.stream().filter(queen -> late.getOrDefault(queen, false)).count());
        }).toList();
    }

    @GetMapping("/yards/{id}")
    YardPage yard(@PathVariable UUID id) {
        Yard yard = yards.findById(id)
                .orElseThrow(() -> Refusal.notFound("There is no yard with this id. Choose one from the list."));
        List<Nuc> row = nucs.findByYardIdOrderByPosition(id);
        LocalDate day = today.day();
        List<UUID> held = row.stream().flatMap(nuc -> nuc.queenId().stream()).toList();
        Map<UUID, QueenView> views = reader.view(queens.findAllById(held), day).stream()
                .collect(Collectors.toMap(QueenView::id, Function.identity()));
        return new YardPage(yard.id(), yard.name(), yard.caution(),
                row.stream()
                        .map(nuc -> new NucView(nuc.id(), nuc.code(), nuc.position(), nuc.rounds(),
                                nuc.emptySince().orElse(null), nuc.queenId().map(views::get).orElse(null)))
                        .toList(),
                AfternoonView.between(new WeatherStation(yard.id(), yard.elevationMetres()), day.minusDays(DAYS_BACK),
                        day.plusDays(DAYS_AHEAD), day));
    }

    /** Nucs that stand empty, in walking order: where the next ripe cell can go. */
    @GetMapping("/nucs/free")
    List<FreeNuc> freeNucs() {
        Map<UUID, Yard> byId = yards.findAll().stream().collect(Collectors.toMap(Yard::id, Function.identity()));
        return nucs.findAll().stream().filter(nuc -> nuc.queenId().isEmpty())
                .sorted(Comparator.comparingInt((Nuc nuc) -> byId.get(nuc.yardId()).walkOrder())
                        .thenComparingInt(Nuc::position))
                .map(nuc -> new FreeNuc(nuc.id(), nuc.code(), nuc.yardId(), byId.get(nuc.yardId()).name())).toList();
    }

    private List<Yard> inWalkingOrder() {
        return yards.findAll().stream().sorted(Comparator.comparingInt(Yard::walkOrder)).toList();
    }
}
