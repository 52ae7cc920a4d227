package vividcrown.core.season.supply;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.season.MatingYard;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonRates;
import vividcrown.core.season.SeasonWorth;

/**
 * All that what a graft of a season gives hangs on, so that two seasons can be compared: the same grounds, the same {@link Supply}. Orders, builders and
 * what is running are not among them.
 *
 * @param mostAsked queens of the largest order: so many want nucs together where nothing is known
 * @param climate chance of a fit afternoon, day by day
 */
public record Grounds(LocalDate today, LocalDate until, SeasonRates rates, GraftPlan how, Assumptions assumptions,
        SeasonWorth worth, Optional<String> grafter, int mostAsked, List<Double> climate, List<Yard> yards) {

    /** Virgins of the last graft have flown by then. */
    private static final int FLOWN_AFTER_DAYS = 60;

    /** @param free nucs that nothing running takes, day by day */
    record Yard(String id, int nucs, Set<String> lines, List<Integer> free, List<Double> climate) {
    }

    public static Grounds of(SeasonBrief brief) {
        return new Grounds(brief.today(), brief.until(), brief.expected().rates(), brief.expected().how(),
                brief.expected().assumptions(), brief.expected().worth(), brief.means().crew().grafter(),
                Supply.mostAsked(brief), daily(brief, brief.expected().climate()),
                brief.means().yards().stream().map(yard -> yard(brief, yard)).toList());
    }

    private static Yard yard(SeasonBrief brief, MatingYard yard) {
        return new Yard(yard.id(), yard.nucs(), yard.lines(), days(brief).stream().map(yard::freeNucs).toList(),
                yard.climate().map(climate -> daily(brief, climate)).orElse(List.of()));
    }

    private static List<Double> daily(SeasonBrief brief, MatingClimate climate) {
        return days(brief).stream().map(climate::fitAfternoon).toList();
    }

    private static List<LocalDate> days(SeasonBrief brief) {
        return brief.today().datesUntil(brief.until().plusDays(FLOWN_AFTER_DAYS)).toList();
    }
}
