package vividcrown.core.season.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.season.BreederQueen;
import vividcrown.core.season.PlannedBatch;

/**
 * Cups of a builder for which no mother is chosen yet.
 *
 * @param line that their mother must be of, if it matters
 * @param locked it was fixed by hand
 */
public record Load(LocalDate day, String builder, Optional<String> line, int cups, List<PlannedBatch.Share> shares,
        boolean locked) {

    public Load {
        shares = List.copyOf(shares);
    }

    PlannedBatch from(BreederQueen mother, Optional<String> grafter) {
        return new PlannedBatch(day, builder, mother.id(), mother.line(), cups, shares, locked, grafter);
    }
}
