package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import vividcrown.core.assumptions.Assumptions;

/**
 * A day's course of every phase, worked out once for each half month of a place: where its weight goes, and which share. The
 * same numbers as {@link Course#step}, without reckoning them again for every day of every judgement.
 */
final class Flows {

    private static final int MONTH_DAYS = 30;
    /** Some 250 kB each: the half years of a dozen places with their own figures; after that it begins anew. */
    private static final int MOST_KEPT = 150;
    private static final int MOST_RATES = 5_000;
    /** Chances are kept to a thousandth, so that places alike share their days. */
    private static final double FINEST = 1000;

    private record Key(Assumptions assumptions, Course.Rates rates) {
    }

    private record When(LocalDate day, Season season) {
    }

    private static final Map<Key, Flows> KEPT = new ConcurrentHashMap<>();
    private static final Map<When, Course.Rates> RATES = new ConcurrentHashMap<>();

    private final int[] start;
    private final int[] to;
    private final double[] share;

    private Flows(Key key) {
        List<Phase> phases = Phase.all();
        Course course = new Course(new Clock(key.assumptions()), key.rates());
        start = new int[phases.size() + 1];
        Growing growing = new Growing(phases.size() * 4);
        for (int at = 0; at < phases.size(); at++) {
            start[at] = growing.count;
            course.step(phases.get(at), 1, growing::add);
        }
        start[phases.size()] = growing.count;
        to = Arrays.copyOf(growing.targets, growing.count);
        share = Arrays.copyOf(growing.shares, growing.count);
    }

    /** Two lists that grow together. */
    private static final class Growing {
        private int[] targets;
        private double[] shares;
        private int count;

        Growing(int room) {
            targets = new int[room];
            shares = new double[room];
        }

        void add(Phase phase, double weight) {
            if (weight <= 0) {
                return;
            }
            if (count == targets.length) {
                targets = Arrays.copyOf(targets, 2 * targets.length);
                shares = Arrays.copyOf(shares, 2 * shares.length);
            }
            targets[count] = phase.place();
            shares[count++] = weight;
        }
    }

    /** The days at one place, by an operation's figures: its half months are looked up once. */
    static final class AtPlace {
        private final Assumptions assumptions;
        private final Season season;
        private final Map<LocalDate, Flows> halfMonths = new ConcurrentHashMap<>();

        AtPlace(Assumptions assumptions, Season season) {
            this.assumptions = assumptions;
            this.season = season;
        }

        /** From this day to the next. */
        Flows on(LocalDate day) {
            LocalDate middle = day.withDayOfMonth(day.getDayOfMonth() <= 15 ? 8 : 23);
            return halfMonths.computeIfAbsent(middle, when -> around(when, assumptions, season));
        }
    }

    private static Flows around(LocalDate middle, Assumptions assumptions, Season season) {
        if (KEPT.size() > MOST_KEPT || RATES.size() > MOST_RATES) {
            KEPT.clear();
            RATES.clear();
        }
        Course.Rates rates = RATES.computeIfAbsent(new When(middle, season), when -> rates(when.day(), when.season()));
        return KEPT.computeIfAbsent(new Key(assumptions, rates), Flows::new);
    }

    private static Course.Rates rates(LocalDate day, Season season) {
        double share = season.layShare(day);
        double later = season.layShare(day.plusDays(MONTH_DAYS));
        double month = (1 - share) / Math.max(1e-6, 1 - later);
        // falling shares: some stop; rising ones: those at rest begin again. A young queen in summer never rests
        double stops = later < share ? 1 - Math.pow(later / share, 1.0 / MONTH_DAYS) : 0;
        double starts = later > share ? 1 - Math.pow(Math.min(1, 1 / month), 1.0 / MONTH_DAYS) : 0;
        double most = share > 0.97 ? Math.max(starts, 0.25) : starts;
        UnaryOperator<Double> rounded = value -> Math.round(value * FINEST) / FINEST;
        return new Course.Rates(Math.round(season.swarmShare(day) * 4 * FINEST) / (4 * FINEST),
                Math.round(season.climate().fitAfternoon(day) * 50) / 50.0, Math.round(season.mates() * 50) / 50.0,
                rounded.apply(stops), rounded.apply(most), rounded.apply(1 - later));
    }

    /**
     * Hands weights on to the phases of a day later. In plain arrays: this runs for every day of every judgement.
     *
     * @param all receives the weights, by the place of the phase
     * @param touched receives the places that were 0 before
     * @param count how many are in {@code touched} already
     * @return how many are in it now
     */
    int spread(int[] places, double[] weights, double[] all, int[] touched, int count) {
        int reached = count;
        for (int at = 0; at < places.length; at++) {
            double weight = weights[at];
            int end = start[places[at] + 1];
            for (int index = start[places[at]]; index < end; index++) {
                int target = to[index];
                if (all[target] == 0) {
                    touched[reached++] = target;
                }
                all[target] += weight * share[index];
            }
        }
        return reached;
    }
}
