package vividcrown.core.split.moving;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.journal.Faults;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.UnitePlan;

/**
 * A plan of frames or bees that go from hive to hive, or of two hives that become one, as it was taken to the yard. It stays as it
 * was, whatever is really done.
 *
 * @param act what it is for
 * @param day on which it was to be done
 * @param hives every hive that it names
 * @param gifts in the order of the work
 * @param union of which hive into which; empty if none is given up
 */
public record MoveSheet(Act act, LocalDate day, List<Stand> hives, List<Gift> gifts, Optional<Union> union) {

    private static final int MOST_GIFTS = 2_000;

    /** What it is for. */
    public enum Act {
        EQUALISE, BOOST, BOOST_WITH_BEES, UNITE;

        public Sentence sentence() {
            return Sentence.of("moves.act." + name());
        }
    }

    /** @param comb what comes into a gap in it */
    public record Stand(UUID hive, String code, Filled comb) {
    }

    /**
     * What one hive gives another.
     *
     * @param frame the frame that goes with its bees; empty where bees are shaken
     * @param framesOfBees that go
     * @param aboveExcluder no queen can be among them
     */
    public record Gift(UUID from, UUID to, Optional<Goes> frame, double framesOfBees, boolean aboveExcluder) {
    }

    /**
     * A frame that goes.
     *
     * @param box its box
     * @param at where it hangs there
     * @param toBox box of the hive that gets it
     * @param toSlot its place there: beside the nest, on the side away from the queen
     * @param makesRoom a comb of that hive that goes to the store for it
     * @param signs what was on it when it was read last
     */
    public record Goes(UUID frame, UUID box, FrameAt at, UUID toBox, int toSlot, Optional<Room> makesRoom,
            Set<Sign> signs) {
        public Goes {
            signs = Set.copyOf(signs);
        }
    }

    /** A comb that makes room. */
    public record Room(UUID frame, UUID box) {
    }

    /**
     * @param keeps the hive whose queen stays
     * @param gives the hive that is given up
     * @param how it is done
     * @param takesPlace the hive that stays is put on the other's place, so that its flyers come to it
     */
    public record Union(UUID keeps, UUID gives, UnitePlan.How how, boolean takesPlace) {
        /** Bees walk in at the entrance; otherwise box comes to box, and only one without any queen. */
        public boolean isShaken() {
            return how == UnitePlan.How.SHAKE_OUT_GUARDED || how == UnitePlan.How.SHAKE_OUT_FAR;
        }
    }

    public MoveSheet {
        hives = List.copyOf(hives);
        gifts = List.copyOf(gifts);
        Set<UUID> known = new HashSet<>(hives.stream().map(Stand::hive).toList());
        Set<UUID> frames = new HashSet<>();
        Faults faults = new Faults().within("gifts", gifts.size(), 0, MOST_GIFTS)
                .unless(known.size() == hives.size(), "fault.moves.hiveTwice")
                .unless(!gifts.isEmpty() || union.isPresent(), "fault.moves.nothing");
        for (Gift gift : gifts) {
            faults.unless(known.contains(gift.from()) && known.contains(gift.to()), "fault.moves.noSuchHive")
                    .unless(!gift.from().equals(gift.to()), "fault.moves.toItself")
                    .unless(gift.frame().map(Goes::frame).map(frames::add).orElse(true), "fault.moves.frameTwice");
        }
        union.ifPresent(one -> faults
                .unless(known.contains(one.keeps()) && known.contains(one.gives()), "fault.moves.noSuchHive")
                .unless(!one.keeps().equals(one.gives()), "fault.moves.toItself"));
        faults.refuse();
    }

    /** @throws java.util.NoSuchElementException if the sheet does not name it */
    public Stand stand(UUID hive) {
        return hives.stream().filter(one -> one.hive().equals(hive)).findFirst().orElseThrow();
    }

    /** Hives that give, in the order in which they are opened. */
    public List<Stand> givers() {
        Set<UUID> giving = new LinkedHashSet<>();
        gifts.forEach(gift -> giving.add(gift.from()));
        return giving.stream().map(this::stand).toList();
    }

    /** Hives that get something. */
    public List<Stand> receivers() {
        Set<UUID> getting = new LinkedHashSet<>();
        gifts.forEach(gift -> getting.add(gift.to()));
        return getting.stream().map(this::stand).toList();
    }
}
