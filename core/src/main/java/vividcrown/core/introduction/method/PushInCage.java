package vividcrown.core.introduction.method;

import java.util.List;
import java.util.Optional;
import vividcrown.core.introduction.Given;
import vividcrown.core.odds.Rate;
import vividcrown.core.round.Item;
import vividcrown.core.time.DaySpan;

/** She lays on emerging brood whose bees know no other queen: safest of the cages, and slowest. Common practice. */
final class PushInCage {

    static final Way WAY = new Way(Rate.fromUsualAndPoorDay(0.94, 0.85), Given.Kind.MATED, DaySpan.ofDays(4, 5, 7),
            true,
            List.of(new Way.Due(DaySpan.ofDays(0, 0, 0), "pushIn"), new Way.Due(DaySpan.ofDays(2, 3, 3), "readCage")),
            Optional.of(Way.EGGS), List.of(Item.INTRODUCTION_CAGES));

    private PushInCage() {
    }
}
