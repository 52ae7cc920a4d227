package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import vividcrown.core.colony.ColonyWork;
import vividcrown.core.judgement.Advice;
import vividcrown.core.judgement.Advisor;
import vividcrown.core.judgement.Judge;
import vividcrown.core.judgement.Need;
import vividcrown.core.judgement.Option;
import vividcrown.core.judgement.Season;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.round.Item;
import vividcrown.core.round.Kit;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Stacks;
import vividcrown.server.journal.DeedJson;
import vividcrown.server.journal.Turns;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.yard.Yard;

/** Colonies as they stand on a day: judged once a day and after each entry, and kept for whoever asks next. */
@Component
public class ColonyStandings {

    private static final int DECIDED_DAYS = 21;
    private static final double IN_DOUBT = 0.7;
    /** Of the five grades of temper. */
    private static final int BOILS_OVER = 4;
    /** Judged in one go; the writers of the operation wait so long. */
    private static final int AT_ONCE = 50;

    private final ColonyBook book;
    private final ColonyJudge judges;
    private final Swarms swarms;
    private final Inside inside;
    private final Said said;
    private final Stacks stacks;
    private final Turns turns;
    private final JdbcClient jdbc;
    private final TransactionTemplate apart;

    ColonyStandings(ColonyBook book, ColonyJudge judges, Swarms swarms, Inside inside, Said said, Stacks stacks,
            Turns turns,
            JdbcClient jdbc,
            PlatformTransactionManager transactions) {
        this.book = book;
        this.judges = judges;
        this.swarms = swarms;
        this.inside = inside;
        this.said = said;
        this.stacks = stacks;
        this.turns = turns;
        this.jdbc = jdbc;
        this.apart = new TransactionTemplate(transactions);
    }

    private record Row(UUID hiveId, String standing) {
    }

    /**
     * By the hive. To be asked outside of any transaction: what is judged is kept in one of its own, and a second
     * connection inside a request could wait for ever for those that wait for theirs.
     */
    public Map<UUID, ColonyStanding> of(Collection<Hive> hives, Map<UUID, Yard> yards, LocalDate today) {
        Map<UUID, ColonyStanding> standings = new HashMap<>();
        jdbc.sql("select hive_id, standing from colony_day where day = ?").param(today).query(Row.class).list()
                .forEach(row -> standings.put(row.hiveId(),
                        DeedJson.MAPPER.readValue(row.standing(), ColonyStanding.class)));
        List<Hive> missing = hives.stream().filter(hive -> !standings.containsKey(hive.id())).toList();
        for (int from = 0; from < missing.size(); from += AT_ONCE) {
            List<Hive> some = missing.subList(from, Math.min(from + AT_ONCE, missing.size()));
            standings.putAll(apart.execute(_ -> judged(some, yards, today)));
        }
        return standings;
    }

    private Map<UUID, ColonyStanding> judged(List<Hive> hives, Map<UUID, Yard> yards, LocalDate today) {
        boolean keep = turns.tryToTake();
        Map<UUID, ColonyBook.Facts> facts = book.facts(hives, today);
        Map<UUID, Judge> byYard = new HashMap<>();
        Map<UUID, Advisor> advisors = new HashMap<>();
        Map<UUID, ColonyStanding> standings = new HashMap<>();
        for (Hive hive : hives) {
            Yard yard = Objects.requireNonNull(yards.get(hive.yardId()));
            Judge judge = byYard.computeIfAbsent(yard.id(), _ -> judges.judge(yard));
            ColonyBook.Facts known = Objects.requireNonNull(facts.get(hive.id()));
            Verdict verdict = judge.atAGlance(known.readings(), known.events(), today);
            standings.put(hive.id(), standing(hive, known, yard, verdict, advisors
                    .computeIfAbsent(yard.id(), _ -> judges.advisor(yard)).decide(verdict), today));
            if (keep) {
                said.keep(hive, verdict, known);
            }
        }
        if (keep) {
            keep(standings, today);
        }
        return standings;
    }

