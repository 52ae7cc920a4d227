package vividcrown.server.files;

import java.sql.Timestamp;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.files.QueenFileController.Row;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/**
 * Imports of queens and nucs: a part of the rows and a transaction at a time beside the requests, so that others can record
 * meanwhile. A server that is killed goes on with them when it starts again.
 */
@Component
class QueenImports {

    private static final Logger LOG = LoggerFactory.getLogger(QueenImports.class);
    private static final int ROWS_AT_ONCE = 200;

    private final QueenImport rows;
    private final JdbcClient jdbc;
    private final Today today;
    private final Founding founding;
    private final TransactionTemplate transactions;

    QueenImports(QueenImport rows, JdbcClient jdbc, Today today, Founding founding, TransactionTemplate transactions) {
        this.rows = rows;
        this.jdbc = jdbc;
        this.today = today;
        this.founding = founding;
        this.transactions = transactions;
    }

    /**
     * How far an import is.
     *
     * @param done rows taken up, of the total
     * @param queens that came in so far
     * @param hives that were set up so far
     * @param ended nothing is left to do
     */
    record ImportProgress(UUID id, int done, int total, int queens, int hives, boolean ended) {
    }

    private record Asked(UUID id, UUID askedBy, String csv) {
    }

    /** Begins an import, once for an id; everything that is wrong with the file is said before anything is recorded. */
    ImportProgress begin(UUID id, String csv, boolean skipBadRows) {
        Optional<ImportProgress> begun = progress(id);
        if (begun.isPresent()) {
            return begun.get();
        }
        List<Row> good = rows.good(csv, skipBadRows);
        jdbc.sql("""
                insert into queen_import (id, operation_id, asked_by, asked_at, csv, done, total, queens,
                    hives, ended) values (?, ?, ?, ?, ?, 0, ?, 0, 0, false) on conflict do nothing""")
                .params(id, CurrentOperation.require(), SignedIn.require().id(), Timestamp.from(today.recordedAt()),
                        QueenImport.csv(good), good.size())
                .update();
        goOn(CurrentOperation.require(), "id = ?", id);
        return progress(id)
                .orElseThrow(() -> Refusal.invalid("id", Sentence.of("refusal.importElsewhere", id.toString())));
    }

    /** Empty if there is no such import. */
    Optional<ImportProgress> progress(UUID id) {
        return jdbc.sql("select id, done, total, queens, hives, ended from queen_import where id = ?").param(id)
                .query(ImportProgress.class).optional();
    }

    @EventListener(ApplicationReadyEvent.class)
    void goOnAfterAStart() {
        founding.operations().forEach(operation -> goOn(operation, "true"));
    }

    private void goOn(UUID operation, String which, Object... arguments) {
        Thread.ofVirtual().name("import").start(() -> CurrentOperation.in(operation, () -> {
            try {
                jdbc.sql("select id, asked_by, csv from queen_import where not ended and " + which
                        + " order by asked_at")
                        .params(arguments).query(Asked.class).list().forEach(this::through);
            } catch (RuntimeException failed) {
                LOG.error("An import could not be brought to its end; it is tried again at the next start", failed);
            }
            return operation;
        }));
    }

    /** Only good rows were kept. What a killed server or another one recorded of them already is passed over. */
    private void through(Asked asked) {
        List<Row> all = QueenImport.written(asked.csv());
        for (int from = 0; from < all.size(); from += ROWS_AT_ONCE) {
            List<Row> part = all.subList(from, Math.min(from + ROWS_AT_ONCE, all.size()));
            int done = from + part.size();
            transactions.executeWithoutResult(_ -> {
                QueenImport.Counted counted = rows.record(asked.id(), asked.askedBy(), part);
                jdbc.sql("""
                        update queen_import set done = greatest(done, ?), queens = queens + ?, hives = hives + ?
                        where id = ?""").params(done, counted.queens(), counted.hives(), asked.id()).update();
            });
        }
        jdbc.sql("update queen_import set ended = true where id = ?").param(asked.id()).update();
    }
}
