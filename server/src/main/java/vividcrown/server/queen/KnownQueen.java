package vividcrown.server.queen;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import vividcrown.core.queen.Stage;

/**
 * As recorded for a queen that was here before the record, or was bought.
 *
 * @param code her code
 * @param name what people call her, may be empty
 * @param breeder a mother to graft from
 * @param mother her mother, if she is known
 * @param emergenceYear year of her colour, 0 if unknown
 * @param line the line she belongs to, if it is known
 */
public record KnownQueen(String code, String name, boolean breeder, @Nullable UUID mother, Stage stage,
        int emergenceYear, @Nullable String line) {
}
