package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.FrameOrder;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.hive.Stores;
import vividcrown.core.hive.Strength;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.StackBox;
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
     * @param weak said where the place's code wants a hive so weak to be managed
     */
    record StrengthView(double framesOfBees, int bees, boolean plausible, int sealedCells, double framesToCome,
            @Nullable String weak) {
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
     * @param box which box, from 1 at the bottom
     * @param other the neighbour that it seems to have changed places with; left out if it seems to be turned round
     */
    record FrameDoubt(int box, int slot, @Nullable Integer other) {
    }

    private static final double NO_AREA = 0;

    private final SettingsInForce settings;

    Inside(SettingsInForce settings) {
        this.settings = settings;
    }

    /** A reading that was noted on a day. */
    record Noted(LocalDate day, ReadingNotes notes) {
        /** It was lifted, or its combs were looked at one by one. */
        boolean tellsOfStores() {
            return notes.lift().isPresent() || !notes.sides().isEmpty();
        }
    }

    /** Comb area of one side of a frame of each box, dm², from the bottom; 0 where its format is not known any more. */
    private List<Double> sideAreas(List<StackBox> stack) {
        Map<String, Double> formats = settings.current().frameFormats();
        return stack.stream().map(box -> formats.getOrDefault(box.format(), NO_AREA)).toList();
    }

    private static double area(List<Double> areas, int box) {
        return box <= areas.size() ? areas.get(box - 1) : NO_AREA;
    }

    /** The area that frames of bees are counted in where nobody says in which box: that of the lowest. */
    private static OptionalDouble usualArea(List<Double> areas) {
        return areas.stream().filter(area -> area > 0).mapToDouble(Double::doubleValue).findFirst();
    }

    /** From the newest reading that counted frames of bees, or seams box by box. */
    @Nullable
    StrengthView strength(Hive hive, List<StackBox> stack, List<Noted> newestFirst) {
        List<Double> areas = sideAreas(stack);
        OptionalDouble usual = usualArea(areas);
        if (usual.isEmpty()) {
            return null;
        }
        Strength strength = new Strength(usual.getAsDouble());
        return newestFirst.stream().map(Noted::notes).filter(notes -> notes.covered().isPresent()).findFirst()
                .map(notes -> {
                    double frames = notes.framesOfBees().orElseGet(() -> notes.boxes().stream().mapToDouble(
                            box -> box.seams().orElse(0.0) * area(areas, box.box()) / usual.getAsDouble()).sum());
                    int sealed = strength.cells(squareDecimetres(notes, areas, Set.of(Sign.SEALED_WORKER))
                            / usual.getAsDouble());
                    return new StrengthView(frames, strength.bees(frames), strength.isPlausible(frames), sealed,
                            strength.framesCoveredBy(sealed), weak(hive, frames));
                }).orElse(null);
    }

    /** Units that are small by design are under no such code. */
    private @Nullable String weak(Hive hive, double frames) {
        return settings.current().weakFrames().filter(least -> frames < least && !hive.purpose().isForMating())
                .map(least -> Sentence.of("colony.weakByCode", frames, least).toString()).orElse(null);
    }

    /** From the newest reading with a lift or with frame sides. */
    @Nullable
    StoresView stores(List<StackBox> stack, Yard yard, List<Noted> newestFirst, LocalDate today) {
        List<Double> areas = sideAreas(stack);
        OptionalDouble usual = usualArea(areas);
        Optional<Noted> newest = newestFirst.stream()
                .filter(Noted::tellsOfStores).findFirst();
        if (newest.isEmpty() || usual.isEmpty()) {
            return null;
        }
        ReadingNotes notes = newest.get().notes();
        OptionalDouble honey = notes.sides().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(squareDecimetres(notes, areas, Set.of(Sign.SEALED_HONEY, Sign.NECTAR))
                        / usual.getAsDouble());
        boolean untouched = notes.seen().contains(Sign.FEED_UNTOUCHED);
        return Stores.of(notes.lift(), honey, usual.getAsDouble()).map(stores -> {
            Stores.FeedPlan plan = stores.feed(today, yard.isSouthern(), untouched);
            return new StoresView(newest.get().day(), stores.leastKg(), stores.mostKg(), plan.targetKg(),
                    plan.sugarLeastKg(), plan.sugarMostKg(), plan.judgeAgain(), ReasonView.of(plan.reasons()));
        }).orElse(null);
    }

    /** Comb full of one of these, dm²: what stands on one side is taken to share it evenly. */
    private static double squareDecimetres(ReadingNotes notes, List<Double> areas, Set<Sign> wanted) {
        return notes.sides().stream().mapToDouble(side -> area(areas, side.box())
                * side.signs().stream().filter(wanted::contains).count() / Math.max(1, side.signs().size())).sum();
    }

    /** @param before earlier readings, the oldest first; the newest that has frames is compared */
    static List<FrameDoubt> frameDoubts(List<ReadingNotes> before, ReadingNotes now) {
        return before.reversed().stream().filter(notes -> !notes.sides().isEmpty()).findFirst()
                .map(last -> boxes(now).stream().flatMap(box -> FrameOrder.doubts(frames(last, box), frames(now, box))
                        .stream().map(doubt -> switch (doubt) {
                            case FrameOrder.Doubt.Turned(int slot) -> new FrameDoubt(box, slot, null);
                            case FrameOrder.Doubt.Swapped(int slot, int other) -> new FrameDoubt(box, slot, other);
                        })).toList())
                .orElse(List.of());
    }

    private static Set<Integer> boxes(ReadingNotes notes) {
        return notes.sides().stream().map(ReadingNotes.Side::box).collect(Collectors.toCollection(TreeSet::new));
    }

    /** Frames of a box of which both sides were read. */
    private static Map<Integer, FrameOrder.Frame> frames(ReadingNotes notes, int box) {
        Map<Integer, Map<FrameSide, Set<Sign>>> sides = new HashMap<>();
        notes.sides().stream().filter(side -> side.box() == box).forEach(side -> sides
                .computeIfAbsent(side.slot(), _ -> new HashMap<>()).put(side.side(), Set.copyOf(side.signs())));
        Map<Integer, FrameOrder.Frame> frames = new HashMap<>();
        sides.forEach((slot, both) -> {
            if (both.size() == 2) {
                frames.put(slot, new FrameOrder.Frame(Objects.requireNonNull(both.get(FrameSide.NEAR)),
                        Objects.requireNonNull(both.get(FrameSide.FAR))));
            }
        });
        return frames;
    }
}
