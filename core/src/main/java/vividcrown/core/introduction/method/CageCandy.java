package vividcrown.core.introduction.method;

import java.util.List;
import java.util.Optional;
import vividcrown.core.introduction.Given;
import vividcrown.core.odds.Rate;
import vividcrown.core.round.Item;
import vividcrown.core.time.DaySpan;

/** The bees eat their way to her in two to three days, one to five. Common practice. */
final class CageCandy {

    static final Way WAY = new Way(Rate.fromUsualAndPoorDay(0.85, 0.70), Given.Kind.MATED, DaySpan.ofDays(1, 3, 5),
            false,
            List.of(new Way.Due(DaySpan.ofDays(0, 0, 0), "cage"), new Way.Due(DaySpan.ofDays(0, 0, 0), "candyUp"),
                    new Way.Due(DaySpan.ofDays(4, 4, 4), "releasedLook")),
            Optional.of(Way.EGGS), List.of(Item.INTRODUCTION_CAGES));

    private CageCandy() {
    }
}
