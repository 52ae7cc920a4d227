package vividcrown.server.introduction;

import com.fasterxml.uuid.Generators;
import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.introduction.Assignment;
import vividcrown.core.introduction.Given;
import vividcrown.core.introduction.Introduction;
import vividcrown.core.introduction.IntroductionDeed;
import vividcrown.core.introduction.IntroductionPlan;
import vividcrown.core.introduction.OwnAcceptance;
import vividcrown.core.introduction.Receiver;
import vividcrown.core.introduction.Turnover;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.odds.Rate;
import vividcrown.core.queen.Milestone;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Stage;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.Objection;
import vividcrown.server.clock.Today;
import vividcrown.server.colony.ColonyGlances;
import vividcrown.server.colony.ColonyStanding;
import vividcrown.server.colony.ColonyStandings;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.introduction.IntroductionPlanView.GainView;
import vividcrown.server.introduction.IntroductionPlanView.IntroductionWayView;
import vividcrown.server.introduction.IntroductionPlanView.TurnoverView;
import vividcrown.server.introduction.IntroductionView.AnswerView;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Queens given to the operation's own colonies. */
@RestController
@RequestMapping("/api/v1/introductions")
class IntroductionController {

    private static final double SECONDS = 3;
    private static final int VIRGIN_AGE = 4;
    private static final String USUAL_WORTH = "100";
    private static final String USUAL_COST = "25";

    /**
     * @param open under way, the first begun first
     * @param closed that came out lately, the last first
     * @param spray what the operation's own say of spraying with syrup; left out while only one of the two was tried
     */
    record IntroductionsPage(List<IntroductionView> open, List<IntroductionView> closed, @Nullable SprayView spray) {
    }

    /**
     * Queens given with a spray of syrup and without, all ways together.
     *
     * @param sprayed how many were
     * @param sprayedKept how many of them were kept
     * @param plain how many were not sprayed
     * @param plainKept how many of those were kept
     * @param better chance that it does some good, by these counts alone; 0.5 says nothing
     */
    record SprayView(int sprayed, int sprayedKept, int plain, int plainKept, double better) {
        static SprayView of(OwnAcceptance.Spray spray) {
            return new SprayView(spray.with().tried(), spray.with().succeeded(), spray.without().tried(),
                    spray.without().succeeded(), Math.round(100 * spray.better()) / 100.0);
        }
    }

    /**
     * How one queen would be given to one colony.
     *
     * @param hiveCode code of the hive
     * @param code of the queen, as it will be noted
     * @param refusals what forbids it
     * @param first what is to be done before, and what to mind
     * @param search how every frame was gone through in the last three days, by the record
     * @param ways the best first
     * @param begins for each way, in its order: what is recorded when she is put in so; nothing where it must wait
     * @param counted for each way, in its order: how many of the operation's own it rests on
     * @param worth what one more step would bring
     * @param after when the colony is hers, if she is given today the best way
     */
    record OwnIntroductionPage(UUID hive, String hiveCode, String code, IntroductionPlan.Verdict verdict,
            List<String> refusals, List<String> first, Receiver.Search search, List<IntroductionWayView> ways,
            List<AnswerView> begins, List<Integer> counted, List<GainView> worth, @Nullable TurnoverView after) {
    }

    /**
     * @param kind as what she comes
     * @param where the cage she is in, in words
     * @param cagedDays days that she has been in it
     */
    record QueenAtHand(@Nullable UUID id, String code, Given.Kind kind, String where, int cagedDays) {
    }

    /** @param text what it is judged to be */
    record ColonyInNeed(UUID id, String code, String yardName, String text) {
    }

    /**
     * @param queenCode code of the queen
     * @param hiveCode code of the hive
     * @param methodText how she is given
     * @param chance that she is laying and kept
     * @param gain worth times chance, less what is risked and driven
     */
    record QueenForColony(UUID queen, String queenCode, UUID hive, String hiveCode, String methodText, double chance,
            double gain) {
    }

