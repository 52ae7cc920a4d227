package vividcrown.server.mite;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.Amount;
import vividcrown.core.mite.BroodBreak;
import vividcrown.server.wire.SpanView;

/**
 * The days without sealed brood that a plan opens.
 *
 * @param firstEgg when the next queen begins; left out if none is on the way
 * @param worker no worker brood is sealed
 * @param drone no drone brood is sealed
 * @param none nothing is sealed: every mite sits on a bee
 * @param bees bees that are not reared meanwhile
 * @param acts what the days can be used for
 */
public record BroodBreakView(SpanView lastEgg, @Nullable SpanView firstEgg, WindowView worker, WindowView drone,
        WindowView none, Amount bees, List<String> acts, List<String> cautions) {

    public static BroodBreakView of(BroodBreak found) {
        return new BroodBreakView(SpanView.of(found.lastEgg()), found.firstEgg().map(SpanView::of).orElse(null),
                WindowView.of(found.worker()), WindowView.of(found.drone()), WindowView.of(found.all()), found.bees(),
                found.acts().stream().map(Object::toString).toList(),
                found.cautions().stream().map(Object::toString).toList());
    }

    /**
     * Days without sealed brood.
     *
     * @param sureFrom the first day on which it is surely so; left out if there is none
     * @param sureUntil the last; left out if it goes on
     * @param sureDays how many; 100 where it goes on
     * @param likelyFrom the first day on which it likely is
     */
    public record WindowView(@Nullable LocalDate sureFrom, @Nullable LocalDate sureUntil, int sureDays,
            @Nullable LocalDate likelyFrom, @Nullable LocalDate likelyUntil, int likelyDays) {
        public static WindowView of(BroodBreak.Window window) {
            Optional<BroodBreak.Days> sure = window.sure();
            Optional<BroodBreak.Days> likely = window.likely();
            return new WindowView(sure.map(BroodBreak.Days::first).orElse(null),
                    sure.flatMap(BroodBreak.Days::last).orElse(null), sure.map(BroodBreak.Days::count).orElse(0),
                    likely.map(BroodBreak.Days::first).orElse(null), likely.flatMap(BroodBreak.Days::last).orElse(null),
                    likely.map(BroodBreak.Days::count).orElse(0));
        }
    }
}
