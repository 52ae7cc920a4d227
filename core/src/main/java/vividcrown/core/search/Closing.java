package vividcrown.core.search;

import java.util.ArrayList;
import java.util.List;
import vividcrown.core.reason.Sentence;

/** In which order an open hive is closed: her comb and side last, everything in its place and facing the same way. */
public final class Closing {

    private Closing() {
    }

    /**
     * @param held how she is kept, if she was found
     * @param why what she was wanted for: whoever takes a queen out is told while she is in the hive still
     */
    public static List<Sentence> order(Search search, Held held, WhySearch why) {
        List<Sentence> all = new ArrayList<>();
        all.add(Sentence.of("search.close.same"));
        all.add(Sentence.of("search.close.wax"));
        search.outside().forEach(side -> all.add(Sentence.of(
                search.found().isEmpty() ? "search.close.outsideUnseen" : "search.close.outside", side.slot())));
        search.found().filter(Place.OnComb.class::isInstance).map(Place.OnComb.class::cast)
                .ifPresent(side -> {
                    if (held.isOnHerComb()) {
                        all.add(Sentence.of("search.close.hers", side.box(), side.slot(),
                                Sentence.of("search.side." + side.side())));
                    }
                });
        for (int box = 1; box <= search.hive().boxes().size(); box++) {
            if (search.hive().box(box).excluderAbove()) {
                all.add(Sentence.of("search.close.excluder", box));
            }
        }
        all.add(Sentence.of("search.close.lid"));
        if (search.found().isPresent() && held.isCaged()) {
            all.add(Sentence.of("search.close.held"));
        }
        if (search.found().isPresent() && why == WhySearch.TAKE_OUT && held.isOnHerComb()) {
            all.add(Sentence.of("search.close.stillIn"));
        }
        return all;
    }
}
