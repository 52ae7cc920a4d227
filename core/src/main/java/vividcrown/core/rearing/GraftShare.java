package vividcrown.core.rearing;

import java.time.LocalDate;

/**
 * For whom some of a graft's cups are.
 *
 * @param demand code of the order
 * @param cups how many, 1–300
 * @param delivery when its queens are to be handed over
 */
public record GraftShare(String demand, int cups, LocalDate delivery) {
    public GraftShare {
        if (cups < 1 || cups > 300) {
            throw new IllegalArgumentException("cups must lie between 1 and 300, but is %d".formatted(cups));
        }
    }
}
