package vividcrown.server.journal;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.context.request.RequestContextHolder;
import vividcrown.server.operation.CurrentOperation;

/** Writers of one operation take turns, so that two people at one hive cannot both be first. */
@Component
public class Turns {

    private static final String NO_LONGER = "set local lock_timeout = '10s'";

    private final JdbcClient jdbc;

    Turns(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Waits until no other writer of this operation is at work; the turn ends with the transaction. A request waits ten seconds
     * and is told to come again, so that others' requests have its connection; work beside the requests waits as long as it
     * takes.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void take() {
        if (RequestContextHolder.getRequestAttributes() != null) {
            jdbc.sql(NO_LONGER).update();
        }
        jdbc.sql("select pg_advisory_xact_lock(hashtextextended(?, 0))").param(CurrentOperation.require().toString())
                .query((row, _) -> row).list();
    }

    /**
     * Takes the turn if nobody has it, until the transaction ends. For rows that a reader may keep for the next: what is
     * recorded meanwhile could not be in them.
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public boolean tryToTake() {
        return jdbc.sql("select pg_try_advisory_xact_lock(hashtextextended(?, 0))")
                .param(CurrentOperation.require().toString()).query(Boolean.class).single();
    }
}
