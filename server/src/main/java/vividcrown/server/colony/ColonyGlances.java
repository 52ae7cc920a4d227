package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.judgement.Verdict;
import vividcrown.server.hive.Hive;
import vividcrown.server.yard.Yard;

/** Colonies as they are judged today with all their odds, for whoever decides by more than the leading state. */
@Component
public class ColonyGlances {

    private final ColonyBook book;
    private final ColonyJudge judges;

    ColonyGlances(ColonyBook book, ColonyJudge judges) {
        this.book = book;
        this.judges = judges;
    }

    /** @param facts on which it rests */
    public record Glance(Verdict verdict, ColonyBook.Facts facts) {
    }

    /** By the hive. */
    public Map<UUID, Glance> of(Collection<Hive> hives, Map<UUID, Yard> yards, LocalDate today) {
        Map<UUID, ColonyBook.Facts> facts = book.facts(hives, today);
        Map<UUID, Glance> glances = new HashMap<>();
        for (Hive hive : hives) {
            ColonyBook.Facts known = Objects.requireNonNull(facts.get(hive.id()));
            Verdict verdict = judges.judge(Objects.requireNonNull(yards.get(hive.yardId())))
                    .atAGlance(known.readings(), known.events(), today);
            glances.put(hive.id(), new Glance(verdict, known));
        }
        return glances;
    }
}
