package vividcrown.server.round;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.Purpose;
import vividcrown.core.mite.MiteRecord;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.round.Kit;
import vividcrown.core.round.Stop;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.yard.Yard;

/** Queens caged as a brood stop that are to be let out, treatments that were planned. */
@Component
class MiteStops {

    private static final String RELEASE = "RELEASE_QUEEN";
    private static final String TREATMENT = "PLANNED_TREATMENT";
    private static final int DAYS_OF_GRACE = 2;

    private final Hives hives;
    private final ColonyBook book;

    MiteStops(Hives hives, ColonyBook book) {
        this.hives = hives;
        this.book = book;
    }

    static boolean isOne(String job) {
        return job.equals(RELEASE) || job.equals(TREATMENT);
    }

    List<Stop> of(Map<UUID, Yard> yards, LocalDate today) {
        List<Hive> rows = hives.keptFor(Purpose.PRODUCTION, Purpose.DRONE_COLONY, Purpose.NUC);
        Map<UUID, ColonyBook.Facts> facts = book.facts(rows, today);
        List<Stop> stops = new ArrayList<>();
        for (Hive hive : rows) {
            MiteRecord known = Objects.requireNonNull(facts.get(hive.id())).mites();
            known.release().ifPresent(day -> stops.add(stop(hive, RELEASE, "work.RELEASE_QUEEN", day, yards)));
            known.planned().filter(day -> !day.isBefore(today.minusDays(DAYS_OF_GRACE))).ifPresent(
                    day -> stops.add(stop(hive, TREATMENT, "work.PLANNED_TREATMENT", day, yards)));
        }
        return stops;
    }

    private static Stop stop(Hive hive, String job, String words, LocalDate day, Map<UUID, Yard> yards) {
        return new Stop(Jobs.box(hive, yards), job, hive.id(), Sentence.of(words),
                new DatedSpan(day, day, day.plusDays(DAYS_OF_GRACE)),
                List.of(Reason.of(Source.COMMON_PRACTICE, "due." + job)), Kit.NOTHING);
    }
}
