package vividcrown.server.order;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What an entry about an order says.
 *
 * @param code ORDER_TAKEN: year and number
 * @param taken ORDER_TAKEN: what was agreed
 * @param state ORDER_MOVED_ON: the state it moved to
 * @param queens QUEENS_PROMISED, QUEENS_LET_GO, QUEENS_DELIVERED: which
 * @param count QUEENS_DELIVERED: how many, where they have no record of their own
 */
record OrderDetail(@Nullable String code, @Nullable OrderTaken taken, @Nullable OrderState state,
        @Nullable List<UUID> queens, @Nullable Integer count) {

    static OrderDetail ofTaken(String code, OrderTaken taken) {
        return new OrderDetail(code, taken, null, null, null);
    }

    static OrderDetail ofState(OrderState state) {
        return new OrderDetail(null, null, state, null, null);
    }

    static OrderDetail ofQueens(List<UUID> queens) {
        return new OrderDetail(null, null, null, queens, null);
    }

    static OrderDetail ofDelivered(List<UUID> queens, int count) {
        return new OrderDetail(null, null, null, queens, count);
    }

    List<UUID> queensOrNone() {
        return queens == null ? List.of() : queens;
    }

    int countOrQueens() {
        return count == null ? queensOrNone().size() : count;
    }
}
