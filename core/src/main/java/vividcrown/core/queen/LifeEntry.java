package vividcrown.core.queen;

import java.time.LocalDate;
import java.util.UUID;

/**
 * One entry of a queen's record, as it stands after corrections.
 *
 * @param id the journal's id
 * @param day when it happened
 * @param sequence orders entries of the same day
 * @param event what was seen or done
 */
public record LifeEntry(UUID id, LocalDate day, long sequence, QueenEvent event) {
}
