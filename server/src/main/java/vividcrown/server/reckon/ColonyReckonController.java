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
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.brood.BroodProver;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Advisor;
import vividcrown.core.judgement.Judge;
import vividcrown.core.judgement.Season;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.core.settings.OwnFigure;
import vividcrown.core.swarm.SwarmPlanner;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.core.swarm.SwarmSituation;
import vividcrown.server.colony.ProofView;
import vividcrown.server.colony.SwarmPlanView;
import vividcrown.server.colony.VerdictView;
import vividcrown.server.problem.Refusal;

/**
 * What readings and events of one colony prove, what state it is in, what to do about its cells. Open to everybody,
 * keeps nothing. One observation is enough for an answer.
 */
@RestController
@RequestMapping("/api/v1/reckon")
class ColonyReckonController {

    private static final int MOST_SIGNS = 100;
    private static final int MOST_CELLS = 50;
    private static final int MOST_READINGS = 200;
    private static final int MOST_FIGURES = 60;
    /** Between the oldest fact and the day for which is asked. */
    private static final int LONGEST_YEARS = 3;

    /**
     * What was seen on one day. A sign in neither list was not looked for, and proves nothing.
     *
     * @param seen signs that were there; a particular sign (EGGS_SINGLE) brings the general one (EGGS) with it
     * @param absent signs looked for on every frame and not there; a general one takes the particular ones with it, so
     *        BROOD alone says that there was none at all
     * @param cells queen cells and cups by look and place; "none found" is QUEEN_CELLS in absent
     */
    record ReadingInput(@NotNull LocalDate day, @Nullable @Size(max = MOST_SIGNS) List<Sign> seen,
            @Nullable @Size(max = MOST_SIGNS) List<Sign> absent,
            @Nullable @Size(max = MOST_CELLS) List<@Valid CellsInput> cells) {

        private Reading reading() {
            return new Reading(day, Set.copyOf(orNone(seen)), Set.copyOf(orNone(absent)),
                    orNone(cells).stream().map(CellsInput::cells).toList());
        }
    }

    /**
     * @param cell how far a cell that was given had come; a ripe one if left out
     * @param virginDays how old a virgin that was given was, in days; one to five if left out
     */
    record EventInput(@NotNull LocalDate day, @NotNull EventKind what, @Nullable CellLook cell,
            @Nullable @Min(0) @Max(90) Integer virginDays) {
        private ColonyEvent event() {
            return new ColonyEvent(day, what, Optional.ofNullable(cell), Optional.ofNullable(virginDays));
        }
    }

    /**
     * @param today the day the answer is for; the newest day in the facts if left out
     * @param figures day-counts that take the place of the defaults
     */
    record BroodRequest(@Nullable LocalDate today,
            @Nullable @Size(max = MOST_READINGS) List<@Valid ReadingInput> readings,
            @Nullable @Size(max = MOST_READINGS) List<@Valid EventInput> events,
            @Nullable @Size(max = MOST_FIGURES) List<@Valid OwnFigure> figures) {
    }

    /**
     * @param southern the place lies south of the equator
     * @param fitAfternoonsByMonth twelve chances, January first, of an afternoon fit for mating; an upland valley at 46° N,
     *        or 46° S, if left out
     * @param preferred actions that the asker's school prefers; they are put first
     */
    record JudgementRequest(@Nullable LocalDate today,
            @Nullable @Size(max = MOST_READINGS) List<@Valid ReadingInput> readings,
            @Nullable @Size(max = MOST_READINGS) List<@Valid EventInput> events,
            @Nullable @Size(max = MOST_FIGURES) List<@Valid OwnFigure> figures,
            @Nullable Boolean southern, @Nullable List<Double> fitAfternoonsByMonth,
            @Nullable @Size(max = MOST_SIGNS) List<Action> preferred) {
    }

    /**
     * @param queenRemovedOn the day the old queen was taken away, if she was
     * @param lastEggOn the day of her last egg, if she had stopped laying before
     * @param cellsLeft cells left in the hive when she was taken
     * @param cellsLeftSeenOn the day on which they looked like that; {@code queenRemovedOn} if left out
     * @param school DESTROY_AND_RETURN if left out
     */
    record SwarmPlanRequest(@Nullable LocalDate today,
            @Nullable @Size(max = MOST_READINGS) List<@Valid ReadingInput> readings,
            @Nullable @Size(max = MOST_READINGS) List<@Valid EventInput> events,
            @Nullable @Size(max = MOST_FIGURES) List<@Valid OwnFigure> figures,
            @Nullable Boolean southern, @Nullable LocalDate queenRemovedOn, @Nullable LocalDate lastEggOn,
            @Nullable @Size(max = MOST_CELLS) List<@Valid CellsInput> cellsLeft, @Nullable LocalDate cellsLeftSeenOn,
            @Nullable SwarmSchool school) {
    }

    /** The facts of a request, checked. */
    private record Facts(LocalDate today, List<Reading> readings, List<ColonyEvent> events, Assumptions assumptions) {
    }

    @PostMapping("/brood")
    @Operation(summary = "What brood, cells and events prove about the queen", description = """
            Example: {"readings": [{"day": "2026-06-30", "seen": ["SEALED_WORKER"], "absent": ["OPEN_BROOD"]}]} gives
            lastEgg 2026-06-08 to 2026-06-21. Facts that cannot all be true come back as contradictions.""")
    ProofView brood(@Valid @RequestBody BroodRequest asked) {
        Facts facts = facts(asked.today(), asked.readings(), asked.events(), asked.figures(), List.of());
        return ProofView
                .of(BroodProver.prove(facts.readings(), facts.events(), facts.today(), facts.assumptions()));
    }

