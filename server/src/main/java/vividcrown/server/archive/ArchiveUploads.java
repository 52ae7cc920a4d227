package vividcrown.server.archive;

import com.fasterxml.uuid.Generators;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.SequenceInputStream;
import java.util.Enumeration;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.UUID;
import java.util.function.LongConsumer;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import vividcrown.core.reason.Sentence;
import vividcrown.server.journal.DeedJson;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.problem.Refusal;

/** The file that the owner sent in to be read back. It waits in the database, so that any server can go on with it. */
@Component
class ArchiveUploads {

    private static final int PART = 1 << 20;

    private final JdbcClient jdbc;

    ArchiveUploads(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * An archive that was sent in.
     *
     * @param read bytes of its size that were read so far
     * @param ended it was read to its end, or refused
     * @param entries that it brought back
     * @param faults what is wrong with it; nothing of it was brought back then
     */
    record Upload(UUID id, long size, long read, boolean ended, long entries, List<Refusal.Finding> faults) {
    }

    /**
     * Keeps it until it was read. Whoever sends one takes the place of the last one.
     *
     * @throws Refusal if the last one is still being read
     * @throws IOException if the line broke: nothing is kept then
     */
    @Transactional(rollbackFor = IOException.class)
    public UUID keep(InputStream in) throws IOException {
        UUID id = Generators.timeBasedEpochGenerator().generate();
        long size = 0;
        int number = 0;
        for (byte[] bytes = in.readNBytes(PART); bytes.length > 0; bytes = in.readNBytes(PART)) {
            jdbc.sql("insert into archive_part (upload_id, operation_id, number, bytes) values (?, ?, ?, ?)")
                    .params(id, CurrentOperation.require(), number, bytes).update();
            number++;
            size += bytes.length;
        }
        int kept = jdbc
                .sql("""
                        insert into archive_upload (id, operation_id, size) values (?, ?, ?)
                        on conflict (operation_id) do update set id = excluded.id, size = excluded.size, read = 0, ended = false,
                            entries = 0, faults = '[]' where archive_upload.ended""")
                .params(id, CurrentOperation.require(), size).update();
        if (kept == 0) {
            throw Refusal.invalid("", Sentence.of("refusal.archiveUnderWay"));
        }
        return id;
    }

    /** What was sent in last; empty if nothing ever was. */
    Optional<Upload> last() {
        return jdbc.sql("select id, size, read, ended, entries, faults from archive_upload")
                .query((row, _) -> new Upload(row.getObject("id", UUID.class), row.getLong("size"), row.getLong("read"),
                        row.getBoolean("ended"), row.getLong("entries"),
                        DeedJson.MAPPER.readValue(row.getString("faults"), new TypeReference<>() {
                        })))
                .optional();
    }

    /** The file from its beginning, a part at a time. @param progress is told how many bytes were read */
    InputStream open(UUID id, LongConsumer progress) {
        return new SequenceInputStream(new Enumeration<InputStream>() {
            private int number;
            private long read;
            private Optional<byte[]> next = part(0);

            private Optional<byte[]> part(int asked) {
                return jdbc.sql("select bytes from archive_part where upload_id = ? and number = ?").params(id, asked)
                        .query(byte[].class).optional();
            }

            @Override
            public boolean hasMoreElements() {
                return next.isPresent();
            }

            @Override
            public InputStream nextElement() {
                byte[] bytes = next.orElseThrow(NoSuchElementException::new);
                progress.accept(read);
                read += bytes.length;
                number++;
                next = part(number);
                return new ByteArrayInputStream(bytes);
            }
        });
    }

    /** Seen by others at once, while the reading itself is seen when it is done. */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void isAt(UUID id, long read) {
        jdbc.sql("update archive_upload set read = ? where id = ?").params(read, id).update();
    }

    /** It was brought back. Within the transaction that does so. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void broughtBack(UUID id, long entries) {
        end(id, entries, List.of());
    }

    @Transactional
    public void refused(UUID id, List<Refusal.Finding> faults) {
        end(id, 0, faults);
    }

    private void end(UUID id, long entries, List<Refusal.Finding> faults) {
        jdbc.sql("update archive_upload set ended = true, entries = ?, faults = ?::jsonb where id = ?")
                .params(entries, DeedJson.MAPPER.writeValueAsString(faults), id).update();
        jdbc.sql("delete from archive_part where upload_id = ?").param(id).update();
    }
}
