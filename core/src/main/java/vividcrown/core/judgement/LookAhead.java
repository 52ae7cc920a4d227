package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.ToDoubleFunction;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;

/**
 * Value of information: for each look or test that could be made, by how much it is expected to lessen the doubt about
 * the state.
 *
 * <p>Expected lessening = doubt now − Σ chance(outcome) × doubt after that outcome, doubt being the entropy of the nine
 * states as they are today, in bits; each state is followed on its own course up to the day of the look (mutual
 * information, Shannon 1948). Waiting costs: bees age, and a
 * colony that turns out to be queenless has lost the days.
 */
final class LookAhead {

    private static final double BITS_LOST_A_DAY = 0.02;
    private static final List<Integer> DAYS_TO_WAIT = List.of(0, 3, 7, 14);
    private static final int TEST_FRAME_DAYS = 4;
    private static final int SHOWN = 3;
    private static final double NEGLIGIBLE = 0.003;
    private static final double WORTH_SAYING = 0.01;

    private final Season season;

    LookAhead(Season season) {
        this.season = season;
    }

    /** What may be found, in words, and how likely each phase makes it. */
    private record Finding(Sentence words, ToDoubleFunction<Phase> likelihood) {
    }

    /** The same with the likelihood of every phase, which does not depend on the colony. */
    private record Prepared(Sentence words, double[] likelihood) {
    }

    private record Question(BestLook.Kind kind, double layShare) {
    }

    private static final Map<Question, List<Prepared>> PREPARED = new ConcurrentHashMap<>();

    private static List<Prepared> prepared(BestLook.Kind kind, double layShare) {
        return PREPARED.computeIfAbsent(new Question(kind, layShare), _ -> findings(kind, layShare).stream()
                .map(finding -> new Prepared(finding.words(), Belief.perPhase(finding.likelihood()))).toList());
    }

    /**
     * The best few, each kind once; empty if nothing is in doubt.
     *
     * @param toldToday what was looked at today already
     */
    List<BestLook> best(Belief belief, LocalDate today, Set<BestLook.Kind> toldToday) {
        List<Status> states = new ArrayList<>();
        List<Belief> futures = new ArrayList<>();
        double[] now = belief.jointly(_ -> 1);
        for (Status status : Status.values()) {
            if (now[status.ordinal()] > NEGLIGIBLE) {
                states.add(status);
                futures.add(belief.in(status));
            }
        }
        List<BestLook> all = new ArrayList<>();
        int waited = 0;
        for (int days : DAYS_TO_WAIT) {
            for (; waited < days; waited++) {
                LocalDate day = today.plusDays(waited);
                futures.replaceAll(future -> future.dayLater(day, season));
            }
            LocalDate day = today.plusDays(days);
            DatedSpan when = days == 0 ? DatedSpan.on(day) : new DatedSpan(day, day, day.plusDays(2));
            for (BestLook.Kind kind : BestLook.Kind.values()) {
                boolean again = days == 0 && toldToday.contains(kind);
                if (kind != BestLook.Kind.TEST_FRAME && !again) {
                    all.add(look(kind, states, futures, now, when, days));
                } else if (kind == BestLook.Kind.TEST_FRAME && days == 0) {
                    // what the frame shows some days later tells of the colony as it was when the frame was given
                    LocalDate read = today.plusDays(TEST_FRAME_DAYS);
                    all.add(look(kind, states, futures, now,
                            new DatedSpan(read.minusDays(1), read, today.plusDays(7)), TEST_FRAME_DAYS));
                }
            }
        }
        List<BestLook> best = new ArrayList<>();
        all.stream().filter(look -> look.bits() > WORTH_SAYING)
                .sorted(Comparator.comparingDouble(BestLook::bits).reversed()).forEach(look -> {
                    if (best.size() < SHOWN && best.stream().noneMatch(other -> other.kind() == look.kind())) {
                        best.add(look);
                    }
                });
        return best;
    }

