package vividcrown.server.search;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.reason.Sentence;
import vividcrown.core.search.BoxThere;
import vividcrown.core.search.CombThere;
import vividcrown.core.search.QueenTrait;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.problem.Refusal;

/** Searching for the queen at a hive of the record. */
@RestController
@RequestMapping("/api/v1/colonies")
class ColonySearchController {

    /**
     * A hive that is searched.
     *
     * @param boxes with combs, from the bottom up; box 1 of a search is the first of them
     * @param traits of her, as the record has her
     */
    record ColonySearch(UUID id, String code, List<SearchedBox> boxes, Set<QueenTrait> traits, QueenSearchView search) {
    }

    /**
     * A box with combs.
     *
     * @param level its place in the whole stack, from 1 at the bottom
     * @param honey it is a honey box
     * @param slots places for frames
     * @param combs slots in which a comb hangs
     */
    record SearchedBox(int level, boolean honey, int slots, List<Integer> combs) {
    }

    private final Hives hives;
    private final HivesSearched searched;
    private final Eyes eyes;
    private final Today today;
    private final Clock clock;

    ColonySearchController(Hives hives, HivesSearched searched, Eyes eyes, Today today, Clock clock) {
        this.hives = hives;
        this.searched = searched;
        this.eyes = eyes;
        this.today = today;
        this.clock = clock;
    }

    @PostMapping("/{id}/search")
    @Operation(operationId = "searchColony", summary = "Where its queen may be now, and what to do next; nothing is kept")
    @Transactional(readOnly = true)
    public ColonySearch search(@PathVariable UUID id, @Valid @RequestBody SearchAsked asked) {
        Hive hive = hives.findById(id).orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, id));
        HivesSearched.Known known = searched.of(hive, today.day(), Optional.empty())
                .orElseThrow(() -> Refusal.invalid("", Sentence.of("refusal.search.noCombs", hive.code())));
        QueenSearchView view = QueenSearchView.of(known.hive(),
                asked.circumstances(known.laying(), known.traits(), eyes.own(Optional.empty())),
                asked.there(known.queenGivenDays(), known.virginDays(), known.mayMate(), known.caged()), asked,
                clock.instant());
        List<SearchedBox> boxes = new ArrayList<>();
        for (int box = 0; box < known.levels().size(); box++) {
            BoxThere there = known.hive().boxes().get(box);
            boxes.add(new SearchedBox(known.levels().get(box), there.honey(), there.slots(),
                    there.combs().stream().map(CombThere::slot).toList()));
        }
        return new ColonySearch(id, hive.code(), boxes, known.traits(), view);
    }
}
