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
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.Amount;
import vividcrown.core.mite.BroodBreak;
import vividcrown.core.mite.Infestation;
import vividcrown.core.mite.MiteCount;
import vividcrown.core.mite.MiteCourse;
import vividcrown.core.mite.MiteRule;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.mite.BroodBreakView;
import vividcrown.server.mite.BroodBreakView.WindowView;
import vividcrown.server.mite.MiteViews;
import vividcrown.server.mite.MiteViews.CourseView;
import vividcrown.server.mite.MiteViews.RuleView;
import vividcrown.server.mite.MiteViews.SamplingView;
import vividcrown.server.problem.Refusal;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/** What a count of mites says, and which days a plan leaves without sealed brood. Open to everybody, keeps nothing; no dose is given. */
@RestController
@RequestMapping("/api/v1/reckon")
class MiteReckonController {

    /** How mites were counted. */
    enum CountKind {
        WASH, SUGAR, NATURAL_FALL
    }

    /**
     * @param kind how they were counted
     * @param bees in the sample; of a wash or of sugar
     * @param estimated the bees were estimated, not counted
     * @param mites found, at the first count
     * @param second more that a second rinse brought
     * @param days that the board lay there; of a fall
     * @param queenSafe she was seen elsewhere, or both sides of the comb were searched before its bees were taken
     * @param openBrood the bees came off a comb with open brood
     */
    record CountInput(@NotNull CountKind kind, @Nullable Integer bees, @Nullable Boolean estimated,
            @NotNull Integer mites, @Nullable @Min(0) @Max(5_000) Integer second, @Nullable Integer days,
            @Nullable Boolean queenSafe, @Nullable Boolean openBrood) {
    }

    /**
     * @param day of the count
     * @param corrected the same count as somebody wrote it down first: both are kept
     * @param brood of the colony, where a board tells; by the season if left out
     * @param colonyBees adult bees in the colony, where a board tells
     * @param winterTreatment a treatment without brood is planned before spring
     * @param ownPercent the operation's own figure, mites for a hundred bees
     * @param until the day for which the course is asked
     * @param brokenDays days until then without sealed brood
     * @param yardHives hives in its yard, to know how many to look at
     */
    record MitesRequest(@NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            @NotNull @Valid CountInput count, @Nullable @Valid CountInput corrected,
            Infestation.@Nullable Brood brood, @Nullable @Min(1) @Max(200_000) Integer colonyBees,
            @Nullable Boolean winterTreatment, @Nullable @Min(0) @Max(20) Double ownPercent, @Nullable LocalDate until,
            @Nullable @Min(0) @Max(365) Integer brokenDays, @Nullable @Min(1) @Max(10_000) Integer yardHives) {
    }

    /**
     * @param percent mites for a hundred bees, with the exact 95 % interval; left out where a board tells of the colony alone
     * @param inAll mites in the whole colony; left out where bees were counted
     * @param time part of the bees' year at the place
     * @param rules what each rule says
     * @param disagree two rules say the opposite
     * @param course what becomes of it if nothing is done
     * @param objections what must be so before the count is believed
     */
    record MitesAnswer(@Nullable Amount percent, @Nullable Amount inAll, MiteRule.Time time, List<RuleView> rules,
            boolean disagree, @Nullable CourseView course, @Nullable SamplingView sampling, List<String> objections,
            List<String> cautions, List<ReasonView> reasons, List<String> assumed) {
    }

    @PostMapping("/mites")
    @Operation(summary = "What a count of mites says: percentage with its interval, what each rule says, what becomes of it", description = """
            Example: {"day": "2026-04-20", "count": {"kind": "WASH", "bees": 300, "mites": 2, "second": 0, "queenSafe": true,
            "openBrood": true}} gives 0.67 per cent (0.08 to 2.4): the cautious rule acts, the rule by season lets be.""")
    MitesAnswer mites(@Valid @RequestBody MitesRequest asked) {
        List<String> assumed = new ArrayList<>();
        PlaceInput place = asked.place() == null ? PlaceInput.NOT_SAID : asked.place();
        Conditions at = place.conditions(asked.day(), assumed);
        CountInput said = asked.corrected() == null ? asked.count() : asked.corrected();
        MiteRule.Time time = MiteRule.time(at.year(), asked.day());
        Infestation.Brood brood = asked.brood() != null ? asked.brood() : brood(at, asked.day());
        Infestation found = Infestation.of(count(asked.corrected() == null ? "count" : "corrected", said, asked.day()),
                brood);
        Optional<Amount> percent = Optional.ofNullable(asked.colonyBees())
                .map(bees -> found.percentOf(bees.doubleValue())).orElse(found.percent())
                .map(MiteViews::hundredth);
        List<MiteRule.Word> words = percent.map(counted -> MiteRule
                .at(time, Boolean.TRUE.equals(asked.winterTreatment()), Optional.ofNullable(asked.ownPercent()))
                .stream()
                .map(rule -> rule.to(counted)).toList()).orElse(List.of());
        List<Reason> reasons = new ArrayList<>(found.reasons());
        Optional<MiteCourse> course = asked.until() == null
                ? Optional.empty()
                : percent
                        .map(counted -> course(counted, asked, at));
        course.ifPresent(one -> reasons.addAll(one.reasons()));
        return new MitesAnswer(percent.orElse(null), found.inAll().map(mites -> mites.map(Math::rint)).orElse(null),
                time,
                RuleView.of(words),
                MiteRule.disagree(words),
                course.map(one -> new CourseView(one.on(), MiteViews.hundredth(one.percent()))).orElse(null),
                asked.yardHives() == null ? null : SamplingView.of(asked.yardHives()), objections(asked, said),
                found.cautions().stream().map(Object::toString).toList(), ReasonView.of(reasons), assumed);
    }

