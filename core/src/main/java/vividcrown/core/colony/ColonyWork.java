package vividcrown.core.colony;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.judgement.Advice;
import vividcrown.core.judgement.Option;
import vividcrown.core.judgement.Season;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.round.Item;
import vividcrown.core.round.Kit;
import vividcrown.core.swarm.SwarmPath;
import vividcrown.core.swarm.SwarmPlan;
import vividcrown.core.swarm.SwarmStep;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * What is to be done next at a colony: the next step of a swarm path, the next look of what was chosen, a decision on swarm
 * cells, or the weekly look.
 *
 * @param job its word
 * @param toDo what to do, as said to whoever stands there
 * @param when the days on which to do it
 * @param kit what is to be carried for it
 */
public record ColonyWork(String job, Sentence toDo, DatedSpan when, List<Reason> reasons, Kit kit) {

    public static final String READ_COLONY = "READ_COLONY";
    /** Something is to be done about swarm cells; on the colony's own page, for its gates are there. */
    public static final String SWARM_STEP = "SWARM_STEP";
    /** The season's plan wants its drones. */
    public static final String DRONE_COMB = "DRONE_COMB";
    private static final int SAID_BEFORE_DAYS = 2;
    /** Weekly; after nine days a swarm may have gone. Common practice. */
    private static final DaySpan WEEKLY = DaySpan.ofDays(7, 7, 9);

    public ColonyWork {
        reasons = List.copyOf(reasons);
    }

    /**
     * What is known of a colony's swarm.
     *
     * @param found the day of the look at cells that it began with
     * @param begun the path that is followed, if its first step was done
     * @param left the steps that nobody has done yet, the soonest first
     */
    public record Swarm(SwarmPlan plan, LocalDate found, Optional<SwarmPath> begun, List<SwarmStep> left) {
    }

    /**
     * @param decide by when to decide on it, if it is in doubt
     * @param stopped signs of disease stand: nothing is done but what the authority orders
     * @param open follow-ups of the chosen action that no reading has answered yet
     * @param chosenOn the day on which an action was chosen, if one was
     * @param lastKnown the day of the newest reading, or of the set-up
     * @param weekly it is kept for what wants a look every week in the swarm season
     */
    public static Optional<ColonyWork> next(Optional<Swarm> swarm, Optional<Advice.Decision> decide, boolean stopped,
            List<Option.FollowUp> open, Optional<LocalDate> chosenOn, LocalDate lastKnown, boolean weekly,
            Season season,
            LocalDate today) {
        if (stopped) {
            return Optional.empty();
        }
        Optional<ColonyWork> decision = decide
                .filter(one -> !today.isBefore(one.by().minusDays(SAID_BEFORE_DAYS)))
                .map(ColonyWork::decision);
        return decision.or(() -> workOf(swarm, open, chosenOn, lastKnown, weekly, season, today));
    }

    private static ColonyWork decision(Advice.Decision decide) {
        return new ColonyWork(READ_COLONY, Sentence.of("work.DECIDE"), DatedSpan.on(decide.by()),
                List.of(Reason.of(Source.COMMON_PRACTICE, "due.decideBy", decide.by(), decide.ifSo(), decide.ifNot())),
                Kit.NOTHING);
    }

    private static Optional<ColonyWork> workOf(Optional<Swarm> swarm, List<Option.FollowUp> open,
            Optional<LocalDate> chosenOn, LocalDate lastKnown, boolean weekly, Season season, LocalDate today) {
        if (swarm.isPresent() && swarm.get().begun().isPresent()) {
            return swarm.get().left().stream().findFirst().map(ColonyWork::step);
        }
        Optional<Option.FollowUp> look = open.stream().filter(one -> !one.shut()).findFirst();
        if (look.isPresent()) {
            return Optional.of(look(look.get().days(), Reason.of(Source.COMMON_PRACTICE, "due.followUp",
                    look.get().lookFor(), look.get().ifNot())));
        }
        Optional<Swarm> urgent = swarm.filter(one -> one.plan().isUrgent())
                .filter(one -> chosenOn.filter(day -> !day.isBefore(one.found())).isEmpty());
        if (urgent.isPresent()) {
            return Optional.of(decide(urgent.get()));
        }
        boolean shut = open.stream().anyMatch(one -> one.days().contains(today));
        if (shut || !weekly || !season.isSwarmSeason(today)) {
            return Optional.empty();
        }
        return Optional.of(look(WEEKLY.from(lastKnown),
                Reason.of(Source.COMMON_PRACTICE, "due.weeklyLook", lastKnown)));
    }

