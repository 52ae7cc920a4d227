package vividcrown.server.yard;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;
import vividcrown.server.journal.Projector;

/** Makes the rows of yards: what was said of them last. */
@Configuration
@Order(10)
class YardProjector implements Projector {

    private final YardTable yards;

    YardProjector(YardTable yards) {
        this.yards = yards;
    }

    @Bean
    static DeedKinds yardDeeds() {
        return DeedKinds.of(DeedKind.of("YARD_OPENED", YardDeed.Opened.class).bringing(YardDeed.YARD).ofOwner());
    }

    @Override
    public SubjectKind subjectKind() {
        return YardDeed.YARD;
    }

    @Override
    public void project(Map<UUID, List<Entry>> records) {
        records.forEach((id, record) -> opened(record).ifPresentOrElse(last -> yards.save(new YardRow(last)),
                () -> yards.deleteAllByIdInBatch(List.of(id))));
        yards.flush();
    }

    private static Optional<YardDeed.Opened> opened(List<Entry> record) {
        return record.stream().map(Entry::deed).filter(YardDeed.Opened.class::isInstance)
                .map(YardDeed.Opened.class::cast).reduce((_, last) -> last);
    }

    @Override
    public void clear() {
        yards.deleteAllInBatch();
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return yards.findAllById(subjects).stream().map(YardRow::id).collect(Collectors.toSet());
    }
}
