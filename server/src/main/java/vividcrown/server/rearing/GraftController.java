package vividcrown.server.rearing;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.odds.Interval;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.queen.Milestone;
import vividcrown.core.queen.Stage;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.core.rearing.StepKind;
import vividcrown.server.clock.Today;
import vividcrown.server.page.Page;
import vividcrown.server.problem.Refusal;
import vividcrown.server.queen.OwnRates;
import vividcrown.server.queen.Queen;
import vividcrown.server.queen.QueenReader;
import vividcrown.server.queen.QueenView;
import vividcrown.server.queen.Queens;
import vividcrown.server.settings.SettingsInForce;

/** Batches and their cups. */
@RestController
@RequestMapping("/api/v1/grafts")
class GraftController {

    /** What one page shows. Batches older than this are over: their queens live on in the yards. */
    private static final int DAYS_SHOWN = 60;

    /** @param alive cells and queens of this batch that are still in the record */
    record Counts(int cups, int counted, int took, int culled, int placed, int caged, int duds, int laying, int alive) {
    }

    record GraftLine(UUID id, String code, UUID motherId, String mother, String builder, String grafter,
            Instant plannedFor, LocalDate graftDay, boolean grafted, boolean cancelled, LarvaAge larvaAge,
            Placing placing, int bars, int cupsPerBar, Counts counts, Set<StepKind> stepsDone, CalendarView calendar,
            @Nullable StepKind next) {
    }

    /** @param take the share that took, with what was believed before, if it was counted */
    record GraftPage(GraftLine graft, List<QueenView> cups, @Nullable RateView take) {
    }

    /**
     * A share and what it rests on.
     *
     * @param mean believed share, 0 to 1
     * @param low lower end of the 90 % credible interval
     * @param tried how many own counts it rests on, beside the trade's prior
     */
    record RateView(LossStep step, double mean, double low, double high, int tried, String source) {
        static RateView of(LossStep step, Rate rate, int tried) {
            Interval interval = rate.credible(0.9);
            return new RateView(step, rate.mean(), interval.low(), interval.high(), tried,
                    step.source().citation());
        }
    }

    private final Grafts grafts;
    private final Queens queens;
    private final CellBuilders builders;
    private final QueenReader reader;
    private final OwnRates rates;
    private final Today today;
    private final SettingsInForce settings;

    GraftController(Grafts grafts, Queens queens, CellBuilders builders, QueenReader reader, OwnRates rates,
            Today today,
            SettingsInForce settings) {
        this.grafts = grafts;
        this.queens = queens;
        this.builders = builders;
        this.reader = reader;
        this.rates = rates;
        this.today = today;
        this.settings = settings;
    }

    /** Batches of the last 60 days and those planned, the newest first; each page has 60 days more. */
    @GetMapping
    Page<GraftLine> all(@RequestParam Optional<LocalDate> page) {
        LocalDate until = page.map(day -> Page.backFrom(day, today.day())).orElse(today.day());
        LocalDate from = until.minusDays(DAYS_SHOWN);
        List<Graft> shown = page.isPresent()
                ? grafts.findByGraftDayBetweenOrderByGraftDayAscCodeAsc(from, until)
                : grafts.findByGraftDayGreaterThanEqualOrderByGraftDayAscCodeAsc(from);
        Map<UUID, List<Queen>> cups = queens.findByGraftIdIn(shown.stream().map(Graft::id).toList()).stream()
                .collect(Collectors.groupingBy(queen -> queen.graftId().orElseThrow()));
        return Page.of(
                lines(shown, cups).stream().sorted(Comparator.comparing(GraftLine::graftDay).reversed()).toList(),
                grafts.lastBefore(from));
    }

    /** One batch: its calendar, its cups, and what took. */
    @GetMapping("/{id}")
    GraftPage one(@PathVariable UUID id) {
        Graft graft = grafts.findById(id)
                .orElseThrow(() -> Refusal.notHere(RearingDeed.GRAFT, id));
        List<Queen> cups = queens.findByGraftIdOrderByBarAscCupAsc(id);
        GraftLine line = lines(List.of(graft), Map.of(id, cups)).getFirst();
        Counts counts = line.counts();
        RateView take = counts.counted() == 0
                ? null
                : RateView.of(LossStep.TAKE, LossStep.TAKE.prior().updatedBy(counts.took(), counts.counted()),
                        counts.counted());
        return new GraftPage(line, reader.view(cups, today.day()), take);
    }

