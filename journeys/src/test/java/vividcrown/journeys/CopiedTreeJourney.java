package vividcrown.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import vividcrown.server.support.Application;

/** A folder that was copied with everything in it while its database ran: the copy has a database of its own. */
class CopiedTreeJourney {

    private Path folder;

    @BeforeEach
    void folderThatTheDatabasesUserCanWalkTo() throws IOException {
        folder = Files.createTempDirectory("crown-trees");
        Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    @AfterEach
    void stopThem() throws Exception {
        for (String tree : List.of("one", "copy")) {
            if (Files.exists(folder.resolve(tree))) {
                run(folder.resolve(tree), "./crown", "stop");
            }
        }
        run(folder, "rm", "-rf", folder.toString());
    }

    /** A folder with nothing but the command in it. */
    private Path tree() throws Exception {
        Path one = Files.createDirectory(folder.resolve("one"));
        Files.setPosixFilePermissions(one, PosixFilePermissions.fromString("rwxr-xr-x"));
        run(folder, "cp", Application.projectRoot().resolve("crown").toString(), one.toString());
        return one;
    }

    private static String run(Path in, String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command).directory(in.toFile()).redirectErrorStream(false)
                .redirectError(ProcessBuilder.Redirect.INHERIT).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
        assertThat(process.waitFor()).as(String.join(" ", command)).isZero();
        return said;
    }

    private static String sql(String address, String statement) throws IOException, InterruptedException {
        return run(Path.of("/"), "psql", address, "-v", "ON_ERROR_STOP=1", "-Atqc", statement);
    }

    @Test
    void a_copy_never_speaks_to_the_database_of_the_original() throws Exception {
        Path one = tree();
        String original = run(one, "./crown", "db", "yard");
        sql(original, "create table hive (code text); insert into hive values ('of the original')");
        sql(original, "checkpoint");
        assertThat(sql(original, "show data_checksums")).isEqualTo("on");

        Path copy = folder.resolve("copy");
        run(folder, "cp", "-a", one.toString(), copy.toString());
        String copied = run(copy, "./crown", "db", "yard");
        assertThat(copied).isNotEqualTo(original);
        assertThat(sql(copied, "show data_directory")).startsWith(copy.toString());
        sql(copied, "insert into hive values ('of the copy')");
        assertThat(sql(original, "select code from hive")).isEqualTo("of the original");

        run(copy, "./crown", "stop");
        assertThat(sql(original, "select count(*) from hive")).as("it goes on").isEqualTo("1");
        assertThat(run(one, "./crown", "db", "yard")).isEqualTo(original);
    }

    @Test
    void a_number_that_is_somebody_elses_after_a_restart_is_not_believed() throws Exception {
        Path one = tree();
        String address = run(one, "./crown", "db", "yard");
        sql(address, "create table hive (code text)");
        run(one, "./crown", "stop");
        Path pid = one.resolve(".data/pg/postmaster.pid");
        List<String> lines = new ArrayList<>(List.of(String.valueOf(ProcessHandle.current().pid()),
                one.resolve(".data/pg").toString(), "0", "54699", "", "127.0.0.1", "", "stopping"));
        Files.write(pid, lines);
        String again = run(one, "./crown", "db", "yard");
        assertThat(sql(again, "select count(*) from hive")).isEqualTo("0");
    }

    /** As when another major version of the server is installed: the old folder is moved, a new one made, and one changes one's mind. */
    @Test
    void a_folder_that_was_put_aside_can_be_put_back() throws Exception {
        Path one = tree();
        sql(run(one, "./crown", "db", "yard"), "create table hive (code text); insert into hive values ('of before')");
        run(one, "./crown", "stop");
        run(one, "mv", ".data/pg", ".data/pg-before");
        assertThat(sql(run(one, "./crown", "db", "yard"), "select to_regclass('hive') is null")).isEqualTo("t");
        run(one, "./crown", "stop");
        run(one, "mv", ".data/pg", ".data/pg-after");
        run(one, "mv", ".data/pg-before", ".data/pg");
        assertThat(sql(run(one, "./crown", "db", "yard"), "select code from hive")).isEqualTo("of before");
    }
}
