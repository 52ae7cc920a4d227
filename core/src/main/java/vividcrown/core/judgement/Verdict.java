package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import vividcrown.core.brood.BroodProof;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Reason;

/**
 * What state a colony is in, with odds.
 *
 * @param odds chance of each state, together 1
 * @param leading the likeliest state
 * @param signs what was seen or missed, and how much it speaks for or against the leading state, the strongest first
 * @param settle which look or test would settle it, the best first
 * @param proof what the brood proves, whatever the odds
 * @param cellKind chance of each kind of queen cells, if there are any: swarm, supersedure, emergency
 */
public record Verdict(LocalDate asOf, Map<Status, Double> odds, Status leading, List<Weighed> signs,
        List<BestLook> settle, BroodProof proof, Map<CellKind, Double> cellKind) {

    public Verdict {
        odds = Map.copyOf(odds);
        signs = List.copyOf(signs);
        settle = List.copyOf(settle);
        cellKind = Map.copyOf(cellKind);
    }

    /** Why bees raise queens. */
    public enum CellKind {
        SWARM, SUPERSEDURE, EMERGENCY
    }

    /**
     * One sign of a reading.
     *
     * @param seen seen, or looked for and absent
     * @param factor how many times likelier it is in the leading state than in the others: above 1 for, below 1 against
     */
    public record Weighed(Reading reading, Sign sign, boolean seen, double factor, Reason reason) {
    }

    public double chance(Status status) {
        return Objects.requireNonNull(odds.get(status));
    }
}
