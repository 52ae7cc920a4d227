package vividcrown.server.queen;

import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.queen.Milestone;
import vividcrown.core.queen.QueenDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.problem.Refusal;

/** Queens: one, the breeder queens, or by search. */
@RestController
@RequestMapping("/api/v1/queens")
class QueenController {

    /** How many daughters she has in the record, and how many of them have laid; at most 500 are counted. */
    record QueenPage(QueenView queen, int daughters, int daughtersLaying) {
    }

    private final Queens queens;
    private final QueenReader reader;
    private final Today today;

    QueenController(Queens queens, QueenReader reader, Today today) {
        this.queens = queens;
        this.reader = reader;
        this.today = today;
    }

    /** One cell or queen: where she stands, what comes next, and her daughters. */
    @GetMapping("/{id}")
    QueenPage queen(@PathVariable UUID id) {
        Queen queen = queens.findById(id)
                .orElseThrow(() -> Refusal.notHere(QueenDeed.QUEEN, id));
        List<Queen> daughters = queens.daughters(id);
        return new QueenPage(reader.view(List.of(queen), today.day()).getFirst(), daughters.size(),
                (int) daughters.stream().filter(one -> one.life().has(Milestone.EGGS_SEEN))
                        .count());
    }

    /** Mothers to graft from, by their codes. */
    @GetMapping("/breeders")
    List<QueenView> breeders() {
        return reader.view(queens.findByBreederTrueAndAliveTrueOrderByCode(), today.day());
    }

    /** By part of the code or name; at most 50, the living first. */
    @GetMapping
    List<QueenView> search(@RequestParam String search) {
        String part = search.strip().toLowerCase(Locale.ROOT).replace("%", "").replace("_", "");
        return reader.view(queens.search("%" + part + "%"), today.day());
    }
}