    @PostMapping("/judgement")
    @Operation(summary = "The state of a colony with odds, what would settle it, and what can be done", description = """
            Example: {"readings": [{"day": "2026-06-10", "absent": ["BROOD", "QUEEN_CELLS"]}]} leaves a virgin and hopeless
            queenlessness open and proposes a test frame.""")
    VerdictView judgement(@Valid @RequestBody JudgementRequest asked) {
        Facts facts = facts(asked.today(), asked.readings(), asked.events(), asked.figures(), List.of());
        Season season = new Season(Boolean.TRUE.equals(asked.southern()), climate(asked));
        Verdict verdict = new Judge(facts.assumptions(), season).judge(facts.readings(), facts.events(), facts.today());
        return VerdictView.of(verdict, new Advisor(facts.assumptions(), season.climate(), preferred(asked))
                .advise(verdict, facts.readings()));
    }

    @PostMapping("/swarm-plan")
    @Operation(summary = "The rung of the swarm ladder, the steps with their gates, the return visit", description = """
            Example: {"queenRemovedOn": "2026-05-20"} gives a return visit on 2026-05-27 to 30.""")
    SwarmPlanView swarmPlan(@Valid @RequestBody SwarmPlanRequest asked) {
        List<LocalDate> days = new ArrayList<>();
        Optional.ofNullable(asked.queenRemovedOn()).ifPresent(days::add);
        Facts facts = facts(asked.today(), asked.readings(), asked.events(), asked.figures(), days);
        SwarmSchool school = asked.school() == null ? SwarmSchool.DESTROY_AND_RETURN : asked.school();
        SwarmSituation situation = new SwarmSituation(facts.today(), facts.readings(), facts.events(),
                Optional.ofNullable(asked.queenRemovedOn()), Optional.ofNullable(asked.lastEggOn()),
                orNone(asked.cellsLeft()).stream().map(CellsInput::cells).toList(),
                Optional.ofNullable(asked.cellsLeftSeenOn()), school);
        return SwarmPlanView.of(SwarmPlanner.plan(situation, facts.assumptions(), season(asked.southern())), school);
    }

    private static Set<Action> preferred(JudgementRequest asked) {
        return Set.copyOf(orNone(asked.preferred()));
    }

    private static Season season(@Nullable Boolean southern) {
        return new Season(Boolean.TRUE.equals(southern));
    }

    private static MatingClimate climate(JudgementRequest asked) {
        if (asked.fitAfternoonsByMonth() == null) {
            return Season.uplandClimate(Boolean.TRUE.equals(asked.southern()));
        }
        try {
            return MatingClimate.byMonth(asked.fitAfternoonsByMonth());
        } catch (IllegalArgumentException unclear) {
            throw Refusal.invalid("fitAfternoonsByMonth", unclear.getMessage() + ".");
        }
    }

    private static Facts facts(@Nullable LocalDate today, @Nullable List<ReadingInput> readings,
            @Nullable List<EventInput> events, @Nullable List<OwnFigure> figures, List<LocalDate> furtherDays) {
        List<Refusal.Finding> findings = new ArrayList<>();
        List<Reading> looks = new ArrayList<>();
        List<LocalDate> days = new ArrayList<>(furtherDays);
        for (int index = 0; index < orNone(readings).size(); index++) {
            ReadingInput input = orNone(readings).get(index);
            days.add(input.day());
            try {
                looks.add(input.reading());
            } catch (IllegalArgumentException both) {
                findings.add(new Refusal.Finding("readings[%d]".formatted(index),
                        both.getMessage() + ". Take one of the two back."));
            }
        }
        List<ColonyEvent> happened = orNone(events).stream().map(EventInput::event).toList();
        happened.forEach(event -> days.add(event.day()));
        Optional<LocalDate> newest = days.stream().max(LocalDate::compareTo);
        if (today == null && newest.isEmpty()) {
            findings.add(new Refusal.Finding("today", Sentence.of("refusal.forWhichDay").toString()));
        }
        if (today != null && newest.isPresent() && newest.get().isAfter(today)) {
            findings.add(new Refusal.Finding("today",
                    Sentence.of("refusal.afterToday", newest.get().toString(), today.toString()).toString()));
        }
        Optional<LocalDate> oldest = days.stream().min(LocalDate::compareTo);
        Optional<LocalDate> asOf = Optional.ofNullable(today).or(() -> newest);
        if (oldest.isPresent() && oldest.get().plusYears(LONGEST_YEARS).isBefore(asOf.orElseThrow())) {
            findings.add(new Refusal.Finding("", Sentence
                    .of("refusal.soOld", oldest.get().toString(), LONGEST_YEARS, asOf.get().toString()).toString()));
        }
        Assumptions assumptions = Assumptions.standard();
        try {
            assumptions = OwnFigure.over(orNone(figures));
        } catch (IllegalArgumentException contradictory) {
            findings.add(new Refusal.Finding("figures", contradictory.getMessage() + ". Change one of them."));
        }
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        return new Facts(today == null ? newest.orElseThrow() : today, looks, happened, assumptions);
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}
