package vividcrown.core.demand;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.journal.Faults;
import vividcrown.core.odds.LossStep;

/**
 * What was agreed: an order, or a need at home.
 *
 * @param customer for whom; for an own need: what for; 1–80 characters
 * @param ownNeed needed at home: requeening, spares
 * @param count how many, 1–300; for a share, what it came to when it was set down
 * @param sharePercent own needs only, 1–100: so many in a hundred of the mated queens that others ask for, instead of a count
 * @param from the first day on which it may be had
 * @param until the last day on which it is in time; at most two years after {@code from}
 * @param line if the line matters
 * @param priority 1 first, 3 last
 * @param assurance chance of meeting it that is wanted, 0.5–0.999; the operation's usual if left out
 * @param deposit paid in advance, 0–1,000,000
 * @param note at most 2,000 characters
 */
public record OrderTerms(String customer, boolean ownNeed, Product product, int count, Optional<Integer> sharePercent,
        LocalDate from, LocalDate until, Optional<String> line, int priority, Optional<Double> assurance,
        Optional<BigDecimal> deposit, Optional<String> note) {

    /** More is no order but a season. */
    public static final int MOST = 300;

    public OrderTerms {
        Faults faults = new Faults().text("customer", customer, 1, 80).within("count", count, 1, MOST)
                .within("priority", priority, 1, 3);
        sharePercent.ifPresent(share -> faults.within("sharePercent", share, 1, 100));
        assurance.ifPresent(chance -> faults.within("assurance", chance, 0.5, 0.999));
        deposit.ifPresent(amount -> faults.within("deposit", amount.doubleValue(), 0, 1_000_000));
        note.ifPresent(text -> faults.text("note", text, 0, 2_000));
        line.ifPresent(text -> faults.text("line", text, 1, 60));
        faults.unless(sharePercent.isEmpty() || ownNeed, "fault.share")
                .unless(!until.isBefore(from), "fault.untilBeforeFrom", until.toString(), from.toString())
                .unless(from.getYear() >= 2000 && !until.isAfter(from.plusYears(2)),
                        "fault.untilTooLate", until.toString(), from.toString())
                .refuse();
    }

    /** What whoever hands the queens over needs to know: no money, no remarks. */
    public OrderTerms forTheYard() {
        return new OrderTerms(customer, ownNeed, product, count, sharePercent, from, until, line, priority, assurance,
                Optional.empty(), Optional.empty());
    }

    /** Its queens have records of their own, so one says which they are. */
    public boolean isOfRecordedQueens() {
        return product.losses().contains(LossStep.MATING);
    }
}
