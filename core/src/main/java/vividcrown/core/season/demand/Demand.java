package vividcrown.core.season.demand;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.demand.Product;

/**
 * What is promised to somebody, or needed at home.
 *
 * @param id as the caller knows it
 * @param count how many, 1–{@link #MOST}
 * @param from the first day on which it may be had
 * @param until the last day on which it is in time
 * @param line the line that its queens must be of, if it matters
 * @param priority 1 is served first, 3 last
 * @param assurance chance of meeting it that is wanted, 0.5–0.999
 */
public record Demand(String id, Product product, int count, LocalDate from, LocalDate until, Optional<String> line,
        int priority, double assurance) {

    /** More than a season of one order. */
    public static final int MOST = 300;

    public Demand {
        if (count < 1 || count > MOST) {
            throw new IllegalArgumentException("%s: the number must lie between 1 and %d, but is %d"
                    .formatted(id, MOST, count));
        }
        if (until.isBefore(from)) {
            throw new IllegalArgumentException("%s: %s lies before %s. Exchange the days".formatted(id, until, from));
        }
        if (priority < 1 || priority > 3) {
            throw new IllegalArgumentException("%s: priority must lie between 1 and 3, but is %d"
                    .formatted(id, priority));
        }
        if (!(assurance >= 0.5 && assurance <= 0.999)) {
            throw new IllegalArgumentException("%s: assurance must lie between 0.5 and 0.999, but is %s"
                    .formatted(id, assurance));
        }
    }
}
