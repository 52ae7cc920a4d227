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
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Amount;
import vividcrown.core.introduction.Acceptance;
import vividcrown.core.introduction.Acceptance.Handling;
import vividcrown.core.introduction.Assignment;
import vividcrown.core.introduction.CageReading;
import vividcrown.core.introduction.Given;
import vividcrown.core.introduction.IntroductionPlan;
import vividcrown.core.introduction.Receiver;
import vividcrown.core.introduction.Turnover;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.yard.Flow;
import vividcrown.server.introduction.IntroductionPlanView.GainView;
import vividcrown.server.introduction.IntroductionPlanView.IntroductionWayView;
import vividcrown.server.introduction.IntroductionPlanView.TurnoverView;
import vividcrown.server.problem.Refusal;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/** How a queen is given, with which odds, what the bees at the cage say, who goes where. Open to everybody, keeps nothing. */
@RestController
@RequestMapping("/api/v1/reckon")
class IntroductionReckonController {

    private static final int MOST_AT_ONCE = 100;
    private static final double SECONDS = 4;
    private static final double USUAL_WORTH = 100;

    /**
     * A colony that is to get a queen.
     *
     * @param code of the hive
     * @param queen chance that a mated queen is in there, as the judgement has it, 0–1
     * @param virgin chance that a virgin is
     * @param cells chance that living queen cells are
     * @param workersLay chance that workers lay
     * @param search how every frame was looked at for this
     * @param cellsCutOn the day on which every frame was shaken and every cell destroyed
     * @param lastEgg when the last fertilised egg was laid: one day, or three from the first to the last it may have been
     * @param nurses few young bees are left, or not
     * @param flow what comes in
     * @param temper 1 gentle to 5 boils over
     * @param robbing it is being robbed
     * @param suspect signs of disease stand
     * @param worth of a queen that is kept there, in whatever money; 100 if left out
     * @param wishes the line that is wished there
     */
    record ReceiverInput(@NotBlank @Size(max = 20) String code,
            @Nullable @DecimalMin("0") @DecimalMax("1") Double queen,
            @Nullable @DecimalMin("0") @DecimalMax("1") Double virgin,
            @Nullable @DecimalMin("0") @DecimalMax("1") Double cells,
            @Nullable @DecimalMin("0") @DecimalMax("1") Double workersLay, Receiver.@Nullable Search search,
            @Nullable LocalDate cellsCutOn, @Nullable @Size(min = 1, max = 3) List<@NotNull LocalDate> lastEgg,
            Receiver.@Nullable Nurses nurses, @Nullable Flow flow, @Nullable @Min(1) @Max(5) Integer temper,
            @Nullable Boolean robbing, @Nullable Boolean suspect, @Nullable @Min(0) @Max(10_000) Double worth,
            @Nullable @Size(max = 60) String wishes) {

        /** What believed queenless colonies mostly are. Common practice, from memory. */
        private static final double SOME = 0.1;
        private static final double FEW = 0.05;

        Receiver receiver(LocalDate day, List<String> assumed) {
            if (lastEgg != null && lastEgg.stream().anyMatch(one -> one.isAfter(day))) {
                throw Refusal.invalid("lastEgg", Sentence.of("introduction.eggAhead", code, day));
            }
            if (queen == null && virgin == null && cells == null) {
                assumed.add(Sentence.of("introduction.assumed.odds", code).toString());
            }
            if (search == null) {
                assumed.add(Sentence.of("introduction.assumed.search", code).toString());
            }
            return new Receiver(code, or(queen, SOME), or(virgin, SOME), or(cells, SOME), or(workersLay, FEW),
                    search == null ? Receiver.Search.NOT : search, Optional.ofNullable(cellsCutOn), egg(),
                    nurses == null ? Receiver.Nurses.MANY : nurses, flow == null ? Flow.LITTLE : flow,
                    temper == null ? 2 : temper, Boolean.TRUE.equals(robbing), Boolean.TRUE.equals(suspect),
                    worth == null ? USUAL_WORTH : worth, wishes == null ? "" : wishes);
        }

        private Optional<DatedSpan> egg() {
            return Optional.ofNullable(lastEgg).map(days -> new DatedSpan(days.getFirst(), days.get(days.size() / 2),
                    days.getLast()));
        }

        private static double or(@Nullable Double said, double otherwise) {
            return said == null ? otherwise : said;
        }
    }

