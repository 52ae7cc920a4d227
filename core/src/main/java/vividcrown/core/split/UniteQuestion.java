package vividcrown.core.split;

import java.util.Optional;
import vividcrown.core.hive.Unit;
import vividcrown.core.split.recipe.Conditions;

/**
 * Two hives that are to become one.
 *
 * @param metres between them; empty if nobody said
 * @param otherQueenFound the queen of the poorer one was found and taken out, or every frame was searched twice and none is there
 * @param combs what the house does with combs of a hive that is given up
 */
public record UniteQuestion(Conditions conditions, Weather weather, Unit one, Unit other, Optional<Double> metres,
        boolean otherQueenFound, Combs combs) {

    /** House rule for combs of a hive that is given up. */
    public enum Combs {
        /** Use them where no disease is suspected. */
        USE,
        /** Melt them all. */
        MELT
    }
}
