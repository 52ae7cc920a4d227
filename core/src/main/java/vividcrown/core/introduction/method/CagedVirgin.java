package vividcrown.core.introduction.method;

import java.util.List;
import java.util.Optional;
import vividcrown.core.introduction.Given;
import vividcrown.core.odds.Rate;
import vividcrown.core.round.Item;
import vividcrown.core.time.DaySpan;

/** Older, she is an enemy at first: a cage with candy. Common practice. */
final class CagedVirgin {

    static final Way WAY = new Way(Rate.fromUsualAndPoorDay(0.60, 0.40), Given.Kind.VIRGIN, DaySpan.ofDays(1, 3, 5),
            false,
            List.of(new Way.Due(DaySpan.ofDays(0, 0, 0), "cage"), new Way.Due(DaySpan.ofDays(0, 0, 0), "candyUp"),
                    new Way.Due(DaySpan.ofDays(4, 4, 4), "releasedLook")),
            Optional.empty(), List.of(Item.INTRODUCTION_CAGES));

    private CagedVirgin() {
    }
}
