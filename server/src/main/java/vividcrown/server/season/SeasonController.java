package vividcrown.server.season;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.demand.Product;
import vividcrown.core.reason.Sentence;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.plan.DroneStart;
import vividcrown.core.season.plan.PlanCheck;
import vividcrown.core.season.plan.Promise;
import vividcrown.core.season.plan.SolveWatch;
import vividcrown.core.season.plan.Without;
import vividcrown.core.season.plan.YardPlan;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.core.season.sheet.BuilderSheet;
import vividcrown.core.season.sheet.DroneSheet;
import vividcrown.core.season.sheet.Shopping;
import vividcrown.core.season.supply.GraftsNeeded;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.season.supply.SupplyBand;
import vividcrown.core.season.unfold.Lives;
import vividcrown.core.season.unfold.WeekAhead;
import vividcrown.server.demand.QueenOrder;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Queen;
import vividcrown.server.rearing.Graft;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/** The operation's season: how what is planned stands against what is promised, and searches for better. */
@RestController
@RequestMapping("/api/v1/season")
class SeasonController {

    private static final int EXAMPLE_QUEENS = 40;
    /** The rest of the season is lived through as often as these seconds allow. */
    private static final double SECONDS_LIVING = 2;
    private static final int LEAST_LIVES = 10;
    private static final int MOST_LIVES = 200;
    private static final double SECONDS_WITHOUT = 4;

    /**
     * A demand as it stands today.
     *
     * @param count how many are still to come
     * @param customer for whom, or what for
     * @param chance of the whole number on the day, with what is on its way and what is planned
     * @param state firm, at risk, or without any hope as things stand
     * @param reasons what is on its way and planned for it
     */
    record Standing(UUID order, String demand, String customer, boolean ownNeed, Product product, int count,
            LocalDate from, LocalDate until, @Nullable String line, int priority, double assurance, double chance,
            Promise.State state, List<ReasonView> reasons) {
    }

    /**
     * @param chance share of the lives in which the whole number was there in time, 0–1
     * @param lives how often the rest of the season was lived through
     */
    record PlanningOdds(String demand, double chance, int lives) {
    }

    /** @param graft the planned graft, so that it can be fixed or opened */
    record PlannedLine(UUID graft, String code, SeasonPlanView.BatchView batch) {
    }

    /**
     * @param breaks what cannot be done as it is planned
     * @param droneCombs colonies that are still to be given drone comb
     * @param rates what the odds rest on
     * @param yards what it makes of each mating yard; empty if no mating nucs stand anywhere
     * @param weakest for forty queens from three grafts: what comes through, and which step one would better
     *        first
     */
    record SeasonPage(LocalDate today, LocalDate until, List<Standing> standings, List<PlannedLine> planned,
            List<String> breaks, List<SeasonPlanView.BandView> bands, List<SeasonPlanView.BuilderSheetView> builders,
            List<DroneCombLine> droneCombs, List<SeasonPlanView.DroneSheetView> drones,
            SeasonPlanView.ShoppingView shopping,
            List<RatePools.StepRates> rates, List<ReasonView> weakest, List<SeasonPlanView.YardUseView> yards,
            double assurance, int nucs, int nucsTaken) {
    }

    /** @param days on which the plan wants drone comb put in */
    record DroneCombLine(UUID colony, String code, SpanView days) {
    }

    record Search(@Valid SeasonBriefs.@Nullable WhatIf whatIf, @Nullable Double seconds) {
    }

    record Begun(UUID id) {
    }

    private final SeasonBriefs briefs;
    private final SeasonSearches searches;
    private final PlanAdoption adoption;
    private final RecipeShelf shelf;

    SeasonController(SeasonBriefs briefs, SeasonSearches searches, PlanAdoption adoption, RecipeShelf shelf) {
        this.briefs = briefs;
        this.searches = searches;
        this.adoption = adoption;
        this.shelf = shelf;
    }

    /** What to graft and to place in the week ahead, and why that many. */
    @GetMapping("/week")
    @Operation(operationId = "weekAhead", summary = "What to graft and to place in the week ahead, and why that many")
    public WeekAheadView week() {
        SeasonBriefs.Made made = briefs.make(SeasonBriefs.WhatIf.NOTHING);
        return WeekAheadView.of(Refusal.checked(() -> WeekAhead.of(made.brief()), ""));
    }

