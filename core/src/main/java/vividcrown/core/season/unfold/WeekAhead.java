package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IntSummaryStatistics;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.Circumstance;
import vividcrown.core.odds.LossStep;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.season.Means;
import vividcrown.core.season.PlannedBatch;
import vividcrown.core.season.RunningBatch;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.Underway;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.mating.Lot;
import vividcrown.core.season.mating.YardChoice;
import vividcrown.core.season.supply.Supply;
import vividcrown.core.season.supply.Yield;

/**
 * What to graft and to place in the week ahead, and why that many; what comes after depends on what is counted until then, and is told as an if.
 *
 * @param steps grafts and placings by day
 * @param orders how each order stands
 * @param notes what stands in the way
 */
public record WeekAhead(List<Step> steps, List<Standing> orders, List<Reason> notes) {

    private static final int DRAWS = 256;
    private static final int DAYS = 7;
    /** With less chance of mating weather a virgin started is a gamble. */
    private static final double SENSIBLE = 0.8;
    /** Cups more or fewer: with less the takes change nothing. */
    private static final int WORTH_SAYING = 3;
    /** After the first day on which a queen can be had she is caught, on average. */
    private static final int CAUGHT_AFTER_DAYS = 4;
    private static final double FEW = 0.05;
    private static final double MANY = 0.95;

    public WeekAhead {
        steps = List.copyOf(steps);
        orders = List.copyOf(orders);
        notes = List.copyOf(notes);
    }

    /** Something to do, on a day. */
    public sealed interface Step {
        LocalDate day();

        List<Reason> reasons();
    }

    /**
     * @param place of its ripe cells that somebody is to get, on average all
     * @param ifs how many more or fewer by what is counted before; empty for what is sure already
     */
    public record Grafts(LocalDate day, SupplyKind kind, Optional<String> line, int cups, int place, List<If> ifs,
            List<Reason> reasons) implements Step {
        public Grafts {
            ifs = List.copyOf(ifs);
            reasons = List.copyOf(reasons);
        }
    }

    /**
     * Ripe cells of a batch.
     *
     * @param ripe that are expected, or counted
     * @param place that are worth a nuc
     * @param over that nobody is to get, however many nucs there are: to be sold in time, or culled
     * @param at of those that are placed, how many at which yard; empty if nobody asks where
     */
    public record Places(LocalDate day, String batch, int ripe, int place, int over, List<PlannedBatch.At> at,
            List<Reason> reasons) implements Step {
        public Places {
            at = List.copyOf(at);
            reasons = List.copyOf(reasons);
        }
    }

    /**
     * Queens that are there for an order of today which they do not make whole.
     *
     * @param there of those that are missing of it, so many
     * @param give so many are handed over today; the rest is kept
     * @param others orders that are whole, or nearer to it, by what is kept
     */
    public record KeepsBack(LocalDate day, Demand demand, int there, int give, List<String> others,
            List<Reason> reasons) implements Step {
        public KeepsBack {
            others = List.copyOf(others);
            reasons = List.copyOf(reasons);
        }
    }

    /** @param takes of the graft before, at most @param cups then */
    public record If(int takes, int cups) {
    }

    /**
     * @param ifNothingMore chance of the whole number in time if nothing more is grafted and whoever is late by then gets what others leave, 0–1
     * @param helpsUntil last day on which a graft still helps; empty if none does
     */
    public record Standing(Demand demand, double ifNothingMore, Optional<LocalDate> helpsUntil) {
    }

    /** @throws IllegalArgumentException if it is senseless to plan; see {@link SeasonBrief#refuse()} */
    public static WeekAhead of(SeasonBrief brief) {
        brief.refuse();
        return new Reckoning(brief).week();
    }

    private static final class Reckoning {
        private final SeasonBrief brief;
        private final Supply supply;
        private final List<Stock> stocks;
        private final List<Step> steps = new ArrayList<>();
        private final List<Reason> notes = new ArrayList<>();
        private final FreeBuilders builders;
        private final GraftDays days;
        private final Timing timing;
        private final List<Wanted> orders;
        private final long seed;
        /** Of each graft day: the same whenever it is asked for, so that only what is chosen tells one reckoning from another. */
        private final Map<LocalDate, double[][]> luck = new HashMap<>();