    /**
     * @param verdict of that day
     * @param decide by when to decide on it, if it is in doubt
     */
    ColonyStanding standing(Hive hive, ColonyBook.Facts facts, Yard yard, Verdict verdict,
            Optional<Advice.Decision> decide, LocalDate today) {
        Season season = ColonyJudge.season(yard);
        List<Option.FollowUp> open = facts.open();
        Optional<Option.FollowUp> due = open.stream().filter(one -> !one.shut()).findFirst();
        boolean overdue = due.map(one -> one.days().latest().isBefore(today)).orElse(false);
        boolean stop = Suspicion.of(facts.readings()).stops();
        Optional<ColonyWork> work = ColonyWork.next(
                swarms.of(facts, yard, Optional.empty(), today).map(Swarms.Underway::swarm),
                decide.filter(_ -> isToBeDecided(verdict, facts, today)), stop, open,
                facts.chosen().map(entry -> entry.day()), hive.lastKnownOn(), hive.purpose().isReadWeekly(), season,
                today).map(next -> next.with(feed(hive, facts, yard, today)))
                .map(next -> isDefensive(facts) ? next.atDefensiveBees() : next);
        return new ColonyStanding(verdict.leading(), verdict.chance(verdict.leading()),
                Need.of(verdict, facts.lastRead(), overdue, season) + (stop ? Need.STOP : 0), facts.lastRead(), due,
                overdue, stop, !verdict.proof().clashes().isEmpty(), work, ColonyStanding.QueenOdds.of(verdict),
                facts.mites().release(),
                facts.mites().planned());
    }

    /** It was looked at lately and is in real doubt, and nobody has chosen what to do: the follow-ups of that would say. */
    private static boolean isToBeDecided(Verdict verdict, ColonyBook.Facts facts, LocalDate today) {
        LocalDate lately = today.minusDays(DECIDED_DAYS);
        double queenright = verdict.chance(Status.LAYING_QUEEN) + verdict.chance(Status.TWO_QUEENS);
        return queenright < IN_DOUBT && facts.lastRead().filter(lately::isBefore).isPresent()
                && facts.chosen().filter(entry -> entry.day().isAfter(lately)).isEmpty();
    }

    /** By the newest temper that was noted. */
    private static boolean isDefensive(ColonyBook.Facts facts) {
        return facts.notes().reversed().stream().flatMap(notes -> notes.temper().stream()).findFirst()
                .filter(temper -> temper >= BOILS_OVER).isPresent();
    }

    /** Sugar that it surely wants; what it may want is lifted first. */
    private Kit feed(Hive hive, ColonyBook.Facts facts, Yard yard, LocalDate today) {
        List<Inside.Noted> noted = facts.reads().reversed().stream()
                .map(entry -> new Inside.Noted(entry.day(), ColonyBook.notes(entry))).toList();
        if (noted.stream().noneMatch(Inside.Noted::tellsOfStores)) {
            return Kit.NOTHING;
        }
        Inside.StoresView stores = inside.stores(stacks.of(hive.id()), yard, noted, today);
        int kilograms = stores == null ? 0 : (int) Math.ceil(stores.sugarLeastKg());
        return kilograms == 0 ? Kit.NOTHING : Kit.of(Item.SUGAR_KILOGRAMS, kilograms);
    }

    private void keep(Map<UUID, ColonyStanding> standings, LocalDate today) {
        List<UUID> hives = new ArrayList<>(standings.keySet());
        for (UUID hive : hives) {
            jdbc.sql("""
                    insert into colony_day (hive_id, operation_id, day, standing) values (?, ?, ?, cast(? as jsonb))
                    on conflict (hive_id) do update set day = excluded.day, standing = excluded.standing""")
                    .params(hive, CurrentOperation.require(), today,
                            DeedJson.MAPPER.writeValueAsString(standings.get(hive)))
                    .update();
        }
    }

    /** What was kept of these is no longer so. */
    void forget(Collection<UUID> hives) {
        if (!hives.isEmpty()) {
            jdbc.sql("delete from colony_day where hive_id in (:hives)").param("hives", hives).update();
        }
    }

    /** What was kept of the hives that these queens are in is no longer so. */
    void forgetHivesOf(Collection<UUID> queens) {
        if (!queens.isEmpty()) {
            jdbc.sql("delete from colony_day where hive_id in (select hive_id from queen where id in (:queens))")
                    .param("queens", queens).update();
        }
    }

    void forgetAll() {
        jdbc.sql("delete from colony_day").update();
    }
}
