package vividcrown.server.season;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import vividcrown.core.demand.Product;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.CalendarStep;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.plan.DroneStart;
import vividcrown.core.season.plan.Promise;
import vividcrown.core.season.plan.Relaxation;
import vividcrown.core.season.plan.SeasonPlan;
import vividcrown.core.season.plan.YardUse;
import vividcrown.core.season.sheet.BuilderSheet;
import vividcrown.core.season.sheet.DroneSheet;
import vividcrown.core.season.sheet.Shopping;
import vividcrown.core.season.supply.Assumed;
import vividcrown.core.season.supply.SupplyBand;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/**
 * A season's calendar, and how far it holds.
 *
 * @param holds every demand can be met in time, with the assurance wanted
 * @param batches the grafts, by day
 * @param promises one for each demand, by the day promised
 * @param changes against the plan before
 * @param waysOut what would help the demands that are not met, the most helpful first
 * @param hours work that the plan takes
 * @param droneStarts colonies to be given drone comb, the earliest first
 * @param yards what the plan makes of each mating yard; empty if nobody asks where nucs stand
 */
public record SeasonPlanView(boolean holds, List<BatchView> batches, List<PromiseView> promises,
        List<ChangeView> changes, List<WayOutView> waysOut, double hours, SearchView search, List<BandView> bands,
        List<BuilderSheetView> builders, List<DroneStartView> droneStarts, List<DroneSheetView> drones,
        List<YardUseView> yards, ShoppingView shopping) {

    /**
     * @param breeder the mother's id
     * @param breederName how people call her; left out where it is sent to be checked
     * @param shares for whom
     * @param spare cups for nobody yet
     * @param locked it was fixed by hand
     * @param grafter who grafts, if that is known
     * @param assumed how much of it comes through each step; left out where it is sent to be checked
     * @param days what it will be when; left out where it is sent to be checked
     * @param at yards where its virgins are to mate, those with the most cells first; left out or empty if nobody asks where
     */
    public record BatchView(@NotNull LocalDate day, @NotBlank @Size(max = SeasonAsked.LONGEST_NAME) String builder,
            @NotBlank @Size(max = SeasonAsked.LONGEST_NAME) String breeder, @Nullable String breederName,
            @NotBlank @Size(max = SeasonAsked.LONGEST_NAME) String line,
            @Min(1) @Max(BuilderSchool.EXCEPTIONAL_LOAD) int cups,
            @NotNull @Size(max = BuilderSchool.EXCEPTIONAL_LOAD) List<@Valid ShareView> shares, int spare,
            boolean locked, @Nullable String grafter,
            @Nullable List<ReasonView> assumed,
            @Nullable BatchDays days, @Nullable @Size(max = SeasonAsked.MOST_YARDS) List<@Valid BatchAtYard> at) {
        static BatchView of(PlannedBatch batch, SeasonBrief brief, UnaryOperator<String> names) {
            return new BatchView(batch.day(), batch.builder(), batch.breeder(), names.apply(batch.breeder()),
                    batch.line(), batch.cups(),
                    batch.shares().stream()
                            .map(share -> new ShareView(share.demand(), share.cups(), share.delivery())).toList(),
                    batch.spare(), batch.locked(), batch.grafter().orElse(null),
                    ReasonView.of(Assumed.of(brief, batch)), BatchDays.of(batch.day(), brief),
                    BatchAtYard.of(batch));
        }

        PlannedBatch batch() {
            return new PlannedBatch(day, builder, breeder, line, cups,
                    shares.stream().map(one -> new PlannedBatch.Share(one.demand(), one.cups(), one.delivery()))
                            .toList(),
                    locked, Optional.ofNullable(grafter),
                    at == null
                            ? List.of()
                            : at.stream().map(one -> new PlannedBatch.At(one.yard(), one.cells())).toList());
        }
    }

    /** @param cells of the batch that are meant for nucs there, about */
    public record BatchAtYard(@NotBlank @Size(max = SeasonAsked.LONGEST_NAME) String yard,
            @Min(1) @Max(BuilderSchool.EXCEPTIONAL_LOAD) int cells) {
        static List<BatchAtYard> of(PlannedBatch batch) {
            return batch.at().stream().map(one -> new BatchAtYard(one.yard(), one.cells())).toList();
        }
    }

    /**
     * @param cells that are placed there, about
     * @param most nucs that are taken there on one day
     * @param nucs that stand there
     * @param mating share of its virgins that will lay, 0–1; 0 if it takes none
     * @param trips there and back
     * @param hours of driving
     * @param reasons why there, and what is wanting
     */
    public record YardUseView(String yard, int cells, int most, int nucs, double mating, int trips, double hours,
            List<ReasonView> reasons) {
        static YardUseView of(YardUse use) {
            return new YardUseView(use.yard(), use.cells(), use.most(), use.nucs(),
                    Math.round(use.mating() * 1000) / 1000.0, use.trips(), Math.round(use.hours() * 10) / 10.0,
                    ReasonView.of(use.reasons()));
        }
    }

    /** Ripe cells, virgins out, flights, first eggs. */
    public record BatchDays(SpanView ripe, SpanView emergence, SpanView flights, SpanView eggs) {
        static BatchDays of(LocalDate day, SeasonBrief brief) {
            GraftCalendar calendar = GraftCalendar.of(brief.expected().how().on(day), brief.expected().assumptions());
            return new BatchDays(when(calendar, StepKind.PLACE_CELLS), when(calendar, StepKind.EMERGENCE),
                    when(calendar, StepKind.HANDS_OFF_MATING), when(calendar, StepKind.FIRST_EGGS));
        }

        private static SpanView when(GraftCalendar calendar, StepKind kind) {
            return SpanView.of(calendar.when(kind).orElseThrow());
        }
    }

    public record ShareView(@NotBlank @Size(max = SeasonAsked.LONGEST_NAME) String demand,
            @Min(0) @Max(BuilderSchool.EXCEPTIONAL_LOAD) int cups, @NotNull LocalDate delivery) {
    }

    /**
     * @param chance of having the whole number on the day, 0–1
     * @param delivery left out if there is none
     * @param grafts cups for it and those it shares its batches with
     */
    public record PromiseView(String demand, Product product, int count, LocalDate from, LocalDate until,
            @Nullable String line, int priority, double assurance, Promise.State state, double chance,
            @Nullable LocalDate delivery, int daysLate, int grafts, List<ReasonView> reasons) {
        static PromiseView of(Promise promise) {
            var demand = promise.demand();
            return new PromiseView(demand.id(), demand.product(), demand.count(), demand.from(), demand.until(),
                    demand.line().orElse(null), demand.priority(), demand.assurance(), promise.state(),
                    promise.chance(), promise.delivery().orElse(null), promise.daysLate(), promise.grafts(),
                    ReasonView.of(promise.reasons()));
        }
    }

    /** @param before cups in the plan before, if it was in it */
    public record ChangeView(SeasonPlan.Change.Kind kind, LocalDate day, String builder, int cups,
            @Nullable Integer before) {
    }

    /**
     * @param amount how many nucs, builders, hours or places; days later; percent sure; how many promised or bought in; queens of the order said
     *        no to; 0 for days off
     * @param helps the demands that hold with it and do not without
     * @param loses the demands that stand more firmly without it
     * @param hours of work more, negative if fewer
     */
    public record WayOutView(Relaxation kind, int amount, List<String> helps, List<String> loses, double hours,
            String text) {
    }

    /**
     * @param proven no plan is better
     * @param gap share by which it may cost more than the best, 0 if proven
     * @param cost minutes of work, with penalties for what is late, at risk, unmet or changed
     * @param bound no plan costs less
     */
    public record SearchView(boolean proven, double gap, double cost, double bound, double firstSeconds,
            double seconds) {
    }

    public record BandView(SupplyKind kind, List<SupplyBand.Point> days) {
        static List<BandView> of(List<SupplyBand> bands) {
            return bands.stream().map(band -> new BandView(band.kind(), band.days())).toList();
        }
    }

    public record BuilderSheetView(String builder, BuilderSchool school, int load, List<LoadView> loads,
            List<SpanView> rests) {
        static List<BuilderSheetView> of(List<BuilderSheet> sheets) {
            return sheets.stream().map(sheet -> new BuilderSheetView(sheet.builder().id(), sheet.builder().school(),
                    sheet.builder().load(), sheet.loads().stream().map(LoadView::of).toList(),
                    sheet.rests().stream().map(SpanView::of).toList())).toList();
        }
    }

    /**
     * @param sealed the likely day on which its cells are sealed
     * @param ripe the likely day on which they leave the builder
     */
    public record LoadView(LocalDate graft, int cups, LocalDate sealed, LocalDate ripe, List<LoadStep> steps) {
        static LoadView of(BuilderSheet.Load load) {
            return new LoadView(load.graft(), load.cups(), load.sealed(), load.ripe(),
                    load.steps().stream().map(LoadStep::of).toList());
        }
    }

    /** @param name the step in words */
    public record LoadStep(StepKind step, String name, SpanView when) {
        static LoadStep of(CalendarStep step) {
            return new LoadStep(step.kind(), GraftCalendar.nameOf(step.kind()).toString(), SpanView.of(step.when()));
        }
    }

    /**
     * @param combIn when drone comb is to be put in
     * @param firstGraft the graft whose virgins its drones are the first to meet
     */
    public record DroneStartView(String colony, String mother, SpanView combIn, LocalDate firstGraft) {
        static DroneStartView of(DroneStart start, UnaryOperator<String> names) {
            return new DroneStartView(start.colony(), names.apply(start.mother()), SpanView.of(start.combIn()),
                    start.firstGraft());
        }
    }

    /**
     * @param comb when drone comb must be in
     * @param virgins that fly together with those of this graft, on average
     */
    public record DroneSheetView(LocalDate graft, String breeder, SpanView comb, SpanView flights, int virgins,
            int coloniesWanted, int coloniesReady, List<ReasonView> warnings) {
        static List<DroneSheetView> of(List<DroneSheet> sheets, UnaryOperator<String> names) {
            return sheets.stream().map(sheet -> new DroneSheetView(sheet.graft(), names.apply(sheet.breeder()),
                    SpanView.of(sheet.comb()), SpanView.of(sheet.flights()), sheet.virgins(), sheet.coloniesWanted(),
                    sheet.coloniesReady(), ReasonView.of(sheet.warnings()))).toList();
        }
    }

    /** @param weeks by the Monday of the week */
    public record ShoppingView(Map<Shopping.Material, Integer> all, List<WeekView> weeks) {
        static ShoppingView of(Shopping shopping) {
            return new ShoppingView(shopping.list(), shopping.weeks().entrySet().stream()
                    .map(week -> new WeekView(week.getKey(), week.getValue())).toList());
        }
    }

    public record WeekView(LocalDate monday, Map<Shopping.Material, Integer> items) {
    }

    /** @param names how people call the queens that the brief knows by these ids */
    public static SeasonPlanView of(SeasonBrief brief, SeasonPlan plan, UnaryOperator<String> names) {
        return new SeasonPlanView(plan.holds(),
                plan.batches().stream().map(batch -> BatchView.of(batch, brief, names)).toList(),
                plan.promises().stream().map(PromiseView::of).toList(),
                plan.changes().stream().map(one -> new ChangeView(one.kind(), one.day(), one.builder(), one.cups(),
                        one.before().orElse(null))).toList(),
                plan.waysOut().stream()
                        .map(way -> new WayOutView(way.kind(), way.amount(), way.helps(), way.loses(),
                                Math.round(way.hours() * 10) / 10.0, way.text().toString()))
                        .toList(),
                Math.round(plan.hours() * 10) / 10.0,
                new SearchView(plan.search().proven(), plan.search().gap(), plan.search().cost(),
                        plan.search().bound(), plan.search().firstSeconds(), plan.search().seconds()),
                BandView.of(SupplyBand.of(brief, plan.batches())),
                BuilderSheetView.of(BuilderSheet.of(brief, plan.batches())),
                plan.droneStarts().stream().map(start -> DroneStartView.of(start, names)).toList(),
                DroneSheetView.of(DroneSheet.of(brief, plan.batches(), plan.droneStarts()), names),
                plan.yards().stream().map(YardUseView::of).toList(),
                ShoppingView.of(Shopping.of(brief, plan.batches(), plan.deliveries())));
    }
}
