package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Seasons;
import vividcrown.core.season.recipe.RecipeFinder;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.core.solver.Solver;

/** Seasons with too few nucs, in which much hangs on what one order has over for the next. */
class PolishedDraftTest {

    private static final Deadline NO_CLOCK = new Deadline(600);

    private record Costs(double usual, double polished) {
    }

    private static Costs costs(long seed) {
        SeasonBrief brief = Seasons.withNucs(Seasons.random(12, 4, 200, seed), 60);
        SolveWatch watch = SolveWatch.untilInterrupted();
        Drafts.Begun begun = Drafts.of(brief, new RecipeShelf()).begun(Effort.of(4, 0.12, NO_CLOCK), NO_CLOCK, watch)
                .orElseThrow();
        Drafts drafts = begun.drafts();
        Draft usual = drafts.again(drafts.book().of(drafts.there(begun.draft()), RecipeFinder.LATE_BY,
                begun.draft().solution().choices()), begun.draft(), Effort.of(4, 0.3, NO_CLOCK), watch).orElseThrow();
        Draft polished = drafts.polished(usual, Effort.of(4, 0.1, NO_CLOCK), watch).orElseThrow();
        return new Costs(drafts.weighed(usual), drafts.weighed(polished));
    }

    /** It need not be better in each, and only what is better is taken: in some it must be, and much. */
    @Test
    void asked_once_more_knowing_what_is_handed_on_scarce_seasons_come_out_better() {
        Solver.load();
        assertThat(LongStream.of(1, 2, 10, 12).mapToObj(PolishedDraftTest::costs)
                .filter(one -> one.polished() < 0.9 * one.usual())).hasSizeGreaterThanOrEqualTo(2);
    }
}
