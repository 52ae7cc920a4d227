package vividcrown.server.lineage;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.lineage.LineageDeed;
import vividcrown.core.merit.MeritDeed;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;
import vividcrown.server.queen.Queens;

/** The deeds of matings and marks, and what cannot be. */
@Configuration
class LineageDeeds {

    private final Queens queens;

    LineageDeeds(Queens queens) {
        this.queens = queens;
    }

    @Bean
    DeedKinds lineageDeedKinds() {
        return DeedKinds.of(DeedKind.of("QUEEN_MATED", LineageDeed.Mated.class).through(this::mated),
                DeedKind.of("QUEEN_SCORED", MeritDeed.Scored.class).through(this::scored),
                DeedKind.of("HIVE_HARVESTED", MeritDeed.Harvested.class));
    }

    private LineageDeed.Mated mated(LineageDeed.Mated asked, Admission admission) {
        queens.findById(asked.queen()).filter(queen -> queen.stage().isCell())
                .ifPresent(queen -> admission.refuse("queen", "refusal.mated.cell", queen.code()));
        asked.droneMother().filter(drones -> !drones.equals(asked.queen()))
                .filter(drones -> queens.descends(drones, asked.queen()))
                .ifPresent(_ -> admission.refuse("droneMother", "refusal.mated.daughter"));
        return asked;
    }

    private MeritDeed.Scored scored(MeritDeed.Scored asked, Admission admission) {
        queens.findById(asked.queen()).filter(queen -> queen.stage().isCell())
                .ifPresent(queen -> admission.refuse("queen", "refusal.scored.cell", queen.code()));
        return asked;
    }
}
