package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import vividcrown.core.colony.FrameOrder;
import vividcrown.core.colony.Stores;
import vividcrown.core.colony.Strength;
import vividcrown.core.reading.Sign;
import vividcrown.server.journal.ReadingDetail;
import vividcrown.server.journal.ReadingDetail.Side;
import vividcrown.server.journal.ReadingDetail.SideDetail;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.yard.Yard;

/** What stands in a hive by what was counted: bees, brood, stores, and whether the frames stand as they did. */
@Component
class Inside {

    /**
     * What was counted, apart from what follows from it.
     *
     * @param framesOfBees counted frames covered with bees
     * @param bees about how many that makes
     * @param plausible false if no colony is that big
     * @param sealedCells about how many worker cells are sealed, inferred from the frame sides; 0 if none were tapped
     * @param framesToCome frames that their bees will cover
     */
    record StrengthView(double framesOfBees, int bees, boolean plausible, int sealedCells, double framesToCome) {
    }

    /**
     * What it has to live on.
     *
     * @param asOf the reading that it rests on
     * @param sugarLeastKg sugar that it wants at least, kg
     * @param judgeAgain the next lift
     */
    record StoresView(LocalDate asOf, double leastKg, double mostKg, double targetKg, double sugarLeastKg,
            double sugarMostKg, LocalDate judgeAgain, List<ReasonView> reasons) {
    }

    /**
     * A frame that seems to stand otherwise than at the last reading.
     *
     * @param other the neighbour that it seems to have changed places with; left out if it seems to be turned round
     */
    record FrameDoubt(int slot, @Nullable Integer other) {
    }

    private final SettingsInForce settings;

    Inside(SettingsInForce settings) {
        this.settings = settings;
    }

    private OptionalDouble sideArea(Colony colony) {
        Double area = settings.current().frameFormats().get(colony.format());
        return area == null ? OptionalDouble.empty() : OptionalDouble.of(area);
    }

    /** From the newest reading that counted frames of bees. */
    @Nullable
    StrengthView strength(Colony colony, List<ColonyController.ReadingLine> readings) {
        OptionalDouble area = sideArea(colony);
        if (area.isEmpty()) {
            return null;
        }
        Strength strength = new Strength(area.getAsDouble());
        return readings.stream().map(ColonyController.ReadingLine::reading)
                .filter(reading -> reading.framesOfBees() != null).findFirst().map(reading -> {
                    double frames = Objects.requireNonNull(reading.framesOfBees());
                    int sealed = strength.cells(sides(reading, Set.of(Sign.SEALED_WORKER)));
                    return new StrengthView(frames, strength.bees(frames), strength.isPlausible(frames), sealed,
                            strength.framesCoveredBy(sealed));
                }).orElse(null);
    }

    /** From the newest reading with a lift or with frame sides. */
    @Nullable
    StoresView stores(Colony colony, Yard yard, List<ColonyController.ReadingLine> readings,
            LocalDate today) {
        OptionalDouble area = sideArea(colony);
        Optional<ColonyController.ReadingLine> newest = readings.stream()
                .filter(line -> line.reading().lift() != null || !orNone(line.reading().frames()).isEmpty())
                .findFirst();
        if (newest.isEmpty() || area.isEmpty()) {
            return null;
        }
        ReadingDetail reading = newest.get().reading();
        OptionalDouble honey = orNone(reading.frames()).isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(sides(reading, Set.of(Sign.SEALED_HONEY, Sign.NECTAR)));
        boolean untouched = reading.seen() != null && reading.seen().contains(Sign.FEED_UNTOUCHED);
        return Stores.of(Optional.ofNullable(reading.lift()), honey, area.getAsDouble()).map(stores -> {
            Stores.FeedPlan plan = stores.feed(today, yard.latitude() < 0, untouched);
            return new StoresView(newest.get().day(), stores.leastKg(), stores.mostKg(), plan.targetKg(),
                    plan.sugarLeastKg(), plan.sugarMostKg(), plan.judgeAgain(), ReasonView.of(plan.reasons()));
        }).orElse(null);
    }

    /** Sides full of one of these: what stands on one side is taken to share it evenly. */
    private static double sides(ReadingDetail reading, Set<Sign> wanted) {
        return orNone(reading.frames()).stream()
                .mapToDouble(side -> (double) side.signs().stream().filter(wanted::contains).count()
                        / Math.max(1, side.signs().size()))
                .sum();
    }

    /** @param before earlier readings, the oldest first; the newest that has frames is compared */
    static List<FrameDoubt> frameDoubts(List<ReadingDetail> before, ReadingDetail now) {
        return before.reversed().stream().filter(reading -> !orNone(reading.frames()).isEmpty()).findFirst()
                .map(last -> FrameOrder.doubts(frames(last), frames(now)).stream().map(doubt -> switch (doubt) {
                    case FrameOrder.Doubt.Turned(int slot) -> new FrameDoubt(slot, null);
                    case FrameOrder.Doubt.Swapped(int slot, int other) -> new FrameDoubt(slot, other);
                }).toList()).orElse(List.of());
    }

    /** Frames of which both sides were read. */
    private static Map<Integer, FrameOrder.Frame> frames(ReadingDetail reading) {
        Map<Integer, Map<Side, Set<Sign>>> sides = new HashMap<>();
        for (SideDetail side : orNone(reading.frames())) {
            Set<Sign> signs = EnumSet.noneOf(Sign.class);
            signs.addAll(side.signs());
            sides.computeIfAbsent(side.slot(), _ -> new HashMap<>()).put(side.side(), signs);
        }
        Map<Integer, FrameOrder.Frame> frames = new HashMap<>();
        sides.forEach((slot, both) -> {
            if (both.size() == 2) {
                frames.put(slot, new FrameOrder.Frame(both.get(Side.NEAR), both.get(Side.FAR)));
            }
        });
        return frames;
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}