        Reckoning(SeasonBrief brief) {
            this.brief = brief;
            this.supply = new Supply(brief);
            this.builders = new FreeBuilders(brief.means().builders());
            this.timing = new Timing(brief, supply);
            this.days = GraftDays.of(timing);
            this.orders = timing.ordersAndLater();
            this.stocks = new ArrayList<>(Stocks.of(brief));
            this.seed = brief.today().toEpochDay();
        }

        WeekAhead week() {
            List<Standing> standings = standings();
            placings();
            Map<Optional<String>, Stock> before = new HashMap<>();
            motherless();
            brief.today().datesUntil(brief.today().plusDays(DAYS)).filter(brief::isGraftDay)
                    .filter(day -> days.next(day, builders).containsKey(SupplyKind.QUEENS)).findFirst()
                    .ifPresent(this::stopsQueens);
            for (LocalDate day = brief.today(); day.isBefore(brief.today().plusDays(DAYS)); day = day.plusDays(1)) {
                if (brief.isGraftDay(day)) {
                    graftOn(day, before);
                }
            }
            shortOfCells();
            steps.sort(Comparator.comparing(Step::day));
            return new WeekAhead(steps, standings, notes);
        }

        /** A line that is asked for and of which there is no mother. */
        private void motherless() {
            brief.demands().stream().filter(one -> !timing.hasMother(one.line()))
                    .forEach(one -> notes.add(Reason.of(Source.derived("the mothers given"), "week.noMother", one.id(),
                            one.line().orElseThrow())));
        }

        /** Queens are not grafted for nothing: what stands in the way of those that are missing on their next graft day is said. */
        private void stopsQueens(LocalDate day) {
            Ahead ahead = ahead(day, stocks);
            List<Wanted> reached = orders.stream()
                    .filter(one -> one.kind() == SupplyKind.QUEENS && timing.reaches(one, day)).toList();
            double missing = missing(ahead, reached);
            if (Math.round(missing) == 0) {
                return;
            }
            double weather = supply.matingWeather(day);
            if (weather < SENSIBLE) {
                notes.add(Reason.of(Source.derived("chance of two fit afternoons, emergence + 5 to + 21"),
                        "week.noMating", day, Math.round(100 * weather) + " %", Math.round(missing)));
            }
            double cups = missing / supply.through(Product.MATED_QUEENS,
                    Supply.Virgins.of(Optional.empty(), (int) Math.ceil(missing)), day,
                    timing.mostBy(Product.MATED_QUEENS, day));
            int kept = Math.min(ahead.keptForCells(), builders.cups(day));
            int free = builders.cups(day) - kept;
            if (weather >= SENSIBLE && free < cups && (free > 0 || kept == 0)) {
                notes.add(Reason.of(Source.derived("loads of the builders that are free"), "week.buildersShort", day,
                        free, Math.round(missing), Math.round(cups)));
            }
            if (weather >= SENSIBLE && free < cups && kept > 0) {
                notes.add(Reason.of(Source.COMMON_PRACTICE, "week.keptForCells", day, kept));
            }
            LocalDate ripeOn = day.plusDays(brief.ripeAfter());
            int nucs = brief.means().freeNucs(ripeOn);
            if (nucs < missing) {
                LocalDate next = Objects.requireNonNull(days.next(day, builders).get(SupplyKind.QUEENS));
                boolean late = missing(ahead,
                        reached.stream().filter(one -> !timing.helpsStill(one, next)).toList()) > nucs;
                notes.add(Reason.of(Source.derived("nucs less those that are taken by then"),
                        late ? "week.nucsShort" : "week.nucsFewer", ripeOn, nucs, Math.round(missing)));
            }
        }

        /** Cells and virgins of which too few are grafted until nothing helps them any more: no later graft makes up for it, as one does for queens. */
        private void shortOfCells() {
            CellsFirst first = new CellsFirst(timing);
            Ahead ahead = ahead(brief.today(), stocks);
            first.theirs(orders).forEach(order -> {
                long missing = Math.round(ahead.missing(order.demand()));
                first.lastGraft(order)
                        .filter(last -> missing > 0 && last.isBefore(brief.today().plusDays(DAYS)))
                        .ifPresent(last -> notes.add(Reason.of(Source.derived("loads of the builders that are free"),
                                "week.cellsShort", order.demand().id(), last, missing, order.demand().count())));
            });
        }