    /** @param why in one sentence */
    record LeftOver(String code, String why) {
    }

    /**
     * @param queens in cages
     * @param colonies without a queen that lays, and none on her way
     * @param pairs who goes where, the most that is gained first
     * @param left queens that go nowhere
     * @param waiting colonies that get none
     * @param proven no other way gains more
     */
    record AtHandPage(List<QueenAtHand> queens, List<ColonyInNeed> colonies, List<QueenForColony> pairs,
            List<LeftOver> left,
            List<LeftOver> waiting, boolean proven) {
    }

    private final Introductions introductions;
    private final IntroductionViews views;
    private final Receivers receivers;
    private final ColonyGlances glances;
    private final ColonyStandings standings;
    private final Hives hives;
    private final Queens queens;
    private final Yards yards;
    private final SettingsInForce settings;
    private final Today today;

    IntroductionController(Introductions introductions, IntroductionViews views, Receivers receivers,
            ColonyGlances glances, ColonyStandings standings, Hives hives, Queens queens, Yards yards,
            SettingsInForce settings, Today today) {
        this.introductions = introductions;
        this.views = views;
        this.receivers = receivers;
        this.glances = glances;
        this.standings = standings;
        this.hives = hives;
        this.queens = queens;
        this.yards = yards;
        this.settings = settings;
        this.today = today;
    }

    @GetMapping
    @Operation(operationId = "introductions", summary = "Queens on their way into colonies, what is due at each, how the last came out")
    IntroductionsPage all() {
        Map<UUID, Introduction> open = introductions.open();
        Map<UUID, Introduction> closed = introductions.closedLately(today.day());
        return new IntroductionsPage(views(open), views(closed),
                OwnAcceptance.spray(introductions.results()).map(SprayView::of).orElse(null));
    }

    private List<IntroductionView> views(Map<UUID, Introduction> all) {
        Map<UUID, Hive> byId = hives.findAllById(all.values().stream().map(Introduction::hive).distinct().toList())
                .stream().collect(Collectors.toMap(Hive::id, Function.identity()));
        Map<UUID, Yard> places = yards.byId();
        return all.entrySet().stream().map(one -> views.of(one.getKey(), one.getValue(), byId, places, today.day()))
                .toList();
    }

    @GetMapping("/{id}")
    @Operation(operationId = "introduction", summary = "One queen on her way into a colony: what was seen, what is due")
    IntroductionView one(@PathVariable UUID id) {
        Introduction one = introductions.of(id)
                .orElseThrow(() -> Refusal.notHere(IntroductionDeed.INTRODUCTION, id));
        return views(Map.of(id, one)).getFirst();
    }

