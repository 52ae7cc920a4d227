package vividcrown.server.round;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.introduction.Introduction;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.round.Item;
import vividcrown.core.round.Kit;
import vividcrown.core.round.Stop;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.introduction.Introductions;
import vividcrown.server.yard.Yard;

/** Queens on their way into colonies: what is due at each cage. */
@Component
class IntroductionStops {

    private static final String JOB = "INTRODUCTION_";

    private final Introductions introductions;
    private final Hives hives;

    IntroductionStops(Introductions introductions, Hives hives) {
        this.introductions = introductions;
        this.hives = hives;
    }

    static boolean isOne(String job) {
        return job.startsWith(JOB);
    }

    List<Stop> of(Map<UUID, Yard> yards, LocalDate today) {
        Map<UUID, Introduction> open = introductions.open();
        Map<UUID, Hive> standing = hives.findAllById(open.values().stream().map(Introduction::hive).distinct().toList())
                .stream().filter(hive -> !hive.isEnded()).collect(Collectors.toMap(Hive::id, Function.identity()));
        List<Stop> stops = new ArrayList<>();
        open.forEach((id, one) -> Optional.ofNullable(standing.get(one.hive())).ifPresent(hive -> one
                .ahead(today, Objects.requireNonNull(yards.get(hive.yardId())).year())
                .forEach(next -> stops.add(stop(id, one, hive, next, yards)))));
        return stops;
    }

    private static Stop stop(UUID id, Introduction one, Hive hive, Introduction.Next next, Map<UUID, Yard> yards) {
        return new Stop(Jobs.box(hive, yards), JOB + next.task().name(), id,
                Sentence.of("work.INTRODUCTION", one.begun().code(), next.words()), next.when(),
                List.of(Reason.of(Source.COMMON_PRACTICE, "due.introduction", one.method().sentence(), one.since())),
                kit(next.task()));
    }

    /** She who is taken out wants a cage to lie in. */
    private static Kit kit(Introduction.Task task) {
        return switch (task) {
            case TAKE_HER_OUT, CHANGE_METHOD -> Kit.of(Item.INTRODUCTION_CAGES, 1);
            case READ_BEES, SECOND_CUT, SECOND_LOOK, OPEN_CAGE, RELEASED, THERE, EGGS, PLAN_B -> Kit.NOTHING;
        };
    }
}
