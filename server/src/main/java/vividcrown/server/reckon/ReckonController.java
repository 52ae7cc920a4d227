package vividcrown.server.reckon;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.queen.CullReason;
import vividcrown.core.queen.LifeEntry;
import vividcrown.core.queen.LifeFold;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.QueenEvent;
import vividcrown.core.queen.QueenLife;
import vividcrown.core.queen.QueenOutlook;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.Work;
import vividcrown.core.queen.YearColour;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Refusal;
import vividcrown.server.rearing.CalendarView;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/** Core's computations without any record: JSON in, dated spans with reasons out. Open to everybody, keeps nothing. */
@RestController
@RequestMapping("/api/v1/reckon")
class ReckonController {

    /**
     * @param graftDay day 0
     * @param larvaAge default FROM_12_TO_24_H
     * @param school default STARTER_THEN_FINISHER
     * @param placing default CELLS_TO_NUCS
     * @param incubatorCelsius default 34.5; counts only with EMERGE_IN_INCUBATOR
     */
    record GraftCalendarRequest(@NotNull LocalDate graftDay, @Nullable LarvaAge larvaAge,
            @Nullable BuilderSchool school, @Nullable Placing placing, @Nullable Double incubatorCelsius) {

        private GraftPlan plan() {
            try {
                return new GraftPlan(graftDay, Objects.requireNonNullElse(larvaAge, LarvaAge.FROM_12_TO_24_H),
                        Objects.requireNonNullElse(school, BuilderSchool.STARTER_THEN_FINISHER),
                        Objects.requireNonNullElse(placing, Placing.CELLS_TO_NUCS),
                        Objects.requireNonNullElse(incubatorCelsius, GraftPlan.PROPER_INCUBATOR_CELSIUS));
            } catch (IllegalArgumentException outside) {
                throw Refusal.invalid("incubatorCelsius", String.valueOf(outside.getMessage()));
            }
        }
    }

    /**
     * @param today the day for which is asked
     * @param graft the graft she comes from; leave out for a queen already known
     * @param known her stage when the record begins; VIRGIN, LAYING, JUDGED or DRONE_LAYER
     * @param events what was seen and done, in any order
     * @param matingsSucceeded own virgins that mated and laid, of {@code matingsTried}; sharpens the odds
     */
    record QueenLifeRequest(@NotNull LocalDate today, @Nullable @Valid GraftCalendarRequest graft,
            @Nullable @Valid Known known, @Nullable @Size(max = 500) List<@Valid Event> events,
            @Nullable @Min(0) @Max(1_000_000) Integer matingsSucceeded,
            @Nullable @Min(0) @Max(1_000_000) Integer matingsTried) {
    }

    record Known(@NotNull LocalDate day, @NotNull Stage stage, @Nullable @Min(0) @Max(2200) Integer emergenceYear) {
    }

    record Event(@NotNull LocalDate day, @NotNull Seen what) {
    }

    /** What was seen or done. */
    enum Seen {
        TOOK, DID_NOT_TAKE, SEALED, CULLED, PLACED_IN_NUC, CAGED_IN_INCUBATOR, EMERGED, DUD, VIRGIN_SEEN, NO_EGGS_YET,
        EGGS_SEEN, SEALED_WORKER_BROOD, DRONE_BROOD_ONLY, NOT_FOUND, DEAD, MARKED, MARK_LOST, TAKEN_OUT
    }

    /**
     * @param due what to do next
     * @param comesGood odds, 0 to 1, that a late one still lays worker eggs
     * @param contradictions which event clashes, by its place in the list from 0, and with what
     */
    record QueenLifeAnswer(Stage stage, @Nullable SpanView emergence, @Nullable SpanView matingFlights,
            @Nullable SpanView firstEggs, @Nullable SpanView flatSealedBrood, @Nullable Due due,
            List<HandsOff> handsOff, boolean late, @Nullable Double comesGood, @Nullable YearColour colour,
            List<Clash> contradictions) {
    }

    record Due(Work work, SpanView window, boolean overdue, List<ReasonView> reasons) {
    }

    record HandsOff(SpanView days, ReasonView reason) {
    }

    record Clash(int event, String clash) {
    }

    @PostMapping("/graft-calendar")
    @Operation(summary = "The calendar of a graft, from drone comb to laying queens", description = """
            Example: {"graftDay": "2026-06-01"} gives ripe cells on 2026-06-11 and emergence on 2026-06-12 to 14.""")
    CalendarView graftCalendar(@Valid @RequestBody GraftCalendarRequest asked) {
        return CalendarView.of(GraftCalendar.of(asked.plan(), Assumptions.standard()));
    }

