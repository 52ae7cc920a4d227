package vividcrown.core.demand;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.reason.Sentence;

/** Folds an order's record, in the order in which it was written, into how it stands. */
public final class OrderFold {

    /**
     * A queen set aside for it.
     *
     * @param delivered the day she was handed over, if she was
     */
    public record SetAside(LocalDate promised, Optional<LocalDate> delivered) {
    }

    /**
     * How an order stands.
     *
     * @param delivered how many were handed over
     * @param queens those set aside or handed over, in the order in which they were
     */
    public record Standing(String code, OrderTerms terms, OrderState state, int delivered, Map<UUID, SetAside> queens,
            List<Contradiction> contradictions) {
        public Standing {
            queens = new LinkedHashMap<>(queens);
            contradictions = List.copyOf(contradictions);
        }
    }

    private final Map<UUID, SetAside> queens = new LinkedHashMap<>();
    private final List<Contradiction> contradictions = new ArrayList<>();
    private Optional<OrderDeed.Taken> taken = Optional.empty();
    private OrderState state = OrderState.ASKED;
    private int delivered;

    private OrderFold() {
    }

    /** @return empty if nobody took the order */
    public static Optional<Standing> fold(List<Entry> record) {
        OrderFold fold = new OrderFold();
        record.forEach(fold::apply);
        return fold.taken.map(last -> new Standing(last.code(), last.terms(), fold.state, fold.delivered, fold.queens,
                fold.contradictions));
    }

    private void apply(Entry entry) {
        if (!(entry.deed() instanceof OrderDeed deed)) {
            return;
        }
        switch (deed) {
            case OrderDeed.Taken one -> taken = Optional.of(one);
            case OrderDeed.MovedOn one -> {
                state = one.state();
                if (!state.isOpen()) {
                    queens.values().removeIf(queen -> queen.delivered().isEmpty());
                }
            }
            case OrderDeed.QueensPromised one -> {
                one.letGo().forEach(queens::remove);
                one.promised().stream().sorted()
                        .forEach(queen -> queens.put(queen, new SetAside(entry.day(), Optional.empty())));
            }
            case OrderDeed.Delivered one -> {
                one.queens().stream().filter(queen -> Optional.ofNullable(queens.get(queen))
                        .flatMap(SetAside::delivered).isPresent())
                        .forEach(_ -> clash(entry, "clash.deliveredTwice"));
                delivered += one.count();
                state = one.complete() ? OrderState.DELIVERED : state;
                one.queens().stream().sorted().forEach(queen -> queens.put(queen, new SetAside(
                        Optional.ofNullable(queens.get(queen)).map(SetAside::promised).orElse(entry.day()),
                        Optional.of(entry.day()))));
                taken.map(OrderDeed.Taken::terms).filter(terms -> terms.sharePercent().isEmpty()
                        && delivered > terms.count())
                        .ifPresent(terms -> clash(entry, "clash.deliveredTooMany", terms.count(), delivered));
            }
        }
    }

    private void clash(Entry entry, String key, Object... arguments) {
        contradictions.add(new Contradiction(entry.id(), Sentence.of(key, arguments)));
    }
}
