package vividcrown.core.search;

import java.time.Duration;
import java.time.Instant;
import vividcrown.core.reason.Sentence;

/**
 * How a queen is kept from harm while work is done, and until when that can be counted on without a look: she gets out of a catcher that was not shut, bees dig
 * under a press-in cage, and she walks off a comb whose place was only noted. Common practice.
 */
public enum Held {
    /** In a catcher or a marking tube in somebody's hand or pocket. */
    CATCHER(Duration.ofMinutes(60)),
    /** Under a cage pressed into the comb. */
    PRESS_IN_CAGE(Duration.ofDays(3)),
    /** In a shut cage that hangs in the hive. */
    CAGE(Duration.ofDays(7)),
    /** Her comb and slot were noted, she walks free on it. */
    NOTED(Duration.ofMinutes(5)),
    /** Her comb stands apart in a closed box. */
    COMB_APART(Duration.ofHours(8));

    private final Duration counts;

    Held(Duration counts) {
        this.counts = counts;
    }

    /** Until when she counts as safe. @param verified when somebody last saw her there */
    public Instant until(Instant verified) {
        return verified.plus(counts);
    }

    /** Whether she counts as safe: nobody who has not looked since can be sure of it later. */
    public boolean isSafe(Instant verified, Instant now) {
        return !now.isBefore(verified) && !now.isAfter(until(verified));
    }

    /** She goes wherever her comb goes. */
    boolean isOnHerComb() {
        return switch (this) {
            case NOTED, PRESS_IN_CAGE, COMB_APART -> true;
            case CATCHER, CAGE -> false;
        };
    }

    /** She is shut in, and somebody has to see her once more. */
    boolean isCaged() {
        return switch (this) {
            case CATCHER, CAGE, PRESS_IN_CAGE -> true;
            case NOTED, COMB_APART -> false;
        };
    }

    public Sentence sentence() {
        return Sentence.of("search.held." + name());
    }
}
