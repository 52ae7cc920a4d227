package vividcrown.core.season.recipe;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.demand.Product;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.demand.PromiseGroup;
import vividcrown.core.season.supply.GraftsNeeded;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.season.supply.Yield;

/**
 * Finds the ways to meet a group of demands: one graft day, two, or a row of evenly spaced ones, the cups shared out
 * evenly over them. For each, the smallest number of cups that meets the demand with the assurance wanted, from the
 * exact distribution; so whatever the optimiser chooses holds with that probability.
 */
public final class RecipeFinder {

    public static final List<Integer> LATE_BY = List.of(0, 3, 7, 14);
    public static final List<Integer> MUCH_LATER = List.of(28, 42, 56);
    /** Where the wanted assurance cannot be had, less is better than nothing. */
    private static final List<Double> AT_RISK = List.of(0.8, 0.5);
    private static final int MOST_PAIRS_APART_DAYS = 8;
    private static final int MOST_DAYS = 6;
    /** Of each kind only the cheapest are offered: the others tie up nucs longer for nothing. */
    private static final int SINGLES_IN_TIME = 14;
    private static final int PAIRS_IN_TIME = 24;
    private static final int FALLBACKS = 5;
    /** Earlier grafts tie up nucs for weeks and are hardly surer. */
    private static final int EARLIEST_DAYS_BEFORE = 15;
    /** Of the grafts that would do on average: about what nine in ten asks for. */
    private static final double FIRST_GUESS = 1.25;
    /** With so many times fewer than would do on average, not even an even chance is left. */
    private static final double HOPELESS = 1.3;

    private final SeasonBrief brief;
    private final Supply supply;
    private final Function<PromiseGroup, Yield> there;
    private final int cupsADay;
    private final Map<Asked, Optional<Recipe>> known;
    /** How many times the cups that would do on average the last of its like wanted: a guess for the next. */
    private final Map<Alike, Double> surer = new ConcurrentHashMap<>();

    /** All that the number of cups hangs on, beside the supply. */
    record Asked(Product product, Optional<String> line, int count, Yield base, LocalDate delivery, int delay,
            List<LocalDate> days,
            double assurance, int most) {
    }

    /** Recipes that want about the same more cups than would do on average. */
    private record Alike(int count, double assurance, int days) {
    }

    /** @param there what a group has without any graft */
    public RecipeFinder(SeasonBrief brief, Supply supply, Function<PromiseGroup, Yield> there) {
        this(brief, supply, there, new ConcurrentHashMap<>());
    }

    /**
     * @param there what a group has without any graft
     * @param known what was found before for the same supply: what is found is added to it
     */
    RecipeFinder(SeasonBrief brief, Supply supply, Function<PromiseGroup, Yield> there,
            Map<Asked, Optional<Recipe>> known) {
        this.brief = brief;
        this.supply = supply;
        this.there = there;
        this.known = known;
        this.cupsADay = brief.means().builders().stream().mapToInt(CellBuilder::load).sum();
    }

    /**
     * All ways for one group, those in time first; empty if not even a late or risky one is left.
     *
     * @param kept a recipe that was taken before: grafting on its days is among the ways whatever it costs
     */
    public List<Recipe> of(PromiseGroup group, List<Integer> delays, Optional<Recipe> kept) {
        List<Recipe> recipes = new ArrayList<>(ways(group, delays));
        kept.filter(before -> !before.grafts().isEmpty() && recipes.stream().noneMatch(before::isLike))
                .flatMap(before -> recipe(group,
                        there.apply(group), before.delivery(), before.daysLate(),
                        before.grafts().stream().map(Recipe.Graft::day).toList(), before.assurance()))
                .ifPresent(recipes::add);
        return recipes;
    }

