package vividcrown.server.yard;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import vividcrown.core.rearing.BuilderSchool;

/**
 * As recorded when a builder or nuc is set up.
 *
 * @param code painted on the box
 * @param position place in the yard's row, from 1
 * @param school builders only
 * @param load builders only: cups that it brings up at a time; 30 if not known
 */
public record BoxSetUp(UUID yard, String code, int position, @Nullable BuilderSchool school,
        @Nullable Integer load) {
}