    /**
     * @param states the states that are possible now
     * @param futures what becomes of each of them by the day of the look
     * @param now chance of each state now, in the order of {@link Status}
     */
    private BestLook look(BestLook.Kind kind, List<Status> states, List<Belief> futures, double[] now, DatedSpan when,
            int days) {
        double doubtAfter = 0;
        List<BestLook.Outcome> outcomes = new ArrayList<>();
        for (Prepared finding : prepared(kind, season.layShare(when.likely()))) {
            double[] stateNow = new double[now.length];
            double[] stateThen = new double[now.length];
            for (int index = 0; index < states.size(); index++) {
                double weight = now[states.get(index).ordinal()];
                double[] joint = futures.get(index).jointly(finding.likelihood());
                for (int status = 0; status < joint.length; status++) {
                    stateNow[states.get(index).ordinal()] += weight * joint[status];
                    stateThen[status] += weight * joint[status];
                }
            }
            double chance = Arrays.stream(stateNow).sum();
            if (chance > NEGLIGIBLE / 100) {
                doubtAfter += chance * Belief.bits(stateNow);
                int leading = 0;
                for (int status = 1; status < stateThen.length; status++) {
                    leading = stateThen[status] > stateThen[leading] ? status : leading;
                }
                outcomes.add(new BestLook.Outcome(finding.words(), chance, Status.values()[leading],
                        stateThen[leading] / chance));
            }
        }
        return new BestLook(kind, when, Belief.bits(now) - doubtAfter - BITS_LOST_A_DAY * days, outcomes);
    }

    private static List<Finding> findings(BestLook.Kind kind, double layShare) {
        LocalDate day = LocalDate.EPOCH;
        return switch (kind) {
            case EGGS -> {
                Reading seen = Reading.of(day, Sign.EGGS);
                Reading absent = Reading.of(day).without(Sign.EGGS);
                List<BroodEvidence.Look> eggs = List.of(BroodEvidence.look(Sign.EGGS));
                ToDoubleFunction<Phase> anyEggs = phase -> BroodEvidence.chance(phase, seen, eggs, layShare);
                SignOdds several = Likelihoods.of(Sign.EGGS_SEVERAL).orElseThrow();
                yield List.of(
                        new Finding(Sentence.of("found.EGGS_SINGLE"),
                                phase -> anyEggs.applyAsDouble(phase) * several.chance(phase.status(), false)),
                        new Finding(Sentence.of("found.EGGS_SEVERAL"),
                                phase -> anyEggs.applyAsDouble(phase) * several.chance(phase.status(), true)),
                        new Finding(Sentence.of("found.NO_EGGS"),
                                phase -> BroodEvidence.chance(phase, absent, eggs, layShare)));
            }
            case SEALED_BROOD -> {
                List<BroodEvidence.Look> sealed = List.of(BroodEvidence.look(Sign.SEALED_WORKER));
                Reading flat = Reading.of(day, Sign.SEALED_WORKER);
                Reading none = Reading.of(day).without(Sign.SEALED_WORKER);
                SignOdds domed = Likelihoods.of(Sign.SEALED_DRONE_SCATTERED).orElseThrow();
                ToDoubleFunction<Phase> noFlat = phase -> BroodEvidence.chance(phase, none,
                        sealed, layShare);
                yield List.of(
                        new Finding(Sentence.of("found.FLAT"),
                                phase -> BroodEvidence.chance(phase, flat, sealed, layShare)),
                        new Finding(Sentence.of("found.DOMED"),
                                phase -> noFlat.applyAsDouble(phase) * domed.chance(phase.status(), true)),
                        new Finding(Sentence.of("found.NO_SEALED"),
                                phase -> noFlat.applyAsDouble(phase) * domed.chance(phase.status(), false)));
            }
            case CELLS -> {
                Reading seen = Reading.of(day, Sign.QUEEN_CELLS);
                Reading absent = Reading.of(day).without(Sign.QUEEN_CELLS);
                yield List.of(new Finding(Sentence.of("found.CELLS"), phase -> CellEvidence.chance(phase, seen)),
                        new Finding(Sentence.of("found.NO_CELLS"), phase -> CellEvidence.chance(phase, absent)));
            }
            case QUEEN -> bySign(Sign.QUEEN, "found.QUEEN", "found.NO_QUEEN");
            case TEST_FRAME -> bySign(Sign.CELLS_ON_TEST_FRAME, "found.TEST_CELLS", "found.NO_TEST_CELLS");
        };
    }

    private static List<Finding> bySign(Sign sign, String found, String notFound) {
        SignOdds line = Likelihoods.of(sign).orElseThrow();
        return List.of(new Finding(Sentence.of(found), phase -> line.chance(phase.status(), true)),
                new Finding(Sentence.of(notFound), phase -> line.chance(phase.status(), false)));
    }
}