    private List<Recipe> ways(PromiseGroup group, List<Integer> delays) {
        Yield base = there.apply(group);
        if (base.atLeast(group.count()) >= group.assurance()) {
            LocalDate day = deliveryDay(group, 0).orElseGet(() -> brief.means().crew().firstWorkdayFrom(group.until()));
            return List.of(new Recipe(List.of(), day, (int) Math.max(0, ChronoUnit.DAYS.between(group.until(), day)),
                    group.assurance(), base.atLeast(group.count()), 0));
        }
        List<Recipe> recipes = new ArrayList<>();
        for (int delay : delays) {
            Optional<LocalDate> day = deliveryDay(group, delay);
            if (day.isEmpty()) {
                continue;
            }
            LocalDate delivery = day.get();
            List<LocalDate> days = graftDays(group, delivery, delay);
            recipes.addAll(atAssurance(group, base, delivery, delay, days, group.assurance(), delay == 0));
            if (delay <= 7) {
                AT_RISK.stream().filter(less -> less < group.assurance() - 0.01)
                        .forEach(less -> recipes.addAll(atAssurance(group, base, delivery, delay, days, less, false)));
            }
        }
        return recipes;
    }

    /** Empty where nobody works on any day that is wanted: nothing is handed over before its time. */
    private Optional<LocalDate> deliveryDay(PromiseGroup group, int delay) {
        return Optional.of(brief.means().crew().lastWorkdayUntil(group.until().plusDays(delay)))
                .filter(day -> !day.isBefore(group.from()));
    }

    /** The days on which a graft gives this product for that delivery, the latest first: those tie up the least. */
    private List<LocalDate> graftDays(PromiseGroup group, LocalDate delivery, int delay) {
        int soonest = supply.soonest(group.product());
        int longest = supply.longest(group.product());
        // ripe cells are handed over on the day they are ripe, which may be any day of the window
        LocalDate first = group.product() == Product.RIPE_CELLS
                ? group.from().plusDays(delay).minusDays(soonest)
                : delivery.minusDays(Math.min(longest, soonest + EARLIEST_DAYS_BEFORE));
        LocalDate last = delivery.minusDays(soonest);
        List<LocalDate> days = new ArrayList<>();
        for (LocalDate day = last; !day.isBefore(first); day = day.minusDays(1)) {
            if (brief.isGraftDay(day) && dronesFly(group, day)) {
                days.add(day);
            }
        }
        return days;
    }

    /** If drone colonies are named, one must have ripe drones for the first flights, or be given comb in time. */
    private boolean dronesFly(PromiseGroup group, LocalDate graft) {
        if (brief.drones().colonies().isEmpty() || group.product() == Product.RIPE_CELLS
                || group.product() == Product.VIRGINS) {
            return true;
        }
        LocalDate flights = graft.plusDays(brief.flightsAfter());
        LocalDate soonest = brief.today()
                .plusDays(brief.expected().assumptions().span(Figure.DRONE_LEAD).earliestDay());
        return brief.drones().colonies().stream().anyMatch(drone -> !drone.matureFrom().isAfter(flights))
                || !brief.drones().mothers().isEmpty() && !soonest.isAfter(flights);
    }

    private List<Recipe> atAssurance(PromiseGroup group, Yield base, LocalDate delivery, int delay,
            List<LocalDate> days, double assurance, boolean wanted) {
        List<Recipe> singles = new ArrayList<>();
        List<LocalDate> tried = wanted ? days : thinned(days);
        for (LocalDate day : tried) {
            recipe(group, base, delivery, delay, List.of(day), assurance)
                    .filter(one -> one.cups() <= cupsADay).ifPresent(singles::add);
        }
        List<Recipe> recipes = cheapest(singles, wanted ? SINGLES_IN_TIME : FALLBACKS);
        if (wanted || recipes.isEmpty()) {
            List<Recipe> pairs = new ArrayList<>();
            for (int one = 0; one < tried.size(); one++) {
                for (int two = one + 1; two < tried.size(); two++) {
                    LocalDate late = tried.get(one);
                    LocalDate early = tried.get(two);
                    if (ChronoUnit.DAYS.between(early, late) <= MOST_PAIRS_APART_DAYS) {
                        recipe(group, base, delivery, delay, List.of(early, late), assurance)
                                .filter(both -> both.cups() <= 2 * cupsADay).ifPresent(pairs::add);
                    }
                }
            }
            recipes.addAll(cheapest(pairs, wanted ? PAIRS_IN_TIME : FALLBACKS));
        }
        if (recipes.isEmpty()) {
            recipes.addAll(cheapest(rows(group, base, delivery, delay, days, assurance), PAIRS_IN_TIME));
        }
        return recipes;
    }

