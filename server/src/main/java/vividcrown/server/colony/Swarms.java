package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vividcrown.core.colony.ColonyWork;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.settings.Settings;
import vividcrown.core.swarm.SwarmPath;
import vividcrown.core.swarm.SwarmPlan;
import vividcrown.core.swarm.SwarmPlanner;
import vividcrown.core.swarm.SwarmSchool;
import vividcrown.core.swarm.SwarmSituation;
import vividcrown.core.swarm.SwarmStep;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;

/** What is to be done about the swarm cells of a colony: the path that was begun, or else the plan as of today. */
@Component
public class Swarms {
    /** After a month whatever was in those cells is out, and a swarm that would leave has left. */
    private static final int CELLS_TELL_DAYS = 30;

    private final SettingsInForce settings;

    Swarms(SettingsInForce settings) {
        this.settings = settings;
    }

    /** What is under way, and in which way. */
    public record Underway(ColonyWork.Swarm swarm, SwarmSchool school) {
    }

    /** @param asked another way than the operation's own, to look at; a path that was begun keeps its way */
    public Optional<Underway> of(ColonyBook.Facts facts, Yard yard, Optional<SwarmSchool> asked, LocalDate today) {
        if (Suspicion.of(facts.readings()).stops()) {
            // nothing is shaken, divided or moved until a look lifts it
            return Optional.empty();
        }
        Settings own = settings.current();
        Optional<SwarmPath> begun = SwarmPath.open(facts.steps(), facts.readings(), facts.events(),
                own.swarm(), today);
        if (begun.isPresent()) {
            SwarmPath path = begun.get();
            SwarmPlan plan = path.plan(facts.readings(), facts.events(), own.assumptions(), ColonyJudge.season(yard));
            List<SwarmStep> left = path.left(plan, facts.readings());
            return left.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new Underway(new ColonyWork.Swarm(plan, path.begun(), begun, left), path.school()));
        }
        SwarmSchool school = asked.orElse(own.swarm());
        Optional<Reading> found = cells(facts)
                .filter(reading -> reading.day().isAfter(today.minusDays(CELLS_TELL_DAYS)));
        // who divides before there are cells needs none; a look this month shows that she lays
        Optional<Reading> before = asked.filter(SwarmSchool.BEFORE_CELLS::equals)
                .flatMap(_ -> facts.readings().reversed().stream().filter(reading -> reading.saw(Sign.EGGS)
                        && reading.day().isAfter(today.minusDays(CELLS_TELL_DAYS))).findFirst());
        return found.or(() -> before).map(reading -> {
            SwarmPlan plan = SwarmPlanner.plan(new SwarmSituation(today, facts.readings(), facts.events(),
                    Optional.empty(), Optional.empty(), List.of(), Optional.empty(), school), own.assumptions(),
                    ColonyJudge.season(yard));
            return new Underway(new ColonyWork.Swarm(plan, reading.day(), Optional.empty(), plan.steps()), school);
        });
    }

    /** The newest look at cells, if it found any. */
    private static Optional<Reading> cells(ColonyBook.Facts facts) {
        return facts.readings().stream().filter(SwarmPath::tellsOfCells).reduce((_, last) -> last)
                .filter(reading -> reading.saw(Sign.CUPS)
                        || reading.cells().stream().anyMatch(one -> one.look() != CellLook.CUP_EMPTY));
    }
}
