package vividcrown.core.colony;

import java.util.ArrayList;
import java.util.List;
import vividcrown.core.queen.Stage;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Wrong;
import vividcrown.core.round.Caution;

/**
 * What moving a hive does to its flying bees, and to a queen on her mating flights.
 *
 * @param verdict whether to move it
 * @param reasons what becomes of the bees, and what to do about it
 */
public record MoveOfHive(Verdict verdict, List<Reason> reasons) {

    /** Beyond it no field bee finds back to the old stand. Source: common practice. */
    public static final double NONE_RETURN_METRES = 5_000;

    /** Whether a hive can be moved. */
    public enum Verdict {
        GOOD,
        /** It can be done, and costs bees or needs more hands. */
        WITH_CARE,
        /** A queen may be lost, or disease carried on: not now. */
        NOT_NOW
    }

    public MoveOfHive {
        reasons = List.copyOf(reasons);
    }

    /**
     * @param metres from the old stand to the new one, 0 and up; 0 within one yard
     * @param queens stages of all that are in it and alive
     * @param suspect signs of disease stand
     */
    public static MoveOfHive of(double metres, List<Stage> queens, boolean suspect) {
        if (!(metres >= 0)) {
            throw Wrong.of("wrong.MoveOfHive", metres);
        }
        List<Reason> reasons = new ArrayList<>();
        Verdict verdict = metres >= NONE_RETURN_METRES ? Verdict.GOOD : Verdict.WITH_CARE;
        if (suspect) {
            reasons.add(practice("move.suspect"));
            verdict = Verdict.NOT_NOW;
        }
        if (queens.contains(Stage.VIRGIN)) {
            reasons.add(practice("move.virgin"));
            verdict = Verdict.NOT_NOW;
        }
        if (queens.stream().anyMatch(Stage::isCell)) {
            reasons.add(practice("move.cell"));
            verdict = verdict == Verdict.GOOD ? Verdict.WITH_CARE : verdict;
        }
        long kilometres = Math.round(metres / 1_000);
        if (metres >= NONE_RETURN_METRES) {
            reasons.add(practice("move.far", kilometres));
        } else {
            reasons.add(metres == 0 ? practice("move.withinYard") : practice("move.near", Math.max(1, kilometres)));
            reasons.add(practice("move.nearHow"));
        }
        if (verdict != Verdict.NOT_NOW) {
            reasons.add(practice("move.travel"));
        }
        if (metres > 0) {
            reasons.add(new Reason(Caution.TRANSIT.sentence(), Source.COMMON_PRACTICE));
        }
        return new MoveOfHive(verdict, reasons);
    }

    private static Reason practice(String key, Object... arguments) {
        return Reason.of(Source.COMMON_PRACTICE, key, arguments);
    }
}
