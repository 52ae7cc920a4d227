package vividcrown.server.reckon;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.demand.Product;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.odds.StepOdds;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.demand.Backward;
import vividcrown.core.season.supply.GraftsNeeded;
import vividcrown.core.season.supply.Yield;
import vividcrown.core.settings.OwnFigure;
import vividcrown.server.problem.Refusal;
import vividcrown.server.rearing.CalendarView;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/** How many grafts and when, for one order. Open to everybody, keeps nothing. */
@RestController
@RequestMapping("/api/v1/reckon")
class SeasonReckonController {

    private static final double USUAL_ASSURANCE = 0.9;
    private static final List<Double> SHOWN_QUANTILES = List.of(0.05, 0.25, 0.5, 0.75, 0.95);

    /** Own counts at a step of loss; laid over the trade's belief. */
    record OwnCount(@NotNull LossStep step, @Min(0) @Max(1_000_000) int tried,
            @Min(0) @Max(1_000_000) int succeeded) {
    }

    /**
     * @param wanted how many are to be delivered
     * @param assurance chance of having them, 0.5–0.999; 0.9 if left out
     * @param batches on how many different days the grafts are made; 1 if left out
     * @param grafts a number of grafts whose yield is asked for, instead of the smallest that does
     */
    record GraftsNeededRequest(@NotNull Product product, @NotNull Integer wanted, @Nullable Double assurance,
            @Nullable Integer batches, @Nullable Integer grafts,
            @Nullable @Size(max = 20) List<@Valid OwnCount> counts) {
    }

    /**
     * @param grafts the smallest number that meets the demand; left out if none within reason does
     * @param chance of meeting the demand, with these grafts or, where none does, with the most that is reckoned with
     * @param mean finished on average
     * @param quantiles finished numbers not exceeded with the probability in the key
     * @param steps what one percentage point more is worth at each step, the most valuable first
     */
    record GraftsNeededAnswer(@Nullable Integer grafts, double chance, double mean, Map<String, Integer> quantiles,
            List<StepWorthView> steps, List<ReasonView> reasons) {
    }

    /** @param grafts that would do with one percentage point more; left out if none does */
    record StepWorthView(LossStep step, double mean, @Nullable Integer grafts, double chance) {
    }

    /**
     * @param delivery the day on which it is to be had
     * @param today from when grafts can be made; far back if left out
     */
    record BackwardRequest(@NotNull Product product, @NotNull LocalDate delivery, @Nullable LocalDate today,
            @Nullable LarvaAge larvaAge, @Nullable BuilderSchool school, @Nullable Placing placing,
            @Nullable List<Double> fitAfternoonsByMonth,
            @Nullable @Size(max = 60) List<@Valid OwnFigure> figures) {
    }

    /**
     * @param graft the days on which to graft
     * @param feasible whether one of them is left
     * @param earliestDelivery from a graft today
     * @param mating chance that its virgins find two fit afternoons
     */
    record BackwardAnswer(SpanView graft, boolean feasible, LocalDate earliestDelivery, double mating,
            CalendarView calendar, List<ReasonView> reasons) {
    }

