package vividcrown.server.files;

import java.sql.Timestamp;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.job.Beside;
import vividcrown.server.job.LongWork;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/**
 * Imports of a whole apiary: a part of the rows and a transaction at a time beside the requests, so that others can record
 * meanwhile. A server that is killed goes on with them when it starts again.
 */
@Component
class ApiaryImports implements LongWork {

    private static final int ROWS_AT_ONCE = 200;

    private final ApiaryImport rows;
    private final JdbcClient jdbc;
    private final Today today;
    private final Beside beside;
    private final TransactionTemplate transactions;

    ApiaryImports(ApiaryImport rows, JdbcClient jdbc, Today today, Beside beside, TransactionTemplate transactions) {
        this.rows = rows;
        this.jdbc = jdbc;
        this.today = today;
        this.beside = beside;
        this.transactions = transactions;
    }

    /**
     * How far an import is.
     *
     * @param done rows taken up, of the total
     * @param yards that were opened so far
     * @param hives that were set up so far
     * @param queens that came in so far
     * @param ended nothing is left to do
     */
    record ImportProgress(UUID id, int done, int total, int yards, int hives, int queens,
            boolean ended) {
    }

    private record Asked(UUID id, UUID askedBy, String csv) {
    }

    /** Begins an import, once for an id; everything that is wrong with the file is said before anything is recorded. */
    ImportProgress begin(UUID id, String csv, boolean skipBadRows) {
        Optional<ImportProgress> begun = progress(id);
        if (begun.isPresent()) {
            return begun.get();
        }
        ApiaryImport.Good good = rows.good(csv, skipBadRows);
        jdbc.sql("""
                insert into apiary_import (id, operation_id, asked_by, asked_at, csv, done, total, yards, hives, queens,
                    ended) values (?, ?, ?, ?, ?, 0, ?, 0, 0, 0, false) on conflict do nothing""")
                .params(id, CurrentOperation.require(), SignedIn.require().id(), Timestamp.from(today.recordedAt()),
                        good.csv(), good.rows())
                .update();
        beside.start(name(), CurrentOperation.require(), () -> goOn("id = ?", id));
        return progress(id)
                .orElseThrow(() -> Refusal.invalid("id", Sentence.of("refusal.importElsewhere", id.toString())));
    }

    /** Empty if there is no such import. */
    Optional<ImportProgress> progress(UUID id) {
        return jdbc.sql("select id, done, total, yards, hives, queens, ended from apiary_import where id = ?").param(id)
                .query(ImportProgress.class).optional();
    }

    @Override
    public String name() {
        return "import";
    }

    @Override
    public void goOn() {
        goOn("true");
    }

    private void goOn(String which, Object... arguments) {
        jdbc.sql("select id, asked_by, csv from apiary_import where not ended and " + which + " order by asked_at")
                .params(arguments).query(Asked.class).list().forEach(this::through);
    }

    /** Only good rows were kept. What a killed server or another one recorded of them already is passed over. */
    private void through(Asked asked) {
        int done = 0;
        for (ApiaryImport.Part part : rows.parts(asked.id(), asked.askedBy(), asked.csv(), ROWS_AT_ONCE)) {
            done += part.rows();
            int soFar = done;
            transactions.executeWithoutResult(_ -> {
                ApiaryImport.Counted counted = rows.record(part);
                jdbc.sql("""
                        update apiary_import set done = greatest(done, ?), yards = yards + ?, hives = hives + ?,
                            queens = queens + ? where id = ?""")
                        .params(soFar, counted.yards(), counted.hives(), counted.queens(), asked.id()).update();
            });
        }
        jdbc.sql("update apiary_import set ended = true where id = ?").param(asked.id()).update();
    }
}
