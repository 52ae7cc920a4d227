package vividcrown.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Wrong;

/**
 * What it is like at the hive, as far as it forbids to open it or to search on.
 *
 * @param celsius in the shade, −40 to 55; empty if nobody said
 * @param rain it rains, or is about to
 * @param robbing bees of other hives rob
 * @param queenGivenDays days since a queen was given to it, if one was lately
 * @param virginDays days since its virgin came out, if one is in there; while she may be out to mate nobody opens it
 * @param mayMate it is judged likely that a virgin is in there who may fly
 * @param caged by the record its queen is shut in a cage in it
 * @param defensive they boil over
 */
public record AtTheHive(Optional<Double> celsius, boolean rain, boolean robbing, Optional<Integer> queenGivenDays,
        Optional<Integer> virginDays, boolean mayMate, boolean caged, boolean defensive) {

    /** Brood chills. Common practice. */
    private static final double TOO_COLD_CELSIUS = 12;
    private static final double COOL_CELSIUS = 15;
    private static final double FAIR_MINUTES = 25;
    private static final double HARD_MINUTES = 10;
    /** A queen just given may be balled when the hive is disturbed. Common practice. */
    private static final int GIVEN_REST_DAYS = 7;
    private static final int MATES_FROM_DAY = 4;
    private static final int MATES_UNTIL_DAY = 14;

    public AtTheHive {
        celsius.ifPresent(degrees -> {
            if (!(degrees >= -40 && degrees <= 55)) {
                throw Wrong.of("wrong.search.celsius", degrees);
            }
        });
    }

    /** Why it should stay shut, each with what to do instead. */
    public List<Sentence> shut() {
        List<Sentence> all = new ArrayList<>();
        celsius.filter(degrees -> degrees < TOO_COLD_CELSIUS)
                .ifPresent(degrees -> all.add(Sentence.of("search.shut.cold", degrees)));
        if (rain) {
            all.add(Sentence.of("search.shut.rain"));
        }
        if (robbing) {
            all.add(Sentence.of("search.shut.robbing"));
        }
        queenGivenDays.filter(days -> days < GIVEN_REST_DAYS)
                .ifPresent(days -> all.add(Sentence.of("search.shut.given", days, GIVEN_REST_DAYS)));
        virginDays.filter(days -> days >= MATES_FROM_DAY && days <= MATES_UNTIL_DAY)
                .ifPresent(days -> all.add(Sentence.of("search.shut.mating", days, MATES_UNTIL_DAY)));
        if (mayMate && virginDays.isEmpty()) {
            all.add(Sentence.of("search.shut.mayMate"));
        }
        return all;
    }

    /** So many minutes at most it should stand open. */
    double mostMinutes() {
        boolean hard = robbing || rain || celsius.filter(degrees -> degrees < COOL_CELSIUS).isPresent();
        return hard ? HARD_MINUTES : FAIR_MINUTES;
    }
}
