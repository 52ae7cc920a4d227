package vividcrown.server.job;

import com.fasterxml.uuid.Generators;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.server.operation.CurrentOperation;

/** Long work of the current operation that is not done yet. */
@Component
public class LongJobs {

    /** Living queens are reckoned with the operation's new figures. */
    public static final String FIGURES = "FIGURES";

    /** Every computed row is made of the record. */
    public static final String ROWS = "ROWS";

    private final JdbcClient jdbc;

    LongJobs(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param done of the total; the total is 0 until it is known */
    public record JobProgress(int done, int total) {
    }

    /** Notes that such work is to be done, in the transaction that makes it necessary; one at a time of a kind is enough. */
    public void ask(String kind) {
        jdbc.sql("delete from long_job where kind = ?").param(kind).update();
        jdbc.sql("insert into long_job (id, operation_id, kind, done, total) values (?, ?, ?, 0, 0)")
                .params(Generators.timeBasedEpochGenerator().generate(), CurrentOperation.require(), kind).update();
    }

    /** What is to be done of a kind, unless another server is through with it. */
    public List<UUID> waiting(String kind) {
        return jdbc.sql("select id from long_job where kind = ?").param(kind).query(UUID.class).list();
    }

    /** @return whether it is still to be done: it was not asked for anew meanwhile */
    public boolean isAt(UUID job, int done, int total) {
        return jdbc.sql("update long_job set done = ?, total = ? where id = ?").params(done, total, job).update() > 0;
    }

    public void end(UUID job) {
        jdbc.sql("delete from long_job where id = ?").param(job).update();
    }

    public Optional<JobProgress> progress(String kind) {
        return jdbc.sql("select done, total from long_job where kind = ?").param(kind).query(JobProgress.class)
                .optional();
    }
}
