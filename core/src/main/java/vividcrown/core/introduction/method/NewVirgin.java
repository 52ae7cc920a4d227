package vividcrown.core.introduction.method;

import java.util.List;
import java.util.Optional;
import vividcrown.core.introduction.Given;
import vividcrown.core.odds.Rate;
import vividcrown.core.time.DaySpan;

/** Under a day old the bees hardly know that she is there. Common practice. */
final class NewVirgin {

    static final Way WAY = new Way(Rate.fromUsualAndPoorDay(0.75, 0.55), Given.Kind.VIRGIN, DaySpan.ofDays(0, 0, 0),
            false,
            List.of(new Way.Due(DaySpan.ofDays(0, 0, 0), "runIn"), new Way.Due(DaySpan.ofDays(2, 3, 4), "virginThere")),
            Optional.empty(), List.of());

    private NewVirgin() {
    }
}