    @PostMapping("/queen-life")
    @Operation(summary = "Where one queen stands, what comes next, what is due and why", description = """
            Example: {"today": "2026-06-26", "graft": {"graftDay": "2026-06-01"}, "events":
            [{"day": "2026-06-11", "what": "PLACED_IN_NUC"}]} says: look for eggs, 2026-06-25 to 2026-07-02.""")
    QueenLifeAnswer queenLife(@Valid @RequestBody QueenLifeRequest asked) {
        List<LifeEntry> entries = entries(asked);
        Optional<GraftPlan> plan = Optional.ofNullable(asked.graft()).map(GraftCalendarRequest::plan);
        LifeFold.Folded folded = LifeFold.fold(entries,
                plan.map(GraftPlan::larvaAge).orElse(LarvaAge.FROM_12_TO_24_H), Assumptions.standard());
        QueenLife life = folded.life();
        QueenOutlook outlook = QueenOutlook.of(life, plan, Assumptions.standard(), mating(asked),
                MarkingScheme.INTERNATIONAL, asked.today());
        return new QueenLifeAnswer(life.stage(), outlook.emergence().map(SpanView::of).orElse(null),
                outlook.flights().map(SpanView::of).orElse(null), outlook.firstEggs().map(SpanView::of).orElse(null),
                outlook.flatBrood().map(SpanView::of).orElse(null),
                outlook.due()
                        .map(due -> new Due(due.work(), SpanView.of(due.window()), due.isOverdueOn(asked.today()),
                                ReasonView.of(due.reasons())))
                        .orElse(null),
                outlook.handsOff().stream()
                        .map(shut -> new HandsOff(SpanView.of(shut.days()), ReasonView.of(shut.reason()))).toList(),
                outlook.isLate(), outlook.comesGood().orElse(null),
                MarkingScheme.INTERNATIONAL.colourOf(life.emergenceYear()).orElse(null),
                folded.contradictions().stream()
                        .map(one -> new Clash((int) one.entry().getLeastSignificantBits(), one.clash().toString()))
                        .toList());
    }

    private static Rate mating(QueenLifeRequest asked) {
        int tried = Objects.requireNonNullElse(asked.matingsTried(), 0);
        int succeeded = Objects.requireNonNullElse(asked.matingsSucceeded(), 0);
        if (succeeded < 0 || succeeded > tried) {
            throw Refusal.invalid("matingsSucceeded", Sentence.of("refusal.matings", tried, succeeded));
        }
        return LossStep.MATING.prior().updatedBy(succeeded, tried);
    }

    private static List<LifeEntry> entries(QueenLifeRequest asked) {
        List<LifeEntry> entries = new ArrayList<>();
        UUID beginning = new UUID(1, 0);
        if (asked.graft() != null) {
            entries.add(new LifeEntry(beginning, asked.graft().graftDay(), 0, new QueenEvent.Grafted(beginning, 1, 1)));
        } else if (asked.known() != null) {
            entries.add(new LifeEntry(beginning, asked.known().day(), 0, known(asked.known())));
        } else {
            throw Refusal.invalid("graft", Sentence.of("refusal.beginning"));
        }
        List<Event> events = Objects.requireNonNullElse(asked.events(), List.of());
        for (int index = 0; index < events.size(); index++) {
            Event event = events.get(index);
            if (event.day().isAfter(asked.today())) {
                throw Refusal.invalid("events[%d].day".formatted(index),
                        Sentence.of("refusal.afterToday", event.day().toString(), asked.today().toString()));
            }
            entries.add(new LifeEntry(new UUID(0, index), event.day(), index + 1L, event(event.what())));
        }
        return entries;
    }

    private static QueenEvent known(Known known) {
        if (known.stage().isCell()) {
            throw Refusal.invalid("known.stage",
                    Sentence.of("refusal.knownCell", Sentence.of("stage." + known.stage().name())));
        }
        return new QueenEvent.Known(known.stage(), Objects.requireNonNullElse(known.emergenceYear(), 0),
                Optional.empty());
    }

    private static QueenEvent event(Seen seen) {
        return switch (seen) {
            case TOOK -> new QueenEvent.Took();
            case DID_NOT_TAKE -> new QueenEvent.DidNotTake();
            case SEALED -> new QueenEvent.SealedSeen();
            case CULLED -> new QueenEvent.Culled(CullReason.DAMAGED);
            case PLACED_IN_NUC -> QueenEvent.Placed.cell(new UUID(2, 0));
            case CAGED_IN_INCUBATOR -> new QueenEvent.CagedInIncubator(1);
            case EMERGED -> new QueenEvent.Emerged();
            case DUD -> new QueenEvent.Dud();
            case VIRGIN_SEEN -> new QueenEvent.VirginSeen();
            case NO_EGGS_YET -> new QueenEvent.NoEggsYet();
            case EGGS_SEEN -> new QueenEvent.EggsSeen();
            case SEALED_WORKER_BROOD -> new QueenEvent.SealedWorkerBroodSeen();
            case DRONE_BROOD_ONLY -> new QueenEvent.DroneBroodOnly();
            case NOT_FOUND -> new QueenEvent.NotFound();
            case DEAD -> new QueenEvent.Dead();
            case MARKED -> new QueenEvent.Marked(Optional.of(YearColour.WHITE), "");
            case MARK_LOST -> new QueenEvent.MarkLost();
            case TAKEN_OUT -> new QueenEvent.TakenOut();
        };
    }
}
