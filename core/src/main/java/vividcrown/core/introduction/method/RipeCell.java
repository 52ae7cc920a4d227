package vividcrown.core.introduction.method;

import java.util.List;
import java.util.Optional;
import vividcrown.core.introduction.Given;
import vividcrown.core.odds.Rate;
import vividcrown.core.round.Item;
import vividcrown.core.time.DaySpan;

/** A protected cell between brood combs, tip free. Common practice. */
final class RipeCell {

    static final Way WAY = new Way(Rate.fromUsualAndPoorDay(0.85, 0.70), Given.Kind.CELL, DaySpan.ofDays(0, 1, 3),
            false,
            List.of(new Way.Due(DaySpan.ofDays(0, 0, 0), "cell"), new Way.Due(DaySpan.ofDays(2, 3, 4), "roundLid")),
            Optional.empty(), List.of(Item.RIPE_CELLS));

    private RipeCell() {
    }
}
