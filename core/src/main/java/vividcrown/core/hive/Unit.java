package vividcrown.core.hive;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.reason.Wrong;
import vividcrown.core.time.DatedSpan;

/**
 * A hive as it was last read, with all that its strength can be reckoned from.
 *
 * @param code painted on it
 * @param yard where it stands, in whatever words the asker uses
 * @param readOn the day on which it looked like this
 * @param side comb area of one frame side
 * @param slots places for frames in its brood boxes
 * @param frames at least one
 * @param seams bees as they were counted in frames densely covered; empty if the frames say it
 * @param lastEgg when the last fertilised egg was laid, if laying stopped
 * @param flyers of its bees, the share that has flown out and would go home, 0–1; as in any colony if empty
 */
public record Unit(String code, String yard, Purpose purpose, LocalDate readOn, Strength side, int slots,
        List<FrameSeen> frames, Optional<Double> seams, UnitQueen queen, Set<UnitTrait> traits,
        Optional<DatedSpan> lastEgg, Optional<Double> flyers) {

    private static final int MOST_FRAMES = 12 * Box.MOST_SLOTS;

    public Unit {
        frames = List.copyOf(frames);
        traits = Set.copyOf(traits);
        if (frames.isEmpty() || frames.size() > MOST_FRAMES) {
            throw Wrong.of("wrong.Unit", code, MOST_FRAMES);
        }
        Set<FrameSeen.FrameAt> places = new HashSet<>();
        for (FrameSeen frame : frames) {
            if (!places.add(frame.at())) {
                throw Wrong.of("wrong.Unit.2", code, frame.box(), frame.slot());
            }
        }
        if (frames.stream().filter(FrameSeen::queen).count() > 2) {
            throw Wrong.of("wrong.Unit.3", code);
        }
        double bees = seams.isPresent() ? seams.get() : covered(frames);
        if (!side.isPlausible(bees)) {
            throw Wrong.of("wrong.Unit.4", code, bees);
        }
    }

    private static double covered(List<FrameSeen> frames) {
        return frames.stream().mapToDouble(FrameSeen::covered).sum();
    }

    /** Frames densely covered with bees on both sides. */
    public double framesOfBees() {
        return seams.orElseGet(() -> covered(frames));
    }

    /** The frames, each with its share of the bees that were counted. */
    public List<FrameSeen> framesWithBees() {
        double noted = covered(frames);
        if (seams.isEmpty() || noted <= 0) {
            return frames;
        }
        double most = 1.5;
        List<FrameSeen> all = new ArrayList<>();
        frames.forEach(frame -> all.add(frame.coveredBy(Math.min(most, frame.covered() * seams.get() / noted))));
        return all;
    }

    public int broodFrames() {
        return (int) frames.stream().filter(frame -> frame.comb().isOfBrood()).count();
    }

    /** Worker brood of every age in cells. */
    public double broodCells() {
        return frames.stream().mapToDouble(frame -> side.cells(2 * frame.comb().brood())).sum();
    }

    /** Eggs stand on some frame: whoever laid them was there within days. */
    public boolean hasEggs() {
        return frames.stream().anyMatch(frame -> frame.comb().hasEggs());
    }

    /** The same bees, of which another share flies. */
    public Unit withFlyers(double share) {
        return new Unit(code, yard, purpose, readOn, side, slots, frames, seams, queen, traits, lastEgg,
                Optional.of(share));
    }

    public boolean is(UnitTrait trait) {
        return traits.contains(trait);
    }

    /** Where she was seen, if she was. */
    public Optional<FrameSeen> queensFrame() {
        return frames.stream().filter(FrameSeen::queen).findFirst();
    }

    /** Sealed honey in it, kg. */
    public double foodKg() {
        return frames.stream().mapToDouble(frame -> Stores.kilograms(2 * frame.comb().honey(), side)).sum();
    }

    /** The same with other frames and bees. */
    public Unit with(List<FrameSeen> other, double framesOfBees) {
        return new Unit(code, yard, purpose, readOn, side, slots, other, Optional.of(framesOfBees), queen, traits,
                lastEgg, flyers);
    }

    public Unit with(UnitQueen other) {
        return new Unit(code, yard, purpose, readOn, side, slots, frames, seams, other, traits, lastEgg, flyers);
    }
}
