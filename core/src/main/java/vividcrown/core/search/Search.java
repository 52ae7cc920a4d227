package vividcrown.core.search;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reason.Wrong;

/**
 * A search for the queen: where she may be after everything that was done so far.
 *
 * <p>Problem: a queen walks while one searches, a look may miss her, and she may not be here at all. Method: Bayes' filter over all places and "not here": the odds
 * before ({@link Prior}) run on with each act ({@link Wandering}), what a side shows moves them ({@link Telling}), a look in vain leaves what it may have missed
 * ({@link Seeing}). No place is ever at nought.
 */
public final class Search {

    private static final double LEAST = 1e-7;
    /** That a side shows what it showed when it was read is news after some weeks only. */
    private static final double NEWS_AFTER_DAYS = 20;
    /** Who shut the hive and waits so long finds little left of where she was not. */
    private static final double SETTLES_MINUTES = 60;
    /** A hole is looked into at each side of its comb. */
    private static final double EACH_SIDE = 0.5;

    private final HiveSearched hive;
    private final Circumstances under;
    private final Ways ways;
    private Looking looking;
    private Telling telling;
    private Standing at;
    private double notHere;
    /** Of looks in vain: how likely the whole search would have missed her, were she here. */
    private double missed = 1;
    private double expected;
    private double minutes;
    private boolean closed;
    private boolean smoked;
    private Optional<Place> found = Optional.empty();
    private final Map<Place, Integer> looks = new HashMap<>();
    private final List<Place> order = new ArrayList<>();
    private final Map<Integer, Shows> shown = new HashMap<>();

    private Search(HiveSearched hive, Circumstances under) {
        this.hive = hive;
        this.under = under;
        this.ways = new Ways(hive, under);
        this.looking = new Looking(hive, ways, under);
        this.telling = new Telling(under);
        this.smoked = under.muchSmoke();
        double[] odds = new Prior(hive, under, ways).odds();
        for (int place = 0; place < odds.length; place++) {
            odds[place] *= hive.chance();
        }
        this.at = looking.begin(odds);
        this.notHere = 1 - hive.chance();
    }

    /**
     * @param acts in the order in which they were done
     * @throws IllegalArgumentException if one cannot be: a place that is not there, found twice, a look into a closed hive
     */
    public static Search after(HiveSearched hive, Circumstances under, List<SearchAct> acts) {
        Search search = new Search(hive, under);
        for (SearchAct act : acts) {
            search.take(act);
        }
        return search;
    }

    // --- queens that are made up -------------------------------------------------------------------------------------

    /** Where a queen may stand before the lid is off, if she is in it at all, drawn from the odds. */
    public static Place drawn(HiveSearched hive, Circumstances under, RandomGenerator luck) {
        return new Search(hive, under).drawn(luck.nextDouble() * hive.chance());
    }

    /**
     * Where a queen who stood somewhere is after some acts, if she walks as the odds have it.
     *
     * @param luck asked once for each act: the same luck, the same way
     */
    public static Place walked(HiveSearched hive, Circumstances under, Place from, List<SearchAct> acts,
            RandomGenerator luck) {
        Search search = new Search(hive, under);
        Place at = from;
        for (SearchAct act : acts) {
            double[] odds = new double[search.ways.size()];
            odds[search.ways.of(at)] = 1;
            search.at = search.at.with(odds);
            switch (act) {
                case SearchAct.Looked looked -> search.passesAt(looked.place(), looked.minutes());
                case SearchAct.Found there -> search.passesAt(there.place(), there.minutes());
                case SearchAct.Smoked _,SearchAct.Closed _,SearchAct.Opened _ -> search.take(act);
            }
            at = search.drawn(luck.nextDouble());
        }
        return at;
    }

    private void passesAt(Place place, Optional<Double> passed) {
        checkPlace(place);
        pass(passed.orElse(usually(place)), Optional.of(place));
    }

    private Place drawn(double draw) {
        double sum = 0;
        for (int place = 0; place < ways.size(); place++) {
            sum += at.odds()[place];
            if (draw < sum) {
                return ways.at(place);
            }
        }
        return ways.at(ways.size() - 1);
    }

    // --- what was done -----------------------------------------------------------------------------------------------

