package vividcrown.core.mite;

import java.time.LocalDate;
import java.util.List;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Amount;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Wrong;

/**
 * What becomes of a count if nothing is done. With brood a colony's mites grow by 2–2.5 % a day, without brood hardly; laying that
 * falls takes the growth along. Bees come and go too: the figure is for as many bees as there are now.
 *
 * @param percent mites for a hundred bees on that day
 */
public record MiteCourse(LocalDate on, Amount percent, List<Reason> reasons) {

    /** A day, with brood all the time. Order of magnitude. */
    private static final Amount GROWTH = new Amount(0.02, 0.0225, 0.025);
    private static final int LONGEST_DAYS = 365;
    private static final Source GROWS = new Source.Published(
            "Martin 1998, Ecol. Modelling 109; Calis, Fries & Ryrie 1999, Apidologie 30:197", true);

    /**
     * @param brokenDays days until then without sealed brood: a brood break that is planned
     * @throws IllegalArgumentException if {@code on} is before the count, or more than a year after it
     */
    public static MiteCourse of(Amount counted, LocalDate from, LocalDate on, BeeYear year, int brokenDays) {
        if (on.isBefore(from) || on.isAfter(from.plusDays(LONGEST_DAYS))) {
            throw Wrong.of("wrong.MiteCourse", from, on, LONGEST_DAYS);
        }
        double broodDays = 0;
        for (LocalDate day = from; day.isBefore(on); day = day.plusDays(1)) {
            // a queen that lays a third of her full number has brood enough for every mite
            broodDays += Math.clamp(year.laying(day) / 0.35, 0, 1);
        }
        double grows = Math.max(0, broodDays - brokenDays);
        return new MiteCourse(on, new Amount(counted.least() * Math.exp(GROWTH.least() * grows),
                counted.likely() * Math.exp(GROWTH.likely() * grows), counted.most() * Math.exp(GROWTH.most() * grows)),
                List.of(Reason.of(GROWS, "mites.because.growth", Math.round(grows))));
    }
}
