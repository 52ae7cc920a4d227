package vividcrown.server.order;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import vividcrown.core.season.Product;
import vividcrown.server.problem.Refusal;

/**
 * As recorded when an order is taken or an own need is set down, and when it is changed.
 *
 * @param customer for whom; for an own need: what for
 * @param ownNeed needed at home: requeening, spares
 * @param count how many; for a share, what it came to when it was set down
 * @param sharePercent own needs only: so many in a hundred of the mated queens that others ask for, instead of a count
 * @param from the first day on which it may be had
 * @param until the last day on which it is in time
 * @param line if the line matters
 * @param priority 1 first, 3 last
 * @param assurance chance of meeting it that is wanted; the operation's usual if left out
 */
public record OrderTaken(@NotBlank String customer, boolean ownNeed, @NotNull Product product,
        @Min(1) @Max(300) int count, @Nullable @Min(1) @Max(100) Integer sharePercent, @NotNull LocalDate from,
        @NotNull LocalDate until, @Nullable String line, @Min(1) @Max(3) int priority,
        @Nullable @DecimalMin("0.5") @DecimalMax("0.999") Double assurance, @Nullable BigDecimal deposit,
        @Nullable String note) {

    /** What is wrong with it as a whole, each with what to change. */
    List<Refusal.Finding> findings(boolean isNew, LocalDate today) {
        List<Refusal.Finding> findings = new ArrayList<>();
        if (until.isBefore(from)) {
            findings.add(new Refusal.Finding("until", "%s lies before %s. Exchange the days, or change one."
                    .formatted(until, from)));
        }
        if (isNew && until.isBefore(today)) {
            findings.add(new Refusal.Finding("until", "%s has passed; today is %s. Choose a day to come."
                    .formatted(until, today)));
        }
        if (sharePercent != null && !ownNeed) {
            findings.add(new Refusal.Finding("sharePercent", "Only an own need can be a share. Give a number."));
        }
        return findings;
    }
}
