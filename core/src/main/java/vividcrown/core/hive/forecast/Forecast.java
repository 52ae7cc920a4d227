package vividcrown.core.hive.forecast;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.Amount;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * What a hive will be, day by day, as spans.
 *
 * @param readDaysAgo how old the reading is that it starts from
 * @param course from today on, one for each day
 * @param milestones what is to be reckoned with, the earliest first
 * @param feedLitres syrup 1 : 1 that keeps it from hunger for four weeks even in a poor run, litres; 0 if it needs none
 * @param winter what it goes into winter with
 * @param assumed what was taken for granted because nobody looked
 * @param reasons what it was reckoned from
 */
public record Forecast(int readDaysAgo, List<Day> course, List<Milestone> milestones, double feedLitres,
        Winter winter, List<Sentence> assumed, List<Reason> reasons) {

    public Forecast {
        course = List.copyOf(course);
        milestones = List.copyOf(milestones);
        assumed = List.copyOf(assumed);
        reasons = List.copyOf(reasons);
    }

    /**
     * One day.
     *
     * @param bees adult bees
     * @param framesOfBees frames densely covered on both sides
     * @param broodFrames full frames of worker brood, both sides
     * @param nurseShare of the bees, those young enough to feed brood, 0–1
     * @param foodKg stores without feeding, kg
     */
    public record Day(LocalDate day, Amount bees, Amount framesOfBees, Amount broodFrames, Amount nurseShare,
            Amount foodKg) {
    }

    /**
     * Something that comes to pass.
     *
     * @param when over the runs in which it does
     * @param sure it does in a poor and in a good run alike
     */
    public record Milestone(What what, DatedSpan when, boolean sure, Sentence words) {
    }

    /** What comes to pass. */
    public enum What {
        /** No brood, hardly a nurse left: whatever is done comes too late after this. */
        COLLAPSES, STARVES,
        /** She begins to lay. */
        LAYS,
        /** The first young bees of that laying. */
        YOUNG_BEES,
        /** The fewest bees there will be. */
        FEWEST,
        /** Bees cover nearly all its frames: it wants a bigger box, or gives. */
        NEEDS_ROOM,
        /** Strong enough to fill a full box. */
        FULL_BOX
    }

    /**
     * @param on the day on which laying has all but ended
     * @param framesOfBees what it has then
     * @param verdict with mites under the threshold and stores
     * @param chance that it comes through, with a queen of the year or the last, 0–1
     * @param storesKg what it should have then, kg, for a hard winter
     */
    public record Winter(LocalDate on, Amount framesOfBees, Wintering verdict, double chance, Amount storesKg) {
    }

    /** How it winters. */
    public enum Wintering {
        WELL,
        /** Over a strong warm neighbour, in a small box. */
        OVER_A_NEIGHBOUR,
        /** Not alone: unite or boost before it is cold. */
        NOT_ALONE
    }

    /** The course so many days from today; the last day if it is not followed so far. */
    public Day in(int days) {
        return course.get(Math.min(days, course.size() - 1));
    }

    public Optional<Milestone> milestone(What what) {
        return milestones.stream().filter(one -> one.what() == what).findFirst();
    }
}
