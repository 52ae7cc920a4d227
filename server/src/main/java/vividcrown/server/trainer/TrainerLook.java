package vividcrown.server.trainer;

import java.util.List;
import org.jspecify.annotations.Nullable;
import vividcrown.core.reason.Sentence;
import vividcrown.core.search.Place;
import vividcrown.core.search.SearchAct;
import vividcrown.core.search.Shows;
import vividcrown.core.trainer.HiveToSearch;
import vividcrown.server.problem.Refusal;

/**
 * What is seen at the last place that was looked at.
 *
 * @param rows of the side of a comb, a letter a cell, every second row half a cell to the right: . empty, o polished, e an egg, E several eggs, w eggs on the
 *        wall, l young and L old larvae, s sealed, D domed caps, m workers coming out, p pollen, n nectar, h sealed honey, x sunken caps, q discoloured larvae, c
 *        mummies; left out where there is no comb
 * @param shows by its largest part
 * @param said the same in words
 * @param bees share that bees cover densely, 0–1.5
 * @param queen where she stands on it; left out if she is elsewhere
 * @param noticed practised eyes would see her now: for whoever is told instead of shown
 */
public record TrainerLook(@Nullable List<String> rows, Shows shows, List<String> said, double bees,
        @Nullable QueenStand queen, boolean noticed) {

    /** @param across 0 at the left, 1 at the right @param down 0 at the top, 1 at the bottom */
    public record QueenStand(double across, double down) {
    }

    /** @throws Refusal if something cannot have been done, or nothing was looked at last */
    public static TrainerLook of(SearchDone asked) {
        HiveToSearch hive = asked.hive();
        List<SearchAct> done = asked.done();
        if (done.isEmpty() || !(done.getLast() instanceof SearchAct.Looked(Place place, var _, var _))) {
            throw Refusal.invalid("acts", Sentence.of("refusal.trainer.lookLast"));
        }
        return Refusal.checked(() -> {
            // an act that cannot be is refused before anything is shown
            hive.search(done);
            QueenStand queen = hive.stands(done).map(at -> new QueenStand(at.across(), at.down())).orElse(null);
            boolean comb = place instanceof Place.OnComb;
            return new TrainerLook(comb ? hive.picture((Place.OnComb) place).rows() : null, hive.shows(place),
                    comb
                            ? hive.picture((Place.OnComb) place).said().stream().map(Object::toString).toList()
                            : List.of(place.sentence().toString()),
                    hive.bees(place), queen, hive.catchesTheEye(done));
        }, "acts");
    }
}
