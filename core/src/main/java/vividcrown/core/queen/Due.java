package vividcrown.core.queen;

import java.time.LocalDate;
import java.util.List;
import vividcrown.core.reason.Reason;
import vividcrown.core.time.DatedSpan;

/**
 * Work that falls due at a queen's box.
 *
 * @param work what to do
 * @param window the days on which to do it
 * @param reasons why then
 */
public record Due(Work work, DatedSpan window, List<Reason> reasons) {
    public Due {
        reasons = List.copyOf(reasons);
    }

    /** It may be done from today, or might have been done before. */
    public boolean isDueOn(LocalDate today) {
        return !window.earliest().isAfter(today);
    }

    public boolean isOverdueOn(LocalDate today) {
        return window.isOverBy(today);
    }
}
