package vividcrown.server.round;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.round.Kit;
import vividcrown.core.round.Stop;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.colony.ColonyStanding;
import vividcrown.server.hive.Hive;

/** Queens caged as a brood stop that are to be let out, treatments that were planned. */
final class MiteStops {

    private static final String RELEASE = "RELEASE_QUEEN";
    private static final String TREATMENT = "PLANNED_TREATMENT";
    private static final int DAYS_OF_GRACE = 2;

    private MiteStops() {
    }

    static boolean isOne(String job) {
        return job.equals(RELEASE) || job.equals(TREATMENT);
    }

    static List<Stop> of(Stop.Box box, Hive hive, ColonyStanding standing, LocalDate today) {
        List<Stop> stops = new ArrayList<>();
        standing.release().ifPresent(day -> stops.add(stop(box, hive, RELEASE, day)));
        standing.treatment().filter(day -> !day.isBefore(today.minusDays(DAYS_OF_GRACE)))
                .ifPresent(day -> stops.add(stop(box, hive, TREATMENT, day)));
        return stops;
    }

    private static Stop stop(Stop.Box box, Hive hive, String job, LocalDate day) {
        return new Stop(box, job, hive.id(), Sentence.of("work." + job),
                new DatedSpan(day, day, day.plusDays(DAYS_OF_GRACE)),
                List.of(Reason.of(Source.COMMON_PRACTICE, "due." + job)), Kit.NOTHING);
    }
}
