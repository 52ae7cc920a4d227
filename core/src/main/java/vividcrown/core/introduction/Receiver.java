package vividcrown.core.introduction;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.journal.Faults;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.yard.Flow;

/**
 * A colony that is to get a queen, as it is judged before it is searched for this.
 *
 * @param code of the hive
 * @param queen chance that a mated queen is in there, 0–1
 * @param virgin chance that a virgin is, 0–1
 * @param cells chance that living queen cells are, 0–1
 * @param workersLay chance that workers lay, 0–1
 * @param search how it was searched for this
 * @param cellsCutOn the day on which every frame was shaken and every cell destroyed; empty if not
 * @param lastEgg when the last fertilised egg was laid; empty if nobody knows
 * @param nurses few young bees are left, or not
 * @param temper 1 gentle to 5 boils over
 * @param robbing it is being robbed
 * @param suspect signs of disease stand
 * @param worth of a queen that is kept there, in whatever money, 0–10,000
 * @param wishes the line that is wished there; blank if any
 * @param judgedSince the chances are those after the search: it is not counted once more
 */
public record Receiver(String code, double queen, double virgin, double cells, double workersLay, Search search,
        Optional<LocalDate> cellsCutOn, Optional<DatedSpan> lastEgg, Nurses nurses, Flow flow, int temper,
        boolean robbing, boolean suspect, double worth, String wishes, boolean judgedSince) {

    /** How every frame was looked at. */
    public enum Search {
        NOT,
        /** Some frames, or one side. */
        IN_PART,
        /** Both sides of every frame, walls and floor. */
        EVERY_FRAME,
        /** The same a second time, or through a sieve. */
        TWICE
    }

    /** Bees young enough to feed and to take a queen. */
    public enum Nurses {
        MANY, FEW
    }

    /** Queenless so long, few nurses are left. Common practice. */
    private static final int FEW_NURSES_DAYS = 21;

    public Receiver {
        new Faults().text("code", code, 1, 20).within("queen", queen, 0, 1).within("virgin", virgin, 0, 1)
                .within("cells", cells, 0, 1).within("workersLay", workersLay, 0, 1).within("temper", temper, 1, 5)
                .within("worth", worth, 0, 10_000).text("wishes", wishes, 0, 60).refuse();
    }

    /** As it is judged before it is searched for this. */
    public Receiver(String code, double queen, double virgin, double cells, double workersLay, Search search,
            Optional<LocalDate> cellsCutOn, Optional<DatedSpan> lastEgg, Nurses nurses, Flow flow, int temper,
            boolean robbing, boolean suspect, double worth, String wishes) {
        this(code, queen, virgin, cells, workersLay, search, cellsCutOn, lastEgg, nurses, flow, temper, robbing,
                suspect, worth, wishes, false);
    }

    boolean hasFewNurses(LocalDate day) {
        return nurses == Nurses.FEW
                || lastEgg.filter(egg -> egg.likely().plusDays(FEW_NURSES_DAYS).isBefore(day)).isPresent();
    }

    /** From this day on no new queen cell can be begun: eggs hatch on day three, larvae are taken for three days more. */
    public Optional<LocalDate> noNewCellsFrom() {
        return lastEgg.map(egg -> egg.latest().plusDays(7));
    }
}
