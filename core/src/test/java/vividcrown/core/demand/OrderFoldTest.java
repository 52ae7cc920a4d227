package vividcrown.core.demand;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.Faults;
import vividcrown.core.queen.QueenEvent;

class OrderFoldTest {

    private static final LocalDate JUN_1 = LocalDate.of(2026, 6, 1);
    private static final UUID ORDER = new UUID(0, 1);
    private static final UUID QUEEN = new UUID(0, 7);

    private final List<Entry> record = new ArrayList<>();

    private static OrderTerms terms(int count) {
        return new OrderTerms("Fell Side", false, Product.MATED_QUEENS, count, Optional.empty(), JUN_1,
                JUN_1.plusDays(4), Optional.empty(), 2, Optional.empty(), Optional.empty(), Optional.empty());
    }

    private OrderFold.Standing after(OrderDeed... deeds) {
        record.clear();
        for (OrderDeed deed : deeds) {
            record.add(new Entry(new UUID(9, record.size()), JUN_1.plusDays(record.size()), record.size(), deed));
        }
        return OrderFold.fold(record).orElseThrow();
    }

    private static OrderDeed.Taken taken(int count) {
        return new OrderDeed.Taken(ORDER, "Q26-01", terms(count));
    }

    @Test
    void an_order_that_nobody_took_is_none() {
        assertThat(OrderFold.fold(List.of())).isEmpty();
    }

    @Test
    void a_queen_handed_over_counts_and_leaves_and_the_whole_number_closes_it() {
        OrderDeed.Delivered handed = new OrderDeed.Delivered(ORDER, Set.of(QUEEN), 1, true);
        OrderFold.Standing standing = after(taken(1), new OrderDeed.QueensPromised(ORDER, Set.of(QUEEN), Set.of()),
                handed);
        assertThat(standing.state()).isEqualTo(OrderState.DELIVERED);
        assertThat(standing.delivered()).isEqualTo(1);
        assertThat(standing.queens().get(QUEEN).delivered()).contains(JUN_1.plusDays(2));
        assertThat(handed.eventFor(QUEEN)).contains(new QueenEvent.TakenOut());
        assertThat(handed.eventFor(ORDER)).isEmpty();
    }

    @Test
    void declining_lets_those_go_that_wait_and_keeps_what_was_handed_over() {
        UUID gone = new UUID(0, 8);
        OrderFold.Standing standing = after(taken(3),
                new OrderDeed.QueensPromised(ORDER, Set.of(QUEEN, gone), Set.of()),
                new OrderDeed.Delivered(ORDER, Set.of(gone), 1, false),
                new OrderDeed.MovedOn(ORDER, OrderState.DECLINED));
        assertThat(standing.queens()).containsOnlyKeys(gone);
    }

    @Test
    void the_same_queen_twice_and_more_than_asked_are_flagged_not_dropped() {
        OrderDeed.Delivered handed = new OrderDeed.Delivered(ORDER, Set.of(QUEEN), 1, false);
        OrderFold.Standing standing = after(taken(1), handed, handed);
        assertThat(standing.delivered()).isEqualTo(2);
        assertThat(standing.contradictions()).extracting(one -> one.clash().key())
                .containsExactly("clash.deliveredTwice", "clash.deliveredTooMany");
    }

    @Test
    void terms_that_cannot_be_say_everything_at_once() {
        assertThatThrownBy(
                () -> new OrderTerms("", false, Product.VIRGINS, 0, Optional.of(10), JUN_1.plusDays(3), JUN_1,
                        Optional.empty(), 9, Optional.of(2.0), Optional.empty(), Optional.empty()))
                .isInstanceOfSatisfying(Faults.Found.class,
                        found -> assertThat(found.all()).map(Object::toString).containsExactly(
                                "customer must be 1 to 80 characters, but has 0",
                                "count must lie between 1 and 300, but is 0",
                                "priority must lie between 1 and 3, but is 9",
                                "assurance must lie between 0.5 and 0.999, but is 2",
                                "sharePercent is for own needs only: give a number instead",
                                "until (2026-06-01) lies before from (2026-06-04): exchange the days, or change one"));
    }
}
