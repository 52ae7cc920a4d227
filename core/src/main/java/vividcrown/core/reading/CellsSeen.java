package vividcrown.core.reading;

/**
 * Queen cells of one look in one place.
 *
 * @param count how many, at least 1
 */
public record CellsSeen(CellLook look, CombPlace place, int count) {
    public CellsSeen {
        if (count < 1) {
            throw new IllegalArgumentException("count must be at least 1, but is %d".formatted(count));
        }
    }
}
