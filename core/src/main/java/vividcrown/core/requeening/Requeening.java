package vividcrown.core.requeening;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.introduction.Turnover;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.yard.Flow;

/**
 * Whether a colony gets another queen, and when. A queen who lays well is never given up for a doubt: what is not known makes it
 * <em>watch</em>, and a mother one grafts from is never on the list of those who go.
 *
 * @param by the last day on which it makes sense this season; empty where nothing is to be done
 * @param swarm how likely it swarms if nothing is done; empty where no queen surely lays in it
 * @param temper where it is done for temper: when the bees of the new queen set the tone
 */
public record Requeening(Action action, Optional<LocalDate> by, Optional<SwarmOdds> swarm, Optional<Turnover> temper,
        List<Reason> reasons) {

    /** What to do about her. */
    public enum Action {
        NOW,
        /** It can wait until the flow is over: changing queens costs some of the crop. */
        AFTER_FLOW,
        KEEP,
        /** Something is not known, or was seen only once. */
        WATCH,
        /** Who is in there is in doubt: that is settled first. */
        JUDGE_FIRST,
        /** Signs of disease stand: nothing is moved, no queen given. */
        STOP;

        public Sentence sentence() {
            return Sentence.of("requeening.action." + name());
        }
    }

    /** The house rule. */
    public enum Policy {
        EVERY_YEAR, AT_TWO_YEARS, BY_MERIT
    }

    /**
     * A colony and what is known of its queen.
     *
     * @param lays chance that a mated queen is in there and lays, 0–1
     * @param layersOfDrones chance that she lays drones only, 0–1
     * @param spotty readings of this season with holes in the brood, the newest two weeks or more after the first
     * @param solid the newest look at the brood found it solid
     * @param badTemper readings of the last year on which it boiled over (4 or 5 of 5)
     * @param people neighbours, paths or animals are near
     * @param superseding one or two cells on the face of a comb beside a queen who lays
     * @param breeder one grafts from her
     * @param suspect signs of disease stand
     * @param merit expected, in marks above the mean; empty if nothing is known
     * @param reliability of that, 0–1
     * @param daysHere since she was given, if lately; empty if long ago
     */
    public record Colony(String code, Age age, double lays, double layersOfDrones, int spotty, boolean solid,
            int badTemper, boolean people, boolean superseding, boolean breeder, boolean suspect,
            Optional<Double> merit, double reliability, Optional<Integer> daysHere, SwarmOdds.History swarm,
            Flow flow) {
        public Colony {
            Faults faults = new Faults().text("code", code, 1, 40).within("lays", lays, 0, 1)
                    .within("layersOfDrones", layersOfDrones, 0, 1).within("spotty", spotty, 0, 100)
                    .within("badTemper", badTemper, 0, 100).within("reliability", reliability, 0, 1);
            merit.ifPresent(value -> faults.within("merit", value, -1e6, 1e6));
            daysHere.ifPresent(days -> faults.within("daysHere", days, 0, 10_000));
            faults.refuse();
        }
    }

    private static final double LAYS = 0.75;
    private static final double LAYS_DRONES = 0.5;
    /** Until a new queen's own bees fill the hive nothing of it is hers. */
    private static final int NOT_YET_HERS_DAYS = 56;
    private static final double SURE = 0.35;
    private static final double OPENS_CELSIUS = 14;
    /** Her daughters must be reared before the bees rest, or the winter bees are not hers. */
    private static final int BEFORE_REST_DAYS = 45;
    /** Of full lay: where it never falls so low they never rest. */
    private static final double RESTS = 0.15;
    private static final int NO_HURRY_DAYS = 60;
    private static final int LOOKED_AHEAD_DAYS = 400;

    public Requeening {
        reasons = List.copyOf(reasons);
    }

    /** @param yearsOld the years at which the rule of age bites, where it does */
    private record Rule(int yearsOld) {
        static Optional<Rule> of(Policy policy) {
            return switch (policy) {
                case EVERY_YEAR -> Optional.of(new Rule(1));
                case AT_TWO_YEARS -> Optional.of(new Rule(2));
                case BY_MERIT -> Optional.empty();
            };
        }
    }

    public static Requeening of(Colony colony, Policy policy, LocalDate day, BeeYear year, Assumptions assumptions) {
        List<Reason> reasons = new ArrayList<>();
        SwarmOdds swarm = SwarmOdds.of(colony.age(), colony.swarm(), day, year);
        Action action = action(colony, policy, swarm, reasons);
        Optional<LocalDate> last = last(day, year);
        if ((action == Action.NOW || action == Action.AFTER_FLOW) && last.isEmpty()) {
            reasons.add(why("requeening.tooLate"));
            action = Action.WATCH;
        }
        boolean changes = action == Action.NOW || action == Action.AFTER_FLOW;
        Optional<Turnover> temper = changes && colony.badTemper() > 0
                ? Optional.of(Turnover.of(DatedSpan.on(day.plusDays(7)), year, assumptions))
                : Optional.empty();
        boolean layer = action != Action.STOP && action != Action.JUDGE_FIRST && colony.layersOfDrones() <= LAYS_DRONES;
        return new Requeening(action, changes ? last : Optional.empty(),
                layer ? Optional.of(swarm) : Optional.empty(), temper, reasons);
    }

    private static Action action(Colony colony, Policy policy, SwarmOdds swarm, List<Reason> reasons) {
        if (colony.suspect()) {
            reasons.add(why("requeening.suspect"));
            return Action.STOP;
        }
        if (colony.layersOfDrones() > LAYS_DRONES) {
            reasons.add(why("requeening.drones", Math.round(100 * colony.layersOfDrones())));
            if (colony.breeder()) {
                reasons.add(why("requeening.breederDrones"));
                return Action.WATCH;
            }
            return Action.NOW;
        }
        if (colony.lays() < LAYS) {
            reasons.add(why("requeening.judge", Math.round(100 * (1 - colony.lays()))));
            return Action.JUDGE_FIRST;
        }
        if (colony.breeder()) {
            reasons.add(why("requeening.breeder"));
            swarm.warning().ifPresent(warning -> reasons.add(new Reason(warning, Source.COMMON_PRACTICE)));
            return swarm.warning().isPresent() ? Action.WATCH : Action.KEEP;
        }
        if (colony.daysHere().filter(days -> days < NOT_YET_HERS_DAYS).isPresent()) {
            reasons.add(why("requeening.young", colony.daysHere().orElseThrow(), NOT_YET_HERS_DAYS));
            return Action.KEEP;
        }
        if (colony.superseding()) {
            reasons.add(why("requeening.superseding"));
            return Action.WATCH;
        }
        return byHerWork(colony).map(found -> said(found, colony, reasons))
                .orElseGet(() -> byTheRule(colony, policy, swarm, reasons));
    }

    /** @param urgent it does not wait for the flow to end */
    private record Found(Action action, boolean urgent, String key, Object... fills) {
    }

    private static Action said(Found found, Colony colony, List<Reason> reasons) {
        reasons.add(why(found.key(), found.fills()));
        return found.action() == Action.WATCH || found.urgent() ? found.action() : inFlow(colony, reasons);
    }

    private static Optional<Found> byHerWork(Colony colony) {
        if (colony.spotty() >= 2 && !colony.solid()) {
            return Optional.of(new Found(Action.NOW, true, "requeening.spotty", colony.spotty()));
        }
        if (colony.badTemper() >= 2) {
            return Optional.of(new Found(Action.NOW, colony.people(),
                    colony.people() ? "requeening.temperNear" : "requeening.temper", colony.badTemper()));
        }
        if (colony.spotty() == 1 && !colony.solid()) {
            return Optional.of(new Found(Action.WATCH, false, "requeening.spottyOnce"));
        }
        return colony.badTemper() == 1
                ? Optional.of(new Found(Action.WATCH, false, "requeening.temperOnce"))
                : Optional.empty();
    }

    private static Action inFlow(Colony colony, List<Reason> reasons) {
        if (colony.flow() == Flow.GOOD || colony.flow() == Flow.STRONG) {
            reasons.add(why("requeening.flow"));
            return Action.AFTER_FLOW;
        }
        return Action.NOW;
    }

    private static Action byTheRule(Colony colony, Policy policy, SwarmOdds swarm, List<Reason> reasons) {
        Optional<Rule> rule = Rule.of(policy);
        if (rule.isPresent()) {
            int years = rule.get().yearsOld();
            if (!colony.age().known()) {
                reasons.add(why("requeening.ageUnknown", years));
                return Action.WATCH;
            }
            if (colony.age().least() >= years) {
                reasons.add(why("requeening.old", colony.age().sentence(), years));
                return Action.AFTER_FLOW;
            }
            if (colony.age().most() >= years) {
                reasons.add(why("requeening.perhapsOld", colony.age().sentence(), years));
                return Action.WATCH;
            }
        } else if (colony.merit().filter(merit -> merit < 0).isPresent() && colony.reliability() >= SURE) {
            reasons.add(why("requeening.merit", Math.round(100 * colony.merit().orElseThrow()) / 100.0,
                    Math.round(100 * colony.reliability())));
            return Action.AFTER_FLOW;
        } else if (colony.merit().isEmpty() || colony.reliability() < SURE) {
            reasons.add(why("requeening.meritUnknown"));
        }
        if (swarm.warning().isPresent()) {
            reasons.add(new Reason(swarm.warning().get(), Source.COMMON_PRACTICE));
            return Action.WATCH;
        }
        reasons.add(why(colony.solid() ? "requeening.keepSolid" : "requeening.keep", colony.age().sentence()));
        return Action.KEEP;
    }

    private static Reason why(String key, Object... fills) {
        return Reason.of(Source.COMMON_PRACTICE, key, fills);
    }

    /** The last day on which a queen given still rears the bees that winter; none where it is too cold to open already. */
    private static Optional<LocalDate> last(LocalDate day, BeeYear year) {
        LocalDate rest = year.restBegins(day);
        if (year.laying(rest) > RESTS) {
            // where bees never rest no winter ends the time for it
            return Optional.of(day.plusDays(NO_HURRY_DAYS));
        }
        LocalDate last = day;
        for (LocalDate one = day; one.isBefore(day.plusDays(LOOKED_AHEAD_DAYS)) && !one.isAfter(rest.minusDays(
                BEFORE_REST_DAYS)); one = one.plusDays(1)) {
            if (year.usualHigh(one) >= OPENS_CELSIUS) {
                last = one;
            }
        }
        return last.equals(day)
                && (year.usualHigh(day) < OPENS_CELSIUS || rest.minusDays(BEFORE_REST_DAYS).isBefore(day))
                        ? Optional.empty()
                        : Optional.of(last);
    }

    /** Queens that are wanted: for those to be changed, and a share kept spare. */
    public static int wanted(List<Requeening> all, double spareShare) {
        long changes = all.stream().filter(one -> one.action() == Action.NOW || one.action() == Action.AFTER_FLOW)
                .count();
        return (int) changes + (int) Math.ceil(spareShare * all.size() - 1e-9);
    }
}
