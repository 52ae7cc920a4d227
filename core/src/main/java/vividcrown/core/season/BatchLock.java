package vividcrown.core.season;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A graft that is to stay as it is.
 *
 * @param cups 1–45
 * @param line whose larvae, if that is fixed too
 */
public record BatchLock(String builder, LocalDate day, int cups, Optional<String> line) {
}
