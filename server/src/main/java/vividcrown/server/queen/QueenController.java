package vividcrown.server.queen;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.queen.Origin;
import vividcrown.core.queen.QueenDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.page.Page;
import vividcrown.server.problem.Refusal;

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
     */
    record QueenPage(QueenView queen, int daughters, int daughtersLaying, boolean breeder, String line,
            @Nullable Origin origin) {
    }

    private final Queens queens;
    private final QueenTable table;
    private final QueenReader reader;
    private final Today today;

    QueenController(Queens queens, QueenTable table, QueenReader reader, Today today) {
        this.queens = queens;
        this.table = table;
        this.reader = reader;
        this.today = today;
    }

    /** One cell or queen: where she stands, what comes next, and her daughters. */
    @GetMapping("/{id}")
    QueenPage queen(@PathVariable UUID id) {
        Queen queen = queens.findById(id)
                .orElseThrow(() -> Refusal.notHere(QueenDeed.QUEEN, id));
        Queens.Daughters daughters = queens.daughters(id);
        return new QueenPage(reader.view(List.of(queen), today.day()).getFirst(), (int) daughters.all(),
                (int) daughters.laid(), queen.breeder(), queens.lineOf(queen), queen.origin().orElse(null));
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
