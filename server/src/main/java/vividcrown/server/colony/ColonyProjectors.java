package vividcrown.server.colony;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
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

    @Component
    @Order(62)
    static class OfSettings extends Second {

        private final ColonyStandings standings;

        OfSettings(ColonyStandings standings) {
            this.standings = standings;
        }

        @Override
        public SubjectKind subjectKind() {
            return SettingsDeed.OPERATION;
        }

        @Override
        public void project(Map<UUID, List<Entry>> records) {
            standings.forgetAll();
        }
    }

    @Component
    @Order(63)
    static class OfYards extends Second {

        private final ColonyStandings standings;

        OfYards(ColonyStandings standings) {
            this.standings = standings;
        }

        @Override
        public SubjectKind subjectKind() {
            return YardDeed.YARD;
        }

        @Override
        public void project(Map<UUID, List<Entry>> records) {
            standings.forgetAll();
        }
    }
}
