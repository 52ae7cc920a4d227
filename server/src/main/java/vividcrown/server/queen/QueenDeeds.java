package vividcrown.server.queen;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.queen.QueenDeed;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;

/** The deeds of cells and queens. */
@Configuration
class QueenDeeds {

    private final Queens queens;

    QueenDeeds(Queens queens) {
        this.queens = queens;
    }

    @Bean
    DeedKinds queenDeedKinds() {
        return DeedKinds.of(DeedKind.of("QUEEN_KNOWN", QueenDeed.Known.class).bringing(QueenDeed.QUEEN)
                .through(this::possible),
                DeedKind.of("QUEEN_BREEDER_SAID", QueenDeed.BreederSaid.class),
                DeedKind.of("TAKE_COUNTED", QueenDeed.TakeCounted.class),
                DeedKind.of("QUEEN_SEEN", QueenDeed.Seen.class), DeedKind.of("CELL_CULLED", QueenDeed.Culled.class),
                DeedKind.of("QUEEN_PLACED", QueenDeed.Placed.class), DeedKind.of("CELL_CAGED", QueenDeed.Caged.class),
                DeedKind.of("QUEEN_MARKED", QueenDeed.Marked.class),
                DeedKind.of("QUEEN_TAKEN_OUT", QueenDeed.TakenOut.class),
                DeedKind.of("QUEEN_NOTED", QueenDeed.Noted.class));
    }

    /** Neither ahead of her time, nor older than her mother, nor her own ancestor. */
    private QueenDeed.Known possible(QueenDeed.Known asked, Admission admission) {
        if (asked.emergenceYear() > admission.day().getYear()) {
            admission.refuse("emergenceYear", "refusal.emergenceAhead", String.valueOf(asked.emergenceYear()),
                    String.valueOf(admission.day().getYear()));
        }
        asked.mother().flatMap(queens::findById).filter(mother -> asked.emergenceYear() != 0
                && mother.life().emergenceYear() > asked.emergenceYear())
                .ifPresent(mother -> admission.refuse("emergenceYear", "refusal.olderThanMother", mother.code(),
                        String.valueOf(mother.life().emergenceYear()), String.valueOf(asked.emergenceYear())));
        asked.mother().filter(mother -> queens.descends(mother, asked.queen()))
                .ifPresent(_ -> admission.refuse("mother", "refusal.ownAncestor", asked.code()));
        return asked;
    }
}
