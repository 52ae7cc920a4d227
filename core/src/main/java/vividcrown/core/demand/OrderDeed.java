package vividcrown.core.demand;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;
import vividcrown.core.queen.AffectsQueens;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.QueenEvent;
import vividcrown.core.reason.Wrong;

/** What becomes of orders. */
public sealed interface OrderDeed extends Deed {

    SubjectKind ORDER = new SubjectKind("ORDER");

    UUID order();

    @Override
    default List<Touch> touches() {
        return List.of(Touch.itself(ORDER, order()));
    }

    /**
     * An order was taken, an own need set down, or either changed: the last to speak is right.
     *
     * @param code year and number, as Q26-06; empty where it is asked for, the record gives it
     */
    record Taken(UUID order, String code, OrderTerms terms) implements OrderDeed {
        /** The same with the code that the record gives it. */
        public Taken called(String given) {
            return new Taken(order, given, terms);
        }
    }

    /** It was promised, declined, or opened again. Queens that wait for a declined one are free again. */
    record MovedOn(UUID order, OrderState state) implements OrderDeed {
        public MovedOn {
            if (state == OrderState.DELIVERED) {
                throw Wrong.of("wrong.OrderDeed");
            }
        }
    }

    /**
     * Which queens are set aside for it, and which no longer.
     *
     * @param promised at most 300
     * @param letGo at most 300
     */
    record QueensPromised(UUID order, Set<UUID> promised, Set<UUID> letGo) implements OrderDeed {
        public QueensPromised {
            promised = Set.copyOf(promised);
            letGo = Set.copyOf(letGo);
            if (promised.isEmpty() && letGo.isEmpty()) {
                throw Wrong.of("wrong.OrderDeed.2");
            }
            if (promised.size() > OrderTerms.MOST || letGo.size() > OrderTerms.MOST) {
                throw Wrong.of("wrong.OrderDeed.3", OrderTerms.MOST, promised.size(), letGo.size());
            }
            Set<UUID> both = new HashSet<>(promised);
            both.retainAll(letGo);
            if (!both.isEmpty()) {
                throw Wrong.of("wrong.OrderDeed.4", both);
            }
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>();
            touches.add(Touch.itself(ORDER, order));
            promised.stream().sorted().forEach(queen -> touches.add(new Touch(QueenDeed.QUEEN, queen, Role.CONTEXT)));
            letGo.stream().sorted().forEach(queen -> touches.add(new Touch(QueenDeed.QUEEN, queen, Role.CONTEXT)));
            return touches;
        }
    }

    /**
     * Queens or cells were handed over. Queens with a record leave their hives by it.
     *
     * @param queens those with a record of their own
     * @param count how many in all, 1–300
     * @param complete the order has all it asked for then; the record says so
     */
    record Delivered(UUID order, Set<UUID> queens, int count,
            boolean complete) implements OrderDeed, AffectsQueens {
        public Delivered {
            queens = Set.copyOf(queens);
            if (count < 1 || count > OrderTerms.MOST || count < queens.size()) {
                throw Wrong.of("wrong.OrderDeed.5", Math.max(1, queens.size()), OrderTerms.MOST, count);
            }
        }

        /** The same, with what the record knows of the order. */
        public Delivered completing(boolean whole) {
            return new Delivered(order, queens, count, whole);
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>();
            touches.add(Touch.itself(ORDER, order));
            queens.stream().sorted().forEach(queen -> touches.add(new Touch(QueenDeed.QUEEN, queen, Role.FROM)));
            return touches;
        }

        @Override
        public Optional<QueenEvent> eventFor(UUID queen) {
            return queens.contains(queen) ? Optional.of(new QueenEvent.TakenOut()) : Optional.empty();
        }
    }
}
