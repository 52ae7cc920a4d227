package vividcrown.server.rearing;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.server.queen.Batches;

/** Tells the queens of the grafts they come from. */
@Component
class BatchesOfGrafts implements Batches {

    private final Grafts grafts;
    private final CellBuilders builders;

    BatchesOfGrafts(Grafts grafts, CellBuilders builders) {
        this.grafts = grafts;
        this.builders = builders;
    }

    @Override
    public Map<UUID, Batch> of(Collection<UUID> ids) {
        List<Graft> known = grafts.findAllById(ids);
        Map<UUID, BuilderSchool> schools = builders.schools(known.stream().map(Graft::builderId).distinct().toList());
        return known.stream().collect(Collectors.toMap(Graft::id, graft -> new Batch(graft.id(), graft.graftDay(),
                graft.plan(schools.getOrDefault(graft.builderId(), CellBuilders.USUAL_SCHOOL)))));
    }
}
