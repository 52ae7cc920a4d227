package vividcrown.core.season;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.odds.Around;
import vividcrown.core.odds.Circumstance;

/**
 * A graft of the plan.
 *
 * @param day of the graft
 * @param breeder the mother
 * @param cups how many larvae
 * @param shares for whom, and how many of the cups; what is over is spare
 * @param locked it was fixed by hand
 * @param grafter who grafts, if that is known
 */
public record PlannedBatch(LocalDate day, String builder, String breeder, String line, int cups, List<Share> shares,
        boolean locked, Optional<String> grafter) {

    public PlannedBatch {
        shares = List.copyOf(shares);
    }

    /**
     * @param demand whom it is for
     * @param delivery when its queens are handed over
     */
    public record Share(String demand, int cups, LocalDate delivery) {
    }

    public int spare() {
        return cups - shares.stream().mapToInt(Share::cups).sum();
    }

    /** What surrounds it; the month comes with the day. */
    public Around around() {
        return Around.NOTHING_KNOWN.with(Circumstance.BUILDER, builder).with(Circumstance.MOTHER, breeder)
                .with(Circumstance.PERSON, grafter);
    }

    public PlannedBatch with(int otherCups, List<Share> otherShares) {
        return new PlannedBatch(day, builder, breeder, line, otherCups, otherShares, locked, grafter);
    }
}
