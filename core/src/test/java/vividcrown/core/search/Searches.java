package vividcrown.core.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Hives and circumstances of which nothing special is known. */
final class Searches {

    static final Searcher EXPERIENCED = Searcher.of(false, 0, 0);
    /** An unmarked laying queen in season, a little smoke, good light, an experienced eye. */
    static final Circumstances USUAL = new Circumstances(Set.of(), 1, false, false, false, EXPERIENCED);

    private Searches() {
    }

    /** One box with so many combs of which nothing is known. */
    static HiveSearched unread(int combs) {
        List<CombThere> all = new ArrayList<>();
        for (int slot = 1; slot <= combs; slot++) {
            all.add(CombThere.unread(slot));
        }
        return new HiveSearched(List.of(new BoxThere(false, combs, false, all)), 0, Optional.empty(),
                HiveSearched.USUALLY_HERE);
    }
}
