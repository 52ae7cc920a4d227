package vividcrown.server.mite;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Amount;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.hive.Purpose;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.mite.BroodBreak;
import vividcrown.core.mite.Infestation;
import vividcrown.core.mite.MiteCount;
import vividcrown.core.mite.MiteCourse;
import vividcrown.core.mite.MiteDeed;
import vividcrown.core.mite.MiteRecord;
import vividcrown.core.mite.MiteRule;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.clock.Today;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.colony.ColonyGlances;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.hive.Stacks;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;
import vividcrown.server.mite.MiteViews.CourseView;
import vividcrown.server.mite.MiteViews.RuleView;
import vividcrown.server.mite.MiteViews.SamplingView;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Mites: what was counted hive by hive, what rules say to it, what becomes of it, how many hives to look at. */
@RestController
class MiteController {

    private static final int AHEAD_DAYS = 42;
    /** A count says nothing of the colony after so long. */
    private static final int STALE_DAYS = 42;
    private static final double SURELY_LAYS = 0.8;

    /**
     * @param entry by which it can be corrected: both are kept
     * @param way how they were counted
     * @param mites that were found
     * @param bees in the sample
     * @param percent mites for a hundred bees, with the exact 95 % interval; left out of a board
     * @param inAll mites in the whole colony; of a board
     */
    record MiteCountView(UUID entry, LocalDate day, MiteDeed.Way way, int mites, @Nullable Integer bees,
            @Nullable Integer days, @Nullable Amount percent, @Nullable Amount inAll, List<String> cautions) {
    }

    /**
     * What is known of a hive's mites.
     *
     * @param counts the newest first
     * @param stale the newest is too old to go by
     * @param rules what each rule says to the newest
     * @param disagree two rules say the opposite
     * @param course what becomes of it if nothing is done
     * @param treatment that is in it
     * @param treatedSince the day it was put in
     * @param honeyUntil until then no honey of it is taken
     * @param planned a treatment without brood, for which one rule waits
     * @param release the day on which a queen caged as a brood stop is to be let out
     */
    record MiteHive(UUID id, String code, String yardName, List<MiteCountView> counts, boolean stale,
            List<RuleView> rules, boolean disagree, @Nullable CourseView course, @Nullable String treatment,
            @Nullable LocalDate treatedSince, @Nullable LocalDate honeyUntil, @Nullable LocalDate planned,
            @Nullable LocalDate release) {
    }

    /** What groups hives. */
    enum GroupKind {
        YARD, LINE
    }

    /**
     * The newest counts of a yard or a line together.
     *
     * @param hives of which bees were sampled lately
     * @param percent mites for a hundred bees
     */
    record MiteGroup(GroupKind kind, String name, int hives, Amount percent) {
    }

    /**
     * @param time of the bees' year at the place
     * @param hives each with its counts
     * @param groups yards and lines, of which some hive was counted lately
     * @param sampling how many of all these hives to look at
     */
    record MitesPage(MiteRule.Time time, List<MiteHive> hives, List<MiteGroup> groups,
            @Nullable SamplingView sampling) {
    }

    /** The deeds of mites. */
    @Configuration
    static class MiteDeeds {
        private static MiteDeed.BroodStopped stopped(MiteDeed.BroodStopped asked, Admission admission) {
            if (!asked.release().isAfter(admission.day())) {
                admission.refuse("release", "refusal.broodStop.over", asked.release(), admission.day());
            }
            return asked;
        }

        @Bean
        DeedKinds miteDeedKinds() {
            return DeedKinds.of(DeedKind.of("MITES_COUNTED", MiteDeed.MitesCounted.class),
                    DeedKind.of("TREATMENT_IN", MiteDeed.TreatmentIn.class),
                    DeedKind.of("TREATMENT_OUT", MiteDeed.TreatmentOut.class),
                    DeedKind.of("BROOD_STOPPED", MiteDeed.BroodStopped.class).through(MiteDeeds::stopped),
                    DeedKind.of("TREATMENT_PLANNED", MiteDeed.TreatmentPlanned.class),
                    DeedKind.of("TREATMENT_NOT_PLANNED", MiteDeed.TreatmentNotPlanned.class));
        }
    }

    private final Hives hives;
    private final Yards yards;
    private final Queens queens;
    private final ColonyBook book;
    private final ColonyGlances glances;
    private final Stacks stacks;
    private final BroodStops stops;
    private final SettingsInForce settings;
    private final Today today;

