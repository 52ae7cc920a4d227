package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * Value of information: for each look or test that could be made, what may be found, and by how much it is expected to lessen
 * the doubt about the state.
 *
 * <p>Expected lessening = doubt now − Σ chance(outcome) × doubt after that outcome, doubt being the entropy of the nine
 * states as they are today, and of whether a queen is alive in her cage beside cells, in bits; each state is followed on its
 * own course up to the day of the look (mutual
 * information, Shannon 1948). A test frame does what brood given does: it is followed as such. Waiting costs: bees age, and a
 * colony that turns out to be queenless has lost the days.
 */
final class LookAhead {

    private static final double BITS_LOST_A_DAY = 0.02;
    private static final List<Integer> DAYS_TO_WAIT = List.of(0, 3, 7, 14);
    private static final int TEST_FRAME_DAYS = 4;
    private static final double NEGLIGIBLE = 0.003;
    private static final double WORTH_SAYING = 0.01;

    private final Clock clock;
    private final Season season;
    private final Flows.AtPlace place;
    private final BroodEvidence brood;
    private final CellEvidence cells;
    /** The case of each phase, by its place. */
    private final int[] caseOf;

    LookAhead(Clock clock, Season season, Flows.AtPlace place) {
        this.clock = clock;
        this.season = season;
        this.place = place;
        this.brood = BroodEvidence.by(clock);
        this.cells = new CellEvidence(clock);
        this.caseOf = Phase.all().stream().mapToInt(phase -> Case.of(phase, clock).ordinal()).toArray();
    }

    /** What may be found, in words, and how likely each phase makes it. */
    private record Finding(Sentence words, Likelihood likelihood) {
    }

    /** Cells under way beside a queen in her cage are one state more: what to do about them hangs on her. */
    private static final int BESIDE_HER = Status.values().length;

    /**
     * A state that is possible now, with its chance, and what becomes of it.
     *
     * @param now place among the states
     */
    private record Future(int now, double chance, Belief then) {
    }

    /**
     * Every look that would tell something, the one that lessens the doubt most first.
     *
     * @param toldToday what was looked at today already
     */
    List<BestLook> best(Belief belief, LocalDate today, Set<BestLook.Kind> toldToday) {
        if (season.isWinter(today)) {
            // whatever is in doubt waits until they fly
            return List.of();
        }
        List<Future> futures = new ArrayList<>();
        double besideHer = belief.chance(this::isBesideHer);
        belief.odds().forEach((status, all) -> {
            boolean parted = status == Status.CELLS && besideHer > NEGLIGIBLE;
            double chance = parted ? all - besideHer : all;
            if (chance > NEGLIGIBLE) {
                futures.add(new Future(status.ordinal(), chance,
                        belief.in(phase -> phase.status() == status && !(parted && isBesideHer(phase)))));
            }
        });
        if (besideHer > NEGLIGIBLE) {
            futures.add(new Future(BESIDE_HER, besideHer, belief.in(this::isBesideHer)));
        }
        List<BestLook> all = new ArrayList<>();
        all.add(testFrame(futures, today));
        int waited = 0;
        for (int days : DAYS_TO_WAIT) {
            for (; waited < days; waited++) {
                LocalDate day = today.plusDays(waited);
                futures.replaceAll(future -> later(future, day));
            }
            LocalDate day = today.plusDays(days);
            DatedSpan when = days == 0 ? DatedSpan.on(day) : new DatedSpan(day, day, day.plusDays(2));
            for (BestLook.Kind kind : BestLook.Kind.values()) {
                boolean again = days == 0 && toldToday.contains(kind);
                if (kind != BestLook.Kind.TEST_FRAME && !again) {
                    all.add(look(kind, futures, when, days));
                }
            }
        }
        return all.stream().filter(look -> look.bits() > WORTH_SAYING)
                .sorted((one, other) -> Double.compare(other.bits(), one.bits())).toList();
    }

    private boolean isBesideHer(Phase phase) {
        return Case.of(phase, clock) == Case.KEPT_BESIDE_CELLS;
    }

    private Future later(Future future, LocalDate day) {
        return new Future(future.now(), future.chance(), future.then().dayLater(day, place));
    }

    /** What the frame shows some days later tells of the colony as it was when the frame was given. */
    private BestLook testFrame(List<Future> futures, LocalDate today) {
        Happenings happenings = new Happenings(clock);
        List<Future> given = new ArrayList<>();
        for (Future future : futures) {
            Belief then = happenings.apply(future.then(), new ColonyEvent(today, EventKind.BROOD_GIVEN));
            for (int day = 0; day < TEST_FRAME_DAYS; day++) {
                then = then.dayLater(today.plusDays(day), place);
            }
            given.add(new Future(future.now(), future.chance(), then));
        }
        LocalDate read = today.plusDays(TEST_FRAME_DAYS);
        return look(BestLook.Kind.TEST_FRAME, given, new DatedSpan(read.minusDays(1), read, today.plusDays(7)),
                TEST_FRAME_DAYS);
    }

