package vividcrown.server.introduction;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.introduction.CageReading;
import vividcrown.core.introduction.Introduction;
import vividcrown.core.introduction.IntroductionDeed;
import vividcrown.core.introduction.IntroductionDeed.Cause;
import vividcrown.core.introduction.IntroductionDeed.Freeing;
import vividcrown.core.introduction.IntroductionDeed.Outcome;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.journal.Deed;
import vividcrown.core.queen.GivenAs;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Sight;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.hive.Hive;
import vividcrown.server.introduction.IntroductionView.AnswerView;
import vividcrown.server.introduction.IntroductionView.NextView;
import vividcrown.server.journal.Deeds;
import vividcrown.server.queen.Queens;
import vividcrown.server.wire.SpanView;
import vividcrown.server.yard.Yard;

/** Introductions as they are shown, each task with what its answers put into the record. */
@Component
class IntroductionViews {

    private final Queens queens;
    private final Deeds deeds;

    IntroductionViews(Queens queens, Deeds deeds) {
        this.queens = queens;
        this.deeds = deeds;
    }

    IntroductionView of(UUID id, Introduction one, Map<UUID, Hive> hives, Map<UUID, Yard> yards, LocalDate today) {
        Optional<Hive> hive = Optional.ofNullable(hives.get(one.hive()));
        Optional<CageReading.Answer> answer = one.isOpen() && one.isInCage()
                ? Optional.of(one.answer(today))
                : Optional.empty();
        return new IntroductionView(id, one.hive(), hive.map(Hive::code).orElse(""),
                hive.flatMap(in -> Optional.ofNullable(yards.get(in.yardId()))).map(Yard::name).orElse(""),
                one.begun().code(), one.begun().queen().orElse(null), one.method(),
                one.method().sentence().toString(), one.since(), one.begun().opens(), one.isInCage(),
                answer.map(CageReading.Answer::act).orElse(null),
                answer.map(found -> found.why().toString()).orElse(null), one.readings(), one.looks(),
                one.freedOn().orElse(null),
                next(id, one, hive, yards, today),
                one.closing().map(Introduction.Closing::outcome).orElse(null),
                one.closing().map(Introduction.Closing::cause).orElse(null),
                one.closing().map(Introduction.Closing::day).orElse(null),
                one.closing().filter(closing -> closing.outcome() == Outcome.LOST)
                        .map(closing -> Sentence.of("introduction.after." + closing.cause().name()).toString())
                        .orElse(null));
    }

    private List<NextView> next(UUID id, Introduction one, Optional<Hive> hive, Map<UUID, Yard> yards,
            LocalDate today) {
        Optional<Yard> yard = hive.filter(in -> !in.isEnded()).map(Hive::yardId).map(yards::get);
        if (!one.isOpen()) {
            return List.of();
        }
        if (yard.isEmpty()) {
            return List.of(new NextView(Introduction.Task.TAKE_HER_OUT, SpanView.of(DatedSpan.on(today)),
                    Sentence.of("introduction.hiveGone").toString(), true,
                    List.of(takenBack(id, one), lost(id, one, Cause.UNKNOWN))));
        }
        return one.ahead(today, yard.get().year()).stream()
                .map(next -> new NextView(next.task(), SpanView.of(next.when()),
                        next.words().toString(), next.task().isUrgent(), answers(id, one, next.task())))
                .toList();
    }