    @PostMapping("/grafts-needed")
    @Operation(summary = "The smallest number of grafts for a demand, with its odds and the weakest step", description = """
            Example: {"product": "MATED_QUEENS", "wanted": 40, "assurance": 0.9, "batches": 3}. Steps are beta-binomial,
            a batch shares its luck, batches are independent; the distribution is exact.""")
    GraftsNeededAnswer graftsNeeded(@Valid @RequestBody GraftsNeededRequest asked) {
        Map<LossStep, Rate> rates = rates(asked.counts());
        double assurance = Objects.requireNonNullElse(asked.assurance(), USUAL_ASSURANCE);
        int batches = Objects.requireNonNullElse(asked.batches(), 1);
        try {
            GraftsNeeded needed = GraftsNeeded.forDemand(asked.product(), asked.wanted(), assurance, batches, rates);
            Yield yield = asked.grafts() == null
                    ? needed.yield()
                    : Yield.ofBatches(checkedGrafts(asked.grafts()), batches, asked.product().losses().stream()
                            .map(step -> rates.getOrDefault(step, step.prior())).toList());
            Map<String, Integer> quantiles = new LinkedHashMap<>();
            SHOWN_QUANTILES.forEach(one -> quantiles.put(String.valueOf(one), yield.quantile(one)));
            return new GraftsNeededAnswer(needed.grafts().orElse(null), yield.atLeast(asked.wanted()), yield.mean(),
                    quantiles, needed.steps().stream().map(step -> new StepWorthView(step.step(), step.mean(),
                            step.grafts().orElse(null), step.chance())).toList(),
                    ReasonView.of(needed.reasons()));
        } catch (IllegalArgumentException outside) {
            throw Refusal.invalid("", outside.getMessage() + ".");
        }
    }

    @PostMapping("/backward")
    @Operation(summary = "From the day of delivery back to the graft and the whole calendar", description = """
            Example: {"product": "LAYING_QUEENS", "delivery": "2026-07-12"} gives a graft on 2026-06-13 to 22, likely 19.""")
    BackwardAnswer backward(@Valid @RequestBody BackwardRequest asked) {
        Assumptions assumptions;
        MatingClimate climate;
        try {
            assumptions = OwnFigure.over(asked.figures() == null ? List.of() : asked.figures());
            climate = asked.fitAfternoonsByMonth() == null
                    ? MatingClimate.UPLAND_46_NORTH
                    : MatingClimate.byMonth(asked.fitAfternoonsByMonth());
        } catch (IllegalArgumentException unclear) {
            throw Refusal.invalid("", unclear.getMessage() + ".");
        }
        LocalDate today = asked.today() == null ? asked.delivery().minusYears(1) : asked.today();
        if (asked.delivery().isBefore(today)) {
            throw Refusal.invalid("delivery",
                    Sentence.of("refusal.hasPassed", asked.delivery().toString(), today.toString()));
        }
        GraftPlan plan = new GraftPlan(asked.delivery(),
                Objects.requireNonNullElse(asked.larvaAge(), LarvaAge.FROM_12_TO_24_H),
                Objects.requireNonNullElse(asked.school(), BuilderSchool.STARTER_THEN_FINISHER),
                Objects.requireNonNullElse(asked.placing(), Placing.CELLS_TO_NUCS), GraftPlan.PROPER_INCUBATOR_CELSIUS);
        Backward back = Backward.from(asked.product(), asked.delivery(), today, plan, assumptions, climate);
        return new BackwardAnswer(SpanView.of(back.graft()), back.feasible(), back.earliestDelivery(), back.mating(),
                CalendarView.of(back.calendar()), ReasonView.of(back.reasons()));
    }

    private static int checkedGrafts(int grafts) {
        if (grafts < 1 || grafts > GraftsNeeded.MOST_GRAFTS) {
            throw new IllegalArgumentException(
                    "grafts must lie between 1 and %d, but is %d".formatted(GraftsNeeded.MOST_GRAFTS, grafts));
        }
        return grafts;
    }

    private static Map<LossStep, Rate> rates(@Nullable List<OwnCount> counts) {
        Map<LossStep, Rate> rates = new EnumMap<>(LossStep.class);
        List<Refusal.Finding> findings = new ArrayList<>();
        if (counts != null) {
            for (OwnCount count : counts) {
                try {
                    rates.put(count.step(), StepOdds.counted(count.step().prior(), count.succeeded(), count.tried())
                            .at(Around.NOTHING_KNOWN));
                } catch (IllegalArgumentException outside) {
                    findings.add(new Refusal.Finding("counts." + count.step(), outside.getMessage() + "."));
                }
            }
        }
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        return rates;
    }
}
