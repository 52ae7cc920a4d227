package vividcrown.core.trainer;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Wrong;
import vividcrown.core.search.Next;
import vividcrown.core.search.Place;
import vividcrown.core.search.Search;
import vividcrown.core.search.SearchAct;
import vividcrown.core.search.Shows;
import vividcrown.core.search.Step;

/**
 * What a search in a made-up hive was worth, step by step, against the exact odds and the best that could have been done. Luck does not count: a step is measured by
 * the lifts that were to be expected after it, not by whether she happened to be there.
 *
 * @param steps what was looked at, in the order in which it was done
 * @param found she was seen
 * @param lifts done
 * @param best lifts that the best search was to be expected to need from the beginning
 * @param guide lifts that the guide needed in this very hive, she walking as she walks
 * @param there looks at a side on which she was
 * @param points 0–100: the best search's lifts as a share of them and of what was thrown away; of a search that was given up, by as much of it as was done
 */
public record SearchScore(List<Taken> steps, boolean found, int lifts, double best, Optional<Integer> guide, int there,
        int points) {

    private static final int MOST_ACTS = 120;
    private static final int MOST_GUIDED = 60;
    private static final double ROLLED_BEES = 1;
    private static final int ALL = 100;
    private static final double BY_A_HAIR = 0.05;
    /** One a minute: nobody is asked for more while robbers are about. */
    private static final double LIFTS_WHEN_ROBBED = 4;
    private static final int MISTAKEN_AT_MOST = 1;

    /**
     * One comb lifted, or one glance elsewhere.
     *
     * @param odds for each comb, at that moment, before it was looked at
     * @param place where; of a comb the side that was looked at first
     * @param shows what it showed, side by side
     * @param chance that she was there at that moment, by the exact odds
     * @param better where the guide would have gone; empty if that was as good
     * @param betterChance that she was there
     * @param lost lifts thrown away by going here instead
     * @param noRoom a comb from the middle of a full box
     * @param missed she was there and was not seen
     */
    public record Taken(List<Search.CombChance> odds, Place place, List<Shows> shows, double chance,
            Optional<Step> better,
            double betterChance,
            double lost, boolean noRoom, boolean missed) {
        public Taken {
            odds = List.copyOf(odds);
            shows = List.copyOf(shows);
        }

        /** What it told, and what would have been better. */
        public Sentence sentence() {
            if (missed) {
                return Sentence.of("trainer.step.missed");
            }
            if (noRoom) {
                return Sentence.of("trainer.step.noRoom");
            }
            return better.map(step -> Sentence.of("trainer.step.better", step.sentence(), lost))
                    .orElseGet(() -> Sentence.of("trainer.step.good"));
        }
    }

    public SearchScore {
        steps = List.copyOf(steps);
    }

    /** @throws IllegalArgumentException if something cannot have been done, or she was not where she is said to have been found */
    public static SearchScore of(HiveToSearch hive, List<SearchAct> done) {
        if (done.size() > MOST_ACTS) {
            throw Wrong.of("wrong.trainer.acts", MOST_ACTS);
        }
        // what cannot have been done is refused before anything is reckoned
        hive.search(done);
        boolean found = !done.isEmpty() && done.getLast() instanceof SearchAct.Found;
        if (found && !hive.queenAfter(done).equals(placeOf(done.getLast()).orElseThrow())) {
            throw Wrong.of("wrong.trainer.notThere", placeOf(done.getLast()).orElseThrow().sentence());
        }
        double best = hive.search(List.of()).next().map(Next::lifts).orElse(0.0);
        List<Taken> steps = new ArrayList<>();
        int there = 0;
        int at = 0;
        while (at < done.size()) {
            int until = sameComb(done, at);
            Optional<Place> place = placeOf(done.get(at));
            boolean missed = false;
            for (int act = at; act < until; act++) {
                boolean here = placeOf(done.get(act)).equals(Optional.of(hive.queenAfter(done.subList(0, act + 1))));
                there += here ? 1 : 0;
                missed |= here && done.get(act) instanceof SearchAct.Looked;
            }
            if (place.isPresent()) {
                steps.add(taken(hive, done, at, until, missed));
            }
            at = until;
        }
        double lost = steps.stream().mapToDouble(Taken::lost).sum();
        // who gives up before the time has not searched well, however well it began
        double enough = hive.minutes().isPresent() ? LIFTS_WHEN_ROBBED : best;
        double through = found ? 1 : Math.min(1, steps.size() / enough);
        return new SearchScore(steps, found, steps.size(), best, guided(hive), there,
                (int) Math.round(ALL * through * best / (best + lost)));
    }

    private static Taken taken(HiveToSearch hive, List<SearchAct> done, int from, int until, boolean missed) {
        Search before = hive.search(done.subList(0, from));
        Place place = placeOf(done.get(from)).orElseThrow();
        Next next = before.next().orElseThrow();
        boolean noRoom = !before.hasRoomFor(place);
        double lost = Math.max(0, before.liftsIf(place) - next.lifts()) + (noRoom ? ROLLED_BEES : 0);
        Place better = placeOf(next.step());
        boolean asGood = isSame(place, better) || lost < BY_A_HAIR;
        return new Taken(before.combs(), place,
                done.subList(from, until).stream().map(act -> hive.shows(placeOf(act).orElseThrow()))
                        .toList(),
                chance(before, place), asGood ? Optional.empty() : Optional.of(next.step()),
                chance(before, better), lost, noRoom, missed);
    }

    private static double chance(Search search, Place place) {
        return place instanceof Place.OnComb(int box, int slot, var _)
                ? search.on(box, slot)
                : search.odds().getOrDefault(place, 0.0);
    }

    private static int sameComb(List<SearchAct> done, int from) {
        Optional<Place> first = placeOf(done.get(from));
        int until = from + 1;
        while (until < done.size() && first.isPresent() && placeOf(done.get(until)).isPresent()
                && isSame(first.get(), placeOf(done.get(until)).get())) {
            until++;
        }
        return until;
    }

    private static boolean isSame(Place one, Place other) {
        return one instanceof Place.OnComb(int box, int slot, var _)
                && other instanceof Place.OnComb(int ofBox, int ofSlot, var _)
                        ? box == ofBox && slot == ofSlot
                        : one.equals(other);
    }

    static Optional<Place> placeOf(SearchAct act) {
        return switch (act) {
            case SearchAct.Looked looked -> Optional.of(looked.place());
            case SearchAct.Found there -> Optional.of(there.place());
            case SearchAct.Smoked _,SearchAct.Closed _,SearchAct.Opened _ -> Optional.empty();
        };
    }

    private static Place placeOf(Step step) {
        return switch (step) {
            case Step.Lift lift -> new Place.OnComb(lift.box(), lift.slot(), lift.first());
            case Step.LookAt look -> look.place();
        };
    }

    /** The guide's own search in this hive, with practised eyes. */
    private static Optional<Integer> guided(HiveToSearch hive) {
        List<SearchAct> done = new ArrayList<>();
        for (int lift = 1; lift <= MOST_GUIDED; lift++) {
            Place first = placeOf(hive.search(done).next().orElseThrow().step());
            for (Place place : first instanceof Place.OnComb side ? List.of(side, side.otherSide()) : List.of(first)) {
                done.add(new SearchAct.Looked(place, Shows.NOTHING));
                if (hive.catchesTheEye(done)) {
                    return Optional.of(lift);
                }
            }
        }
        return Optional.empty();
    }

    /**
     * How well it was done.
     *
     * @param beside so many times somebody pointed at another bee
     */
    public Quality quality(int beside) {
        boolean overlooked = steps.stream().anyMatch(Taken::missed);
        if (!found) {
            return points >= 80 && !overlooked ? Quality.NEARLY : points >= 60 ? Quality.WRONG : Quality.NOTHING;
        }
        if (overlooked || points < 60 || beside > MISTAKEN_AT_MOST) {
            return Quality.HARDLY;
        }
        return points >= 85 ? Quality.AT_ONCE : Quality.WELL;
    }
}
