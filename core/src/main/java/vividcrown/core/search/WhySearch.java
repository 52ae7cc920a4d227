package vividcrown.core.search;

import java.util.ArrayList;
import java.util.List;
import vividcrown.core.reason.Sentence;

/** What she is wanted for: it tells how to hold her, and what must be ready before she is in the hand. */
public enum WhySearch {
    CAGE, MARK, TAKE_OUT, SHOW,
    /** She stays: combs or bees are about to leave, or to be shaken. */
    KEEP_SAFE;

    /** A search that fails leaves the work undone, and cannot be left to a guess. */
    public boolean mustFind() {
        return this == TAKE_OUT || this == CAGE;
    }

    /** How to hold her. */
    public Sentence hold() {
        return Sentence.of("search.hold." + name());
    }

    /** What must be so before she is taken in hand. */
    public List<Sentence> gates(Circumstances under) {
        List<Sentence> gates = new ArrayList<>();
        switch (this) {
            case CAGE -> gates.add(Sentence.of("search.gate.cage"));
            case MARK -> gates.add(Sentence.of("search.gate.mark"));
            case TAKE_OUT -> gates.add(Sentence.of("search.gate.takeOut"));
            case SHOW -> {
            }
            case KEEP_SAFE -> gates.add(Sentence.of("search.gate.keepSafe"));
        }
        if (this == MARK && under.is(QueenTrait.VIRGIN)) {
            gates.add(Sentence.of("search.gate.markVirgin"));
        }
        if (this != MARK && this != TAKE_OUT && (under.is(QueenTrait.MARK_WORN) || !under.is(QueenTrait.MARKED))
                && !under.is(QueenTrait.VIRGIN)) {
            gates.add(Sentence.of("search.gate.remark"));
        }
        return gates;
    }
}