    /**
     * Whom one wants to give.
     *
     * @param code of the queen
     * @param kind as what she comes
     * @param cagedDays days she has been caged
     * @param laidUntilYesterday she laid until she was caged a day ago at most
     * @param withNuc she still lays in a nuc that can be given with her
     * @param virginDays days since a virgin came out
     * @param cost of her, in whatever money
     * @param line she is of
     */
    record GivenInput(@NotBlank @Size(max = 20) String code, Given.@NotNull Kind kind,
            @Nullable @Min(0) @Max(120) Integer cagedDays, @Nullable Boolean laidUntilYesterday,
            @Nullable Boolean withNuc, @Nullable @Min(0) @Max(60) Integer virginDays,
            @Nullable @Min(0) @Max(10_000) Double cost, @Nullable @Size(max = 60) String line) {
        Given given() {
            return new Given(code, kind, cagedDays == null ? 0 : cagedDays, Boolean.TRUE.equals(laidUntilYesterday),
                    Boolean.TRUE.equals(withNuc), virginDays == null ? 0 : virginDays, cost == null ? 0 : cost,
                    line == null ? "" : line);
        }
    }

    /** @param given how many were given that way @param kept how many of them were laying and kept after three weeks */
    record OwnResult(@NotNull Method method, @Min(0) @Max(100_000) int given, @Min(0) @Max(100_000) int kept) {
    }

    private static Map<Method, Rate> own(@Nullable List<OwnResult> results) {
        Map<Method, Rate> own = new EnumMap<>(Method.class);
        if (results != null) {
            for (OwnResult one : results) {
                if (one.kept() > one.given()) {
                    throw Refusal.invalid("own", Sentence.of("introduction.keptTooMany", one.kept(), one.given()));
                }
                own.merge(one.method(), one.method().way().prior().updatedBy(one.kept(), one.given()),
                        (first, _) -> first.updatedBy(one.kept(), one.given()));
            }
        }
        return own;
    }

    /**
     * What the bees did at the cage.
     *
     * @param seen what they do
     * @param minutes watched
     */
    record CageReadingInput(@NotNull LocalDate day, @NotNull @Size(max = 9) List<CageReading.@NotNull Behaviour> seen,
            @DecimalMin("0") @DecimalMax("60") double minutes) {
    }

    /** @param eggs of another queen @param virgin seen @param cells found and destroyed */
    record SecondLookInput(@NotNull LocalDate day, @Nullable Boolean eggs, @Nullable Boolean virgin,
            @Nullable Boolean cells) {
    }

    /**
     * A cage that hangs in there.
     *
     * @param since the day on which it was given
     * @param readings at this cage
     * @param looks every frame looked at since
     */
    record CageInput(@NotNull LocalDate since, @NotNull @Size(max = 60) List<@Valid CageReadingInput> readings,
            @Nullable @Size(max = 60) List<@Valid SecondLookInput> looks) {
    }