    /** A few days spread over all of them, for what is only a fallback. */
    private static List<LocalDate> thinned(List<LocalDate> days) {
        int apart = Math.max(1, Math.ceilDiv(days.size(), FALLBACKS));
        return IntStream.range(0, days.size()).filter(index -> index % apart == 0).mapToObj(days::get).toList();
    }

    /** And those that graft on a day that is fixed: the box is loaded then anyway, perhaps with cups to spare. */
    private List<Recipe> cheapest(List<Recipe> recipes, int most) {
        List<Recipe> sorted = recipes.stream().sorted(Comparator.comparingInt(Recipe::minutes)).toList();
        List<Recipe> taken = new ArrayList<>(sorted.subList(0, Math.min(most, sorted.size())));
        sorted.stream().skip(taken.size()).filter(this::isOnFixedDay).limit(most).forEach(taken::add);
        return taken;
    }

    private boolean isOnFixedDay(Recipe recipe) {
        return recipe.grafts().stream()
                .anyMatch(graft -> brief.underway().locks().stream().anyMatch(lock -> lock.day().equals(graft.day())));
    }

    /** Three to six evenly spaced days, for what is too much for two. */
    private List<Recipe> rows(PromiseGroup group, Yield base, LocalDate delivery, int delay, List<LocalDate> days,
            double assurance) {
        List<Recipe> recipes = new ArrayList<>();
        for (int many = 3; many <= MOST_DAYS && recipes.isEmpty(); many++) {
            int length = many;
            for (int apart = 1; (many - 1) * apart < days.size(); apart++) {
                for (int start = 0; start + (many - 1) * apart < days.size(); start++) {
                    int first = start;
                    int step = apart;
                    List<LocalDate> row = IntStream.range(0, length).mapToObj(index -> days.get(first + index * step))
                            .sorted().toList();
                    recipe(group, base, delivery, delay, row, assurance)
                            .filter(one -> one.cups() <= cupsADay * length).ifPresent(recipes::add);
                }
            }
        }
        return recipes;
    }

    /** The smallest number of cups on these days; empty if not even the most would do. */
    private Optional<Recipe> recipe(PromiseGroup group, Yield base, LocalDate delivery, int delay,
            List<LocalDate> days, double assurance) {
        // more than all builders bring up on these days is no recipe, whatever it would yield
        int most = Math.min(GraftsNeeded.MOST_GRAFTS, cupsADay * days.size());
        return known.computeIfAbsent(
                new Asked(group.product(), group.line(), group.count(), base, delivery, delay, days, assurance, most),
                _ -> smallest(group, base, delivery, delay, days, assurance, most));
    }