    /** How often each order is kept if one goes on planning: the rest of the season lived through, which takes seconds. */
    @GetMapping("/week/odds")
    @Operation(operationId = "oddsWithPlanning", summary = "How often each order is whole on its day if it is planned again on every graft day")
    public List<PlanningOdds> oddsWithPlanning() {
        SeasonBriefs.Made made = briefs.make(SeasonBriefs.WhatIf.NOTHING);
        Lives.Odds odds = Refusal.checked(
                () -> Lives.odds(made.brief(), LEAST_LIVES, MOST_LIVES, SECONDS_LIVING), "");
        return odds.chances().entrySet().stream().sorted(Map.Entry.comparingByKey())
                .map(one -> new PlanningOdds(one.getKey(), one.getValue(), odds.lives())).toList();
    }

    /** What a no to an order would free: the season planned with it and without it, which takes seconds. */
    @GetMapping("/without/{demand}")
    @Operation(operationId = "without", summary = "What a no to an order would free")
    public WithoutView without(@PathVariable String demand) {
        SeasonBrief brief = briefs.make(SeasonBriefs.WhatIf.NOTHING).brief();
        if (brief.demands().stream().noneMatch(one -> one.id().equals(demand))) {
            throw Refusal.notFound(Sentence.of("refusal.orderGone"));
        }
        return WithoutView.of(Refusal.checked(
                () -> Without.of(brief, shelf, demand, SECONDS_WITHOUT, SolveWatch.untilInterrupted()), ""));
    }

    /** How what is planned stands against what is promised, with the sheets for it. */
    @GetMapping
    public SeasonPage season() {
        SeasonBriefs.Made made = briefs.make(SeasonBriefs.WhatIf.NOTHING);
        SeasonBrief brief = made.brief();
        List<DroneStart> starts = briefs.droneStartsMeant(brief);
        PlanCheck check = PlanCheck.of(brief, made.planned().stream().map(graft -> batch(graft, made)).toList(),
                starts);
        List<PlannedBatch> batches = check.batches();
        List<Standing> standings = new ArrayList<>();
        Map<String, QueenOrder> orders = new HashMap<>();
        made.open().forEach(order -> orders.put(order.code(), order));
        for (Demand demand : brief.demands()) {
            double chance = Objects.requireNonNull(check.chances().get(demand.id()));
            QueenOrder order = Objects.requireNonNull(orders.get(demand.id()));
            standings.add(
                    new Standing(order.id(), demand.id(), order.terms().customer(), order.terms().ownNeed(),
                            demand.product(),
                            demand.count(), demand.from(), demand.until(), demand.line().orElse(null),
                            demand.priority(),
                            demand.assurance(), chance, Promise.standing(chance, demand.assurance()),
                            ReasonView.of(Objects.requireNonNull(check.reasons().get(demand.id())))));
        }
        Map<Demand, LocalDate> deliveries = brief.demands().stream()
                .collect(Collectors.toMap(demand -> demand, Demand::until));
        return new SeasonPage(brief.today(), brief.until(), standings, lines(made, batches),
                check.breaks().stream().map(Object::toString).toList(),
                SeasonPlanView.BandView.of(SupplyBand.of(brief, batches)),
                SeasonPlanView.BuilderSheetView.of(BuilderSheet.of(brief, batches)),
                briefs.droneCombsMeant().stream().map(colony -> new DroneCombLine(colony.id(), colony.code(),
                        SpanView.of(colony.droneCombMeant().orElseThrow()))).toList(),
                SeasonPlanView.DroneSheetView.of(DroneSheet.of(brief, batches, starts),
                        made::nameOf),
                SeasonPlanView.ShoppingView.of(Shopping.of(brief, batches, deliveries)),
                RatePools.table(made.learnt(), made.names()),
                weakest(brief),
                new YardPlan(brief, new Supply(brief), starts).uses(batches).stream()
                        .map(SeasonPlanView.YardUseView::of).toList(),
                brief.demands().stream().mapToDouble(Demand::assurance).findFirst().orElse(0.9), brief.means().nucs(),
                brief.means().busyNucs().on(brief.today()));
    }

    private static List<ReasonView> weakest(SeasonBrief brief) {
        return ReasonView.of(GraftsNeeded.forDemand(Product.MATED_QUEENS, EXAMPLE_QUEENS, 0.9, 3,
                brief.expected().rates().overall()).reasons());
    }

