package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import vividcrown.core.demand.Product;
import vividcrown.core.odds.LossStep;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.SeasonWorth;
import vividcrown.core.season.demand.Demand;
import vividcrown.core.season.demand.SupplyKind;
import vividcrown.core.season.recipe.WorkTime;
import vividcrown.core.season.supply.Supply;

/** From when to when what is grafted can be handed over, and until when a graft still helps. */
record Timing(SeasonBrief brief, Supply supply) {

    static final List<LossStep> RIPE = List.of(LossStep.TAKE, LossStep.SOUND);
    /** A graft helps an order if so many of the queens that will lay do by then. */
    private static final double WELL_IN_TIME = 0.85;
    /** With less chance of mating weather a later graft is nothing to wait for: an assumption of this program. */
    private static final double HARDLY_EVER = 0.2;
    /** From the first day on which queens can be had until most of them lay. */
    private static final int MOST_LAY_DAYS = 4;

    /** Every demand on its day, in the order in which they are served. */
    List<Wanted> orders() {
        return brief.demands().stream().map(this::wanted).sorted(Wanted.AS_SERVED).toList();
    }

    /** Those that are handed over today, and those whose day is past and who still wait: these first. */
    List<Wanted> ordersOfToday() {
        return orders().stream().filter(one -> one.day().equals(brief.today()))
                .filter(one -> !isGivenUp(one.demand(), brief.today()))
                .sorted(Comparator.comparing((Wanted one) -> one.demand().until()).thenComparing(Wanted.AS_SERVED))
                .toList();
    }

    /**
     * The same, and what is missing of those that no graft of today brings in time: while their customers wait they are served before whoever
     * is due on one of those days, and at last on the day on which what is grafted today could be there.
     */
    List<Wanted> ordersAndLater() {
        List<Wanted> orders = orders();
        return orders.stream().flatMap(one -> Stream.concat(Stream.of(one), later(one, orders)))
                .sorted(Wanted.AS_SERVED).toList();
    }

    /** The same, and what is missing of each on every working day on which its customer still waits: who was due first is served first. */
    List<Wanted> ordersAndWaiting() {
        List<Wanted> orders = orders();
        LocalDate after = orders.isEmpty() ? brief.today() : orders.getLast().day().plusDays(1);
        return brief.today().datesUntil(after).flatMap(day -> orders.stream()
                .filter(one -> !isGivenUp(one.demand(), day)
                        && (one.day().equals(day) || one.day().isBefore(day) && brief.means().crew().works(day)))
                .map(one -> new Wanted(one.demand(), day, one.day().isBefore(day)))).toList();
    }

    Wanted wanted(Demand demand) {
        return new Wanted(demand, handedOver(demand));
    }

    private LocalDate handedOver(Demand demand) {
        LocalDate day = demand.until().isBefore(brief.today()) ? brief.today() : demand.until();
        LocalDate last = brief.means().crew().lastWorkdayUntil(day);
        return last.isBefore(demand.from()) || last.isBefore(brief.today())
                ? brief.means().crew().firstWorkdayFrom(day)
                : last;
    }

    private Stream<Wanted> later(Wanted order, List<Wanted> orders) {
        LocalDate soonest = brief.today().plusDays(supply.soonest(order.product()));
        LocalDate waitsUntil = brief.means().crew()
                .lastWorkdayUntil(order.demand().until().plusDays(Demand.WAITS_DAYS));
        if (!order.day().isBefore(soonest) || !waitsUntil.isAfter(order.day())) {
            return Stream.empty();
        }
        LocalDate ofToday = brief.means().crew().firstWorkdayFrom(mostBy(order.product(), brief.today()));
        LocalDate last = isGivenUp(order.demand(), ofToday) ? waitsUntil : ofToday;
        Stream<LocalDate> others = orders.stream().filter(one -> one.kind() == order.kind()).map(Wanted::day)
                .filter(day -> day.isAfter(order.day()) && day.isBefore(last));
        return Stream.concat(others.distinct(), Stream.of(last)).map(day -> new Wanted(order.demand(), day, true));
    }

    /** Nobody waits for it any more. */
    boolean isGivenUp(Demand demand, LocalDate day) {
        return day.isAfter(demand.until().plusDays(Demand.WAITS_DAYS));
    }

    /** Share of those that will lay that does by the day of the order; −1 if what was grafted then is not ready, or too old. */
    double ready(Wanted order, LocalDate graft) {
        long age = ChronoUnit.DAYS.between(graft, order.day());
        return switch (order.kind()) {
            case CELLS -> {
                LocalDate ripe = graft.plusDays(supply.soonest(Product.RIPE_CELLS));
                yield ripe.isBefore(order.demand().from()) || ripe.isAfter(order.day()) ? -1 : 1;
            }
            case VIRGINS -> age < supply.soonest(Product.VIRGINS) || age > supply.longest(Product.VIRGINS) ? -1 : 1;
            case QUEENS -> age < supply.soonest(order.product()) || age > supply.longest(order.product())
                    ? -1
                    : supply.laying(order.product(), graft, order.day());
        };
    }

    LocalDate keepsUntil(SupplyKind kind, LocalDate graft) {
        return graft.plusDays(supply.longest(switch (kind) {
            case CELLS -> Product.RIPE_CELLS;
            case VIRGINS -> Product.VIRGINS;
            case QUEENS -> Product.MATED_QUEENS;
        }));
    }

    /** Whether what is grafted that day can be handed over for the order. */
    boolean reaches(Wanted order, LocalDate graft) {
        return ready(order, graft) > 0;
    }

    /** Whether a graft of that day, or a later one, still helps it. */
    boolean helpsStill(Wanted order, LocalDate next) {
        return switch (order.kind()) {
            case CELLS -> !next.plusDays(supply.soonest(Product.RIPE_CELLS)).isAfter(order.day());
            case VIRGINS -> !next.plusDays(supply.soonest(Product.VIRGINS)).isAfter(order.day());
            case QUEENS -> ChronoUnit.DAYS.between(next, order.day()) >= supply.soonest(order.product())
                    && supply.laying(order.product(), next, order.day()) >= WELL_IN_TIME
                    && supply.matingWeather(next, order.demand().line()) >= HARDLY_EVER;
        };
    }

    /** Minutes for a ripe cell that is placed: placing, the visits of its nuc, and the nuc's days. */
    double placing(SeasonWorth worth) {
        int days = supply.soonest(Product.MATED_QUEENS) + MOST_LAY_DAYS - supply.soonest(Product.RIPE_CELLS);
        return WorkTime.PLACE_A_CELL + WorkTime.VISIT_A_NUC + days * worth.nucDay();
    }

    /** What can be grafted: of a line only if a mother of it is there. */
    boolean hasMother(Optional<String> line) {
        return line.isEmpty() || brief.means().breeders().stream().anyMatch(one -> one.line().equals(line.get()));
    }

    /** From a graft to the day on which most of what comes of it can be had. */
    LocalDate mostBy(Product product, LocalDate graft) {
        return graft.plusDays(supply.soonest(product)
                + (SupplyKind.of(product) == SupplyKind.QUEENS ? MOST_LAY_DAYS : 0L));
    }
}
