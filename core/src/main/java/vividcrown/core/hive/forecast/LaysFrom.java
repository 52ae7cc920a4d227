package vividcrown.core.hive.forecast;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.hive.Unit;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * From when worker eggs are laid in a hive.
 *
 * @param span the days; empty if never
 * @param inAPoorRun in a poor run they are laid at all
 * @param assumed what was taken for granted
 */
record LaysFrom(Optional<DatedSpan> span, boolean inAPoorRun, List<Sentence> assumed) {

    /** A mated queen who was just given lays within days of her release. */
    private static final DaySpan KEPT = DaySpan.ofDays(2, 5, 12);
    /** Bees begin cells on larvae of up to three days: the egg was laid so many days before. */
    private static final DaySpan LARVA_CHOSEN = DaySpan.ofDays(3, 4, 6);

    static LaysFrom of(Unit unit, Assumptions assumptions) {
        LocalDate read = unit.readOn();
        DaySpan firstEggs = assumptions.span(Figure.FIRST_EGGS);
        List<Sentence> assumed = new ArrayList<>();
        return switch (unit.queen().is()) {
            case LAYING -> new LaysFrom(Optional.of(unit.queen().lays().orElse(DatedSpan.on(read.minusDays(60)))), true,
                    assumed);
            case KEPT -> new LaysFrom(Optional.of(unit.queen().lays().orElse(KEPT.from(read))), true, assumed);
            // how old she is nobody said: out yesterday, or ready to lay
            case VIRGIN -> new LaysFrom(Optional.of(unit.queen().lays().orElse(
                    DaySpan.ofDays(1, firstEggs.likelyDay() / 2, firstEggs.latestDay() - 1).from(read))), true,
                    assumed);
            case CELL -> new LaysFrom(Optional.of(unit.queen().lays().orElse(
                    DaySpan.ofDays(1, 5, assumptions.queen().emerges().latestDay() - 3).plus(firstEggs).from(read))),
                    true, assumed);
            case NONE -> {
                boolean canRaise = unit.hasEggs();
                if (!canRaise) {
                    yield new LaysFrom(Optional.empty(), false, assumed);
                }
                assumed.add(Sentence.of("forecast.assumed.raises"));
                yield new LaysFrom(Optional.of(emergencyQueen(assumptions).from(read)), false, assumed);
            }
            case LAYING_WORKERS, DRONE_LAYER -> new LaysFrom(Optional.empty(), false, assumed);
            case UNKNOWN -> {
                boolean eggs = unit.hasEggs();
                assumed.add(Sentence.of(eggs ? "forecast.assumed.eggs" : "forecast.assumed.noQueen"));
                yield new LaysFrom(eggs ? Optional.of(DatedSpan.on(read.minusDays(60))) : Optional.empty(), eggs,
                        assumed);
            }
        };
    }

    /** From the loss of the queen to the first eggs of one raised on what she left. */
    static DaySpan emergencyQueen(Assumptions assumptions) {
        return assumptions.queen().emerges().plus(LARVA_CHOSEN.negated()).plus(assumptions.span(Figure.FIRST_EGGS));
    }

    /** The day in a run. */
    Optional<LocalDate> in(Run.Luck luck) {
        return switch (luck) {
            case POOR -> inAPoorRun ? span.map(DatedSpan::latest) : Optional.empty();
            case LIKELY -> span.map(DatedSpan::likely);
            case GOOD -> span.map(DatedSpan::earliest);
        };
    }
}