    private void take(SearchAct act) {
        if (found.isPresent() && !(act instanceof SearchAct.Closed)) {
            throw act instanceof SearchAct.Found again && !again.place().equals(found.get())
                    ? Wrong.of("wrong.search.foundTwice", found.get().sentence(), again.place().sentence())
                    : Wrong.of("wrong.search.afterFound", found.get().sentence());
        }
        switch (act) {
            case SearchAct.Looked looked -> look(looked);
            case SearchAct.Found there -> find(there);
            case SearchAct.Smoked much -> smoke(much);
            case SearchAct.Closed shut -> {
                pass(shut.minutes().orElse(0.0), Optional.empty());
                closed = true;
            }
            case SearchAct.Opened open -> {
                closed = false;
                // how long it stands open counts anew
                minutes = 0;
                if (smoked && open.minutes().orElse(0.0) >= SETTLES_MINUTES) {
                    smokes(false);
                }
                // whoever was disturbed has settled by then: she may be anywhere that she usually is
                settled(open.minutes().orElse(0.0));
            }
        }
    }

    private void checkPlace(Place place) {
        if (closed) {
            throw Wrong.of("wrong.search.closed", place.sentence());
        }
        if (!ways.has(place)) {
            throw Wrong.of("wrong.search.noPlace", place.sentence());
        }
    }

    private void look(SearchAct.Looked looked) {
        Place place = looked.place();
        passesAt(place, looked.minutes());
        double[] odds = at.odds().clone();
        if (place instanceof Place.OnComb side && looked.shows() != Shows.NOTHING) {
            tell(odds, side, looked.shows());
        }
        double before = sum(odds);
        double there = odds[ways.of(place)] / (before + notHere);
        double sees = looking.sees(ways.of(place));
        expected += sees * there * (1 - sees) / (1 - there * sees);
        miss(odds, ways.of(place), 1);
        if (place instanceof Place.OnComb(int box, int slot, var _)) {
            Place hole = new Place.InHole(box, slot);
            if (ways.has(hole)) {
                miss(odds, ways.of(hole), EACH_SIDE);
            }
        }
        missed *= sum(odds) / before;
        looks.merge(place, 1, Integer::sum);
        order.add(place);
        settle(odds);
    }

    /** What it showed before counts no more. */
    private void tell(double[] odds, Place.OnComb side, Shows shows) {
        boolean seenToday = shown.containsKey(ways.of(side));
        int days = seenToday ? 0 : hive.readDays();
        Shows before = shown.getOrDefault(ways.of(side), hive.comb(side.box(), side.slot())
                .map(one -> Shows.of(one.on(side.side()))).orElse(Shows.NOTHING));
        double news = before != shows ? 1 : 1 - Math.exp(-days / NEWS_AFTER_DAYS);
        // what stands on a comb tells on which comb she is; hardly whether she is here, or off the combs
        double[] told = odds.clone();
        double boxWas = 0;
        double box = 0;
        double onCombs = 0;
        for (int place = 0; place < odds.length; place++) {
            if (ways.comb(place) != Wandering.NONE) {
                onCombs += odds[place];
                if (ways.isIn(side.box(), place)) {
                    told[place] *= Math.exp(telling.of(shows, 0, side, ways.at(place))
                            - telling.of(before, days, side, ways.at(place)));
                    boxWas += odds[place];
                    box += told[place];
                }
            }
        }
        double likelier = Math.pow(Telling.ofBox(shows),
                news * (shows.isBrood() ? Prior.direction(under.laying()) : 1));
        double now = onCombs + (likelier - 1) * boxWas;
        for (int place = 0; place < odds.length; place++) {
            if (ways.comb(place) != Wandering.NONE) {
                odds[place] = onCombs / now
                        * (ways.isIn(side.box(), place) ? told[place] * likelier * boxWas / box : odds[place]);
            }
        }
        shown.put(ways.of(side), shows);
    }

    private void miss(double[] odds, int place, double share) {
        odds[place] *= 1 - looking.sees(place) * share;
    }

    private void find(SearchAct.Found there) {
        passesAt(there.place(), there.minutes());
        found = Optional.of(there.place());
        expected += looking.sees(ways.of(there.place()));
        double[] odds = new double[ways.size()];
        odds[ways.of(there.place())] = 1;
        at = at.with(odds);
        notHere = 0;
        looks.merge(there.place(), 1, Integer::sum);
        order.add(there.place());
    }

