package vividcrown.core.queen;

import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/**
 * The facts of one queen's life so far. Holds no clock: the same on whatever day one asks.
 *
 * @param stage how far she has come
 * @param where where she is
 * @param milestones the dated facts; the first day of each that can happen once, the last of each look
 * @param emergenceYear year of her marking colour, 0 if unknown
 * @param mark her mark, empty if none
 */
public record QueenLife(Stage stage, Whereabouts where, Map<Milestone, LocalDate> milestones, int emergenceYear,
        String mark) {

    public QueenLife {
        milestones = Map.copyOf(milestones);
    }

    public Optional<LocalDate> on(Milestone milestone) {
        return Optional.ofNullable(milestones.get(milestone));
    }

    public boolean has(Milestone milestone) {
        return milestones.containsKey(milestone);
    }

    public boolean isMarked() {
        return !mark.isEmpty();
    }

    public boolean isAlive() {
        return !stage.isEnd();
    }
}
