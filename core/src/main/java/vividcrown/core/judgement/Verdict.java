package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
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
 * @param looks every look or test that would tell something, the one that settles most first; empty at a glance
 * @param proof what the brood proves, whatever the odds
 * @param cellKind chance of each kind of queen cells, if there are any: swarm, supersedure, emergency
 * @param contents who is there, and what is under way
 */
public record Verdict(LocalDate asOf, Map<Status, Double> odds, Status leading, List<Weighed> signs,
        List<BestLook> looks, BroodProof proof, Map<CellKind, Double> cellKind, Contents contents) {

    private static final int SHOWN = 3;

    public Verdict {
        odds = Map.copyOf(odds);
        signs = List.copyOf(signs);
        looks = List.copyOf(looks);
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

    /** Which look or test would settle it: the best few, each kind once; empty if nothing is in doubt. */
    public List<BestLook> settle() {
        List<BestLook> best = new ArrayList<>();
        for (BestLook look : looks) {
            if (best.size() < SHOWN && best.stream().noneMatch(other -> other.kind() == look.kind())) {
                best.add(look);
            }
        }
        return best;
    }

    public double chance(Status status) {
        return Objects.requireNonNull(odds.get(status));
    }
}
