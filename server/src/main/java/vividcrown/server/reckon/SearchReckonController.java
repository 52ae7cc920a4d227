package vividcrown.server.reckon;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.core.search.BoxThere;
import vividcrown.core.search.CombThere;
import vividcrown.core.search.HiveSearched;
import vividcrown.core.search.OwnRecord;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.server.problem.Refusal;
import vividcrown.server.search.QueenSearchView;
import vividcrown.server.search.SearchAsked;

/** Where the queen may be in an open hive, and which comb to lift next. Open to everybody, keeps nothing. */
@RestController
@RequestMapping("/api/v1/reckon")
class SearchReckonController {

    /**
     * A comb.
     *
     * @param slot from 1, as seen from the entrance; the next one if left out
     * @param near what stood on the side towards slot 1, the largest part first; nothing known if left out
     * @param far what stood on the other side
     * @param bees share of it that bees cover densely, 0–1.5
     * @param holes it has a hole in which she could stand
     */
    record SearchCombInput(@Nullable @Min(1) @Max(24) Integer slot, @Nullable @Size(max = 20) List<@NotNull Sign> near,
            @Nullable @Size(max = 20) List<@NotNull Sign> far, @Nullable @Min(0) @Max(2) Double bees,
            @Nullable Boolean holes) {
    }

    /**
     * A box.
     *
     * @param honey it is a honey box
     * @param slots places for frames; as many as there are combs if left out
     * @param excluderAbove an excluder lies on it
     * @param frames so many combs of which nothing is known, where {@code combs} is left out
     * @param combs what is known of each comb
     */
    record SearchBoxInput(@Nullable Boolean honey, @Nullable @Min(1) @Max(24) Integer slots,
            @Nullable Boolean excluderAbove, @Nullable @Min(1) @Max(24) Integer frames,
            @Nullable @Size(max = 24) List<@NotNull @Valid SearchCombInput> combs) {
    }

    /** @param place where @param on the day on which she was seen there */
    record LastSeenInput(@NotNull @Valid SearchAsked.PlaceAt place, @NotNull LocalDate on) {
    }

    /**
     * @param day on which it is searched
     * @param boxes from the bottom up
     * @param readOn the day on which its combs looked like this; the day itself if left out
     * @param lastSeen where she was last seen
     * @param chance that she is in it at all, 0–1; 0.95 if left out
     * @param queenGivenOn the day on which a queen was given to it, if one was lately
     * @param virginOutOn the day on which its virgin came out, if one is in there
     * @param search how it is searched, and what was done so far
     */
    record SearchRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            @NotNull @Size(min = 1, max = 12) List<@NotNull @Valid SearchBoxInput> boxes, @Nullable LocalDate readOn,
            @Nullable @Valid LastSeenInput lastSeen, @Nullable @Min(0) @Max(1) Double chance,
            @Nullable LocalDate queenGivenOn, @Nullable LocalDate virginOutOn, @Nullable @Valid SearchAsked search) {
    }

    /** @param assumed what was taken for granted because it was not said */
    record SearchAnswer(QueenSearchView search, List<String> assumed) {
    }

    private final Clock clock;

    SearchReckonController(Clock clock) {
        this.clock = clock;
    }

    @PostMapping("/search")
    @Operation(summary = "Where the queen may be, which comb to lift next, when to stop, what may leave", description = """
            Example: {"day": "2026-06-12", "boxes": [{"slots": 10, "combs": [{"near": ["SEALED_HONEY"], "far": ["SEALED_HONEY"]},
            {"near": ["SEALED_WORKER"], "far": ["EGGS"]}, {"near": ["EGGS"], "far": ["SEALED_WORKER"]}]}], "search": {"why": "MARK",
            "acts": [{"place": {"slot": 2, "side": "FAR"}, "shows": "MANY_EGGS"}]}} says to lift comb 3 next.""")
    SearchAnswer search(@Valid @RequestBody SearchRequest asked) {
        List<String> assumed = new ArrayList<>();
        PlaceInput place = asked.place() == null ? PlaceInput.NOT_SAID : asked.place();
        Conditions at = place.conditions(asked.day(), new ArrayList<>());
        if (asked.place() == null) {
            assumed.add(Sentence.of("search.assumed.place").toString());
        }
        SearchAsked search = asked.search() == null ? SearchAsked.NOTHING : asked.search();
        HiveSearched hive = Refusal.checked(() -> hive(asked), "boxes");
        return new SearchAnswer(QueenSearchView.of(hive,
                search.circumstances(at.year().laying(asked.day()), Set.of(), OwnRecord.NONE),
                search.there(Optional.ofNullable(asked.queenGivenOn()).map(on -> since("queenGivenOn", on, asked)),
                        Optional.ofNullable(asked.virginOutOn()).map(on -> since("virginOutOn", on, asked)), false,
                        false),
                search, clock.instant()), assumed);
    }

    private static HiveSearched hive(SearchRequest asked) {
        int readDays = asked.readOn() == null ? 0 : since("readOn", asked.readOn(), asked);
        return new HiveSearched(asked.boxes().stream().map(SearchReckonController::box).toList(),
                Math.min(readDays, HiveSearched.LONGEST_DAYS),
                Optional.ofNullable(asked.lastSeen()).map(seen -> new HiveSearched.LastSeen(
                        seen.place().place("lastSeen.place"),
                        Math.min(since("lastSeen.on", seen.on(), asked), HiveSearched.LONGEST_DAYS))),
                asked.chance() == null ? HiveSearched.USUALLY_HERE : asked.chance());
    }

    private static int since(String field, LocalDate day, SearchRequest asked) {
        long days = ChronoUnit.DAYS.between(day, asked.day());
        if (days < 0) {
            throw Refusal.invalid(field, Sentence.of("refusal.search.later", day, asked.day()));
        }
        return (int) Math.min(days, Integer.MAX_VALUE);
    }

    private static BoxThere box(SearchBoxInput box) {
        List<CombThere> combs = new ArrayList<>();
        int next = 1;
        for (SearchCombInput comb : HiveInput.orNone(box.combs())) {
            int slot = comb.slot() == null ? next : comb.slot();
            combs.add(new CombThere(slot, HiveInput.orNone(comb.near()), HiveInput.orNone(comb.far()),
                    Optional.ofNullable(comb.bees()), Boolean.TRUE.equals(comb.holes())));
            next = slot + 1;
        }
        int unread = combs.isEmpty() && box.frames() != null ? box.frames() : 0;
        for (int slot = 1; slot <= unread; slot++) {
            combs.add(CombThere.unread(slot));
        }
        int last = combs.stream().mapToInt(CombThere::slot).max().orElse(1);
        return new BoxThere(Boolean.TRUE.equals(box.honey()), box.slots() == null ? last : box.slots(),
                Boolean.TRUE.equals(box.excluderAbove()), combs);
    }
}
