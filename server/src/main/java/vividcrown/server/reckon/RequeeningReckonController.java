package vividcrown.server.reckon;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.reason.Sentence;
import vividcrown.core.requeening.Age;
import vividcrown.core.requeening.Requeening;
import vividcrown.core.requeening.SwarmOdds;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.server.lineage.LineageViews.RequeeningView;
import vividcrown.server.problem.Refusal;

/** Which colonies get another queen, and when. Open to everybody, keeps nothing. */
@RestController
@RequestMapping("/api/v1/reckon")
class RequeeningReckonController {

    private static final double USUAL_SPARES = 0.1;
    /** A colony that looks well holds a queen who lays. Common practice, from memory. */
    private static final double USUALLY_LAYS = 0.9;

    /**
     * A colony.
     *
     * @param born year in which its queen came out; left out if nobody knows
     * @param lays chance that a mated queen is in there and lays, 0–1
     * @param layersOfDrones chance that she lays drones only
     * @param spotty readings of this season with holes in the brood
     * @param solid the newest look at the brood found it solid
     * @param badTemper readings of the last year on which it boiled over
     * @param people neighbours, paths or animals are near
     * @param superseding one or two cells on the face of a comb beside a queen who lays
     * @param breeder one grafts from her
     * @param suspect signs of disease stand
     * @param merit expected, in marks above the mean
     * @param reliability of that, 0–1
     * @param daysHere days since she was given, if lately
     * @param cellsLastYear swarm cells were found last season
     * @param cellsThisYear they were found this season
     * @param crowded bees sit in every seam
     * @param divided it was divided this season
     */
    record RequeenColony(@NotBlank @Size(max = 40) String code, @Nullable @Min(1950) @Max(2200) Integer born,
            @Nullable @DecimalMin("0") @DecimalMax("1") Double lays,
            @Nullable @DecimalMin("0") @DecimalMax("1") Double layersOfDrones,
            @Nullable @Min(0) @Max(100) Integer spotty,
            @Nullable Boolean solid, @Nullable @Min(0) @Max(100) Integer badTemper, @Nullable Boolean people,
            @Nullable Boolean superseding, @Nullable Boolean breeder, @Nullable Boolean suspect, @Nullable Double merit,
            @Nullable @DecimalMin("0") @DecimalMax("1") Double reliability,
            @Nullable @Min(0) @Max(10_000) Integer daysHere, @Nullable Boolean cellsLastYear,
            @Nullable Boolean cellsThisYear, @Nullable Boolean crowded, @Nullable Boolean divided) {

        Requeening.Colony colony(Conditions at, List<String> assumed) {
            if (lays == null) {
                assumed.add(Sentence.of("requeening.assumed.lays", code).toString());
            }
            if (born != null && born > at.day().getYear()) {
                throw Refusal.invalid("colonies", Sentence.of("requeening.bornAhead", code, String.valueOf(born)));
            }
            return new Requeening.Colony(code, Age.of(born == null ? 0 : born, at.day(), at.year()),
                    lays == null ? USUALLY_LAYS : lays, layersOfDrones == null ? 0 : layersOfDrones,
                    spotty == null ? 0 : spotty, Boolean.TRUE.equals(solid), badTemper == null ? 0 : badTemper,
                    Boolean.TRUE.equals(people), Boolean.TRUE.equals(superseding), Boolean.TRUE.equals(breeder),
                    Boolean.TRUE.equals(suspect), Optional.ofNullable(merit), reliability == null ? 0 : reliability,
                    Optional.ofNullable(daysHere), new SwarmOdds.History(Boolean.TRUE.equals(cellsLastYear),
                            Boolean.TRUE.equals(cellsThisYear), Boolean.TRUE.equals(crowded),
                            Boolean.TRUE.equals(divided)),
                    at.flow());
        }
    }

    /**
     * @param policy the house rule; at two years if left out
     * @param spares share of queens kept spare; 0.1 if left out
     */
    record RequeeningRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            Requeening.@Nullable Policy policy, @Nullable @DecimalMin("0") @DecimalMax("1") Double spares,
            @NotNull @Size(min = 1, max = 2_000) List<@NotNull @Valid RequeenColony> colonies) {
    }

    /** @param code of the hive @param requeening what to do about its queen */
    record RequeenedView(String code, RequeeningView requeening) {
    }

    /** @param wanted queens: for those to be changed, and to keep spare */
    record RequeeningAnswer(List<RequeenedView> colonies, int wanted, List<String> assumed) {
    }

    @PostMapping("/requeening")
    @Operation(summary = "Which colonies get another queen: now, after the flow, keep, watch; why; how likely they swarm", description = """
            Example: {"day": "2026-06-20", "policy": "AT_TWO_YEARS", "colonies": [{"code": "H 4", "born": 2024, "lays": 0.95,
            "solid": true}]}.""")
    RequeeningAnswer requeening(@Valid @RequestBody RequeeningRequest asked) {
        List<String> assumed = new ArrayList<>();
        Conditions at = (asked.place() == null ? PlaceInput.NOT_SAID : asked.place()).conditions(asked.day(), assumed);
        Requeening.Policy policy = asked.policy() == null ? Requeening.Policy.AT_TWO_YEARS : asked.policy();
        List<Requeening> found = asked.colonies().stream().map(one -> Requeening.of(
                Refusal.checked(() -> one.colony(at, assumed), "colonies"), policy, asked.day(), at.year(),
                Assumptions.standard())).toList();
        List<RequeenedView> views = new ArrayList<>();
        for (int one = 0; one < found.size(); one++) {
            views.add(new RequeenedView(asked.colonies().get(one).code(), RequeeningView.of(found.get(one))));
        }
        return new RequeeningAnswer(views,
                Requeening.wanted(found, asked.spares() == null ? USUAL_SPARES : asked.spares()), assumed);
    }
}