        private static double missing(Ahead ahead, List<Wanted> orders) {
            return orders.stream().map(Wanted::demand).distinct().mapToDouble(ahead::missing).sum();
        }

        private List<Standing> standings() {
            WhoIsServed served = WhoIsServed.of(brief, supply, stocks, this::draws,
                    days.nextForQueens(brief.today(), builders));
            steps.addAll(served.keptBack());
            notes.addAll(served.behind());
            Map<String, Double> chances = served.chances();
            return brief.demands().stream().map(demand -> {
                Wanted order = timing.wanted(demand);
                Optional<LocalDate> last = Optional.empty();
                for (LocalDate day = order.day().minusDays(supply.soonest(demand.product())); last.isEmpty()
                        && !day.isBefore(brief.today()); day = day.minusDays(1)) {
                    last = brief.isGraftDay(day) && timing.helpsStill(order, day) ? Optional.of(day) : last;
                }
                return new Standing(demand, chances.getOrDefault(demand.id(), 0.0), last);
            }).toList();
        }

        /** @param before what was grafted for queens before this day of the week, by line */
        private void graftOn(LocalDate day, Map<Optional<String>, Stock> before) {
            List<Stock> known = List.copyOf(stocks);
            List<Ahead.Graft> chosen = new ArrayList<>(chosen(day, known));
            if (days.next(day, builders).containsKey(SupplyKind.QUEENS)) {
                // what is nothing by what is usual may be wanted if few take
                before.keySet().stream().map(Reckoning::nothing)
                        .filter(none -> chosen.stream().noneMatch(none::isLike)).toList().forEach(chosen::add);
            }
            int loaded = 0;
            for (Ahead.Graft graft : chosen) {
                List<Then> thens = graft.kind() == SupplyKind.QUEENS && before.containsKey(graft.line())
                        ? thens(day, known, Objects.requireNonNull(before.get(graft.line())), graft)
                        : List.of();
                IntSummaryStatistics range = thens.stream().mapToInt(one -> one.graft().cups()).summaryStatistics();
                Ahead.Graft usual = thens.isEmpty() ? graft : thens.get(thens.size() / 2).graft();
                if (usual.cups() == 0 && range.getMax() <= 0) {
                    continue;
                }
                boolean hangsOnIt = !thens.isEmpty() && range.getMax() - range.getMin() >= WORTH_SAYING;
                steps.add(new Grafts(day, graft.kind(), graft.line(), usual.cups(), usual.place(),
                        hangsOnIt
                                ? thens.stream().map(one -> new If(one.takes(), one.graft().cups())).toList()
                                : List.of(),
                        why(day, usual, known)));
                Stock stock = new Stock(new RunningBatch(day + " " + graft.kind() + graft.line().orElse(""),
                        graft.line(), day, usual.cups(), List.of(), supply.usual(graft.line())), graft.kind(),
                        usual.place(), true);
                stocks.add(stock);
                loaded += usual.cups();
                if (graft.kind() == SupplyKind.QUEENS) {
                    before.put(graft.line(), stock);
                }
            }
            builders.load(day, loaded);
        }

        private static Ahead.Graft nothing(Optional<String> line) {
            return new Ahead.Graft(line, SupplyKind.QUEENS, 0, 0);
        }

        private List<Ahead.Graft> chosen(LocalDate day, List<Stock> with) {
            return ahead(day, with).grafts(days.next(day, builders),
                    builders.cups(day), builders.usualLoad());
        }

        /** The season as it is asked on a day of the week, with what lives then. */
        private Ahead ahead(LocalDate day, List<Stock> with) {
            SeasonBrief then = new SeasonBrief(day, brief.until(), brief.demands(), brief.means(), brief.drones(),
                    Underway.NOTHING, brief.expected());
            return new Ahead(then, supply, orders, with, draws());
        }

        private Draws draws() {
            return new Draws(supply, DRAWS, seed, luck);
        }

        /** @param takes of the graft before @param graft that is best then */
        private record Then(int takes, Ahead.Graft graft) {
        }

