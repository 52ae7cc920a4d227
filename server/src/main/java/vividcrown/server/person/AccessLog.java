package vividcrown.server.person;

import com.fasterxml.uuid.Generators;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.page.Page;

/** Who came in, who tried in vain, who was let in, made owner or crew, or left: for the owner to look at. */
@Component
class AccessLog {

    /** What happened. */
    enum AccessKind {
        SIGNED_IN, WRONG_PASSWORD, SIGNED_OUT_ELSEWHERE, INVITED, JOINED, MADE_OWNER, MADE_CREW, LEFT, PASSWORD_CHANGED,
        PASSWORD_LINK_MADE, PASSWORD_BY_LINK
    }

    /** Addresses are about people: they are not kept for ever. */
    private static final Duration KEPT = Duration.ofDays(400);
    private static final int PAGE = 50;

    private final JdbcClient jdbc;
    private final Clock clock;

    AccessLog(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * One line of it.
     *
     * @param person whom it concerns, by name
     * @param by who did it, if somebody else
     * @param source the address it came from; of version 6 its network
     * @param device how the program called itself
     */
    record AccessLine(UUID id, Instant happenedAt, AccessKind what, String person, @Nullable String by, String source,
            String device) {
    }

    void note(AccessKind what, UUID person, UUID by) {
        note(what, Optional.of(person), Optional.of(by), "");
    }

    /** @param by empty for who is not known yet */
    void note(AccessKind what, Optional<UUID> person, Optional<UUID> by, String name) {
        Asker asker = Asker
                .of(((ServletRequestAttributes) RequestContextHolder.currentRequestAttributes()).getRequest());
        jdbc.sql("delete from access_event where happened_at < ?").param(Timestamp.from(clock.instant().minus(KEPT)))
                .update();
        jdbc.sql("""
                insert into access_event (id, operation_id, happened_at, what, person_id, by_id, name, source, device)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?)""")
                .param(Generators.timeBasedEpochGenerator().generate()).param(CurrentOperation.require())
                .param(Timestamp.from(clock.instant())).param(what.name()).param(person.orElse(null))
                .param(by.orElse(null)).param(name).param(asker.source()).param(asker.program()).update();
    }

    /** @param before only what is older than this one; the newest first */
    Page<AccessLine> newest(UUID before) {
        List<AccessLine> found = jdbc.sql("""
                select e.id, e.happened_at, e.what, coalesce(p.name, e.name) as person,
                    case when e.by_id is distinct from e.person_id then b.name end as by_name, e.source, e.device
                from access_event e left join person p on p.id = e.person_id left join person b on b.id = e.by_id
                where e.id < ? order by e.id desc limit ?""")
                .params(before, PAGE + 1)
                .query((row, _) -> new AccessLine(row.getObject("id", UUID.class),
                        row.getTimestamp("happened_at").toInstant(), AccessKind.valueOf(row.getString("what")),
                        row.getString("person"), row.getString("by_name"), row.getString("source"),
                        row.getString("device")))
                .list();
        List<AccessLine> page = found.subList(0, Math.min(PAGE, found.size()));
        return Page.of(page, found.size() > PAGE ? Optional.of(page.getLast().id()) : Optional.empty());
    }
}