    @GetMapping("/plan")
    @Operation(operationId = "ownIntroduction", summary = "How one queen is given to one of the operation's colonies: gates, ways, odds, days")
    OwnIntroductionPage plan(@RequestParam UUID hive, @RequestParam(required = false) @Nullable UUID queen,
            @RequestParam(defaultValue = "MATED") Given.Kind kind,
            @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "false") boolean withNuc,
            @RequestParam(defaultValue = "false") boolean sprayed,
            @RequestParam(defaultValue = USUAL_WORTH) @Min(0) @Max(10_000) double worth,
            @RequestParam(defaultValue = USUAL_COST) @Min(0) @Max(10_000) double cost) {
        LocalDate day = today.day();
        Hive row = hives.findById(hive).filter(one -> !one.isEnded())
                .orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, hive));
        Map<UUID, Yard> places = yards.byId();
        Yard yard = Objects.requireNonNull(places.get(row.yardId()));
        Optional<Queen> known = Optional.ofNullable(queen)
                .map(id -> queens.findById(id).orElseThrow(() -> Refusal.notHere(QueenDeed.QUEEN, id)));
        Given given = known.map(one -> given(one, cost, withNuc, day)).orElseGet(() -> new Given(
                code.isBlank() ? "?" : code.strip().substring(0, Math.min(20, code.strip().length())), kind, 0, false,
                withNuc, kind == Given.Kind.VIRGIN ? VIRGIN_AGE : 0, cost, ""));
        ColonyGlances.Glance glance = Objects.requireNonNull(glances.of(List.of(row), places, day).get(hive));
        Receiver receiver = receivers.of(row, glance, yard, worth, day);
        OwnAcceptance own = introductions.own();
        BeeYear year = yard.year();
        IntroductionPlan plan = IntroductionPlan.of(receiver, given, day, year, own.at(day, yard.id().toString()));
        List<AnswerView> begins = plan.ways().stream().map(way -> way.method().opensByItself()
                && plan.noNewCellsFrom().isPresent()
                        ? new AnswerView(way.method().name(), List.of())
                        : views.begins(new IntroductionDeed.Begun(
                                Generators.timeBasedEpochGenerator().generate(), hive, known.map(Queen::id),
                                known.map(Queen::code).orElse(given.code()), way.method(), way.opens().earliest(),
                                plan.noNewCellsFrom(), sprayed, cost), way.method()))
                .toList();
        return new OwnIntroductionPage(hive, row.code(), given.code(), plan.verdict(), words(plan, true),
                words(plan, false), receiver.search(), plan.ways().stream()
                        .map(way -> IntroductionWayView.of(way, receiver, given, year, settings.assumptions()))
                        .toList(),
                begins, plan.ways().stream().map(way -> own.counted(way.method())).toList(),
                GainView.of(plan.worth()), plan.ways().stream().findFirst()
                        .filter(way -> way.method().way().eggs().isPresent())
                        .map(way -> TurnoverView.of(Turnover.of(way.opens().plusDays(3), year, settings.assumptions())))
                        .orElse(null));
    }

    private static List<String> words(IntroductionPlan plan, boolean refuses) {
        return plan.objections().stream().filter(one -> one.refuses() == refuses).map(Objection::words)
                .map(Object::toString).toList();
    }

    private static Given given(Queen queen, double cost, boolean withNuc, LocalDate day) {
        Given.Kind kind = queen.stage().isCell()
                ? Given.Kind.CELL
                : queen.stage() == Stage.VIRGIN ? Given.Kind.VIRGIN : Given.Kind.MATED;
        int caged = queen.life().on(Milestone.CAGED).map(since -> (int) ChronoUnit.DAYS.between(since, day)).orElse(0);
        int out = queen.life().on(Milestone.EMERGED_SEEN).or(() -> queen.life().on(Milestone.VIRGIN_SEEN))
                .map(since -> (int) ChronoUnit.DAYS.between(since, day)).orElse(VIRGIN_AGE);
        String code = queen.code();
        return new Given(code.length() > 20 ? code.substring(code.length() - 20) : code, kind,
                Math.clamp(caged, 0, 120), false, withNuc, kind == Given.Kind.VIRGIN ? Math.clamp(out, 0, 60) : 0, cost,
                queen.line());
    }

    @GetMapping("/at-hand")
    @Operation(operationId = "queensAtHand", summary = "Queens in cages, colonies in need, and who goes where")
    AtHandPage atHand(@RequestParam(defaultValue = USUAL_WORTH) @Min(0) @Max(10_000) double worth,
            @RequestParam(defaultValue = USUAL_COST) @Min(0) @Max(10_000) double cost) {
        LocalDate day = today.day();
        Map<UUID, Yard> places = yards.byId();
        List<Queen> caged = queens.caged().stream().filter(one -> !one.stage().isCell())
                .sorted(Comparator.comparing(Queen::code)).toList();
        List<Hive> all = hives.keptFor(Purpose.PRODUCTION, Purpose.DRONE_COLONY, Purpose.NUC);
        Map<UUID, ColonyStanding> standing = standings.of(all, places, day);
        Set<UUID> underWay = introductions.underWayIn(all.stream().map(Hive::id).toList());
        List<Hive> need = all.stream().filter(hive -> !underWay.contains(hive.id()))
                .filter(hive -> isInNeed(Objects.requireNonNull(standing.get(hive.id())))).toList();
        Map<UUID, ColonyGlances.Glance> seen = glances.of(need, places, day);
        Map<String, Queen> queenOf = caged.stream()
                .collect(
                        Collectors.toMap(one -> given(one, cost, false, day).code(), Function.identity(), (a, _) -> a));
        Map<String, Hive> hiveOf = need.stream().collect(Collectors.toMap(Hive::code, Function.identity()));
        List<Receiver> wanting = need.stream().map(hive -> receivers.of(hive,
                Objects.requireNonNull(seen.get(hive.id())), Objects.requireNonNull(places.get(hive.yardId())), worth,
                day)).toList();
        Assignment found = Assignment.of(queenOf.values().stream().map(one -> given(one, cost, false, day)).toList(),
                wanting, day, year(need, places), own(need, places, day), roads(need, places), SECONDS);
        return new AtHandPage(caged.stream().map(one -> atHand(one, cost, day)).toList(),
                need.stream()
                        .map(hive -> new ColonyInNeed(hive.id(), hive.code(),
                                Objects.requireNonNull(places.get(hive.yardId())).name(),
                                Objects.requireNonNull(standing.get(hive.id())).leading().sentence().toString()))
                        .toList(),
                found.pairs().stream().map(pair -> pair(pair, queenOf, hiveOf)).toList(), left(found.left()),
                left(found.waiting()), found.proven());
    }

    private static boolean isInNeed(ColonyStanding standing) {
        return switch (standing.leading()) {
            case HOPELESSLY_QUEENLESS, RECENTLY_QUEENLESS, LAYING_WORKERS, DRONE_LAYER -> true;
            case LAYING_QUEEN, TWO_QUEENS, VIRGIN, CELLS, JUST_SWARMED -> false;
        };
    }

    private BeeYear year(List<Hive> need, Map<UUID, Yard> places) {
        Yard yard = need.stream().findFirst().map(hive -> Objects.requireNonNull(places.get(hive.yardId())))
                .or(() -> places.values().stream().findFirst()).orElseThrow(
                        () -> Refusal.notFound(Sentence.of("split.noYard")));
        return yard.year();
    }

    private Map<Method, Rate> own(List<Hive> need, Map<UUID, Yard> places, LocalDate day) {
        return introductions.own().at(day, need.stream().findFirst().map(hive -> hive.yardId().toString()).orElse(""));
    }

    /** From the yard that is walked first: there the incubator and the bank stand. */
    private static Map<String, Double> roads(List<Hive> need, Map<UUID, Yard> places) {
        Map<String, Double> roads = new HashMap<>();
        places.values().stream().min(Comparator.comparing(Yard::walkOrder)).ifPresent(home -> need.forEach(hive -> roads
                .put(hive.code(), home.kilometresTo(Objects.requireNonNull(places.get(hive.yardId()))))));
        return roads;
    }

    private static QueenAtHand atHand(Queen queen, double cost, LocalDate day) {
        Given given = given(queen, cost, false, day);
        return new QueenAtHand(queen.id(), queen.code(), given.kind(),
                queen.cage().map(cage -> "cage " + cage).orElse(""), given.cagedDays());
    }

    private static QueenForColony pair(Assignment.Pair pair, Map<String, Queen> queenOf, Map<String, Hive> hiveOf) {
        Queen queen = Objects.requireNonNull(queenOf.get(pair.queen()));
        Hive hive = Objects.requireNonNull(hiveOf.get(pair.colony()));
        return new QueenForColony(queen.id(), queen.code(), hive.id(), hive.code(),
                pair.way().method().sentence().toString(),
                Math.round(100 * pair.way().acceptance().chance().likely()) / 100.0, Math.rint(pair.gain()));
    }

    private static List<LeftOver> left(List<Assignment.Left> all) {
        List<LeftOver> views = new ArrayList<>();
        all.forEach(one -> views.add(new LeftOver(one.code(), one.why().toString())));
        return views;
    }
}