    private List<AnswerView> answers(UUID id, Introduction one, Introduction.Task task) {
        return switch (task) {
            // how the bees behave, or what was found, is said in words of its own
            case READ_BEES -> List.of();
            case SECOND_CUT, SECOND_LOOK -> List.of(
                    answer("NOTHING_THERE", new IntroductionDeed.LookedThrough(id, false, false, false)),
                    answer("CELLS_CUT", new IntroductionDeed.LookedThrough(id, false, false, true),
                            new HiveDeed.Happened(one.hive(), EventKind.CELLS_DESTROYED)),
                    answer("EGGS_THERE", new IntroductionDeed.LookedThrough(id, true, false, false)),
                    answer("VIRGIN_THERE", new IntroductionDeed.LookedThrough(id, false, true, false)));
            case OPEN_CAGE -> List.of(answer("OPENED", new IntroductionDeed.Freed(id, Freeing.BY_HAND)),
                    takenBack(id, one));
            case TAKE_HER_OUT, CHANGE_METHOD -> List.of(takenBack(id, one), lost(id, one, Cause.BALLED));
            case RELEASED -> List.of(answer("RELEASED", new IntroductionDeed.Freed(id, Freeing.BY_BEES)),
                    lost(id, one, Cause.UNKNOWN), takenBack(id, one));
            case THERE -> List.of(answer("THERE", new IntroductionDeed.Freed(id, Freeing.BY_BEES)),
                    lost(id, one, Cause.UNKNOWN));
            case EGGS -> List.of(kept(id, one), lost(id, one, Cause.UNKNOWN));
            case PLAN_B -> {
                List<AnswerView> all = new ArrayList<>(List.of(kept(id, one)));
                List.of(Cause.ANOTHER_QUEEN, Cause.VIRGIN_THERE, Cause.CELLS_THERE, Cause.WORKERS_LAY, Cause.UNKNOWN)
                        .forEach(cause -> all.add(lost(id, one, cause)));
                if (one.method().way().eggs().isEmpty()) {
                    all.add(lost(id, one, Cause.DID_NOT_MATE));
                }
                yield all;
            }
        };
    }

    private AnswerView kept(UUID id, Introduction one) {
        List<Deed> record = new ArrayList<>(
                List.of(new IntroductionDeed.Closed(id, Outcome.KEPT, Cause.NONE)));
        one.begun().queen().ifPresent(queen -> record.add(new QueenDeed.Seen(queen, Sight.EGGS)));
        return answer("KEPT", record.toArray(Deed[]::new));
    }

    private AnswerView lost(UUID id, Introduction one, Cause cause) {
        List<Deed> record = new ArrayList<>(
                List.of(new IntroductionDeed.Closed(id, Outcome.LOST, cause)));
        one.begun().queen().ifPresent(queen -> record.add(new QueenDeed.Seen(queen, Sight.DEAD)));
        return answer("LOST_" + cause.name(), record.toArray(Deed[]::new));
    }

    /** Out again alive. Whose record she has lies in a cage from now on: the bank says in which. */
    private AnswerView takenBack(UUID id, Introduction one) {
        List<Deed> record = new ArrayList<>(List.of(new IntroductionDeed.Closed(id, Outcome.TAKEN_BACK, Cause.NONE),
                new HiveDeed.Happened(one.hive(), EventKind.QUEEN_REMOVED)));
        int free = 1 + queens.caged().stream().flatMap(caged -> caged.cage().stream()).mapToInt(Integer::intValue)
                .max().orElse(0);
        one.begun().queen().ifPresent(queen -> record.add(new QueenDeed.Caged(queen, free)));
        return answer("TAKEN_BACK", record.toArray(Deed[]::new));
    }

    AnswerView answer(String key, Deed... record) {
        List<JsonNode> views = new ArrayList<>();
        for (Deed deed : record) {
            views.add(deeds.view(deed));
        }
        return new AnswerView(key, views);
    }

    /** What is recorded when a queen is put in: the judgement of the colony knows of her from then on. */
    AnswerView begins(IntroductionDeed.Begun begun, Method method) {
        List<Deed> record = new ArrayList<>(List.of(begun));
        record.add(begun.queen()
                .<Deed>map(queen -> new QueenDeed.Placed(queen, begun.hive(), switch (method.way().gives()) {
                    case MATED -> GivenAs.LAYING_QUEEN;
                    case VIRGIN -> GivenAs.VIRGIN;
                    case CELL -> GivenAs.CELL;
                }, Optional.empty(), false))
                .orElseGet(() -> new HiveDeed.Happened(begun.hive(), switch (method.way().gives()) {
                    case MATED -> EventKind.QUEEN_GIVEN;
                    case VIRGIN -> EventKind.VIRGIN_GIVEN;
                    case CELL -> EventKind.CELL_GIVEN;
                })));
        return answer(method.name(), record.toArray(Deed[]::new));
    }
}
