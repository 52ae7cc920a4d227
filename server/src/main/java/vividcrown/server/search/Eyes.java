package vividcrown.server.search;

import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import vividcrown.core.search.OwnRecord;
import vividcrown.server.person.SignedIn;

/** How well whoever is signed in sees queens, by their own searches. */
@Component
class Eyes {

    /** Eyes change over years. */
    private static final int NEWEST_SEARCHES = 100;

    private final JdbcClient jdbc;

    Eyes(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Of searches that stand as they were told, with what each told of the eye when it was recorded.
     *
     * @param but a search that is just being corrected
     */
    OwnRecord own(Optional<UUID> but) {
        return Optional.ofNullable(SecurityContextHolder.getContext().getAuthentication())
                .map(Authentication::getPrincipal).filter(SignedIn.class::isInstance).map(SignedIn.class::cast)
                .map(person -> jdbc.sql("""
                        select coalesce(sum((told->>'expected')::float8), 0), coalesce(sum((told->>'seen')::int), 0)
                        from (select payload->'known'->'tells' as told from journal_entry e
                            where operation_id = current_operation() and kind = 'QUEEN_SEARCHED' and recorded_by = ?
                                and not exists (select from journal_entry c where c.corrects = e.id)
                                and e.id::text <> ?
                            order by sequence desc limit ?) newest""")
                        .params(person.id(), but.map(UUID::toString).orElse(""), NEWEST_SEARCHES)
                        .query((row, _) -> new OwnRecord(row.getDouble(1), row.getInt(2))).single())
                .orElse(OwnRecord.NONE);
    }
}
