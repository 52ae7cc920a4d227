package vividcrown.server.queen;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.server.journal.Projector;

/** A hive that was set up, ended or taken back is looked through for queens. */
@Component
@Order(41)
class OccupancyOfHives implements Projector {

    private final Occupancy occupancy;
    private final OwnRates rates;

    OccupancyOfHives(Occupancy occupancy, OwnRates rates) {
        this.occupancy = occupancy;
        this.rates = rates;
    }

    @Override
    public SubjectKind subjectKind() {
        return HiveDeed.HIVE;
    }

    @Override
    public void project(Map<UUID, List<Entry>> records) {
        occupancy.refresh(records.keySet());
        rates.recountOfHives(records.keySet());
    }

    @Override
    public void clear() {
        // who is in a hive stands in the hive's own row
    }
}
