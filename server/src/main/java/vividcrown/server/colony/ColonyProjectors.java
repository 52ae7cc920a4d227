package vividcrown.server.colony;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Contradiction;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.settings.SettingsDeed;
import vividcrown.core.swarm.SwarmGates;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.journal.Contradictions;
import vividcrown.server.journal.Projector;

/** After an entry a colony is judged anew when somebody asks; gates that were passed over are flagged. */
final class ColonyProjectors {

    private ColonyProjectors() {
    }

    private abstract static class Second implements Projector {
        @Override
        public void clear() {
            // what is kept of a day is thrown away with the hives
        }
    }

    @Component
    @Order(60)
    static class OfHives extends Second {

        private static final String FOUND_IN = "SWARM";

        private final ColonyStandings standings;
        private final Contradictions contradictions;

        OfHives(ColonyStandings standings, Contradictions contradictions) {
            this.standings = standings;
            this.contradictions = contradictions;
        }

        @Override
        public SubjectKind subjectKind() {
            return HiveDeed.HIVE;
        }

        @Override
        public void project(Map<UUID, List<Entry>> records) {
            standings.forget(records.keySet());
            Map<UUID, List<Contradiction>> clashes = new HashMap<>();
            records.forEach((hive, record) -> clashes.put(hive, SwarmGates.clashes(record)));
            contradictions.replace(FOUND_IN, records.keySet(), clashes);
        }

        @Override
        public void clear() {
            standings.forgetAll();
        }
    }

    @Component
    @Order(61)
    static class OfQueens extends Second {

        private final ColonyStandings standings;

        OfQueens(ColonyStandings standings) {
            this.standings = standings;
        }

        @Override
        public SubjectKind subjectKind() {
            return QueenDeed.QUEEN;
        }

        @Override
        public void project(Map<UUID, List<Entry>> records) {
            standings.forgetHivesOf(records.keySet());
        }
    }

    /** Of what bears on every colony. */
    private static final class OfAll extends Second {

        private final SubjectKind kind;
        private final ColonyStandings standings;

        OfAll(SubjectKind kind, ColonyStandings standings) {
            this.kind = kind;
            this.standings = standings;
        }

        @Override
        public SubjectKind subjectKind() {
            return kind;
        }

        @Override
        public void project(Map<UUID, List<Entry>> records) {
            standings.forgetAll();
        }
    }

    @Configuration
    static class OfSettingsAndYards {

        @Bean
        @Order(62)
        Projector coloniesAfterSettings(ColonyStandings standings) {
            return new OfAll(SettingsDeed.OPERATION, standings);
        }

        @Bean
        @Order(63)
        Projector coloniesAfterYards(ColonyStandings standings) {
            return new OfAll(YardDeed.YARD, standings);
        }
    }
}
