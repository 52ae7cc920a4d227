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
import vividcrown.core.round.Kit;
import vividcrown.core.round.Stop;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;
import vividcrown.server.colony.Colonies;
import vividcrown.server.colony.Colony;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.colony.VerdictView;
import vividcrown.server.yard.Yard;

/** Looks at colonies that are due: follow-ups of what was chosen, and the weekly look in the swarm season. */
@Component
class ColonyJobs {

    static final String READ_COLONY = "READ_COLONY";
    /** Weekly; after nine days a swarm may have gone. Common practice. */
    private static final DaySpan WEEKLY = DaySpan.ofDays(7, 7, 9);

    private final Colonies colonies;
    private final ColonyBook book;

    ColonyJobs(Colonies colonies, ColonyBook book) {
        this.colonies = colonies;
        this.book = book;
    }

    List<Stop> due(LocalDate today, Map<UUID, Yard> yards) {
        List<Colony> rows = colonies.findAllByOrderByYardIdAscPositionAsc();
        Map<UUID, ColonyBook.Facts> facts = book.facts(rows.stream().map(Colony::id).toList());
        List<Stop> stops = new ArrayList<>();
        for (Colony colony : rows) {
            Yard yard = yards.get(colony.yardId());
            job(colony, facts.get(colony.id()), yard, today).ifPresent(stops::add);
        }
        return stops;
    }

    private Optional<Stop> job(Colony colony, ColonyBook.Facts facts, Yard yard, LocalDate today) {
        List<VerdictView.FollowUpView> open = book.open(facts);
        Optional<VerdictView.FollowUpView> look = open.stream().filter(one -> !one.shut()).findFirst();
        if (look.isPresent()) {
            DatedSpan days = span(look.get());
            return Optional.of(stop(colony, yard, days,
                    Reason.of(Source.COMMON_PRACTICE, "due.followUp", look.get().lookFor(), look.get().ifNot())));
        }
        boolean shut = open.stream().anyMatch(one -> span(one).contains(today));
        LocalDate last = colony.lastKnownOn();
        if (shut || !new Season(yard.latitude() < 0).isSwarmSeason(today)) {
            return Optional.empty();
        }
        return Optional.of(stop(colony, yard, WEEKLY.from(last),
                Reason.of(Source.COMMON_PRACTICE, "due.weeklyLook", last)));
    }

    private static DatedSpan span(VerdictView.FollowUpView followUp) {
        return new DatedSpan(followUp.days().earliest(), followUp.days().likely(), followUp.days().latest());
    }

    private static Stop stop(Colony colony, Yard yard, DatedSpan days, Reason reason) {
        Stop.Box box = new Stop.Box(yard.id(), yard.name(), yard.walkOrder(), colony.position(), colony.code());
        return new Stop(box, READ_COLONY, colony.id(), Sentence.of("work." + READ_COLONY), days, List.of(reason),
                Kit.NOTHING);
    }
}
