package vividcrown.server.demand;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.demand.OrderDeed;
import vividcrown.core.demand.OrderFold;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.server.journal.Contradictions;
import vividcrown.server.journal.Projector;

/** Makes the rows of orders: what was agreed last, how far it has come, which queens are promised or handed over. */
@Component
@Order(50)
class OrderProjector implements Projector {

    private static final String FOUND_IN = "ORDER";

    private final QueenOrderTable orders;
    private final PromisedQueenTable promised;
    private final Contradictions contradictions;

    OrderProjector(QueenOrderTable orders, PromisedQueenTable promised, Contradictions contradictions) {
        this.orders = orders;
        this.promised = promised;
        this.contradictions = contradictions;
    }

    @Override
    public SubjectKind subjectKind() {
        return OrderDeed.ORDER;
    }

    @Override
    public void project(Map<UUID, List<Entry>> records) {
        Map<UUID, List<Contradiction>> clashes = new HashMap<>();
        promised.deleteByOrderIdIn(records.keySet());
        records.forEach((id, record) -> {
            Optional<OrderFold.Standing> standing = OrderFold.fold(record);
            if (standing.isEmpty()) {
                orders.deleteAllByIdInBatch(List.of(id));
                return;
            }
            clashes.put(id, standing.get().contradictions());
            orders.save(new QueenOrderRow(id, standing.get()));
            standing.get().queens().forEach((queen, aside) -> promised
                    .save(new PromisedQueenRow(id, queen, aside.promised(), aside.delivered().orElse(null))));
        });
        orders.flush();
        contradictions.replace(FOUND_IN, records.keySet(), clashes);
    }

    @Override
    public void clear() {
        promised.deleteAllInBatch();
        orders.deleteAllInBatch();
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return orders.findAllById(subjects).stream().map(QueenOrder::id).collect(Collectors.toSet());
    }
}
