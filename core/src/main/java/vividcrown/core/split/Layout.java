package vividcrown.core.split;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.Unit;
import vividcrown.core.split.SplitPlan.Closed;
import vividcrown.core.split.SplitPlan.Filled;

/**
 * What hangs where. In a new unit: food at the walls, brood together in the middle with the youngest between two others, drawn comb
 * beside it for her to lay in, foundation at the outside. In a donor: what stays closes up, no gap in the brood, comb comes in at
 * the edge of the nest. Common practice.
 */
final class Layout {

    /** Syrup 1 : 1 that stands for a frame of food: a deep frame of honey is 2.5–3 kg, a litre makes 0.74 kg of stores. */
    static final double LITRES_FOR_A_FOOD_FRAME = 3.5;

    private Layout() {
    }

    /** A frame out of a hive. */
    record Taken(Unit hive, FrameSeen frame) {
    }

    /** A place in a new unit. */
    record Hung(int slot, Optional<Taken> taken, Filled otherwise) {
    }

    /** @param combs drawn combs and foundation that are added, drawn first */
    static List<Hung> of(List<Taken> frames, int slots, int drawn, int foundation) {
        List<Taken> food = new ArrayList<>(frames.stream().filter(one -> !one.frame().comb().isOfBrood())
                .sorted(Comparator.comparingDouble((Taken one) -> one.frame().comb().pollen())).toList());
        List<Taken> brood = youngestInTheMiddle(
                frames.stream().filter(one -> one.frame().comb().isOfBrood()).toList());
        List<Hung> all = new ArrayList<>();
        // honey at one wall, pollen beside the brood on the other side
        int slot = 1;
        if (!food.isEmpty()) {
            all.add(new Hung(slot++, Optional.of(food.removeFirst()), Filled.A_FRAME));
        }
        for (Taken one : brood) {
            all.add(new Hung(slot++, Optional.of(one), Filled.A_FRAME));
        }
        for (Taken one : food) {
            all.add(new Hung(slot++, Optional.of(one), Filled.A_FRAME));
        }
        int afterNest = slot - (food.isEmpty() ? 0 : food.size());
        // comb to lay in stands beside the nest, inside the food
        for (int comb = 0; comb < drawn && slot <= slots; comb++, slot++) {
            insert(all, afterNest, Filled.DRAWN);
        }
        for (int comb = 0; comb < foundation && slot <= slots; comb++, slot++) {
            all.add(new Hung(slot, Optional.empty(), Filled.FOUNDATION));
        }
        return all;
    }

    private static void insert(List<Hung> all, int at, Filled comb) {
        all.add(at - 1, new Hung(at, Optional.empty(), comb));
        for (int later = at; later < all.size(); later++) {
            Hung moved = all.get(later);
            all.set(later, new Hung(later + 1, moved.taken(), moved.otherwise()));
        }
    }

    private static List<Taken> youngestInTheMiddle(List<Taken> brood) {
        List<Taken> byAge = brood.stream().sorted(Comparator
                .comparingDouble((Taken one) -> (one.frame().queen() ? 2 : 0) + one.frame().comb().eggs())).toList();
        List<Taken> left = new ArrayList<>();
        List<Taken> right = new ArrayList<>();
        for (int at = 0; at < byAge.size(); at++) {
            if (at % 2 == 0) {
                left.add(byAge.get(at));
            } else {
                right.addFirst(byAge.get(at));
            }
        }
        left.addAll(right);
        return left;
    }

    /** How a donor is closed, box by box where frames left: what stays keeps its order, comb comes in at the edge of the nest. */
    static List<Closed> closed(Unit hive, List<FrameSeen> gone, int drawn) {
        List<Closed> closed = new ArrayList<>();
        int combs = drawn;
        for (int box : gone.stream().map(FrameSeen::box).distinct().sorted().toList()) {
            int left = (int) gone.stream().filter(one -> one.box() == box).count();
            closed.addAll(closedBox(hive, gone, box, left, Math.min(combs, left)));
            combs = Math.max(0, combs - left);
        }
        return closed;
    }

    private static List<Closed> closedBox(Unit hive, List<FrameSeen> gone, int box, int comesIn, int drawn) {
        List<FrameSeen> stay = hive.frames().stream()
                .filter(one -> one.box() == box && gone.stream().noneMatch(other -> other.at().equals(one.at())))
                .sorted(Comparator.comparingInt(FrameSeen::slot)).toList();
        int nestBegins = (int) stay.stream().takeWhile(one -> !one.comb().isOfBrood()).count();
        boolean hasNest = nestBegins < stay.size();
        List<Optional<FrameSeen>> order = new ArrayList<>();
        (hasNest ? stay.subList(0, nestBegins) : stay).forEach(one -> order.add(Optional.of(one)));
        // what stood between two frames of brood and is none goes to their edge
        stay.stream().filter(one -> one.comb().isOfBrood()).forEach(one -> order.add(Optional.of(one)));
        for (int comb = 0; comb < comesIn; comb++) {
            order.add(Optional.empty());
        }
        if (hasNest) {
            stay.stream().skip(nestBegins).filter(one -> !one.comb().isOfBrood())
                    .forEach(one -> order.add(Optional.of(one)));
        }
        List<Closed> closed = new ArrayList<>();
        int combs = 0;
        for (int at = 0; at < order.size(); at++) {
            Filled otherwise = order.get(at).isPresent()
                    ? Filled.A_FRAME
                    : combs++ < drawn ? Filled.DRAWN : Filled.FOUNDATION;
            closed.add(new Closed(new FrameAt(box, at + 1), order.get(at).map(FrameSeen::at), otherwise));
        }
        return closed;
    }
}
