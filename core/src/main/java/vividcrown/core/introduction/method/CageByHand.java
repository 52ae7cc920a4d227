package vividcrown.core.introduction.method;

import java.util.List;
import java.util.Optional;
import vividcrown.core.introduction.Given;
import vividcrown.core.odds.Rate;
import vividcrown.core.round.Item;
import vividcrown.core.time.DaySpan;

/** Nobody opens before the bees have said yes twice. Common practice. */
final class CageByHand {

    static final Way WAY = new Way(Rate.fromUsualAndPoorDay(0.90, 0.80), Given.Kind.MATED, DaySpan.ofDays(3, 4, 5),
            true,
            List.of(new Way.Due(DaySpan.ofDays(0, 0, 0), "cage"), new Way.Due(DaySpan.ofDays(1, 2, 2), "readCage"),
                    new Way.Due(DaySpan.ofDays(3, 3, 4), "readCageAgain")),
            Optional.of(Way.EGGS), List.of(Item.INTRODUCTION_CAGES));

    private CageByHand() {
    }
}