    private static MiteCourse course(Amount counted, MitesRequest asked, Conditions at) {
        try {
            return MiteCourse.of(counted, asked.day(), Objects.requireNonNull(asked.until()), at.year(),
                    asked.brokenDays() == null ? 0 : asked.brokenDays());
        } catch (IllegalArgumentException wrong) {
            throw Refusal.invalid(List.of(new Refusal.Finding("until", String.valueOf(wrong.getMessage()))));
        }
    }

    private static Infestation.Brood brood(Conditions at, LocalDate day) {
        double laying = at.year().laying(day);
        return laying > 0.5 ? Infestation.Brood.MUCH : laying > 0.1 ? Infestation.Brood.LITTLE : Infestation.Brood.NONE;
    }

    private static List<String> objections(MitesRequest asked, CountInput count) {
        List<String> objections = new ArrayList<>();
        if (count.kind() != CountKind.NATURAL_FALL) {
            if (!Boolean.TRUE.equals(count.queenSafe())) {
                objections.add(Sentence.of("mites.gate.queen").toString());
            }
            if (!Boolean.TRUE.equals(count.openBrood())) {
                objections.add(Sentence.of("mites.gate.openBrood").toString());
            }
        }
        if (asked.corrected() != null) {
            objections.add(Sentence.of("mites.gate.corrected", asked.count().mites(), count.mites()).toString());
        }
        return objections;
    }

    private static MiteCount count(String field, CountInput count, LocalDate day) {
        boolean estimated = Boolean.TRUE.equals(count.estimated());
        int bees = count.bees() == null ? 0 : count.bees();
        try {
            return switch (count.kind()) {
                case WASH ->
                    new MiteCount.Wash(day, bees, estimated, count.mites(), Optional.ofNullable(count.second()));
                case SUGAR -> new MiteCount.Sugar(day, bees, estimated, count.mites());
                case NATURAL_FALL ->
                    new MiteCount.NaturalFall(day, count.mites(), count.days() == null ? 0 : count.days());
            };
        } catch (IllegalArgumentException wrong) {
            throw Refusal.invalid(List.of(new Refusal.Finding(field, String.valueOf(wrong.getMessage()))));
        }
    }

    /**
     * @param day from which on no egg is laid: the queen is caged, taken or gone
     * @param lastEgg when the last egg was laid, where only that is known; the day if left out
     * @param begins the day on which the next is given, or the queen let out; the day itself if left out
     * @param virginDays how old a virgin is that is given; 4 if left out
     * @param droneBrood there is drone brood; true if left out
     * @param honeyBoxes honey boxes are on
     */
    record BroodBreakRequest(@NotNull BroodBreak.Plan plan, @NotNull LocalDate day, @Nullable @Valid PlaceInput place,
            @Nullable @Valid @Size(min = 3, max = 3) List<LocalDate> lastEgg, @Nullable LocalDate begins,
            @Nullable @Min(0) @Max(30) Integer virginDays, @Nullable Boolean droneBrood,
            @Nullable Boolean honeyBoxes) {
    }

    /**
     * @param firstEgg when the next queen begins; left out if none is on the way
     * @param worker no worker brood is sealed
     * @param drone no drone brood is sealed
     * @param none nothing is sealed: every mite sits on a bee
     * @param bees bees that are not reared meanwhile
     * @param acts what the days can be used for
     */
    record BroodBreakAnswer(SpanView lastEgg, @Nullable SpanView firstEgg, WindowView worker, WindowView drone,
            WindowView none, Amount bees, List<String> acts, List<String> cautions, List<String> assumed) {
    }

    @PostMapping("/brood-break")
    @Operation(summary = "The days without sealed brood that a plan opens, worker and drone apart", description = """
            Example: {"plan": "QUEEN_CAGED", "day": "2026-07-01", "begins": "2026-07-26"} gives the days from 2026-07-25 on
            without sealed brood, drone brood included, until the first cell is sealed again.""")
    BroodBreakAnswer broodBreak(@Valid @RequestBody BroodBreakRequest asked) {
        List<String> assumed = new ArrayList<>();
        PlaceInput place = asked.place() == null ? PlaceInput.NOT_SAID : asked.place();
        Conditions at = place.conditions(asked.day(), assumed);
        if (asked.droneBrood() == null) {
            assumed.add(Sentence.of("break.assumed.drones").toString());
        }
        try {
            DatedSpan stops = asked.lastEgg() == null
                    ? DatedSpan.on(asked.day())
                    : new DatedSpan(asked.lastEgg().get(0), asked.lastEgg().get(1), asked.lastEgg().get(2));
            BroodBreak found = BroodBreak.of(asked.plan(), stops, asked.begins() == null ? asked.day() : asked.begins(),
                    asked.virginDays() == null ? 4 : asked.virginDays(), !Boolean.FALSE.equals(asked.droneBrood()),
                    Boolean.TRUE.equals(asked.honeyBoxes()), at.year(), at.assumptions());
            BroodBreakView view = BroodBreakView.of(found);
            return new BroodBreakAnswer(view.lastEgg(), view.firstEgg(), view.worker(), view.drone(), view.none(),
                    view.bees(), view.acts(), view.cautions(), assumed);
        } catch (IllegalArgumentException wrong) {
            throw Refusal.invalid(List.of(new Refusal.Finding("begins", String.valueOf(wrong.getMessage()))));
        }
    }
}
