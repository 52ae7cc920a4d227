package vividcrown.server.round;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.judgement.Season;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.round.Item;
import vividcrown.core.round.Kit;
import vividcrown.core.round.Stop;
import vividcrown.core.swarm.SwarmStep;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;
import vividcrown.server.colony.Colonies;
import vividcrown.server.colony.Colony;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.colony.Swarms;
import vividcrown.server.colony.VerdictView;
import vividcrown.server.yard.Yard;

/** Looks at colonies that are due: follow-ups of what was chosen, and the weekly look in the swarm season. */
@Component
class ColonyJobs {

    static final String READ_COLONY = "READ_COLONY";
    /** Something is to be done about swarm cells; on the colony's own page, for its gates are there. */
    static final String SWARM_STEP = "SWARM_STEP";
    /** The season's plan wants its drones. */
    static final String DRONE_COMB = "DRONE_COMB";
    /** Weekly; after nine days a swarm may have gone. Common practice. */
    private static final DaySpan WEEKLY = DaySpan.ofDays(7, 7, 9);

    private final Colonies colonies;
    private final ColonyBook book;
    private final Swarms swarms;

    ColonyJobs(Colonies colonies, ColonyBook book, Swarms swarms) {
        this.colonies = colonies;
        this.book = book;
        this.swarms = swarms;
    }

    List<Stop> due(LocalDate today, Map<UUID, Yard> yards) {
        List<Colony> rows = colonies.findAllByOrderByYardIdAscPositionAsc();
        Map<UUID, ColonyBook.Facts> facts = book.facts(rows.stream().map(Colony::id).toList());
        List<Stop> stops = new ArrayList<>();
        for (Colony colony : rows) {
            Yard yard = yards.get(colony.yardId());
            job(colony, facts.get(colony.id()), yard, today).ifPresent(stops::add);
            colony.droneCombMeant().ifPresent(days -> stops.add(new Stop(box(colony, yard), DRONE_COMB, colony.id(),
                    Sentence.of("work." + DRONE_COMB), days,
                    List.of(Reason.of(Source.BUECHLER_2013, "due.droneComb", days)), Kit.of(Item.DRONE_COMBS, 1))));
        }
        return stops;
    }

    private Optional<Stop> job(Colony colony, ColonyBook.Facts facts, Yard yard, LocalDate today) {
        Optional<Swarms.Underway> swarm = swarms.of(facts, yard, Optional.empty(), today);
        if (swarm.isPresent() && swarm.get().path().isPresent()) {
            return Optional.of(step(colony, yard, swarm.get().left().getFirst()));
        }
        List<VerdictView.FollowUpView> open = book.open(facts);
        Optional<VerdictView.FollowUpView> look = open.stream().filter(one -> !one.shut()).findFirst();
        if (look.isPresent()) {
            DatedSpan days = span(look.get());
            return Optional.of(stop(colony, yard, days,
                    Reason.of(Source.COMMON_PRACTICE, "due.followUp", look.get().lookFor(), look.get().ifNot())));
        }
        if (swarm.isPresent() && swarm.get().plan().departs().isPresent()
                && facts.chosen().filter(one -> !one.happenedOn().isBefore(swarm.get().found())).isEmpty()) {
            return Optional.of(decide(colony, yard, swarm.get(), swarm.get().plan().departs().get()));
        }
        boolean shut = open.stream().anyMatch(one -> span(one).contains(today));
        LocalDate last = colony.lastKnownOn();
        if (shut || !new Season(yard.latitude() < 0).isSwarmSeason(today)) {
            return Optional.empty();
        }
        return Optional.of(stop(colony, yard, WEEKLY.from(last),
                Reason.of(Source.COMMON_PRACTICE, "due.weeklyLook", last)));
    }

    private static Stop step(Colony colony, Yard yard, SwarmStep step) {
        return new Stop(box(colony, yard), step.kind().isLook() ? READ_COLONY : SWARM_STEP, colony.id(),
                step.kind().sentence(), step.when(), step.reasons(), Kit.NOTHING);
    }

    private static Stop decide(Colony colony, Yard yard, Swarms.Underway swarm, DatedSpan departs) {
        return new Stop(box(colony, yard), SWARM_STEP, colony.id(), swarm.plan().rung().sentence(),
                DatedSpan.ofClosed(swarm.found(), departs.earliest().isBefore(swarm.found())
                        ? swarm.found()
                        : departs.earliest()),
                List.of(Reason.of(Source.COMMON_PRACTICE, "due.swarmCells", swarm.found(), departs)), Kit.NOTHING);
    }

    private static DatedSpan span(VerdictView.FollowUpView followUp) {
        return new DatedSpan(followUp.days().earliest(), followUp.days().likely(), followUp.days().latest());
    }

    private static Stop stop(Colony colony, Yard yard, DatedSpan days, Reason reason) {
        return new Stop(box(colony, yard), READ_COLONY, colony.id(), Sentence.of("work." + READ_COLONY), days,
                List.of(reason),
                Kit.NOTHING);
    }

    private static Stop.Box box(Colony colony, Yard yard) {
        return new Stop.Box(yard.id(), yard.name(), yard.walkOrder(), colony.position(), colony.code());
    }

    /** Whether a job is at a production colony. */
    static boolean isAtColony(String job) {
        return job.equals(READ_COLONY) || job.equals(SWARM_STEP) || job.equals(DRONE_COMB);
    }
}
