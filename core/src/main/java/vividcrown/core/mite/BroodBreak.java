package vividcrown.core.mite;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.Amount;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Wrong;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * The days without sealed brood that a plan opens: then every mite sits on a bee. Worker and drone apart, for drone brood stays sealed
 * three days longer and holds eight to ten times its share of the mites.
 *
 * @param lastEgg when the last egg was or will be laid
 * @param firstEgg when the next queen begins; empty if none is on the way
 * @param worker no worker brood is sealed
 * @param drone no drone brood is sealed; as {@code worker} where there is none
 * @param all nothing is sealed
 * @param bees bees that are not reared meanwhile
 */
public record BroodBreak(DatedSpan lastEgg, Optional<DatedSpan> firstEgg, Window worker, Window drone, Window all,
        Amount bees, List<Sentence> acts, List<Sentence> cautions) {

    /** Of a queen in full lay, a day. */
    private static final Amount FULL_LAY = new Amount(1_200, 1_600, 2_000);
    private static final DaySpan RELEASED_LAYS = DaySpan.ofDays(1, 2, 4);
    /** A ripe cell opens within days. */
    private static final DaySpan RIPE_OPENS = DaySpan.ofDays(0, 1, 3);
    /** Bees begin cells on larvae of up to three days. */
    private static final DaySpan LARVA_CHOSEN = DaySpan.ofDays(3, 4, 6);
    private static final DaySpan GIVEN_LAYS = DaySpan.ofDays(3, 6, 12);
    private static final int LONGEST_CAGED_DAYS = 60;
    private static final int LONGEST_WITHOUT_DAYS = 365;

    public BroodBreak {
        acts = List.copyOf(acts);
        cautions = List.copyOf(cautions);
    }

    /**
     * Days on which something is so.
     *
     * @param from when it begins
     * @param until the day on which it ends: the first sealed cell; empty if it does not end
     */
    public record Window(DatedSpan from, Optional<DatedSpan> until) {

        /** The first and the last day on which it is surely so; empty if there is none. */
        public Optional<Days> sure() {
            return days(from.latest(), until.map(DatedSpan::earliest));
        }

        /** The first and the last day on which it likely is. */
        public Optional<Days> likely() {
            return days(from.likely(), until.map(DatedSpan::likely));
        }

        private static Optional<Days> days(LocalDate from, Optional<LocalDate> until) {
            return until.isPresent() && !until.get().isAfter(from)
                    ? Optional.empty()
                    : Optional.of(new Days(from, until.map(day -> day.minusDays(1))));
        }

        private Window and(Window other) {
            DatedSpan begins = latest(from, other.from);
            Optional<DatedSpan> ends = until.isPresent() && other.until.isPresent()
                    ? Optional.of(earliest(until.get(), other.until.get()))
                    : until.or(other::until);
            return new Window(begins, ends);
        }

        private static DatedSpan latest(DatedSpan one, DatedSpan other) {
            return new DatedSpan(max(one.earliest(), other.earliest()), max(one.likely(), other.likely()),
                    max(one.latest(), other.latest()));
        }

        private static DatedSpan earliest(DatedSpan one, DatedSpan other) {
            return new DatedSpan(min(one.earliest(), other.earliest()), min(one.likely(), other.likely()),
                    min(one.latest(), other.latest()));
        }

        private static LocalDate max(LocalDate one, LocalDate other) {
            return one.isAfter(other) ? one : other;
        }

        private static LocalDate min(LocalDate one, LocalDate other) {
            return one.isBefore(other) ? one : other;
        }
    }

    /** @param last empty if it goes on */
    public record Days(LocalDate first, Optional<LocalDate> last) {
        /** How many; a hundred where it goes on. */
        public int count() {
            return last.map(day -> (int) ChronoUnit.DAYS.between(first, day) + 1).orElse(100);
        }
    }

    /** What stops the brood. */
    public enum Plan {
        /** The part without the queen raises one on her eggs. */
        RAISES_ITS_OWN,
        /** A ripe cell is given. */
        CELL_GIVEN,
        /** A virgin is given. */
        VIRGIN_GIVEN,
        /** The queen is caged inside, and let out again. */
        QUEEN_CAGED,
        /** A mated queen is given. */
        QUEEN_GIVEN,
        /** The queen is gone, and nothing is done. */
        NOTHING
    }

    /**
     * @param stops when laying stops
     * @param begins when the next is given or let out; as {@code stops} if at once
     * @param virginDays how old a virgin is that is given, days since she came out
     * @param droneBrood there is drone brood, or nobody looked
     * @param honeyBoxes honey boxes are on
     * @throws IllegalArgumentException if {@code begins} is before {@code stops}, or later by more than sixty days of a caged
     *     queen, a year of any other
     */
    public static BroodBreak of(Plan plan, DatedSpan stops, LocalDate begins, int virginDays, boolean droneBrood,
            boolean honeyBoxes, BeeYear year, Assumptions assumptions) {
        int longest = plan == Plan.QUEEN_CAGED ? LONGEST_CAGED_DAYS : LONGEST_WITHOUT_DAYS;
        if (begins.isBefore(stops.earliest()) || begins.isAfter(stops.earliest().plusDays(longest))) {
            throw Wrong.of("wrong.BroodBreak", stops.earliest(), begins, longest);
        }
        DaySpan mates = assumptions.span(Figure.FIRST_EGGS);
        Optional<DatedSpan> first = switch (plan) {
            case RAISES_ITS_OWN -> Optional
                    .of(assumptions.queen().emerges().plus(LARVA_CHOSEN.negated()).plus(mates).from(begins));
            case CELL_GIVEN -> Optional.of(RIPE_OPENS.plus(mates).from(begins));
            case VIRGIN_GIVEN -> Optional.of(mates.from(begins.minusDays(virginDays)).notBefore(begins.plusDays(2)));
            case QUEEN_CAGED -> Optional.of(RELEASED_LAYS.from(begins));
            case QUEEN_GIVEN -> Optional.of(GIVEN_LAYS.from(begins));
            case NOTHING -> Optional.empty();
        };
        return between(plan, stops, first, droneBrood, honeyBoxes, year, assumptions);
    }

    /**
     * Where the first egg of the next queen is known or foreseen already.
     *
     * @param first empty if none is on the way
     */
    public static BroodBreak between(Plan plan, DatedSpan stops, Optional<DatedSpan> first, boolean droneBrood,
            boolean honeyBoxes, BeeYear year, Assumptions assumptions) {
        Window worker = window(stops, first, assumptions.span(Figure.WORKER_EMERGES),
                assumptions.span(Figure.WORKER_SEALED));
        Window drone = droneBrood
                ? window(stops, first, assumptions.span(Figure.DRONE_EMERGES), assumptions.span(Figure.DRONE_SEALED))
                : worker;
        Window all = worker.and(drone);
        return new BroodBreak(stops, first, worker, drone, all, bees(stops, first, year),
                acts(all, honeyBoxes), cautions(plan, all, worker, droneBrood));
    }

    private static Window window(DatedSpan lastEgg, Optional<DatedSpan> firstEgg, DaySpan emerges, DaySpan sealed) {
        return new Window(lastEgg.plus(emerges), firstEgg.map(egg -> egg.plus(sealed)));
    }

    private static Amount bees(DatedSpan stops, Optional<DatedSpan> first, BeeYear year) {
        double days = 0;
        LocalDate until = first.map(DatedSpan::likely).orElse(stops.likely().plusDays(LONGEST_CAGED_DAYS));
        for (LocalDate day = stops.likely().plusDays(1); day.isBefore(until); day = day.plusDays(1)) {
            days += year.laying(day);
        }
        double full = days;
        return FULL_LAY.map(eggs -> Math.rint(eggs * full / 100) * 100);
    }

    private static List<Sentence> acts(Window all, boolean honeyBoxes) {
        List<Sentence> acts = new ArrayList<>();
        all.sure().ifPresent(days -> acts.add(days.last()
                .map(last -> Sentence.of("break.act.onBees", days.first(), last))
                .orElse(Sentence.of("break.act.onBeesOpen", days.first()))));
        if (all.sure().isEmpty() && all.likely().isPresent()) {
            acts.add(Sentence.of("break.act.lookFirst"));
        }
        acts.add(Sentence.of("break.act.trapComb"));
        if (honeyBoxes) {
            acts.add(Sentence.of("break.act.boxesOff"));
        }
        return acts;
    }

    private static List<Sentence> cautions(Plan plan, Window all, Window worker, boolean droneBrood) {
        List<Sentence> cautions = new ArrayList<>();
        cautions.add(Sentence.of("break.caution.label"));
        if (all.likely().isEmpty()) {
            cautions.add(Sentence.of("break.caution.none"));
        }
        if (droneBrood && worker.sure().isPresent() && all.sure().isEmpty()) {
            cautions.add(Sentence.of("break.caution.drone"));
        }
        if (plan == Plan.NOTHING) {
            cautions.add(Sentence.of("break.caution.layingWorkers"));
        }
        if (plan == Plan.RAISES_ITS_OWN || plan == Plan.CELL_GIVEN || plan == Plan.VIRGIN_GIVEN) {
            cautions.add(Sentence.of("break.caution.virginFlies"));
        }
        return cautions;
    }
}
