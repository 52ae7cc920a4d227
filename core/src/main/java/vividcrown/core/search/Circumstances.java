package vividcrown.core.search;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import vividcrown.core.reason.Wrong;

/**
 * How it is searched, and for whom.
 *
 * @param traits hers
 * @param laying of her full laying, what a queen does on that day there, 0–1: in winter the trail of the eggs leads nowhere
 * @param muchSmoke she was smoked heavily: she runs
 * @param uneasy the bees run or boil
 * @param poorLight dusk, glare, a veil in the rain
 */
public record Circumstances(Set<QueenTrait> traits, double laying, boolean muchSmoke, boolean uneasy,
        boolean poorLight, Searcher searcher) {

    public Circumstances {
        traits = traits.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(traits));
        if (!(laying >= 0 && laying <= 1)) {
            throw Wrong.of("wrong.search.laying", laying);
        }
        if (traits.contains(QueenTrait.VIRGIN) && traits.contains(QueenTrait.OLD)) {
            throw Wrong.of("wrong.search.oldVirgin");
        }
        if (traits.containsAll(List.of(QueenTrait.MARKED, QueenTrait.MARK_WORN))) {
            throw Wrong.of("wrong.search.twoMarks");
        }
    }

    boolean is(QueenTrait trait) {
        return traits.contains(trait);
    }

    /** She may be anywhere, on the lid and the walls too: a virgin, a runner, one that is frightened. */
    boolean isRestless() {
        return muchSmoke || uneasy || is(QueenTrait.RUNNER) || is(QueenTrait.VIRGIN);
    }

    /** @param much whether she was smoked heavily */
    Circumstances smoked(boolean much) {
        return new Circumstances(traits, laying, much, uneasy, poorLight, searcher);
    }
}
