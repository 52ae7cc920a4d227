package vividcrown.server.journal;

import jakarta.persistence.EntityManager;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.LongConsumer;
import javax.sql.DataSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import vividcrown.core.journal.SubjectKind;
import vividcrown.server.operation.CurrentOperation;

/**
 * Makes computed rows again from the record, a chunk and a transaction at a time, outside any request. Writers of the
 * operation wait until it is through.
 */
@Service
public class Rebuild {

    private static final UUID BEFORE_ALL = new UUID(0, 0);

    private final Journal journal;
    private final Records records;
    private final Turns turns;
    private final List<Projector> projectors;
    private final TransactionTemplate transactions;
    private final JdbcClient jdbc;
    private final DataSource connections;
    private final EntityManager entities;

    Rebuild(Journal journal, Records records, Turns turns, List<Projector> projectors, TransactionTemplate transactions,
            JdbcClient jdbc, DataSource connections, EntityManager entities) {
        this.journal = journal;
        this.records = records;
        this.turns = turns;
        this.projectors = List.copyOf(projectors);
        this.transactions = transactions;
        this.jdbc = jdbc;
        this.connections = connections;
        this.entities = entities;
    }

    /**
     * Throws every computed row of the current operation away and makes it again.
     *
     * @param progress told how many things are done so far
     */
    public void all(LongConsumer progress) {
        withTheTurn(() -> {
            transactions.executeWithoutResult(_ -> {
                jdbc.sql("delete from contradiction").update();
                projectors.reversed().forEach(Projector::clear);
            });
            long done = 0;
            for (SubjectKind kind : kinds()) {
                done = ofKind(kind, done, progress);
            }
        });
    }

    /** Makes the rows of some things anew, in a transaction of its own and in turn with other writers. */
    public void again(SubjectKind kind, List<UUID> things) {
        transactions.executeWithoutResult(_ -> {
            turns.take();
            var standing = records.standing(things);
            projectors.stream().filter(one -> one.subjectKind().equals(kind)).forEach(one -> one.project(standing));
        });
    }

    /** So many at once as fit into the parameters of a statement. */
    public static List<List<UUID>> chunks(List<UUID> all) {
        return Recorder.chunks(all, Recorder.AT_ONCE);
    }

    private Set<SubjectKind> kinds() {
        Set<SubjectKind> kinds = new LinkedHashSet<>();
        projectors.forEach(one -> kinds.add(one.subjectKind()));
        return kinds;
    }

    private long ofKind(SubjectKind kind, long before, LongConsumer progress) {
        List<Projector> makers = projectors.stream().filter(one -> one.subjectKind().equals(kind)).toList();
        long done = before;
        long counted = before;
        UUID after = BEFORE_ALL;
        for (;;) {
            UUID from = after;
            List<UUID> chunk = transactions.execute(_ -> chunk(kind, makers, from));
            if (chunk.isEmpty()) {
                return done;
            }
            done += chunk.size();
            progress.accept(done);
            if (done - before >= 2 * (counted - before)) {
                // or the database goes on planning for tables that were empty a moment ago
                jdbc.sql("select count_computed_rows()").query().listOfRows();
                counted = done;
            }
            after = chunk.getLast();
        }
    }

    /** What another kind's rows brought along is made already, as cups are with their graft. */
    private List<UUID> chunk(SubjectKind kind, List<Projector> makers, UUID after) {
        List<UUID> chunk = journal.subjects(kind.name(), after,
                makers.stream().mapToInt(Projector::atOnce).min().orElse(Recorder.AT_ONCE));
        Set<UUID> made = new HashSet<>();
        makers.forEach(one -> made.addAll(one.madeWithOthers(chunk)));
        List<UUID> left = new ArrayList<>(chunk);
        left.removeAll(made);
        if (!left.isEmpty()) {
            var standing = records.standing(left);
            makers.forEach(one -> one.project(standing));
        }
        entities.flush();
        entities.clear();
        return chunk;
    }

    /** Holds the writers' lock on a connection of its own, so that each chunk can be a transaction. */
    private void withTheTurn(Runnable work) {
        try (Connection turn = connections.getConnection()) {
            lock(turn, "select pg_advisory_lock(hashtextextended(?, 0))");
            try {
                work.run();
            } finally {
                lock(turn, "select pg_advisory_unlock(hashtextextended(?, 0))");
            }
        } catch (SQLException failed) {
            throw new IllegalStateException("The writers' lock could not be taken: is the database there?", failed);
        }
    }

    private static void lock(Connection turn, String how) throws SQLException {
        try (PreparedStatement statement = turn.prepareStatement(how)) {
            statement.setString(1, CurrentOperation.require().toString());
            statement.execute();
        }
    }
}