    MiteController(Hives hives, Yards yards, Queens queens, ColonyBook book, ColonyGlances glances,
            Stacks stacks, BroodStops stops, SettingsInForce settings, Today today) {
        this.hives = hives;
        this.yards = yards;
        this.queens = queens;
        this.book = book;
        this.glances = glances;
        this.stacks = stacks;
        this.stops = stops;
        this.settings = settings;
        this.today = today;
    }

    @GetMapping("/api/v1/mites")
    @Operation(operationId = "mites", summary = "What is known of the mites of each hive, yard and line")
    @Transactional(readOnly = true)
    public MitesPage mites(@RequestParam(required = false) @Nullable UUID yard) {
        LocalDate day = today.day();
        Map<UUID, Yard> places = yards.byId();
        List<Hive> rows = hives.keptFor(Purpose.PRODUCTION, Purpose.DRONE_COLONY, Purpose.NUC).stream()
                .filter(hive -> yard == null || hive.yardId().equals(yard)).toList();
        Map<UUID, ColonyBook.Facts> facts = book.facts(rows, day);
        BeeYear year = rows.stream().findFirst().map(hive -> Objects.requireNonNull(places.get(hive.yardId())))
                .or(() -> places.values().stream().findFirst()).map(Yard::year)
                .orElseThrow(() -> Refusal.notFound(Sentence.of("split.noYard")));
        Optional<Double> own = settings.current().mitePercent();
        List<MiteHive> lines = rows.stream().map(hive -> {
            Yard place = Objects.requireNonNull(places.get(hive.yardId()));
            return line(hive, place, Objects.requireNonNull(facts.get(hive.id())).mites(), own, day);
        }).toList();
        return new MitesPage(MiteRule.time(year, day), lines, groups(rows, places, facts, day),
                rows.isEmpty() ? null : SamplingView.of(rows.size()));
    }

    /**
     * A queen caged as a brood stop.
     *
     * @param release the day on which she is let out
     * @param brood the days without sealed brood, and what they cost
     * @param caution said where no queen may be there to be caged
     */
    record BroodStopPage(UUID hive, String code, LocalDate release, BroodBreakView brood, @Nullable String caution) {
    }

