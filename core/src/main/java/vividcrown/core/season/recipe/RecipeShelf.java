package vividcrown.core.season.recipe;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.supply.Grounds;
import vividcrown.core.season.supply.Supply;

/**
 * Recipes from one plan to the next: a season that is asked again with another order, builder or count of what is running finds those that were found before. What
 * they hang on is compared, so that nothing is taken for a season of other chances. Several may ask at once.
 */
public final class RecipeShelf {

    /** Of those asked for last. */
    private static final int MOST_SEASONS = 4;
    /** A season that is turned over all day long begins anew some time: each recipe takes up a few kilobytes with what it was reckoned from. */
    private static final int MOST_RECIPES = 20_000;

    private final Map<Grounds, RecipeBook> books = new LinkedHashMap<>(MOST_SEASONS, 0.75f, true);

    /** The recipes of a season, with all that were found for one of the same grounds. */
    public synchronized RecipeBook book(SeasonBrief brief, List<PromiseGroup> groups) {
        Grounds grounds = Grounds.of(brief);
        RecipeBook book = books.get(grounds);
        if (book == null || book.size() > MOST_RECIPES) {
            book = new RecipeBook(brief, groups, new Supply(brief));
            books.put(grounds, book);
        }
        if (books.size() > MOST_SEASONS) {
            books.remove(books.keySet().iterator().next());
        }
        return book.with(brief, groups);
    }
}
