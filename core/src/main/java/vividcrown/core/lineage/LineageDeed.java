package vividcrown.core.lineage;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.Role;
import vividcrown.core.journal.Touch;
import vividcrown.core.queen.QueenDeed;

/** What is known of a queen's mates. */
public sealed interface LineageDeed extends Deed {

    /** In which way a queen mated. */
    enum How {
        /** Instrumental, with one drone. */
        ONE_DRONE,
        /** With drones of sisters: a mating station, a drone yard. */
        STATION,
        /** With what flies. */
        OPEN
    }

    /**
     * With whom a queen mated. The last to speak is right.
     *
     * @param droneMother of one drone the queen he came from, of a station the mother of the sisters; nobody in the open
     * @param sisters that gave drones at a station, 1–500; 1 otherwise
     * @param drones that she mated with, 1–40
     */
    record Mated(UUID queen, How how, Optional<UUID> droneMother, int sisters, int drones) implements LineageDeed {
        public Mated {
            new Faults().within("sisters", sisters, 1, 500).within("drones", drones, 1, 40)
                    .unless(droneMother.isPresent() == (how != How.OPEN), "fault.whoseDrones")
                    .unless(how != How.ONE_DRONE || drones == 1, "fault.oneDrone", drones).refuse();
        }

        @Override
        public List<Touch> touches() {
            List<Touch> touches = new ArrayList<>(List.of(Touch.itself(QueenDeed.QUEEN, queen)));
            droneMother.ifPresent(one -> touches.add(new Touch(QueenDeed.QUEEN, one, Role.CONTEXT)));
            return touches;
        }

        /** By the ids in the record. */
        public Mating mating() {
            return switch (how) {
                case ONE_DRONE -> new Mating.OneDrone(droneMother.orElseThrow().toString());
                case STATION -> new Mating.Sisters(droneMother.orElseThrow().toString(), sisters, drones);
                case OPEN -> new Mating.Flying(Map.of(), drones);
            };
        }
    }
}
