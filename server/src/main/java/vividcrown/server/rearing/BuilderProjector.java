package vividcrown.server.rearing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.server.journal.Projector;

/** How hives are run as builders: what was said last. */
@Component
@Order(25)
class BuilderProjector implements Projector {

    private final Builders builders;

    BuilderProjector(Builders builders) {
        this.builders = builders;
    }

    @Override
    public SubjectKind subjectKind() {
        return HiveDeed.HIVE;
    }

    @Override
    public void project(Map<UUID, List<Entry>> records) {
        records.forEach((id, record) -> run(record).ifPresentOrElse(last -> builders.save(new Builder(last)),
                () -> builders.deleteAllByIdInBatch(List.of(id))));
        builders.flush();
    }

    private static Optional<RearingDeed.BuilderRun> run(List<Entry> record) {
        return record.stream().sorted(Entry.AS_IT_HAPPENED).map(Entry::deed)
                .filter(RearingDeed.BuilderRun.class::isInstance)
                .map(RearingDeed.BuilderRun.class::cast).reduce((_, last) -> last);
    }

    @Override
    public void clear() {
        builders.deleteAllInBatch();
    }
}