    /**
     * A graft as it might be planned.
     *
     * @param incubatorCelsius 34.5 if left out
     */
    record CalendarAsked(@NotNull UUID builder, @NotNull ZonedDateTime plannedFor, @NotNull LarvaAge larvaAge,
            @NotNull Placing placing, @Nullable Double incubatorCelsius) {
    }

    /** The calendar that a graft would have; nothing is kept. */
    @PostMapping("/calendar")
    CalendarView preview(@Valid @RequestBody CalendarAsked asked) {
        CellBuilders.CellBuilder builder = Optional
                .ofNullable(builders.of(List.of(asked.builder())).get(asked.builder()))
                .orElseThrow(() -> Refusal.notHere(HiveDeed.HIVE, asked.builder()));
        double celsius = Objects.requireNonNullElse(asked.incubatorCelsius(), GraftPlan.PROPER_INCUBATOR_CELSIUS);
        try {
            return CalendarView.of(GraftCalendar.of(new GraftPlan(asked.plannedFor().toLocalDate(), asked.larvaAge(),
                    builder.school(), asked.placing(), celsius), settings.assumptions()));
        } catch (IllegalArgumentException wrong) {
            throw Refusal.invalid("incubatorCelsius", wrong.getMessage() + ".");
        }
    }

    /** What this operation's own counts say of each step. */
    @GetMapping("/rates")
    List<RateView> rates() {
        OwnRates.Counts counts = rates.counts();
        return Arrays.stream(LossStep.values()).map(step -> RateView.of(step, counts.of(step), counts.tried(step)))
                .toList();
    }

    private List<GraftLine> lines(List<Graft> shown, Map<UUID, List<Queen>> cups) {
        Map<UUID, CellBuilders.CellBuilder> boxes = builders
                .of(shown.stream().map(Graft::builderId).distinct().toList());
        Map<UUID, String> mothers = queens.findAllById(shown.stream().map(Graft::motherId).distinct().toList())
                .stream().collect(Collectors.toMap(Queen::id, QueenReader::called));
        return shown.stream().map(graft -> {
            CellBuilders.CellBuilder builder = Objects.requireNonNull(boxes.get(graft.builderId()));
            GraftCalendar calendar = GraftCalendar.of(graft.plan(builder.school()), settings.assumptions());
            return new GraftLine(graft.id(), graft.code(), graft.motherId(),
                    mothers.getOrDefault(graft.motherId(), "?"), builder.code(), graft.grafter(), graft.plannedFor(),
                    graft.graftDay(), graft.grafted(), graft.cancelled(), graft.larvaAge(), graft.placing(),
                    graft.bars(), graft.cupsPerBar(), counts(cups.getOrDefault(graft.id(), List.of())),
                    graft.stepsDone(), CalendarView.of(calendar), next(graft, calendar));
        }).toList();
    }

    private static @Nullable StepKind next(Graft graft, GraftCalendar calendar) {
        EnumSet<StepKind> open = BatchSteps.open(graft, calendar);
        return open.isEmpty() ? null : open.iterator().next();
    }

    private static Counts counts(List<Queen> cups) {
        return new Counts(cups.size(), count(cups, queen -> queen.life().has(Milestone.TAKE_COUNTED)),
                count(cups,
                        queen -> queen.life().has(Milestone.TAKE_COUNTED) && queen.stage() != Stage.NOT_TAKEN),
                count(cups, queen -> queen.stage() == Stage.CULLED),
                count(cups,
                        queen -> queen.life().has(Milestone.PLACED_AS_CELL)
                                || queen.life().has(Milestone.PLACED_AS_VIRGIN)),
                count(cups, queen -> queen.life().has(Milestone.CAGED)),
                count(cups, queen -> queen.stage() == Stage.DUD),
                count(cups, queen -> queen.life().has(Milestone.EGGS_SEEN)),
                count(cups, queen -> queen.life().isAlive()));
    }

    private static int count(List<Queen> cups, Predicate<Queen> which) {
        return (int) cups.stream().filter(which).count();
    }
}
