package vividcrown.core.requeening;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Amount;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;

/**
 * How likely a colony swarms this season if nothing is done, by the age of its queen and what was seen of it: those in their
 * second and third year swarm more. Common practice; the numbers are from memory and broad.
 *
 * @param chance 0–1, by all ages that she may have
 * @param measures what takes the urge away mildly, with the day by which
 */
public record SwarmOdds(Amount chance, List<Sentence> measures, List<Reason> reasons) {

    /** Chance of a colony left to itself in a usual spring, by winters of its queen. */
    private static final double[] BY_WINTERS = {0.06, 0.22, 0.4, 0.5};
    private static final double CELLS_LAST_YEAR = 2.0;
    private static final double CELLS_THIS_YEAR = 4.0;
    private static final double CROWDED = 2.5;
    private static final double DIVIDED = 0.25;
    private static final double SPREAD = 1.8;
    /** After the longest day the urge fades; two months on hardly any leaves. */
    private static final int URGE_ENDS_DAYS = 60;
    private static final int CUPS_WEEKLY_DAYS = 60;
    private static final double NONE_LEAVES = 0.02;
    private static final double MINDS = 0.25;

    public SwarmOdds {
        measures = List.copyOf(measures);
        reasons = List.copyOf(reasons);
    }

    /**
     * What was seen of it.
     *
     * @param cellsLastYear swarm cells were found in it last season
     * @param cellsThisYear they were found this season, and cut
     * @param crowded bees sit in every seam and hang out
     * @param divided it was divided this season, or brood was taken
     */
    public record History(boolean cellsLastYear, boolean cellsThisYear, boolean crowded, boolean divided) {
        public static final History NONE = new History(false, false, false, false);
    }

    public static SwarmOdds of(Age age, History history, LocalDate day, BeeYear year) {
        int fromMidsummer = year.daysFromMidsummer(day);
        boolean before = isBeforeMidsummer(day, year);
        if (!before && fromMidsummer > URGE_ENDS_DAYS || year.isAutumn(day)) {
            return new SwarmOdds(new Amount(0, NONE_LEAVES, 2 * NONE_LEAVES), List.of(),
                    List.of(Reason.of(Source.COMMON_PRACTICE, "swarmOdds.over")));
        }
        List<Reason> reasons = new ArrayList<>();
        reasons.add(Reason.of(Source.COMMON_PRACTICE, "swarmOdds.age", age.sentence()));
        double odds = 1;
        odds *= shift(history.cellsLastYear(), CELLS_LAST_YEAR, "swarmOdds.lastYear", reasons);
        odds *= shift(history.cellsThisYear(), CELLS_THIS_YEAR, "swarmOdds.thisYear", reasons);
        odds *= shift(history.crowded(), CROWDED, "swarmOdds.crowded", reasons);
        odds *= shift(history.divided(), DIVIDED, "swarmOdds.divided", reasons);
        double mean = 0;
        for (int winters = age.least(); winters <= age.most(); winters++) {
            mean += shifted(usual(winters), odds);
        }
        mean /= age.most() - age.least() + 1;
        double least = shifted(usual(age.least()), odds / SPREAD);
        double most = shifted(usual(age.most()), odds * SPREAD);
        return new SwarmOdds(new Amount(Math.min(least, mean), mean, Math.max(most, mean)),
                mean < MINDS ? List.of() : measures(day, year), reasons);
    }

    private static boolean isBeforeMidsummer(LocalDate day, BeeYear year) {
        return year.daysFromMidsummer(day.plusDays(1)) < year.daysFromMidsummer(day);
    }

    private static double shift(boolean so, double factor, String key, List<Reason> reasons) {
        if (so) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, key));
        }
        return so ? factor : 1;
    }

    private static double usual(int winters) {
        return BY_WINTERS[Math.min(winters, BY_WINTERS.length - 1)];
    }

    private static double shifted(double chance, double odds) {
        double shifted = chance / (1 - chance) * odds;
        return shifted / (1 + shifted);
    }

    private static List<Sentence> measures(LocalDate day, BeeYear year) {
        LocalDate weekly = day;
        while (year.daysFromMidsummer(weekly) > CUPS_WEEKLY_DAYS && isBeforeMidsummer(weekly, year)) {
            weekly = weekly.plusDays(1);
        }
        return List.of(Sentence.of("swarmOdds.measure.room", weekly), Sentence.of("swarmOdds.measure.look", weekly),
                Sentence.of("swarmOdds.measure.brood", weekly.plusDays(7)));
    }

    /** The likeliest words for it, where a sentence is wanted. */
    public Optional<Sentence> warning() {
        return chance.likely() < MINDS
                ? Optional.empty()
                : Optional.of(Sentence.of("swarmOdds.warning", Math.round(10 * chance.likely())));
    }
}