    /** @param cage one that hangs in there already: what to do at it today */
    record IntroductionRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            @NotNull @Valid ReceiverInput colony,
            @NotNull @Valid GivenInput queen, @Nullable @Size(max = 50) List<@Valid OwnResult> own,
            @Nullable @Valid CageInput cage) {
    }

    /** @param act what to do at the cage today */
    record CageAnswer(CageReading.Act act, String text) {
    }

    /**
     * @param refusals what forbids it
     * @param first what is to be done before, and what to mind
     * @param ways the best first
     * @param worth what one more step would bring
     * @param noNewCellsFrom until then new cells can be begun; left out if that is over
     * @param after when the colony is hers, if she is given today the best way
     */
    record IntroductionAnswer(IntroductionPlan.Verdict verdict, List<String> refusals, List<String> first,
            List<IntroductionWayView> ways, List<GainView> worth, @Nullable LocalDate noNewCellsFrom,
            @Nullable CageAnswer cage, @Nullable TurnoverView after, List<String> assumed) {
    }

    @PostMapping("/introduction")
    @Operation(summary = "How one queen is given to one colony: gates, ways with their odds and days, plan B, what to do at the cage", description = """
            Example: {"day": "2026-06-20", "colony": {"code": "H 4", "queen": 0, "virgin": 0.05, "cells": 0, "workersLay": 0,
            "search": "TWICE", "lastEgg": ["2026-06-12"]}, "queen": {"code": "26-01-104", "kind": "MATED", "cost": 40}}""")
    IntroductionAnswer introduction(@Valid @RequestBody IntroductionRequest asked) {
        List<String> assumed = new ArrayList<>();
        Receiver receiver = Refusal.checked(() -> asked.colony().receiver(asked.day(), assumed), "colony");
        Given given = Refusal.checked(asked.queen()::given, "queen");
        BeeYear year = year(asked.day(), asked.place());
        IntroductionPlan plan = IntroductionPlan.of(receiver, given, asked.day(), year,
                own(asked.own()));
        Optional<TurnoverView> after = plan.ways().stream().findFirst()
                .filter(way -> way.method().way().eggs().isPresent()).map(way -> TurnoverView
                        .of(Turnover.of(way.opens().plusDays(3), year, Assumptions.standard())));
        return new IntroductionAnswer(plan.verdict(),
                plan.objections().stream().filter(one -> one.refuses()).map(one -> one.words().toString()).toList(),
                plan.objections().stream().filter(one -> !one.refuses()).map(one -> one.words().toString()).toList(),
                plan.ways().stream()
                        .map(way -> IntroductionWayView.of(way, receiver, given, year, Assumptions.standard()))
                        .toList(),
                GainView.of(plan.worth()),
                plan.noNewCellsFrom().orElse(null),
                asked.cage() == null ? null : cage(asked.cage(), receiver, asked.day()), after.orElse(null),
                assumed);
    }

    private static BeeYear year(LocalDate day, @Nullable PlaceInput place) {
        return (place == null ? PlaceInput.NOT_SAID : place).conditions(day, new ArrayList<>()).year();
    }

    private static CageAnswer cage(CageInput cage, Receiver receiver, LocalDate today) {
        if (cage.since().isAfter(today)) {
            throw Refusal.invalid("cage.since", Sentence.of("cage.sinceAhead", cage.since(), today));
        }
        List<CageReading> readings = cage.readings().stream()
                .map(one -> new CageReading(one.day(), Set.copyOf(one.seen()), one.minutes())).toList();
        List<CageReading.SecondLook> looks = Optional.ofNullable(cage.looks()).orElse(List.of()).stream()
                .map(one -> new CageReading.SecondLook(one.day(), Boolean.TRUE.equals(one.eggs()),
                        Boolean.TRUE.equals(one.virgin()), Boolean.TRUE.equals(one.cells())))
                .toList();
        // the plan of the day on which it was hung in says when it may be opened at the earliest
        LocalDate earliest = Method.CAGE_BY_HAND.way()
                .releasedOn(cage.since(), receiver.noNewCellsFrom().filter(cage.since()::isBefore).orElse(cage.since()))
                .earliest();
        CageReading.Answer answer = CageReading.answer(readings, cage.since(), earliest, looks, today);
        return new CageAnswer(answer.act(), answer.why().toString());
    }

    /**
     * @param goodReadings friendly readings at the cage, on different days; 2 if left out
     * @param sprayed with syrup
     * @param willBeDisturbed somebody has to open it within five days of the release
     * @param secondCut every frame searched again once no new cell can be begun; true if left out
     */
    record AcceptanceRequest(@NotNull LocalDate day, @NotNull @Valid ReceiverInput colony,
            @NotNull @Valid GivenInput queen, @NotNull Method method, @Nullable @Min(0) @Max(20) Integer goodReadings,
            @Nullable Boolean sprayed, @Nullable Boolean willBeDisturbed, @Nullable Boolean secondCut,
            @Nullable @Size(max = 50) List<@Valid OwnResult> own) {
    }

    /**
     * @param chance that she is laying and kept after three weeks
     * @param empty chance that nothing royal is in there
     * @param ifEmpty chance if so
     */
    record AcceptanceAnswer(Amount chance, double empty, Amount ifEmpty, List<ReasonView> reasons,
            List<String> assumed) {
    }

    @PostMapping("/acceptance")
    @Operation(summary = "Chance that a queen given in this way is laying and kept, with its reasons", description = """
            Example: {"day": "2026-06-20", "method": "CAGE_CANDY", "colony": {"code": "H 4", "queen": 0, "virgin": 0, "cells": 0,
            "workersLay": 0, "search": "TWICE"}, "queen": {"code": "26-01-104", "kind": "MATED", "cagedDays": 2}}""")
    AcceptanceAnswer acceptance(@Valid @RequestBody AcceptanceRequest asked) {
        List<String> assumed = new ArrayList<>();
        Receiver receiver = Refusal.checked(() -> asked.colony().receiver(asked.day(), assumed), "colony");
        Given given = Refusal.checked(asked.queen()::given, "queen");
        if (asked.method().way().gives() != given.kind()) {
            throw Refusal.invalid("method", Sentence.of("introduction.notThatWay", asked.method().sentence()));
        }
        Handling handling = new Handling(asked.goodReadings() == null ? 2 : asked.goodReadings(),
                Boolean.TRUE.equals(asked.sprayed()), Boolean.TRUE.equals(asked.willBeDisturbed()),
                !Boolean.FALSE.equals(asked.secondCut()));
        Acceptance found = Acceptance.of(receiver, given, asked.method(), handling,
                own(asked.own()).getOrDefault(asked.method(), asked.method().way().prior()), asked.day());
        return new AcceptanceAnswer(found.chance().map(IntroductionReckonController::hundredth),
                hundredth(found.empty()),
                found.ifEmpty().map(IntroductionReckonController::hundredth), ReasonView.of(found.reasons()), assumed);
    }

    /** @param kilometres from where the queens are to each colony, by its code */
    record AssignmentRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            @NotNull @Size(min = 1, max = MOST_AT_ONCE) List<@Valid GivenInput> queens,
            @NotNull @Size(min = 1, max = MOST_AT_ONCE) List<@Valid ReceiverInput> colonies,
            @Nullable @Size(max = MOST_AT_ONCE) Map<String, @Min(0) @Max(1000) Double> kilometres,
            @Nullable @Size(max = 50) List<@Valid OwnResult> own) {
    }

    /** @param way the best way of giving her there @param gain worth times chance, less what is risked and driven */
    record PairView(String queen, String colony, IntroductionWayView way, double gain) {
    }

    /** @param why in one sentence */
    record WithoutView(String code, String why) {
    }

    /**
     * @param pairs the most that is gained first
     * @param left queens that go nowhere
     * @param waiting colonies that get none
     * @param proven no assignment gains more
     */
    record AssignmentAnswer(List<PairView> pairs, List<WithoutView> left, List<WithoutView> waiting, double gain,
            boolean proven, List<String> assumed) {
    }

    @PostMapping("/assignment")
    @Operation(summary = "Queens at hand, colonies in need: who goes where, exactly", description = """
            Example: {"day": "2026-06-20", "queens": [{"code": "q", "kind": "MATED"}], "colonies": [{"code": "H 4", "queen": 0,
            "virgin": 0, "cells": 0, "workersLay": 0, "search": "TWICE"}]}""")
    AssignmentAnswer assignment(@Valid @RequestBody AssignmentRequest asked) {
        List<String> assumed = new ArrayList<>();
        List<Receiver> colonies = asked.colonies().stream()
                .map(one -> Refusal.checked(() -> one.receiver(asked.day(), assumed), "colonies")).toList();
        List<Given> queens = asked.queens().stream().map(one -> Refusal.checked(one::given, "queens")).toList();
        unique("queens", queens.stream().map(Given::code).toList());
        unique("colonies", colonies.stream().map(Receiver::code).toList());
        BeeYear year = year(asked.day(), asked.place());
        Assignment found = Assignment.of(queens, colonies, asked.day(), year, own(asked.own()),
                asked.kilometres() == null ? Map.of() : asked.kilometres(), SECONDS);
        Map<String, Receiver> byCode = colonies.stream().collect(Collectors.toMap(Receiver::code, Function.identity()));
        Map<String, Given> queenByCode = queens.stream().collect(Collectors.toMap(Given::code, Function.identity()));
        return new AssignmentAnswer(
                found.pairs().stream().map(one -> new PairView(one.queen(), one.colony(),
                        IntroductionWayView.of(one.way(), Objects.requireNonNull(byCode.get(one.colony())),
                                Objects.requireNonNull(queenByCode.get(one.queen())), year, Assumptions.standard()),
                        Math.round(one.gain()))).toList(),
                found.left().stream().map(one -> new WithoutView(one.code(), one.why().toString())).toList(),
                found.waiting().stream().map(one -> new WithoutView(one.code(), one.why().toString())).toList(),
                Math.round(found.gain()), found.proven(), assumed);
    }

    /** A queen in two cages, a hive named twice. */
    private static void unique(String field, List<String> codes) {
        Set<String> seen = new HashSet<>();
        codes.stream().filter(code -> !seen.add(code)).findFirst().ifPresent(code -> {
            throw Refusal.invalid(field, Sentence.of("assignment.twice", code));
        });
    }

    private static double hundredth(double value) {
        return Math.round(value * 100) / 100.0;
    }
}
