package vividcrown.server.order;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Projector;
import vividcrown.server.journal.SubjectKind;

/** Makes the rows of orders: what was agreed last, how far it has come, which queens are promised or handed over. */
@Component
class OrderProjector implements Projector {
    private final Journal journal;
    private final Payloads payloads;
    private final QueenOrders orders;
    private final PromisedQueens promised;

    OrderProjector(Journal journal, Payloads payloads, QueenOrders orders, PromisedQueens promised) {
        this.journal = journal;
        this.payloads = payloads;
        this.orders = orders;
        this.promised = promised;
    }

    @Override
    public SubjectKind subjectKind() {
        return SubjectKind.ORDER;
    }

    @Override
    public void project(UUID subject) {
        List<JournalEntry> standing = journal.standing(subject);
        OrderDetail taken = OrderDetail.ofState(OrderState.ASKED);
        OrderState state = OrderState.ASKED;
        int delivered = 0;
        Map<UUID, PromisedQueen> queens = new LinkedHashMap<>();
        for (JournalEntry entry : standing) {
            OrderDetail detail = payloads.read(entry, OrderDetail.class);
            LocalDate day = entry.happenedOn();
            if (entry.kind() == EntryKind.ORDER_TAKEN) {
                taken = detail;
            } else if (entry.kind() == EntryKind.ORDER_MOVED_ON) {
                state = Objects.requireNonNull(detail.state());
            } else if (entry.kind() == EntryKind.QUEENS_PROMISED) {
                detail.queensOrNone().forEach(queen -> queens.put(queen, new PromisedQueen(queen, subject, day, null)));
            } else if (entry.kind() == EntryKind.QUEENS_LET_GO) {
                detail.queensOrNone().forEach(queens::remove);
            } else if (entry.kind() == EntryKind.QUEENS_DELIVERED) {
                delivered += detail.countOrQueens();
                detail.queensOrNone().forEach(queen -> queens.put(queen, new PromisedQueen(queen, subject, day, day)));
            }
        }
        if (taken.taken() != null) {
            orders.saveAndFlush(new QueenOrder(subject, Objects.requireNonNull(taken.code()), taken.taken(), state,
                    delivered));
            promised.deleteByOrderId(subject);
            promised.flush();
            promised.saveAllAndFlush(queens.values());
        }
    }

    @Override
    public boolean exists(UUID subject) {
        return orders.existsById(subject);
    }
}