    /** The same, and something more to carry. */
    public ColonyWork with(Kit more) {
        return new ColonyWork(job, toDo, when, reasons, kit.plus(more));
    }

    /** The same at bees that boil over: never alone, never near people or animals. */
    public ColonyWork atDefensiveBees() {
        List<Reason> all = new ArrayList<>(reasons);
        all.addFirst(Reason.of(Source.COMMON_PRACTICE, "due.defensive"));
        return new ColonyWork(job, toDo, when, all, kit);
    }

    /** Drone comb that the season's plan wants put in. */
    public static ColonyWork droneComb(DatedSpan days) {
        return new ColonyWork(DRONE_COMB, Sentence.of("work." + DRONE_COMB), days,
                List.of(Reason.of(Source.BUECHLER_2013, "due.droneComb", days)), Kit.of(Item.DRONE_COMBS, 1));
    }

    /** Whether a job is at a colony. */
    public static boolean isAtColony(String job) {
        return job.equals(READ_COLONY) || job.equals(SWARM_STEP) || job.equals(DRONE_COMB);
    }

    /** For one step about swarm cells. A nuc for the queen needs its box, and a comb where each of hers was taken out. */
    private static Kit kit(SwarmStep.Kind step) {
        return switch (step) {
            case GIVE_ROOM -> Kit.of(Item.HONEY_BOXES, 1);
            case CATCH_QUEEN -> Kit.of(Item.INTRODUCTION_CAGES, 1);
            case MAKE_NUC -> Kit.of(Item.NUC_BOXES, 1);
            case DRAWN_COMB_IN_GAP -> Kit.of(Item.DRAWN_COMBS, 1);
            case KNOCK_DOWN_CUPS, SHAKE_AND_DESTROY, MARK_ONE_CELL, QUEEN_BACK, SEE_HER_CAGED, CAGE_BACK,
                    CHECK_AGAIN, RETURN_AND_REDUCE,
                    CHECK_FOR_NEW_CELLS, LEAVE_SHUT, LOOK_FOR_EGGS, JUDGE_BROOD, CHECK_NUC, LEAVE_ALONE ->
                Kit.NOTHING;
        };
    }

    private static ColonyWork step(SwarmStep step) {
        return new ColonyWork(step.kind().isLook() ? READ_COLONY : SWARM_STEP, step.kind().sentence(), step.when(),
                step.reasons(), kit(step.kind()));
    }

    private static ColonyWork look(DatedSpan days, Reason reason) {
        return new ColonyWork(READ_COLONY, Sentence.of("work." + READ_COLONY), days, List.of(reason), Kit.NOTHING);
    }

    private static ColonyWork decide(Swarm swarm) {
        LocalDate latest = swarm.plan().departs().map(DatedSpan::earliest).filter(swarm.found()::isBefore)
                .orElse(swarm.found());
        // nobody decided yet: whatever the first steps of the path that is proposed may want
        Kit kit = swarm.left().stream().filter(step -> !step.when().earliest().isAfter(latest))
                .map(step -> kit(step.kind())).reduce(Kit.NOTHING, Kit::plus);
        return new ColonyWork(SWARM_STEP, swarm.plan().rung().sentence(), DatedSpan.ofClosed(swarm.found(), latest),
                swarm.plan().departs()
                        .map(departs -> List.of(
                                Reason.of(Source.COMMON_PRACTICE, "due.swarmCells", swarm.found(), departs)))
                        .orElseGet(() -> swarm.left().getFirst().reasons()),
                kit);
    }
}
