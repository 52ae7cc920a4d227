package vividcrown.server.reckon;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import org.jspecify.annotations.Nullable;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CellsSeen;
import vividcrown.core.reading.CombPlace;

/**
 * Queen cells of one look in one place.
 *
 * @param look how far they have come
 * @param place where on the comb; leave out if not recorded
 * @param count how many, 1–200; 1 if left out
 */
public record CellsInput(@NotNull CellLook look, @Nullable CombPlace place,
        @Nullable @Min(1) @Max(200) Integer count) {

    CellsSeen cells() {
        return new CellsSeen(look, place == null ? CombPlace.NOT_RECORDED : place, count == null ? 1 : count);
    }
}
