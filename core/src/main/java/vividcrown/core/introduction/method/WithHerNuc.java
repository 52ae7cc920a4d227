package vividcrown.core.introduction.method;

import java.util.List;
import java.util.Optional;
import vividcrown.core.introduction.Given;
import vividcrown.core.odds.Rate;
import vividcrown.core.round.Item;
import vividcrown.core.time.DaySpan;

/** The queen goes on laying among her own bees: near certain. Common practice. */
final class WithHerNuc {

    static final Way WAY = new Way(Rate.fromUsualAndPoorDay(0.96, 0.90), Given.Kind.MATED, DaySpan.ofDays(1, 1, 2),
            false,
            List.of(new Way.Due(DaySpan.ofDays(0, 0, 0), "paper"), new Way.Due(DaySpan.ofDays(1, 1, 2), "chewed"),
                    new Way.Due(DaySpan.ofDays(3, 3, 4), "quietLook")),
            Optional.of(Way.EGGS), List.of(Item.NUC_BOXES));

    private WithHerNuc() {
    }
}
