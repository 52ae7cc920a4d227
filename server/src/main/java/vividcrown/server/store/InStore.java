package vividcrown.server.store;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.store.Store;
import vividcrown.core.store.StoreDeed;
import vividcrown.server.journal.Projector;
import vividcrown.server.operation.CurrentOperation;

/** What lies in the store of the current operation, and its row made from the record. */
@Component
@Order(2)
public class InStore implements Projector {

    private static final Store EMPTY = new Store(Map.of());

    private final StoreRecords records;

    InStore(StoreRecords records) {
        this.records = records;
    }

    public Store current() {
        return records.findById(CurrentOperation.require()).map(StoreRecord::store).orElse(EMPTY);
    }

    @Override
    public SubjectKind subjectKind() {
        return StoreDeed.STORE;
    }

    @Override
    public void project(Map<UUID, List<Entry>> bySubject) {
        bySubject.forEach((id, record) -> records.saveAndFlush(new StoreRecord(id, Store.fold(record))));
    }

    @Override
    public void clear() {
        records.deleteAllInBatch();
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return subjects.stream().filter(CurrentOperation.require()::equals).collect(Collectors.toSet());
    }
}