    private void smoke(SearchAct.Smoked much) {
        pass(much.minutes().orElse(0.0), Optional.empty());
        smokes(true);
    }

    private void smokes(boolean much) {
        smoked = much;
        Circumstances now = under.smoked(much);
        looking = new Looking(hive, ways, now);
        telling = new Telling(now);
    }

    private static double usually(Place place) {
        return place instanceof Place.OnComb ? Looking.MINUTES_A_COMB / 2 : Looking.MINUTES_A_GLANCE;
    }

    private void pass(double passed, Optional<Place> looked) {
        minutes += passed;
        if (looked.isPresent() && looked.get() instanceof Place.OnComb(int box, var _, var _)) {
            int comb = ways.comb(ways.of(looked.get()));
            at = at.lifting(box, comb, looking.walked(at, comb, passed));
        } else {
            double[] walked = looking.walked(at, passed);
            at = looked.map(place -> glanced(place, walked)).orElseGet(() -> at.with(walked));
        }
    }

    /** Whoever looks at the walls or at an excluder of a lower box has taken off what stood on it. */
    private Standing glanced(Place place, double[] walked) {
        int reached = switch (place) {
            case Place.Walls(int box) -> box;
            case Place.Excluder(int box) -> box;
            case Place.OnComb(int box, var _, var _) -> box;
            case Place.InHole(int box, var _) -> box;
            case Place.Lid _ -> at.open();
            case Place.Floor _ -> 1;
        };
        return at.glanced(ways.of(place), Math.max(0, at.open() - reached), walked);
    }

    /** In peace she goes where she usually is. */
    private void settled(double passed) {
        double fresh = 1 - Math.exp(-passed / SETTLES_MINUTES);
        double[] usual = new Prior(hive, under.smoked(smoked), ways).odds();
        double here = at.chanceHere();
        double[] odds = at.odds().clone();
        for (int place = 0; place < odds.length; place++) {
            odds[place] = (1 - fresh) * odds[place] + fresh * here * usual[place];
        }
        at = looking.begin(odds);
    }

    private void settle(double[] odds) {
        double floor = LEAST;
        double sum = notHere;
        for (int place = 0; place < odds.length; place++) {
            odds[place] += floor;
            sum += odds[place];
        }
        for (int place = 0; place < odds.length; place++) {
            odds[place] /= sum;
        }
        notHere /= sum;
        at = at.with(odds);
    }

    private static double sum(double[] odds) {
        double sum = 0;
        for (double one : odds) {
            sum += one;
        }
        return sum;
    }

    // --- what it comes to --------------------------------------------------------------------------------------------

    /** The chance of each place; together with {@link #notHere()} 1. */
    public Map<Place, Double> odds() {
        Map<Place, Double> all = new LinkedHashMap<>();
        for (int place = 0; place < ways.size(); place++) {
            all.put(ways.at(place), at.odds()[place]);
        }
        return all;
    }

    /** The chance that she is not in this hive. */
    public double notHere() {
        return notHere;
    }

    /** The chance that this search would have missed her, were she here: how much "not seen" weighs. 1 before the first look. */
    public double missed() {
        return missed;
    }

    /**
     * How often she would have been seen in these looks by the eye that is reckoned with: for each look that saw nothing the chance that she was there all the same.
     */
    double expected() {
        return expected;
    }

    public double minutes() {
        return minutes;
    }

    public Optional<Place> found() {
        return found;
    }

    /** What tells most of the two sides of a comb, as seen today or when it was read. */
    Shows shown(int box, int slot) {
        Shows best = Shows.NOTHING;
        for (FrameSide side : FrameSide.values()) {
            Place.OnComb place = new Place.OnComb(box, slot, side);
            Shows shows = Optional.ofNullable(shown.get(ways.of(place)))
                    .or(() -> hive.comb(box, slot).map(comb -> Shows.of(comb.on(side)))).orElse(Shows.NOTHING);
            if (best == Shows.NOTHING || shows != Shows.NOTHING && shows.compareTo(best) < 0) {
                best = shows;
            }
        }
        return best;
    }