    private BestLook look(BestLook.Kind kind, List<Future> futures, DatedSpan when, int days) {
        double[] now = new double[BESIDE_HER + 1];
        futures.forEach(future -> now[future.now()] = future.chance());
        double doubtAfter = 0;
        List<BestLook.Outcome> outcomes = new ArrayList<>();
        for (Finding finding : findings(kind)) {
            double[] stateNow = new double[now.length];
            double[] stateThen = new double[Status.values().length];
            double[] caseThen = new double[Case.values().length];
            for (Future future : futures) {
                future.then().each((place, phase, weight) -> {
                    double joint = future.chance() * weight * finding.likelihood().in(place, phase);
                    stateNow[future.now()] += joint;
                    stateThen[Belief.STATUS_OF[place]] += joint;
                    caseThen[caseOf[place]] += joint;
                });
            }
            double chance = Arrays.stream(stateNow).sum();
            if (chance > NEGLIGIBLE / 100) {
                doubtAfter += chance * Belief.bits(stateNow);
                int leading = 0;
                for (int status = 1; status < stateThen.length; status++) {
                    leading = stateThen[status] > stateThen[leading] ? status : leading;
                }
                Map<Case, Double> casesThen = new EnumMap<>(Case.class);
                for (Case one : Case.values()) {
                    if (caseThen[one.ordinal()] > 0) {
                        casesThen.put(one, caseThen[one.ordinal()] / chance);
                    }
                }
                outcomes.add(new BestLook.Outcome(finding.words(), chance, Status.values()[leading],
                        stateThen[leading] / chance, casesThen));
            }
        }
        return new BestLook(kind, when, Belief.bits(now) - doubtAfter - BITS_LOST_A_DAY * days, outcomes);
    }

    private List<Finding> findings(BestLook.Kind kind) {
        LocalDate day = LocalDate.EPOCH;
        Likelihoods table = Likelihoods.standard();
        return switch (kind) {
            case EGGS -> {
                Reading seen = Reading.of(day, Sign.EGGS);
                Reading absent = Reading.of(day).without(Sign.EGGS);
                Likelihood anyEggs = brood.chance(seen);
                Likelihood several = table.of(Sign.EGGS_SEVERAL).byPhase(true, 1, seen);
                yield List.of(
                        new Finding(Sentence.of("found.EGGS_SINGLE"),
                                (place, phase) -> anyEggs.in(place, phase) * (1 - several.in(place, phase))),
                        new Finding(Sentence.of("found.EGGS_SEVERAL"),
                                (place, phase) -> anyEggs.in(place, phase) * several.in(place, phase)),
                        new Finding(Sentence.of("found.NO_EGGS"),
                                brood.chance(absent)));
            }
            case SEALED_BROOD -> {
                Reading flat = Reading.of(day, Sign.SEALED_WORKER);
                Reading none = Reading.of(day).without(Sign.SEALED_WORKER);
                Likelihood domed = table.of(Sign.SEALED_DRONE_SCATTERED).byPhase(true, 1, none);
                Likelihood noFlat = brood.chance(none);
                yield List.of(
                        new Finding(Sentence.of("found.FLAT"),
                                brood.chance(flat)),
                        new Finding(Sentence.of("found.DOMED"),
                                (place, phase) -> noFlat.in(place, phase) * domed.in(place, phase)),
                        new Finding(Sentence.of("found.NO_SEALED"),
                                (place, phase) -> noFlat.in(place, phase) * (1 - domed.in(place, phase))));
            }
            case CELLS -> {
                Reading seen = Reading.of(day, Sign.QUEEN_CELLS);
                Reading absent = Reading.of(day).without(Sign.QUEEN_CELLS);
                yield List.of(new Finding(Sentence.of("found.CELLS"), cells.chance(seen)),
                        new Finding(Sentence.of("found.NO_CELLS"), cells.chance(absent)));
            }
            case QUEEN -> bySign(table.of(Sign.QUEEN), "found.QUEEN", "found.NO_QUEEN");
            case TEST_FRAME -> bySign(table.of(Sign.CELLS_ON_TEST_FRAME), "found.TEST_CELLS", "found.NO_TEST_CELLS");
        };
    }

    private static List<Finding> bySign(SignOdds line, String found, String notFound) {
        Reading nothing = Reading.of(LocalDate.EPOCH);
        return List.of(new Finding(Sentence.of(found), line.byPhase(true, 1, nothing)),
                new Finding(Sentence.of(notFound), line.byPhase(false, 1, nothing)));
    }
}
