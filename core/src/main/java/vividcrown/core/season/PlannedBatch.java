package vividcrown.core.season;

import java.time.LocalDate;
import java.util.List;

/**
 * A graft of the plan.
 *
 * @param day of the graft
 * @param breeder the mother
 * @param cups how many larvae
 * @param shares for whom, and how many of the cups; what is over is spare
 * @param locked it was fixed by hand
 */
public record PlannedBatch(LocalDate day, String builder, String breeder, String line, int cups, List<Share> shares,
        boolean locked) {

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
}
