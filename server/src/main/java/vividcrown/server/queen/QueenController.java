package vividcrown.server.queen;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.queen.Milestone;
import vividcrown.core.queen.Origin;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.QueenLife;
import vividcrown.core.queen.YearColour;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.page.Page;
import vividcrown.server.problem.Refusal;
import vividcrown.server.settings.SettingsInForce;

/** Queens: one, the breeder queens, or by search. */
@RestController
@RequestMapping("/api/v1/queens")
class QueenController {

    private static final int AT_ONCE = 50;

    /**
     * One cell or queen.
     *
     * @param daughters that she has in the record
     * @param daughtersLaying how many of them have laid
     * @param breeder a mother to graft from
     * @param line the line she belongs to; a mother whose line nobody gave is a line of her own
     * @param origin where she comes from, if somebody said
     * @param originHive code of the hive that raised her
     * @param wears the mark she came with
     * @param marks what there is to say of her mark and wings
     */
    record QueenPage(QueenView queen, int daughters, int daughtersLaying, boolean breeder, String line,
            @Nullable Origin origin, @Nullable String originHive, @Nullable YearColour wears, List<String> marks) {
    }

    private final Queens queens;
    private final QueenTable table;
    private final QueenReader reader;
    private final Hives hives;
    private final SettingsInForce settings;
    private final Today today;

    QueenController(Queens queens, QueenTable table, QueenReader reader, Hives hives, SettingsInForce settings,
            Today today) {
        this.queens = queens;
        this.table = table;
        this.reader = reader;
        this.hives = hives;
        this.settings = settings;
        this.today = today;
    }

    /** One cell or queen: where she stands, what comes next, and her daughters. */
    @GetMapping("/{id}")
    QueenPage queen(@PathVariable UUID id) {
        Queen queen = queens.findById(id)
                .orElseThrow(() -> Refusal.notHere(QueenDeed.QUEEN, id));
        Queens.Daughters daughters = queens.daughters(id);
        return new QueenPage(reader.view(List.of(queen), today.day()).getFirst(), (int) daughters.all(),
                (int) daughters.laid(), queen.breeder(), queens.lineOf(queen), queen.origin().orElse(null),
                queen.origin().flatMap(Origin::hive).flatMap(hives::findById).map(Hive::code).orElse(null),
                queen.wears().orElse(null), marks(queen.life()).map(Object::toString).toList());
    }

    /** The colour never overrides a known year: where they differ it is said. */
    private Stream<Sentence> marks(QueenLife life) {
        Optional<YearColour> due = settings.scheme().colourOf(life.emergenceYear());
        Optional<YearColour> worn = Arrays.stream(YearColour.values())
                .filter(one -> life.mark().startsWith(one.name())).findFirst();
        return Stream.of(
                due.filter(colour -> worn.filter(one -> one != colour).isPresent())
                        .map(colour -> Sentence.of("queen.markDiffers", worn.get().sentence(), colour.sentence(),
                                String.valueOf(life.emergenceYear()))),
                life.on(Milestone.MARK_WORN).map(day -> Sentence.of("queen.markWorn", day)),
                life.on(Milestone.CLIPPED).map(day -> Sentence.of("queen.clipped", day)))
                .flatMap(Optional::stream);
    }

    /** Mothers to graft from, by their codes. */
    @GetMapping("/breeders")
    List<QueenView> breeders() {
        return reader.view(queens.findByBreederTrueAndAliveTrueOrderByCode(), today.day());
    }

    /** By part of the code or name, fifty at a time: whose code it is first, then the living, then the others. */
    @GetMapping
    Page<QueenView> search(@RequestParam String search,
            @RequestParam(defaultValue = "0") @Min(0) @Max(1_000_000) int page) {
        String part = search.strip().replace("%", "").replace("_", "");
        List<QueenRow> found = table.called(part.toLowerCase(Locale.ROOT), AT_ONCE + 1, page);
        Map<UUID, Queen> shown = new LinkedHashMap<>();
        if (page == 0) {
            queens.findByCodeIn(List.of(part, part.toUpperCase(Locale.ROOT)))
                    .forEach(queen -> shown.put(queen.id(), queen));
        }
        found.stream().limit(AT_ONCE).forEach(queen -> shown.putIfAbsent(queen.id(), queen));
        return Page.of(reader.view(List.copyOf(shown.values()), today.day()),
                found.size() > AT_ONCE ? Optional.of(page + AT_ONCE) : Optional.empty());
    }
}
