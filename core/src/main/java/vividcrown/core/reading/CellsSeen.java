package vividcrown.core.reading;

import vividcrown.core.reason.Wrong;

/**
 * Queen cells of one look in one place.
 *
 * @param count how many, at least 1
 */
public record CellsSeen(CellLook look, CombPlace place, int count) {
    public CellsSeen {
        if (count < 1) {
            throw Wrong.of("wrong.CellsSeen", count);
        }
    }
}
