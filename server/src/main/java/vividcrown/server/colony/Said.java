package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import vividcrown.core.judgement.OwnSigns;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.TrackRecord;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.reading.Reading;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.DeedJson;
import vividcrown.server.operation.CurrentOperation;

/** What the judgement said on the days of readings, and what later findings say to it. */
@Component
class Said {

    private static final TypeReference<Map<Status, Double>> ODDS = new TypeReference<>() {
    };
    /** As far back as the book is read. */
    private static final int DAYS = 400;

    private final JdbcClient jdbc;
    private final ColonyBook book;
    private final Hives hives;
    private final Map<UUID, Learnt> learnt = new ConcurrentHashMap<>();

    Said(JdbcClient jdbc, ColonyBook book, Hives hives) {
        this.jdbc = jdbc;
        this.book = book;
        this.hives = hives;
    }

    private record Row(UUID hiveId, LocalDate day, String odds) {
    }

    private record Learnt(LocalDate day, OwnSigns signs) {
    }

    /** Keeps what is said of a colony that was read on that day. */
    void keep(Hive hive, Verdict verdict, ColonyBook.Facts facts) {
        if (facts.lastRead().filter(verdict.asOf()::equals).isPresent()) {
            jdbc.sql("""
                    insert into verdict_said (hive_id, operation_id, day, odds) values (?, ?, ?, cast(? as jsonb))
                    on conflict (hive_id, day) do update set odds = excluded.odds""")
                    .params(hive.id(), CurrentOperation.require(), verdict.asOf(),
                            DeedJson.MAPPER.writeValueAsString(verdict.odds()))
                    .update();
        }
    }

    /** A colony on the day of a reading, its state settled by later ones. */
    private record Case(LocalDate day, Status state, Map<Status, Double> odds, Optional<Reading> reading) {
    }

    private List<Case> cases(LocalDate today) {
        List<Row> rows = jdbc.sql("select hive_id, day, odds from verdict_said where day >= ? and day < ? order by day")
                .params(today.minusDays(DAYS), today).query(Row.class).list();
        Collection<Hive> known = hives.findAllById(rows.stream().map(Row::hiveId).distinct().toList());
        Map<UUID, ColonyBook.Facts> facts = book.facts(known, today);
        List<Case> cases = new ArrayList<>();
        for (Row row : rows) {
            ColonyBook.Facts of = facts.getOrDefault(row.hiveId(), ColonyBook.Facts.NOTHING);
            TrackRecord.settledOn(row.day(), of.readings(), of.events())
                    .ifPresent(state -> cases.add(new Case(row.day(),
                            state, DeedJson.MAPPER.readValue(row.odds(), ODDS),
                            of.readings().stream().filter(reading -> reading.day().equals(row.day())).findFirst())));
        }
        return cases;
    }

    /** Every answer that was settled. */
    List<TrackRecord.Settled> settled(LocalDate today) {
        List<TrackRecord.Settled> settled = new ArrayList<>();
        for (Case one : cases(today)) {
            Map<Status, Double> odds = new EnumMap<>(Status.class);
            odds.putAll(one.odds());
            odds.forEach((state, chance) -> settled.add(new TrackRecord.Settled(one.day(), state, chance,
                    state == one.state())));
        }
        return settled;
    }

    /** How often signs go with states here; reckoned once a day. */
    OwnSigns own(LocalDate today) {
        UUID operation = CurrentOperation.require();
        Learnt known = learnt.get(operation);
        if (known != null && known.day().equals(today)) {
            return known.signs();
        }
        OwnSigns signs = OwnSigns.NONE;
        for (Case one : cases(today)) {
            if (one.reading().isPresent()) {
                signs = signs.with(one.reading().get(), one.state());
            }
        }
        learnt.put(operation, new Learnt(today, signs));
        return signs;
    }
}
