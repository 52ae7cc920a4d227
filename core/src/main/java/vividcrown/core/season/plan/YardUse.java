package vividcrown.core.season.plan;

import java.util.List;
import vividcrown.core.reason.Reason;

/**
 * What a plan makes of one mating yard.
 *
 * @param cells that are placed there, on average
 * @param most nucs that are taken there on one day
 * @param nucs that stand there
 * @param mating share of its virgins that will lay, 0–1: by the weather there and the yard's own record; 0 if it takes none
 * @param trips there and back
 * @param hours of driving
 * @param reasons why there, and what is wanting
 */
public record YardUse(String yard, int cells, int most, int nucs, double mating, int trips, double hours,
        List<Reason> reasons) {

    public YardUse {
        reasons = List.copyOf(reasons);
    }
}