    @GetMapping("/api/v1/mites/brood-stop")
    @Operation(operationId = "broodStop", summary = "What caging a queen today for so many days opens, and what it costs in bees")
    @Transactional(readOnly = true)
    public BroodStopPage broodStop(@RequestParam UUID hive, @RequestParam @Min(1) @Max(60) int days) {
        LocalDate day = today.day();
        Hive row = hives.findById(hive).filter(one -> !one.isEnded())
                .orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, hive));
        Yard yard = yards.findById(row.yardId()).orElseThrow();
        boolean honey = stacks.of(hive).stream().anyMatch(box -> box.kind() == BoxKind.HONEY);
        Verdict verdict = Objects.requireNonNull(glances.of(List.of(row), Map.of(yard.id(), yard), day).get(hive))
                .verdict();
        double lays = verdict.chance(Status.LAYING_QUEEN) + verdict.chance(Status.TWO_QUEENS);
        return new BroodStopPage(hive, row.code(), day.plusDays(days), BroodBreakView.of(BroodBreak.of(
                BroodBreak.Plan.QUEEN_CAGED, DatedSpan.on(day), day.plusDays(days), 0, true, honey, yard.year(),
                settings.assumptions())),
                lays < SURELY_LAYS
                        ? Sentence.of("brood.perhapsNone", row.code(), Math.round(100 * (1 - lays))).toString()
                        : null);
    }

    /**
     * A hive's mites, and the days without sealed brood in it.
     *
     * @param known what is known of its mites
     * @param brood the days, where brood is stopped or a plan stops it; left out while it goes on
     * @param why what stops it
     */
    record HiveMites(MiteHive known, @Nullable BroodBreakView brood, @Nullable String why) {
    }

    @GetMapping("/api/v1/mites/{hive}")
    @Operation(operationId = "hiveMites", summary = "What is known of the mites of one hive, and the days without sealed brood in it")
    @Transactional(readOnly = true)
    public HiveMites one(@PathVariable UUID hive) {
        LocalDate day = today.day();
        Hive row = hives.findById(hive).filter(one -> !one.isEnded())
                .orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, hive));
        Yard yard = yards.findById(row.yardId()).orElseThrow();
        ColonyBook.Facts facts = book.facts(row, day);
        Optional<BroodStops.Stopped> stopped = stops.of(facts, yard, day);
        return new HiveMites(line(row, yard, facts.mites(), settings.current().mitePercent(), day),
                stopped.flatMap(BroodStops.Stopped::brood).map(BroodBreakView::of).orElse(null),
                stopped.map(BroodStops.Stopped::why).map(Sentence::toString).orElse(null));
    }

    private static MiteHive line(Hive hive, Yard yard, MiteRecord known, Optional<Double> own, LocalDate today) {
        BeeYear year = yard.year();
        Optional<MiteRecord.Counted> newest = known.newest();
        Optional<Amount> percent = newest.flatMap(one -> found(one, year).percent());
        List<MiteRule.Word> words = percent.map(counted -> MiteRule.at(MiteRule.time(year, newest.orElseThrow().day()),
                known.waitsForTreatment(today), own).stream().map(rule -> rule.to(counted)).toList())
                .orElse(List.of());
        boolean stale = newest.filter(one -> one.day().isBefore(today.minusDays(STALE_DAYS))).isPresent();
        CourseView course = percent.filter(_ -> !stale).map(counted -> MiteCourse.of(counted,
                newest.orElseThrow().day(), today.plusDays(AHEAD_DAYS), year, 0))
                .map(one -> new CourseView(one.on(), MiteViews.hundredth(one.percent()))).orElse(null);
        return new MiteHive(hive.id(), hive.code(), yard.name(),
                known.counts().reversed().stream().map(one -> count(one, year)).toList(), stale, RuleView.of(words),
                MiteRule.disagree(words), course, known.treatment().map(MiteRecord.Treatment::what).orElse(null),
                known.treatment().map(MiteRecord.Treatment::since).orElse(null),
                known.honeyUntil().filter(until -> !until.isBefore(today)).orElse(null),
                known.planned().filter(on -> !on.isBefore(today)).orElse(null), known.release().orElse(null));
    }

    private static Infestation found(MiteRecord.Counted one, BeeYear year) {
        double laying = year.laying(one.day());
        return Infestation.of(one.count(), laying > 0.5
                ? Infestation.Brood.MUCH
                : laying > 0.1 ? Infestation.Brood.LITTLE : Infestation.Brood.NONE);
    }

    private static MiteCountView count(MiteRecord.Counted one, BeeYear year) {
        Infestation found = found(one, year);
        List<String> cautions = new ArrayList<>();
        if (one.as().way() != MiteDeed.Way.NATURAL_FALL) {
            if (!one.as().queenSafe()) {
                cautions.add(Sentence.of("mites.queenUnsafe", one.day().plusDays(4)).toString());
            }
            if (!one.as().openBrood()) {
                cautions.add(Sentence.of("mites.gate.openBrood").toString());
            }
        }
        found.cautions().forEach(caution -> cautions.add(caution.toString()));
        return new MiteCountView(one.entry(), one.day(), one.as().way(), one.count().mites(),
                one.as().bees().orElse(null), one.as().days().orElse(null),
                found.percent().map(MiteViews::hundredth).orElse(null),
                found.inAll().map(mites -> mites.map(Math::rint)).orElse(null), cautions);
    }

    private List<MiteGroup> groups(List<Hive> rows, Map<UUID, Yard> places, Map<UUID, ColonyBook.Facts> facts,
            LocalDate today) {
        Map<UUID, String> lines = queens.findAllById(rows.stream().flatMap(hive -> hive.queenId().stream()).toList())
                .stream().filter(queen -> !queen.line().isBlank()).collect(Collectors.toMap(Queen::id, Queen::line));
        Map<String, List<MiteCount>> byYard = new LinkedHashMap<>();
        Map<String, List<MiteCount>> byLine = new LinkedHashMap<>();
        for (Hive hive : rows) {
            Objects.requireNonNull(facts.get(hive.id())).mites().newest()
                    .filter(one -> !one.day().isBefore(today.minusDays(STALE_DAYS))).ifPresent(one -> {
                        byYard.computeIfAbsent(Objects.requireNonNull(places.get(hive.yardId())).name(),
                                _ -> new ArrayList<>()).add(one.count());
                        hive.queenId().flatMap(queen -> Optional.ofNullable(lines.get(queen))).ifPresent(
                                line -> byLine.computeIfAbsent(line, _ -> new ArrayList<>()).add(one.count()));
                    });
        }
        List<MiteGroup> groups = new ArrayList<>();
        byYard.forEach((name, counts) -> group(GroupKind.YARD, name, counts).ifPresent(groups::add));
        byLine.forEach((name, counts) -> group(GroupKind.LINE, name, counts).ifPresent(groups::add));
        return groups;
    }

    private static Optional<MiteGroup> group(GroupKind kind, String name, List<MiteCount> counts) {
        int sampled = (int) counts.stream().filter(count -> !(count instanceof MiteCount.NaturalFall)).count();
        return Infestation.pooled(counts)
                .map(percent -> new MiteGroup(kind, name, sampled, MiteViews.hundredth(percent)));
    }
}
