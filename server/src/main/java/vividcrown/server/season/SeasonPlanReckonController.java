package vividcrown.server.season;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.plan.PlanCheck;
import vividcrown.core.season.plan.SeasonPlan;
import vividcrown.core.season.plan.SeasonPlanner;
import vividcrown.core.season.plan.SolveWatch;
import vividcrown.core.season.plan.Without;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.core.season.unfold.WeekAhead;
import vividcrown.server.problem.Refusal;

/** A season planned from what is in the request. Open to everybody, keeps nothing. */
@RestController
@RequestMapping("/api/v1/reckon")
class SeasonPlanReckonController {

    private final RecipeShelf shelf;

    SeasonPlanReckonController(RecipeShelf shelf) {
        this.shelf = shelf;
    }

    /** A season and the grafts that it would have. */
    record CheckRequest(@NotNull @Valid SeasonAsked season,
            @NotNull @Size(max = SeasonAsked.MOST_BATCHES) List<SeasonPlanView.@Valid BatchView> batches) {
    }

    /**
     * @param chances of each demand's whole number, by its id
     * @param breaks what cannot be done, or will not be ready
     * @param at for each batch, as they were sent, where its virgins are taken to mate: where it was said, or where they had better; empty if
     *        nobody asks where nucs stand
     */
    record CheckAnswer(Map<String, Double> chances, List<String> breaks, List<List<SeasonPlanView.BatchAtYard>> at) {
        static CheckAnswer of(PlanCheck check) {
            return new CheckAnswer(check.chances(), check.breaks().stream().map(Object::toString).toList(),
                    check.batches().stream().map(SeasonPlanView.BatchAtYard::of).toList());
        }
    }

    @PostMapping("/season-plan")
    @Operation(summary = "Graft days, builders, mothers and nucs for a season's demands, and how far that holds", description = """
            Example: {"today": "2026-05-01", "nucs": 100, "breeders": [{"id": "Runa"}],
            "builders": [{"id": "B 1", "load": 45}, {"id": "B 2", "load": 45}],
            "demands": [{"id": "forty", "product": "MATED_QUEENS", "count": 40, "until": "2026-06-12"}]}.
            Demands that fall due together share batches. Each recipe is reckoned by the exact distribution, so what is
            chosen holds with the assurance wanted; what does not hold says why and what would help.""")
    SeasonPlanView plan(@Valid @RequestBody SeasonAsked asked) {
        SeasonBrief brief = asked.brief();
        try {
            SeasonPlan plan = SeasonPlanner.plan(brief, shelf, asked.secondsOrUsual(), 1,
                    SolveWatch.untilInterrupted());
            return SeasonPlanView.of(brief, plan, UnaryOperator.identity());
        } catch (IllegalArgumentException refused) {
            throw Refusal.invalid("", String.valueOf(refused.getMessage()));
        }
    }

    /** @param worth instead of what the season says is worth how much */
    record WeekRequest(@NotNull @Valid SeasonAsked season, @Nullable SeasonWorth worth) {
    }

    @PostMapping("/week-ahead")
    @Operation(summary = "What to graft and to place in the week ahead, in view of what can still be done later", description = """
            Takes a season as season-plan does. An order that a later graft can still help is grafted for by its expected
            number; its safety comes with its last graft, for what is missing then. What depends on a count is told as an if.""")
    WeekAheadView week(@Valid @RequestBody WeekRequest asked) {
        SeasonBrief brief = asked.season().brief();
        return WeekAheadView.of(Refusal.checked(
                () -> WeekAhead.of(asked.worth() == null ? brief : brief.with(asked.worth())), ""));
    }

    /** @param demand the one that is said no to, by its id */
    record WithoutRequest(@NotNull @Valid SeasonAsked season,
            @NotBlank @Size(max = SeasonAsked.LONGEST_NAME) String demand) {
    }

    @PostMapping("/season-without")
    @Operation(summary = "What a no to one of a season's demands would free", description = """
            Takes a season as season-plan does; plans it with the demand and without it. Answers the hours, cups and nuc days that are
            freed, and how the others stand in both.""")
    WithoutView without(@Valid @RequestBody WithoutRequest asked) {
        return WithoutView.of(Refusal.checked(() -> Without.of(asked.season().brief(), shelf, asked.demand(),
                asked.season().secondsOrUsual(), SolveWatch.untilInterrupted()), ""));
    }

    @PostMapping("/season-check")
    @Operation(summary = "What a season's plan comes to after grafts were moved or resized by hand", description = """
            Takes a season as season-plan does, and the batches of a plan as they would be; answers each demand's odds,
            what breaks, and where the virgins are taken to mate if that was not said.""")
    CheckAnswer check(@Valid @RequestBody CheckRequest asked) {
        return CheckAnswer.of(PlanCheck.of(asked.season().brief(),
                asked.batches().stream().map(SeasonPlanView.BatchView::batch).toList(), List.of()));
    }
}
