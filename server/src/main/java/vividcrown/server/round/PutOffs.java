package vividcrown.server.round;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.round.RoundDeed;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;
import vividcrown.server.journal.Projector;
import vividcrown.server.operation.CurrentOperation;

/** Jobs that were not possible on a day: the round of that day leaves them out. */
@Configuration
@Order(70)
class PutOffs implements Projector {

    private final JdbcClient jdbc;

    PutOffs(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Bean
    static DeedKinds roundDeedKinds() {
        return DeedKinds.of(
                DeedKind.of("NOT_POSSIBLE", RoundDeed.NotPossible.class).bringing(RoundDeed.PUT_OFF));
    }

    record PutOff(UUID subjectId, String job) {
    }

    List<PutOff> on(LocalDate day) {
        return jdbc.sql("select subject_id, job from put_off where day = ?").param(day).query(PutOff.class).list();
    }

    @Override
    public SubjectKind subjectKind() {
        return RoundDeed.PUT_OFF;
    }

    @Override
    public void project(Map<UUID, List<Entry>> records) {
        jdbc.sql("delete from put_off where id in (:ids)").param("ids", records.keySet()).update();
        records.forEach((id, record) -> record.stream().filter(entry -> entry.deed() instanceof RoundDeed.NotPossible)
                .reduce((_, last) -> last).ifPresent(entry -> insert(id, entry)));
    }

    private void insert(UUID id, Entry entry) {
        RoundDeed.NotPossible deed = (RoundDeed.NotPossible) entry.deed();
        jdbc.sql("insert into put_off (id, operation_id, subject_id, job, day) values (?, ?, ?, ?, ?)")
                .params(id, CurrentOperation.require(), deed.subject(), deed.job(), entry.day()).update();
    }

    @Override
    public void clear() {
        jdbc.sql("delete from put_off").update();
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return Set.of();
    }
}
