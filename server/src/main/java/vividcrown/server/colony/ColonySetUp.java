package vividcrown.server.colony;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * As recorded when a colony is set up, or its box changes.
 *
 * @param code painted on the hive
 * @param position place in the yard's row, from 1
 * @param frames frames in the brood box, 1–24
 * @param format name of the frame format
 * @param queen its queen, if she has a record of her own
 * @param droneCombOn the day its drone comb was put in, if it is kept for its drones
 */
public record ColonySetUp(@NotNull UUID yard, @NotBlank String code, @Min(1) int position,
        @Min(1) @Max(24) int frames, @NotBlank String format, @Nullable UUID queen, @Nullable LocalDate droneCombOn) {
}