    private Optional<Recipe> smallest(PromiseGroup group, Yield base, LocalDate delivery, int delay,
            List<LocalDate> days, double assurance, int most) {
        double through = supply.through(group.product(), Supply.Virgins.of(group), days.getFirst(),
                handedOverOn(group, delivery, days.getFirst()));
        boolean hopeless = assurance >= 0.5
                && (group.count() - base.mean()) / Math.max(0.001, through) > most * HOPELESS;
        if (hopeless) {
            return Optional.empty();
        }
        double onAverage = Math.max(1, (group.count() - base.mean()) / Math.max(0.01, through));
        Alike alike = new Alike(group.count(), assurance, days.size());
        int guess = (int) Math.clamp(Math.round(onAverage * surer.getOrDefault(alike, FIRST_GUESS)), 1, most);
        Optional<Integer> least = least(guess, most,
                cups -> chance(group, base, delivery, days, cups) >= assurance);
        if (least.isEmpty()) {
            return Optional.empty();
        }
        int enough = least.get();
        surer.put(alike, enough / onAverage);
        List<Recipe.Graft> grafts = new ArrayList<>();
        for (int index = 0; index < days.size(); index++) {
            int cups = share(enough, days.size(), index);
            if (cups > 0) {
                grafts.add(new Recipe.Graft(days.get(index), cups,
                        supply.ripeOnAverage(days.get(index), cups, supply.usual())));
            }
        }
        grafts.sort(Comparator.comparing(Recipe.Graft::day));
        LocalDate handedOver = handedOverOn(group, delivery, grafts.getLast().day());
        return Optional.of(new Recipe(grafts, handedOver, delay, assurance,
                chance(group, base, delivery, days, enough), minutes(group, handedOver, grafts)));
    }

    /** The smallest number that will do, if all larger ones do and none smaller: sought in ever longer steps from a guess; empty if the most does not do. */
    private static Optional<Integer> least(int guess, int most, IntPredicate willDo) {
        int tooFew = 0;
        int enough = most + 1;
        int tried = guess;
        for (int step = 1; enough - tooFew > 1; step *= 2) {
            if (willDo.test(tried)) {
                enough = tried;
            } else {
                tooFew = tried;
            }
            boolean between = tooFew > 0 && enough <= most;
            int next = enough <= most ? enough - step : tooFew + step;
            tried = between ? (tooFew + enough) / 2 : Math.clamp(next, 1, most);
        }
        return enough <= most ? Optional.of(enough) : Optional.empty();
    }

    private double chance(PromiseGroup group, Yield base, LocalDate delivery, List<LocalDate> days, int cups) {
        Yield all = base;
        for (int index = 0; index < days.size() - 1; index++) {
            all = all.plus(ofDay(group, delivery, days, index, cups));
        }
        return all.atLeast(group.count(), ofDay(group, delivery, days, days.size() - 1, cups));
    }

    private Yield ofDay(PromiseGroup group, LocalDate delivery, List<LocalDate> days, int index, int cups) {
        LocalDate day = days.get(index);
        return supply.yield(group.product(), Supply.Virgins.of(group), day, handedOverOn(group, delivery, day),
                share(cups, days.size(), index));
    }

    /** Ripe cells are handed over as they ripen, all else on the day of delivery. */
    private LocalDate handedOverOn(PromiseGroup group, LocalDate delivery, LocalDate graft) {
        return group.product() == Product.RIPE_CELLS
                ? graft.plusDays(supply.soonest(Product.RIPE_CELLS))
                : delivery;
    }

    static int share(int cups, int days, int index) {
        return cups / days + (index < cups % days ? 1 : 0);
    }

    private int minutes(PromiseGroup group, LocalDate delivery, List<Recipe.Graft> grafts) {
        int minutes = 0;
        for (Recipe.Graft graft : grafts) {
            minutes += graft.cups() * WorkTime.GRAFT_A_CUP;
            minutes += switch (group.product()) {
                case RIPE_CELLS -> 0;
                case VIRGINS -> (int) Math.round(graft.placed() * WorkTime.CAGE_A_CELL);
                case LAYING_QUEENS, MATED_QUEENS, JUDGED_QUEENS, NUCS_WITH_QUEEN -> {
                    long nucDays = ChronoUnit.DAYS.between(graft.day(), delivery) - brief.ripeAfter();
                    yield (int) Math.round(graft.placed() * (WorkTime.PLACE_A_CELL + WorkTime.VISIT_A_NUC
                            + nucDays * brief.expected().worth().nucDay()));
                }
            };
        }
        return minutes + group.count() * WorkTime.CATCH_A_QUEEN;
    }
}
