package vividcrown.core.split;

import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.forecast.Forecast;
import vividcrown.core.reason.Sentence;

/**
 * How a small unit is made stronger.
 *
 * @param ways the better one first; empty if it must not be done
 * @param objections what speaks against it
 * @param left hives that give nothing, with the reason
 * @param without what becomes of it otherwise
 */
public record BoostPlan(List<Way> ways, List<Objection> objections, List<SplitPlan.LeftOut> left,
        Forecast without) {

    public BoostPlan {
        ways = List.copyOf(ways);
        objections = List.copyOf(objections);
        left = List.copyOf(left);
    }

    /** How it is given. */
    public enum How {
        /** Frames of mostly sealed brood with their nurses. */
        SEALED_BROOD_WITH_NURSES,
        /** Bees in equal shares from several hives, over paper. */
        BEES_OVER_PAPER
    }

    /**
     * @param newcomers for each bee that is there, how many come
     * @param leaves a comb without bees that makes room, if one must
     * @param steps in order
     * @param look when to look again
     */
    public record Way(How how, List<Part> parts, double newcomers, Optional<FrameAt> leaves, List<Sentence> steps,
            List<SplitPlan.Step> look, Forecast with, List<Sentence> cautions) {
    }

    /**
     * @param frame of brood; empty for bees
     * @param framesOfBees that come with it
     * @param search look for the queen on both sides first
     * @param toSlot where it hangs; 0 for bees over paper
     */
    public record Part(String from, Optional<FrameAt> frame, double framesOfBees, boolean search, int toSlot) {
    }
}
