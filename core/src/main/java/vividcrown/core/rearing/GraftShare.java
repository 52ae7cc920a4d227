package vividcrown.core.rearing;

import java.time.LocalDate;
import vividcrown.core.reason.Wrong;

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
            throw Wrong.of("wrong.GraftShare", cups);
        }
    }
}
