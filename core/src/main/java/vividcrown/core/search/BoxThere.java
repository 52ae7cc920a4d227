package vividcrown.core.search;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import vividcrown.core.hive.Box;
import vividcrown.core.reason.Wrong;

/**
 * A box of the stack that is searched.
 *
 * @param honey it is a honey box
 * @param slots places for frames
 * @param excluderAbove an excluder lies on it
 * @param combs in any order; at least one
 */
public record BoxThere(boolean honey, int slots, boolean excluderAbove, List<CombThere> combs) {

    public BoxThere {
        combs = combs.stream().sorted(Comparator.comparingInt(CombThere::slot)).toList();
        if (slots < 1 || slots > Box.MOST_SLOTS) {
            throw Wrong.of("wrong.Box", Box.MOST_SLOTS, slots);
        }
        if (combs.isEmpty()) {
            throw Wrong.of("wrong.search.emptyBox");
        }
        Set<Integer> taken = new HashSet<>();
        for (CombThere comb : combs) {
            if (comb.slot() > slots) {
                throw Wrong.of("wrong.search.slot", comb.slot(), slots);
            }
            if (!taken.add(comb.slot())) {
                throw Wrong.of("wrong.search.slotTwice", comb.slot());
            }
        }
    }

    /** A frame fewer than there are places: the first comb can be lifted out without rolling anybody. */
    boolean hasRoom() {
        return combs.size() < slots;
    }
}