        /** The same question for few, usual and many takes of the graft before. */
        private List<Then> thens(LocalDate day, List<Stock> known, Stock earlier, Ahead.Graft usual) {
            Yield takes = Yield.ofBatch(earlier.batch().alive(),
                    List.of(supply.rate(LossStep.TAKE, earlier.graft(), supply.usual())));
            List<Then> thens = new ArrayList<>();
            for (double part : new double[]{FEW, 0.5, MANY}) {
                int took = takes.quantile(part);
                List<Stock> then = new ArrayList<>(known);
                // in its place: so the same luck stands behind every answer
                then.set(then.indexOf(earlier), new Stock(new RunningBatch(earlier.batch().id(), earlier.line(),
                        earlier.graft(), took, List.of(LossStep.TAKE), earlier.batch().around()), earlier.kind(),
                        earlier.meant(), earlier.planned()));
                if (thens.stream().noneMatch(one -> one.takes() == took)) {
                    thens.add(new Then(took, chosen(day, then).stream().filter(usual::isLike).findFirst()
                            .orElse(nothing(usual.line()))));
                }
            }
            return falling(thens);
        }

        /** The more take, the fewer are wanted: anything else is the draws' doing, and nothing to hang a plan on. */
        private static List<Then> falling(List<Then> thens) {
            int[] cups = Falling.of(thens.stream().mapToInt(one -> one.graft().cups()).toArray());
            int[] place = Falling.of(thens.stream().mapToInt(one -> one.graft().place()).toArray());
            return IntStream.range(0, cups.length).mapToObj(nth -> {
                Ahead.Graft graft = thens.get(nth).graft();
                return new Then(thens.get(nth).takes(),
                        new Ahead.Graft(graft.line(), graft.kind(), cups[nth], place[nth]));
            }).toList();
        }

        /** Whom it is for, what is there for them, what comes of it, until when more would help. */
        private List<Reason> why(LocalDate day, Ahead.Graft graft, List<Stock> known) {
            List<Reason> reasons = new ArrayList<>();
            List<Wanted> served = orders.stream().filter(one -> one.kind() == graft.kind() && one.takes(graft.line())
                    && timing.reaches(one, day)).toList();
            List<Demand> forWhom = served.stream().map(Wanted::demand).distinct().toList();
            Ahead with = ahead(day, known);
            reasons.add(Reason.of(Source.derived("what lives handed out to the orders, over many draws"), "week.wanted",
                    forWhom.size(), forWhom.stream().mapToInt(Demand::count).sum(),
                    Math.round(forWhom.stream().mapToDouble(with::missing).sum())));
            if (served.stream().anyMatch(Wanted::late)) {
                reasons.add(Reason.of(Source.derived("the soonest day on which it could be there"), "week.late",
                        (int) served.stream().filter(Wanted::late).count()));
            }
            Product product = served.getFirst().product();
            double ripe = supply.ripeOnAverage(day, graft.cups(), supply.usual());
            double through = supply.through(product, new Supply.Virgins(graft.line(), graft.place()), day,
                    timing.mostBy(product, day));
            boolean queens = graft.kind() == SupplyKind.QUEENS;
            double come = graft.cups() * through * (queens ? Math.min(1, graft.place() / Math.max(1, ripe)) : 1);
            reasons.add(Reason.of(Source.derived("the losses of every step, on average"), "week.comes",
                    Math.round(come), graft.cups()));
            LocalDate ripeOn = day.plusDays(brief.ripeAfter());
            int nucs = brief.means().freeNucs(ripeOn, graft.line());
            if (queens && graft.place() < ripe) {
                reasons.add(Reason.of(Source.derived("nucs that are free when they are ripe, and what is worth one"),
                        "week.placeOnly", graft.place(), Math.round(ripe), nucs));
            }
            LocalDate next = days.next(day, builders).getOrDefault(graft.kind(), day);
            boolean last = served.stream().anyMatch(one -> one.late() || !timing.helpsStill(one, next));
            reasons.add(Reason.of(Source.derived("what a queen missing and a queen over are worth, over many draws"),
                    last ? "week.last" : "week.again"));
            return reasons;
        }

