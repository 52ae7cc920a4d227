package vividcrown.server.journal;

import jakarta.validation.Valid;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import vividcrown.core.colony.Lift;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * A reading as recorded. What stands nowhere was not looked at, and is never taken for absent.
 *
 * @param seen signs of the whole box
 * @param absent signs looked for on every frame and not there
 * @param cells queen cells and cups
 * @param frames what stood on each frame side that was looked at
 * @param framesOfBees seams or frames covered with bees
 * @param temper 1 very gentle to 5 must not be worked
 * @param pollenColours how many colours of pollen
 * @param lift how heavy the hive felt
 * @param weather what the weather was; temper and flight are read beside it
 */
public record ReadingDetail(@Nullable List<Sign> seen, @Nullable List<Sign> absent,
        @Nullable List<@Valid CellsDetail> cells, @Nullable List<@Valid SideDetail> frames,
        @Nullable Double framesOfBees, @Nullable Integer temper, @Nullable Integer pollenColours,
        @Nullable Lift lift, @Nullable WeatherSeen weather) {

    /**
     * One side of one frame.
     *
     * @param slot place of the frame, from 1, as seen from the entrance
     * @param side near (towards slot 1) or far
     * @param signs what is on it, the largest part first
     */
    public record SideDetail(int slot, Side side, List<Sign> signs) {
    }

    /** The weather over the open hive. */
    public enum WeatherSeen {
        SUN, CLOUD, HOT, COLD, WIND, RAIN, THUNDER
    }

    /** Which side of a frame. */
    public enum Side {
        NEAR, FAR
    }

    /**
     * The reading that core argues from: the box's signs and those of every side together.
     *
     * @throws IllegalArgumentException if a sign is both seen and absent
     */
    public Reading on(LocalDate day) {
        Set<Sign> all = EnumSet.noneOf(Sign.class);
        all.addAll(orNone(seen));
        orNone(frames).forEach(side -> all.addAll(side.signs()));
        Set<Sign> none = EnumSet.noneOf(Sign.class);
        none.addAll(orNone(absent));
        return new Reading(day, all, none, orNone(cells).stream().map(CellsDetail::cells).toList());
    }

    private static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}
