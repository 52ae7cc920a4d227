package vividcrown.core.hive;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.ReadingNotes.Side;
import vividcrown.core.journal.Entry;
import vividcrown.core.reading.Sign;

/**
 * A hive's frames as they hang now: as they were read, and what came and went since. Without it a frame that was given away
 * would be given again.
 *
 * @param sides what stands on each side, as it was seen where the frame hung then
 * @param covered frames of bees: the count of the reading less those that went along, and with those that came
 */
public record SinceRead(List<Side> sides, Optional<Double> covered) {

    public SinceRead {
        sides = List.copyOf(sides);
    }

    /** What stands on the two sides of a frame. */
    private record Both(List<Sign> near, List<Sign> far) {
        private double usuallyCovered() {
            return near.isEmpty() && far.isEmpty() ? 0 : Comb.ofSides(near, far).usuallyCovered();
        }
    }

    /**
     * @param read what was noted on each side; nothing if nobody read it
     * @param counted frames of bees at that reading
     * @param since frames moved and added, and bees shaken, since, in any order
     * @param levels of its boxes, from 1 at the bottom
     */
    public static SinceRead of(List<Side> read, Optional<Double> counted, List<Entry> since, UUID hive,
            Map<UUID, Integer> levels) {
        Map<FrameAt, Both> frames = new TreeMap<>(
                Comparator.comparingInt(FrameAt::box).thenComparingInt(FrameAt::slot));
        read.forEach(side -> frames.merge(new FrameAt(side.box(), side.slot()),
                side.side() == FrameSide.NEAR
                        ? new Both(side.signs(), List.of())
                        : new Both(List.of(), side.signs()),
                (one, other) -> new Both(one.near().isEmpty() ? other.near() : one.near(),
                        one.far().isEmpty() ? other.far() : one.far())));
        double before = bees(frames);
        double came = 0;
        double went = 0;
        double shakenOut = 0;
        for (Entry entry : since.stream().sorted(Entry.AS_IT_HAPPENED).toList()) {
            if (entry.deed() instanceof HiveDeed.FramesMoved moved) {
                Map<FrameAt, Both> arrive = new HashMap<>();
                for (FrameMove move : moved.moves()) {
                    Optional<Both> was = at(move.from(), hive, levels)
                            .flatMap(place -> Optional.ofNullable(frames.remove(place)));
                    Both brings = was.orElseGet(() -> ofSigns(move.signs()));
                    Optional<FrameAt> to = at(move.to(), hive, levels);
                    to.ifPresent(place -> arrive.put(place, brings));
                    boolean here = at(move.from(), hive, levels).isPresent();
                    came += to.isPresent() && !here ? brings.usuallyCovered() : 0;
                    went += to.isEmpty() && here ? brings.usuallyCovered() : 0;
                }
                frames.putAll(arrive);
            } else if (entry.deed() instanceof HiveDeed.FramesAdded added) {
                added.frames().forEach(one -> at(one.to(), hive, levels)
                        .ifPresent(place -> frames.put(place, ofSigns(one.signs()))));
            } else if (entry.deed() instanceof HiveDeed.BeesShaken(UUID from, UUID to, double bees)) {
                shakenOut += from.equals(hive) ? bees : 0;
                came += to.equals(hive) ? bees : 0;
            }
        }
        List<Side> sides = new ArrayList<>();
        frames.forEach((place, both) -> {
            if (!both.near().isEmpty()) {
                sides.add(new Side(place.box(), place.slot(), FrameSide.NEAR, both.near()));
            }
            if (!both.far().isEmpty()) {
                sides.add(new Side(place.box(), place.slot(), FrameSide.FAR, both.far()));
            }
        });
        double gone = went;
        double more = came;
        double less = shakenOut;
        Optional<Double> covered = counted.map(bees -> Math.max(0,
                (before > 0 ? Math.max(0, bees * (1 - gone / before)) : bees) + more - less));
        return new SinceRead(sides, read.isEmpty() && more > 0 ? Optional.of(more) : covered);
    }

    private static double bees(Map<FrameAt, Both> frames) {
        return frames.values().stream().mapToDouble(Both::usuallyCovered).sum();
    }

    private static Both ofSigns(Set<Sign> signs) {
        List<Sign> sorted = signs.stream().filter(sign -> sign != Sign.QUEEN).sorted().toList();
        return new Both(sorted, sorted);
    }

    private static Optional<FrameAt> at(Spot spot, UUID hive, Map<UUID, Integer> levels) {
        return spot instanceof Spot.InHive(UUID in, UUID box, int slot) && in.equals(hive)
                ? Optional.ofNullable(levels.get(box)).map(level -> new FrameAt(level, slot))
                : Optional.empty();
    }
}