        /** Batches whose cells are ripe this week: only those that somebody is to get are worth a nuc. */
        private void placings() {
            // whoever has no orders in here grafts for something else: nobody tells them to cull
            if (orders.stream().noneMatch(one -> one.kind() == SupplyKind.QUEENS)) {
                return;
            }
            NucsForCells left = new NucsForCells(brief.means());
            Map<Set<String>, Integer> placedAt = new HashMap<>();
            List<Places> here = new ArrayList<>();
            List<Lot> lots = new ArrayList<>();
            for (Stock stock : List.copyOf(stocks)) {
                LocalDate ripeOn = stock.graft().plusDays(brief.ripeAfter());
                boolean thisWeek = !ripeOn.isBefore(brief.today()) && ripeOn.isBefore(brief.today().plusDays(DAYS));
                if (stock.kind() != SupplyKind.QUEENS || !thisWeek || stock.isPlaced(ripeOn, brief.today())) {
                    continue;
                }
                double ripe = stock.batch().alive();
                for (LossStep step : Timing.RIPE) {
                    ripe *= stock.batch().passed().contains(step)
                            ? 1
                            : supply.rate(step, stock.graft(), stock.batch().around()).mean();
                }
                int cells = (int) Math.round(ripe);
                boolean lineAsked = stock.lineAsked(brief.demands()).isPresent();
                Set<String> where = lineAsked
                        ? Means.names(brief.means().yardsFor(stock.line()))
                        : Means.names(brief.means().yards());
                int free = left.left(ripeOn);
                int nucs = Math.max(0, brief.means().yards().isEmpty()
                        ? free
                        : Math.min(free, brief.means().freeNucs(ripeOn.minusDays(1), where)
                                - placedAt.getOrDefault(where, 0)));
                int worthIt = ahead(brief.today(), stocks).place(stock, brief.today());
                int wanted = Math.min(cells, worthIt);
                int place = Math.min(wanted, nucs);
                int over = cells - wanted;
                List<Reason> reasons = new ArrayList<>();
                reasons.add(
                        Reason.of(Source.derived("what a queen missing and a queen over are worth, over many draws"),
                                over > 0 ? "week.placeFewer" : "week.placeAll", cells, wanted, over));
                if (place < wanted) {
                    reasons.add(tooFew(where, nucs, wanted - place, stock.line()));
                }
                left.place(ripeOn, place);
                placedAt.merge(where, place, Integer::sum);
                here.add(new Places(ripeOn, stock.batch().id(), cells, place, over, List.of(), reasons));
                lots.add(new Lot(stock.graft(), stock.line(), lineAsked ? place : 0,
                        stock.batch().around().get(Circumstance.MOTHER),
                        List.of(new Lot.Stay(place, stock.graft().plusDays(
                                (long) supply.soonest(Product.MATED_QUEENS) + CAUGHT_AFTER_DAYS))),
                        Lot.RAISING_MINUTES));
                stocks.set(stocks.indexOf(stock),
                        new Stock(stock.batch(), stock.kind(), Math.min(worthIt, nucs), false));
            }
            atYards(here, lots);
        }

        private Reason tooFew(Set<String> where, int nucs, int more, Optional<String> line) {
            Source source = Source.derived("nucs that are free that day where they may mate");
            if (where.size() == brief.means().yards().size()) {
                return Reason.of(source, "week.nucs", nucs, more);
            }
            return where.isEmpty()
                    ? Reason.of(source, "plan.noYard", line.orElse(""))
                    : Reason.of(source, "week.nucs.line", nucs, more,
                            where.stream().sorted().collect(Collectors.joining(", ")), line.orElse(""));
        }

        /** Which yard takes which: all of the week together, so that one way does for several. */
        private void atYards(List<Places> placings, List<Lot> lots) {
            List<List<PlannedBatch.At>> at = YardChoice.of(brief, supply, lots, brief.drones().colonies());
            for (int index = 0; index < placings.size(); index++) {
                Places one = placings.get(index);
                steps.add(new Places(one.day(), one.batch(), one.ripe(), one.place(), one.over(),
                        at.get(index).stream().filter(there -> there.cells() > 0).toList(), one.reasons()));
            }
        }
    }
}
