package vividcrown.core.introduction.method;

import vividcrown.core.reason.Sentence;

/** A way of giving a queen, a virgin or a cell. */
public enum Method {
    /** A laying queen with her own nuc, united over paper or placed between combs. */
    WITH_HER_NUC,
    /** A cage pushed over emerging brood, opened by hand when she lays. */
    PUSH_IN_CAGE,
    /** A cage, opened by hand after two good readings. */
    CAGE_BY_HAND,
    /** A cage with candy, which the bees open. */
    CAGE_CANDY,
    /** A ripe cell in a protector. */
    RIPE_CELL,
    /** A virgin under a day old, run in. */
    NEW_VIRGIN,
    /** A virgin of three to six days, caged. */
    CAGED_VIRGIN;

    public Way way() {
        return switch (this) {
            case WITH_HER_NUC -> WithHerNuc.WAY;
            case PUSH_IN_CAGE -> PushInCage.WAY;
            case CAGE_BY_HAND -> CageByHand.WAY;
            case CAGE_CANDY -> CageCandy.WAY;
            case RIPE_CELL -> RipeCell.WAY;
            case NEW_VIRGIN -> NewVirgin.WAY;
            case CAGED_VIRGIN -> CagedVirgin.WAY;
        };
    }

    /** Whether the bees let her out, whatever stands in the hive by then. */
    public boolean opensByItself() {
        return switch (this) {
            case CAGE_CANDY, CAGED_VIRGIN -> true;
            case WITH_HER_NUC, PUSH_IN_CAGE, CAGE_BY_HAND, RIPE_CELL, NEW_VIRGIN -> false;
        };
    }

    public Sentence sentence() {
        return Sentence.of("introduction.method." + name());
    }
}
