package vividcrown.server.queen;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;
import vividcrown.core.queen.Due;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.Milestone;
import vividcrown.core.queen.QueenLife;
import vividcrown.core.queen.QueenOutlook;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.Thread;
import vividcrown.core.queen.Whereabouts;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.reason.Sentence;
import vividcrown.core.settings.Settings;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/** Queens' rows together with what core expects of them today. */
@Component
public class QueenReader {

    private final Queens queens;
    private final Batches batches;
    private final Hives hives;
    private final OwnRates rates;
    private final SettingsInForce settings;

    QueenReader(Queens queens, Batches batches, Hives hives, OwnRates rates, SettingsInForce settings) {
        this.queens = queens;
        this.batches = batches;
        this.hives = hives;
        this.rates = rates;
        this.settings = settings;
    }

    /**
     * A queen with her outlook.
     *
     * @param plan the graft she comes from
     */
    public record Expected(Queen queen, QueenLife life, Optional<GraftPlan> plan, QueenOutlook outlook) {
    }

    public List<Expected> expect(List<Queen> rows, LocalDate today) {
        Map<UUID, GraftPlan> plans = plans(rows);
        Rate mating = rates.counts().of(LossStep.MATING);
        Settings own = settings.current();
        Assumptions assumptions = own.assumptions();
        MarkingScheme scheme = own.scheme();
        return rows.stream().map(queen -> {
            QueenLife life = queen.life();
            Optional<GraftPlan> plan = queen.graftId().map(plans::get);
            return new Expected(queen, life, plan,
                    QueenOutlook.of(life, plan, assumptions, mating, scheme, today));
        }).toList();
    }

    public List<QueenView> view(List<Queen> rows, LocalDate today) {
        Map<UUID, String> hiveCodes = hives.findAllById(ids(rows, Queen::hiveId)).stream()
                .collect(Collectors.toMap(Hive::id, Hive::code));
        Map<UUID, String> mothers = queens.findAllById(ids(rows, Queen::motherId)).stream()
                .collect(Collectors.toMap(Queen::id, QueenReader::called));
        Settings own = settings.current();
        return expect(rows, today).stream().map(one -> view(one, hiveCodes, mothers, own, today)).toList();
    }

    public List<QueenInNuc> inNucs(List<Queen> rows, LocalDate today) {
        Assumptions assumptions = settings.current().assumptions();
        return expect(rows, today).stream().map(one -> {
            Stage stage = one.life().stage();
            Optional<Due> due = one.outlook().due();
            return new QueenInNuc(one.queen().id(), one.queen().code(), stage, stageText(stage), one.outlook().isLate(),
                    due.map(job -> job.isOverdueOn(today)).orElse(false),
                    due.map(job -> new QueenInNuc.DueInNuc(workText(job), SpanView.of(job.window()),
                            job.reasons().stream().findFirst().map(reason -> reason.fact().toString()).orElse("")))
                            .orElse(null),
                    threadView(one, assumptions, today));
        }).toList();
    }

    /** How people call her: by name where she has one. */
    public static String called(Queen queen) {
        return queen.name().isEmpty() ? queen.code() : queen.name();
    }

    private Map<UUID, GraftPlan> plans(List<Queen> rows) {
        return batches.of(ids(rows, Queen::graftId)).values().stream()
                .collect(Collectors.toMap(Batches.Batch::graft, Batches.Batch::plan));
    }

    private static QueenView view(Expected one, Map<UUID, String> hiveCodes, Map<UUID, String> mothers,
            Settings own, LocalDate today) {
        Queen queen = one.queen();
        QueenLife life = one.life();
        QueenOutlook outlook = one.outlook();
        boolean inHive = life.where() instanceof Whereabouts.InHive;
        UUID hive = inHive ? queen.hiveId().orElseThrow() : null;
        Optional<Due> due = outlook.due();
        return new QueenView(queen.id(), queen.code(), queen.name(), life.stage(), stageText(life.stage()),
                life.isAlive(), hive, inHive ? hiveCodes.get(hive) : null, queen.cage().orElse(null),
                queen.graftId().orElse(null), queen.bar(), queen.cup(), queen.motherId().orElse(null),
                queen.motherId().map(mothers::get).orElse(null), life.emergenceYear(), life.mark(),
                own.scheme().colourOf(life.emergenceYear()).orElse(null),
                queen.cullReason().orElse(null), outlook.isLate(),
                due.map(job -> job.isOverdueOn(today)).orElse(false), outlook.comesGood().orElse(null),
                due.map(QueenReader::dueView).orElse(null), threadView(one, own.assumptions(), today));
    }

    public static String stageText(Stage stage) {
        return Sentence.of("stage." + stage.name()).toString();
    }

    private static QueenView.DueView dueView(Due due) {
        return new QueenView.DueView(due.work(), workText(due),
                SpanView.of(due.window()), ReasonView.of(due.reasons()));
    }

    private static String workText(Due due) {
        return Sentence.of("work." + due.work().name()).toString();
    }

    private static QueenView.ThreadView threadView(Expected one, Assumptions assumptions, LocalDate today) {
        Thread thread = Thread.of(one.life(), one.outlook(), assumptions, today);
        List<QueenView.Seen> seen = Stream.of(Milestone.values()).filter(QueenReader::isSeen)
                .flatMap(milestone -> one.life().on(milestone).map(day -> new QueenView.Seen(day, milestone)).stream())
                .sorted(Comparator.comparing(QueenView.Seen::day)).toList();
        return new QueenView.ThreadView(
                thread.strands().stream()
                        .map(strand -> new QueenView.Strand(strand.character(), strand.from(), strand.until()))
                        .toList(),
                seen, thread.unsure().map(SpanView::of).orElse(null),
                one.outlook().handsOff().stream().map(shut -> SpanView.of(shut.days())).toList(),
                thread.end().orElse(null));
    }

    /** Milestones that are marked on the thread. */
    private static boolean isSeen(Milestone milestone) {
        return switch (milestone) {
            case TAKE_COUNTED, SEALED_SEEN, PLACED_AS_CELL, PLACED_AS_VIRGIN, CAGED, EMERGED_SEEN,
                    LAST_LOOK_WITHOUT_EGGS, EGGS_SEEN, SEALED_BROOD_SEEN, DRONE_BROOD_SEEN, NOT_FOUND, MARKED,
                    MARK_LOST, MARK_WORN, CLIPPED ->
                true;
            case GRAFTED, VIRGIN_SEEN, ENDED -> false;
        };
    }

    private static List<UUID> ids(List<Queen> rows, Function<Queen, Optional<UUID>> of) {
        return rows.stream().flatMap(queen -> of.apply(queen).stream()).distinct().toList();
    }
}
