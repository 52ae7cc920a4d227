package vividcrown.core.split;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.hive.Amount;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.forecast.Forecast;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.round.Caution;
import vividcrown.core.split.recipe.Gets;
import vividcrown.core.split.recipe.SplitRecipe;
import vividcrown.core.time.DatedSpan;

/**
 * What is split, and into what, frame by frame.
 *
 * @param newUnits in the order they are made
 * @param donors hives that give, with what becomes of them
 * @param leftOut hives that give nothing, with the reason
 * @param objections what speaks against it; if one refuses there is no plan
 * @param whyNotMore what stands against one unit more; empty if as many as were wanted are made
 * @param secondBest another way, if there is one
 * @param flyHome bees that fly home in all, within three fine days
 * @param needs what must be there: boxes, combs, feeders, syrup, cells, queens
 * @param proven no plan is better; otherwise see {@code gap}
 * @param gap how far the best there can be may lie above it, 0–1
 */
public record SplitPlan(List<NewUnit> newUnits, List<Donor> donors, List<LeftOut> leftOut, List<Objection> objections,
        Optional<Sentence> whyNotMore, Optional<SecondBest> secondBest, Amount flyHome, Map<Need, Double> needs,
        List<Caution> cautions, boolean proven, double gap, double seconds) {

    public SplitPlan {
        newUnits = List.copyOf(newUnits);
        donors = List.copyOf(donors);
        leftOut = List.copyOf(leftOut);
        objections = List.copyOf(objections);
        needs = Map.copyOf(needs);
        cautions = List.copyOf(cautions);
    }

    /** The answer in one sentence. */
    public Sentence answer() {
        if (newUnits.isEmpty()) {
            return objections.stream().filter(Objection::refuses).findFirst().map(Objection::words)
                    .orElse(Sentence.of("split.answer.none"));
        }
        return Sentence.of(proven ? "split.answer.best" : "split.answer.good", newUnits.size(), donors.size(),
                Math.round(1000 * gap) / 10.0);
    }

    /**
     * One frame that goes.
     *
     * @param because why this one
     */
    public record Move(String fromHive, FrameAt from, String toHive, int toSlot, Sentence because) {
    }

    /**
     * Nurses shaken in.
     *
     * @param frames of whose bees; a part where several units share what was shaken together
     */
    public record Shakes(String fromHive, double frames, boolean aboveExcluder) {
    }

    /** What hangs in a place: a frame that came from a hive, drawn comb, foundation, or nothing yet. */
    public record Hanging(int slot, Optional<Move> frame, Filled otherwise) {
    }

    /** What hangs where no frame came. */
    public enum Filled {
        A_FRAME, DRAWN, FOUNDATION
    }

    /** A step with its days. */
    public record Step(DatedSpan when, Sentence what, boolean handsOff) {
    }

    /**
     * A unit that is made.
     *
     * @param code for want of a better name
     * @param layout slot by slot
     * @param mayHoldHer sources whose queen may have come along; empty if none can have
     * @param bees frames of bees once the flyers have gone home
     * @param levelled frames of bees that came from (or, below 0, went to) the other new units before closing
     * @param broodFrames full frames of brood
     * @param litres syrup in its first two weeks
     * @param calendar what follows, the first day first
     * @param target what the count on day ten should show
     * @param reasons why so, and how far it is to be believed
     */
    public record NewUnit(String code, SplitRecipe recipe, Place place, Gets gets, List<Hanging> layout,
            List<Shakes> shakes, List<String> mayHoldHer, Amount bees, double levelled, double broodFrames,
            double litres,
            List<Due> calendar, SplitRecipe.Target target, Forecast forecast, Sentence fallback,
            List<Reason> reasons) {

        public List<Move> moves() {
            return layout.stream().flatMap(hanging -> hanging.frame().stream()).toList();
        }
    }

    /**
     * A hive that gives.
     *
     * @param keeps frames of brood it keeps
     * @param ofBrood frames of brood it has
     * @param floor frames of brood it must keep
     * @param bees frames of bees that stay, with those that fly home to it
     * @param search frames both sides of which are searched for the queen before they leave; empty if she is known
     * @param closes its frames afterwards: what stays, in what order, and what comes in
     * @param loses what the split costs it, in words
     */
    public record Donor(String code, int keeps, int ofBrood, int floor, Amount bees, List<FrameAt> search,
            List<Closed> closes, Forecast withSplit, Forecast without, Sentence loses, List<Sentence> notes) {
    }

    /**
     * A place of a donor after the split.
     *
     * @param was where the frame hung before; empty if comb comes in
     */
    public record Closed(FrameAt place, Optional<FrameAt> was, Filled otherwise) {
    }

    /** @param why it gives nothing */
    public record LeftOut(String code, Sentence why) {
    }

    /**
     * @param units how many it makes
     * @param hives it opens
     * @param words what is better and worse about it
     */
    public record SecondBest(int units, List<String> hives, Sentence words) {
    }

    /** What must be there. */
    public enum Need {
        BOXES, DRAWN, FOUNDATION, FEEDERS, SYRUP_LITRES, RIPE_CELLS, VIRGINS, MATED_QUEENS, STRAPS, SCREENS
    }
}
