package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;

/**
 * Three verdicts on one reading, each with its evidence: the queen, the brood, strength and food. Never one "healthy" tick: a
 * good queen can head a starving colony. Common practice.
 *
 * @param brood how the brood stands for the time of year
 * @param strength how strong it is for the time of year
 */
public record ThreeVerdicts(Brood brood, List<Reason> broodReasons, Strength strength, List<Reason> strengthReasons) {

    private static final double WEAK_FRAMES = 4;
    private static final double STRONG_FRAMES = 9;
    private static final double WINTER_FRAMES = 6;
    /** Early and late in the year gaps are usual: she lays where it is warm. */
    private static final double RESTS_OFTEN = 0.97;

    public ThreeVerdicts {
        broodReasons = List.copyOf(broodReasons);
        strengthReasons = List.copyOf(strengthReasons);
    }

    /** How brood stands. */
    public enum Brood {
        NOT_LOOKED_AT,
        /** None, where there should be some. */
        NONE,
        /** None, as usual at this time of year. */
        RESTS,
        /** Eggs or larvae, none sealed yet: too soon to judge. */
        TOO_YOUNG, SOLID,
        /** A ring around an emptied middle: between two cycles. */
        BETWEEN_CYCLES,
        /** Gaps, as usual early and late in the year. */
        GAPS_OF_THE_SEASON, SPOTTY,
        /** Domed caps, and no worker brood. */
        DRONES_ONLY,
        /** Worker brood, and nobody said how it lies. */
        THERE;

        public Sentence sentence() {
            return Sentence.of("broodIs." + name());
        }
    }

    /** How strong it is. */
    public enum Strength {
        NOT_COUNTED, WEAK, FAIR, STRONG;

        public Sentence sentence() {
            return Sentence.of("strengthIs." + name());
        }
    }

    /** @param framesOfBees frames covered on both sides, if they were counted */
    public static ThreeVerdicts of(Reading reading, Optional<Double> framesOfBees, LocalDate day, Season season) {
        List<Reason> brood = new ArrayList<>();
        for (Sign sign : List.of(Sign.SEALED_WORKER_SOLID, Sign.SEALED_WORKER_SPOTTY, Sign.SEALED_RING,
                Sign.SEALED_MORE,
                Sign.SEALED_WORKER, Sign.SEALED_DRONE_SCATTERED, Sign.EGGS, Sign.LARVAE, Sign.BROOD)) {
            if (reading.saw(sign)) {
                brood.add(Reason.of(Source.COMMON_PRACTICE, "fact.seen", day, sign.sentence()));
            } else if (reading.missed(sign)) {
                brood.add(Reason.of(Source.COMMON_PRACTICE, "fact.absent", day, sign.sentence()));
            }
        }
        boolean autumn = season.layShare(day) < RESTS_OFTEN;
        List<Reason> strength = framesOfBees.map(frames -> List.of(Reason.of(Source.COMMON_PRACTICE,
                autumn ? "strength.winter" : "strength.summer", frames, autumn ? WINTER_FRAMES : WEAK_FRAMES,
                STRONG_FRAMES))).orElse(List.of());
        return new ThreeVerdicts(brood(reading, day, season), brood,
                framesOfBees.map(frames -> strength(frames, autumn)).orElse(Strength.NOT_COUNTED), strength);
    }

    private static Strength strength(double frames, boolean autumn) {
        if (frames < (autumn ? WINTER_FRAMES : WEAK_FRAMES)) {
            return Strength.WEAK;
        }
        return frames < STRONG_FRAMES ? Strength.FAIR : Strength.STRONG;
    }

    private static Brood brood(Reading reading, LocalDate day, Season season) {
        boolean rests = season.layShare(day) < RESTS_OFTEN;
        if (reading.missed(Sign.SEALED_WORKER) && reading.saw(Sign.SEALED_DRONE_SCATTERED)) {
            return Brood.DRONES_ONLY;
        }
        if (reading.saw(Sign.SEALED_RING)) {
            return Brood.BETWEEN_CYCLES;
        }
        if (reading.saw(Sign.SEALED_WORKER_SPOTTY)) {
            return rests ? Brood.GAPS_OF_THE_SEASON : Brood.SPOTTY;
        }
        if (reading.saw(Sign.SEALED_WORKER_SOLID)) {
            return Brood.SOLID;
        }
        if (reading.saw(Sign.SEALED_WORKER) || reading.saw(Sign.SEALED_BROOD)) {
            return Brood.THERE;
        }
        boolean open = reading.saw(Sign.OPEN_BROOD);
        if (open) {
            return Brood.TOO_YOUNG;
        }
        boolean none = reading.missed(Sign.EGGS) && reading.missed(Sign.LARVAE) && reading.missed(Sign.SEALED_WORKER);
        return none ? rests ? Brood.RESTS : Brood.NONE : Brood.NOT_LOOKED_AT;
    }
}
