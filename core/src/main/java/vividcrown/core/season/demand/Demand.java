package vividcrown.core.season.demand;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.demand.Product;
import vividcrown.core.reason.Wrong;

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
    /** A customer waits so long after his day, and no longer: an assumption of this program. */
    public static final int WAITS_DAYS = 14;

    public Demand {
        if (count < 1 || count > MOST) {
            throw Wrong.of("wrong.Demand", id, MOST, count);
        }
        if (until.isBefore(from)) {
            throw Wrong.of("wrong.Demand.2", id, until, from);
        }
        if (priority < 1 || priority > 3) {
            throw Wrong.of("wrong.Demand.3", id, priority);
        }
        if (!(assurance >= 0.5 && assurance <= 0.999)) {
            throw Wrong.of("wrong.Demand.4", id, assurance);
        }
    }

    /** The same with another assurance, 0.5–0.999. */
    public Demand of(double other) {
        return new Demand(id, product, count, from, until, line, priority, other);
    }

    /** The same of another number. */
    public Demand of(int other) {
        return new Demand(id, product, other, from, until, line, priority, assurance);
    }
}
