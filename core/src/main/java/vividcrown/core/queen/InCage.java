package vividcrown.core.queen;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.reason.Sentence;

/**
 * A queen who waits in a cage.
 *
 * @param since the day on which she was caged
 * @param bank the hive in which it hangs; empty if it lies about or in the incubator
 * @param attendants workers with her, if somebody said
 */
public record InCage(Stage stage, LocalDate since, Optional<UUID> bank, Optional<Integer> attendants) {

    /** A cage with attendants and candy. Common practice, from memory: after ten days it is a loss. */
    private static final int ALONE_DAYS = 10;
    /** Among nurses. Common practice, from memory: weeks, not longer than needed. */
    private static final int BANKED_DAYS = 28;
    /** Past four weeks a virgin hardly mates any more, and her first is best. Common practice. */
    private static final int VIRGIN_DAYS = 10;
    private static final int FEW_ATTENDANTS = 5;

    /** The day by which she should be in a colony. */
    public LocalDate latest() {
        int days = bank.isPresent() ? BANKED_DAYS : ALONE_DAYS;
        return since.plusDays(stage == Stage.VIRGIN ? Math.min(days, VIRGIN_DAYS) : days);
    }

    /** What to mind; empty if nothing. */
    public Optional<Sentence> caution(LocalDate today) {
        if (latest().isBefore(today)) {
            return Optional.of(Sentence.of("bank.over", latest()));
        }
        if (bank.isPresent() && attendants.filter(bees -> bees > 0).isPresent()) {
            return Optional.of(Sentence.of("bank.noAttendants"));
        }
        return bank.isEmpty() && attendants.filter(bees -> bees < FEW_ATTENDANTS).isPresent()
                ? Optional.of(Sentence.of("bank.fewAttendants", FEW_ATTENDANTS))
                : Optional.empty();
    }
}
