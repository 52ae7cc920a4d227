package vividcrown.server.trainer;

import java.util.List;
import org.jspecify.annotations.Nullable;
import vividcrown.core.search.Shows;
import vividcrown.core.trainer.SearchScore;
import vividcrown.server.problem.Refusal;
import vividcrown.server.search.QueenSearchView;
import vividcrown.server.search.SearchAsked;

/**
 * What a search in a made-up hive was worth, step by step.
 *
 * @param points 0–100: what was not thrown away, whatever luck did; of a search that was given up, by as much of it as was done
 * @param lifts done
 * @param best lifts that the best search was to be expected to need from the beginning, by its own reckoning, which errs on the high side
 * @param guide lifts that the guide, with practised eyes, needed in this very hive; left out if it did not find her in sixty
 * @param there looks at a place where she was
 */
public record SearchScoreView(boolean found, int points, int lifts, double best, @Nullable Integer guide, int there,
        List<ScoredStep> steps) {

    /**
     * One comb lifted, or one glance elsewhere.
     *
     * @param odds of each comb, before it was looked at
     * @param name of the place
     * @param shows what it showed, in the order in which its sides were looked at
     * @param chance that she was there at that moment, 0–1
     * @param better where the guide would have gone; left out if that was as good
     * @param betterChance that she was there, 0–1
     * @param lost lifts thrown away by it
     * @param noRoom a comb from the middle of a full box
     * @param missed she was there and was not seen
     * @param say what there is to learn of it
     */
    public record ScoredStep(List<QueenSearchView.CombChance> odds, SearchAsked.PlaceAt place, String name,
            List<Shows> shows, double chance, @Nullable String better, double betterChance, double lost,
            boolean noRoom, boolean missed, String say) {
        static ScoredStep of(SearchScore.Taken step) {
            return new ScoredStep(
                    QueenSearchView.CombChance.of(step.odds()),
                    SearchAsked.PlaceAt.of(step.place()), step.place().sentence().toString(),
                    step.shows(), step.chance(), step.better().map(one -> one.sentence().toString()).orElse(null),
                    step.betterChance(), step.lost(), step.noRoom(), step.missed(), step.sentence().toString());
        }
    }

    static SearchScoreView of(SearchScore score) {
        return new SearchScoreView(score.found(), score.points(), score.lifts(), score.best(),
                score.guide().orElse(null), score.there(), score.steps().stream().map(ScoredStep::of).toList());
    }

    /** @throws Refusal if something cannot have been done, or she was not where she is said to have been found */
    public static SearchScoreView of(SearchDone asked) {
        return of(score(asked));
    }

    static SearchScore score(SearchDone asked) {
        return Refusal.checked(() -> SearchScore.of(asked.hive(), asked.done()), "acts");
    }
}