    private static PlannedBatch batch(Graft graft, SeasonBriefs.Made made) {
        Queen mother = Objects.requireNonNull(made.mothers().get(graft.motherId()));
        return new PlannedBatch(graft.graftDay(), made.builderCodes().getOrDefault(graft.builderId(), "?"),
                mother.id().toString(), mother.line(), graft.bars() * graft.cupsPerBar(), shares(graft, made.brief()),
                graft.fixed(), Optional.of(graft.grafter()));
    }

    /** @param batches of the planned grafts, one by one */
    private static List<PlannedLine> lines(SeasonBriefs.Made made, List<PlannedBatch> batches) {
        return IntStream.range(0, batches.size()).mapToObj(index -> {
            Graft graft = made.planned().get(index);
            return new PlannedLine(graft.id(), graft.code(),
                    SeasonPlanView.BatchView.of(batches.get(index), made.brief(), made::nameOf));
        }).toList();
    }

    /** Orders that were delivered or declined meanwhile no longer count. */
    private static List<PlannedBatch.Share> shares(Graft graft, SeasonBrief brief) {
        return graft.shares().stream()
                .filter(share -> brief.demands().stream().anyMatch(one -> one.id().equals(share.demand())))
                .map(share -> new PlannedBatch.Share(share.demand(), share.cups(), share.delivery())).toList();
    }

    /** Begins a search; how far it is tells the next. */
    @PostMapping("/searches")
    @Operation(summary = "Begin a search for a plan")
    Begun search(@Valid @RequestBody Search asked) {
        // whoever takes the plan grafts, unless somebody else is named
        SeasonBriefs.Made made = briefs.make(Objects.requireNonNullElse(asked.whatIf(), SeasonBriefs.WhatIf.NOTHING)
                .graftedBy(SignedIn.require().firstName()));
        SeasonBrief brief = made.brief();
        List<Refusal.Finding> faults = brief.faults().stream()
                .map(fault -> new Refusal.Finding("", fault.toString())).toList();
        if (!faults.isEmpty()) {
            throw Refusal.invalid(faults);
        }
        double seconds = Math.clamp(Objects.requireNonNullElse(asked.seconds(), SeasonAsked.MOST_SECONDS), 0.5,
                SeasonAsked.MOST_SECONDS);
        return new Begun(searches.begin(brief, made.names(), seconds));
    }

    /** How far a search is, and its plan once it is done. */
    @GetMapping("/searches/{id}")
    @Operation(summary = "How far a search is, and its plan once it is done")
    SeasonSearches.Progress progress(@PathVariable UUID id) {
        return searches.progress(id).orElseThrow(
                () -> Refusal.notFound(Sentence.of("refusal.searchGone")));
    }

    /** Ends a search; the best plan so far is kept. */
    @PostMapping("/searches/{id}/stop")
    @Operation(summary = "End a search; the best plan so far is kept")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop(@PathVariable UUID id) {
        searches.stop(id);
    }

    /** Makes the plan that a search found the operation's own: its grafts are planned, those it drops are cancelled. */
    @PostMapping("/searches/{id}/adopt")
    @Operation(summary = "Make the plan that a search found the operation's own")
    PlanAdoption.Adopted adopt(@PathVariable UUID id) {
        SignedIn.requireOwner();
        SeasonPlanView plan = progress(id).plan();
        if (plan == null) {
            throw Refusal.invalid("", Sentence.of("refusal.searchNotDone"));
        }
        return adoption.adopt(id, plan);
    }

    /** What the plan comes to with these grafts instead, nothing kept: for moving them by hand. */
    @PostMapping("/check")
    @Operation(summary = "What the plan comes to with these grafts instead; nothing is kept")
    SeasonPlanReckonController.CheckAnswer check(
            @RequestBody @Size(max = SeasonAsked.MOST_BATCHES) List<SeasonPlanView.@Valid BatchView> batches) {
        SeasonBrief brief = briefs.make(SeasonBriefs.WhatIf.NOTHING).brief();
        return SeasonPlanReckonController.CheckAnswer.of(PlanCheck.of(brief,
                batches.stream().map(SeasonPlanView.BatchView::batch).toList(), briefs.droneStartsMeant(brief)));
    }

    /** @param request an id of its own: the same request twice moves once */
    record Moved(@NotNull UUID request, @NotNull LocalDate day) {
    }

    /** Moves a planned graft to another day. */
    @PostMapping("/grafts/{id}/move")
    @Operation(summary = "Move a planned graft to another day")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void move(@PathVariable UUID id, @Valid @RequestBody Moved asked) {
        SignedIn.requireOwner();
        adoption.move(asked.request(), id, asked.day());
    }
}