    HiveSearched hive() {
        return hive;
    }

    Circumstances under() {
        return under;
    }

    public boolean isClosed() {
        return closed;
    }

    /** She was smoked heavily, before or while it was searched. */
    public boolean muchSmoke() {
        return smoked;
    }

    /** Looks at each place so far. */
    public Map<Place, Integer> looks() {
        return Map.copyOf(looks);
    }

    /** Combs that stand outside for room. */
    public Set<Place.OnComb> outside() {
        Set<Place.OnComb> all = new HashSet<>();
        for (Place.OnComb side : sides()) {
            if (side.side() == FrameSide.NEAR && at.out().get(ways.comb(ways.of(side)))) {
                all.add(side);
            }
        }
        return all;
    }

    /** How many times through all combs the looks so far would reach: sides that were looked over, for each side that a queen can get to. */
    public double passes() {
        long sides = sides().stream().filter(side -> !hive.isAboveExcluder(side.box())).count();
        return (double) sides().stream().mapToInt(side -> looks.getOrDefault(side, 0)).sum() / sides;
    }

    /** Sides of combs that nobody has looked over. */
    public List<Place.OnComb> unsearched() {
        return sides().stream().filter(side -> !looks.containsKey(side)).toList();
    }

    private List<Place.OnComb> sides() {
        return hive.places().stream().filter(Place.OnComb.class::isInstance).map(Place.OnComb.class::cast).toList();
    }

    /** Both sides of a comb were looked over in vain, and nothing but it since. */
    public boolean isJustSearched(int box, int slot) {
        Set<Place> sides = new HashSet<>();
        for (int nth = order.size() - 1; nth >= 0; nth--) {
            if (!(order.get(nth) instanceof Place.OnComb side) || side.box() != box || side.slot() != slot) {
                break;
            }
            sides.add(side);
        }
        return found.isEmpty() && sides.size() == FrameSide.values().length;
    }

    /** The chance that she is on a comb now. */
    public double on(int box, int slot) {
        return odds().entrySet().stream().filter(one -> switch (one.getKey()) {
            case Place.OnComb(int of, int at, var _) -> of == box && at == slot;
            case Place.InHole(int of, int at) -> of == box && at == slot;
            case Place.Lid _,Place.Walls _,Place.Excluder _,Place.Floor _ -> false;
        }).mapToDouble(Map.Entry::getValue).sum();
    }

    /** The chance to see her there in one attentive look, if she is there, 0–1. */
    public double sees(Place place) {
        return looking.sees(ways.of(place));
    }

    /**
     * Lifts to be expected until she is found, if she is here, that place is looked at next and the search goes on from there as well as it can. As many as {@link
     * #next()} says for the best of them.
     *
     * @throws IllegalArgumentException if there is no such place, or she was found, or the hive is closed
     */
    public double liftsIf(Place place) {
        checkPlace(place);
        if (found.isPresent()) {
            throw Wrong.of("wrong.search.afterFound", found.get().sentence());
        }
        return new NextStep(looking, ways.size()).lifts(at, looking.at(ways.of(place)));
    }

    /** In a box without room a comb from the middle cannot be lifted without rolling bees. */
    public boolean hasRoomFor(Place place) {
        return Looking.hasRoomFor(at, looking.at(ways.of(place)));
    }

    /** @param chance that she is on it now, 0–1 */
    public record CombChance(int box, int slot, double chance) {
    }

    /** Each comb, from the bottom box up. */
    public List<CombChance> combs() {
        return sides().stream().filter(side -> side.side() == FrameSide.NEAR)
                .map(comb -> new CombChance(comb.box(), comb.slot(), on(comb.box(), comb.slot()))).toList();
    }

    /** What to do next; empty once she is found or the hive is closed. */
    public Optional<Next> next() {
        return found.isPresent() || closed
                ? Optional.empty()
                : Optional.of(new NextStep(looking, ways.size()).best(at));
    }

    /** So many steps one after the other as long as nothing is seen that is not known; empty once she is found or the hive is closed. */
    public List<Step> order(int most) {
        return found.isPresent() || closed ? List.of() : new NextStep(looking, ways.size()).order(at, most);
    }
}
