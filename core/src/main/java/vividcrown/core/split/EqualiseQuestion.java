package vividcrown.core.split;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.hive.Unit;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.split.recipe.SplitRecipe.Target;

/**
 * Units that were counted, and what they should have.
 *
 * @param units as they were counted
 * @param target what each should have; for single units another
 * @param acrossYards frames may be driven to another yard
 * @param unitsInAll how many there are, counted and not; as many as were counted if empty
 */
public record EqualiseQuestion(Conditions conditions, List<Unit> units, Target target, Map<String, Target> targets,
        boolean acrossYards, Optional<Integer> unitsInAll) {

    public EqualiseQuestion {
        units = List.copyOf(units);
        targets = Map.copyOf(targets);
    }

    Target targetOf(Unit unit) {
        return targets.getOrDefault(unit.code(), target);
    }
}
