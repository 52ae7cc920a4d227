package vividcrown.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.Cluster;

/** Backup, ruin, restore: the same again. By the commands that people type. */
class BackupJourney {

    private static final String EMAIL = "mira@ridge.invalid";
    private static final String PASSWORD = "a long enough one";

    @TempDir
    private Path folder;
    private final String address = Application.freshDatabase();

    private CrownScript.Said crown(String... words) throws IOException, InterruptedException {
        return CrownScript.with(address, words);
    }

    private void sql(String statement) throws IOException, InterruptedException {
        Process psql = new ProcessBuilder("psql", address, "-v", "ON_ERROR_STOP=1", "-qc", statement).inheritIO()
                .start();
        assertThat(psql.waitFor()).as(statement).isZero();
    }

    private String founded() throws Exception {
        int port = Cluster.freePort();
        Path window = folder.resolve("window.txt");
        Process server = Server.start(address, port, ProcessBuilder.Redirect.to(window.toFile()));
        try {
            Client owner = new Client("http://127.0.0.1:" + port);
            owner.get("/api/v1/session");
            assertThat(owner.post("/api/v1/founding",
                    Map.of("code", Server.codeIn(window), "operation", "Ridge", "zone",
                            "Europe/Zurich", "owner", "Mira", "email", EMAIL, "password", PASSWORD))
                    .status()).isEqualTo(204);
            owner.signIn(EMAIL, PASSWORD);
            assertThat(
                    owner.tell("YARD_OPENED", "yard", UUID.randomUUID(), "name", "Ridge", "prefix", "R", "walkOrder", 1,
                            "latitude", 46.4, "longitude", 9.1, "elevationMetres", 640, "caution", "").text())
                    .contains("recorded");
            return owner.get("/api/v1/yards").text();
        } finally {
            server.destroyForcibly().waitFor();
        }
    }

    private String yards() throws Exception {
        int port = Cluster.freePort();
        Process server = Server.start(address, port);
        try {
            return new Client("http://127.0.0.1:" + port).signIn(EMAIL, PASSWORD).get("/api/v1/yards").text();
        } finally {
            server.destroyForcibly().waitFor();
        }
    }

    private static void refused(CrownScript.Said said, String why) {
        assertThat(said.exit()).as(said.text()).isNotZero();
        assertThat(said.text()).contains(why);
    }

    @Test
    void after_ruin_and_restore_everything_is_as_it_was() throws Exception {
        String before = founded();
        String file = folder.resolve("ridge.dump").toString();
        assertThat(crown("backup", file).text()).contains("Written to");
        refused(crown("backup", file), "is there already");
        refused(crown("restore", file), "there is an operation already. Nothing was changed.");

        sql("drop schema public cascade; create schema public");
        assertThat(crown("restore", file)).satisfies(said -> assertThat(said.exit()).as(said.text()).isZero());
        assertThat(yards()).isEqualTo(before);
        assertThat(crown("restore", file, "--over").text()).contains("stands aside");
    }

    @Test
    void what_is_no_backup_or_of_a_newer_version_changes_nothing() throws Exception {
        String before = founded();
        Path list = Files.writeString(folder.resolve("list.csv"), "code,name\n");
        refused(crown("restore", list.toString(), "--over"), "is no backup of ./crown backup. Nothing was changed.");
        refused(crown("restore", folder.resolve("nowhere").toString()), "there is no file");
        refused(crown("backup"), "say into which file");

        sql("insert into flyway_schema_history (installed_rank, version, description, type, script, checksum, installed_by, "
                + "execution_time, success) values (999, '999', 'later', 'SQL', 'V999__later.sql', 0, 'crown', 1, true)");
        String later = folder.resolve("later.dump").toString();
        assertThat(crown("backup", later).exit()).isZero();
        sql("delete from flyway_schema_history where version = '999'");
        refused(crown("restore", later, "--over"), "made by a newer version");
        assertThat(yards()).isEqualTo(before);
    }

    private String databases() throws IOException, InterruptedException {
        Process psql = new ProcessBuilder("psql", address, "-Atc", "select datname from pg_database").start();
        String names = new String(psql.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(psql.waitFor()).isZero();
        return names;
    }

    @Test
    void a_drill_reads_a_backup_back_counts_it_and_leaves_nothing_behind() throws Exception {
        String before = founded();
        String file = folder.resolve("ridge.dump").toString();
        crown("backup", file);
        CrownScript.Said drilled = crown("drill", file);
        assertThat(drilled.exit()).as(drilled.text()).isZero();
        assertThat(drilled.text()).contains("was read back whole")
                .containsPattern("in it +1 operations, 1 people, 1 entries")
                .containsPattern("here now +1 operations, 1 people, 1 entries");
        byte[] whole = Files.readAllBytes(Path.of(file));
        Path half = Files.write(folder.resolve("half.dump"), Arrays.copyOf(whole, whole.length / 2));
        refused(crown("drill", half.toString()), "it would not help you");
        refused(crown("restore", half.toString(), "--over"), "Nothing was changed");
        assertThat(databases()).doesNotContain("_drill").doesNotContain("_restoring");
        assertThat(yards()).isEqualTo(before);
    }

    @Test
    void a_backup_of_a_database_that_was_never_used_is_told_as_such() throws Exception {
        String nothing = folder.resolve("nothing.dump").toString();
        assertThat(crown("backup", nothing).exit()).isZero();
        refused(crown("drill", nothing), "never used");
        refused(crown("restore", nothing), "never used. Nothing was changed.");
        assertThat(databases()).doesNotContain("_drill").doesNotContain("_restoring");
    }

    /** On a new machine the file of the old one is tried before it takes the place of anything. */
    @Test
    void a_backup_is_drilled_where_nothing_is_yet() throws Exception {
        founded();
        String file = folder.resolve("ridge.dump").toString();
        crown("backup", file);
        sql("drop schema public cascade; create schema public");
        CrownScript.Said drilled = crown("drill", file);
        assertThat(drilled.exit()).as(drilled.text()).isZero();
        assertThat(drilled.text()).containsPattern("in it +1 operations").containsPattern("here now +nothing yet");
    }

    /** Both look for today's at the same moment, again and again, while it is being written. */
    @Test
    void of_two_servers_with_one_folder_one_backs_up() throws Exception {
        sql("create table operation as select n as id, md5(n::text) as name from generate_series(1, 200000) n");
        Path backups = Files.createDirectories(folder.resolve("data/backups"));
        Path old = Files.writeString(backups.resolve("crown-2026-01-01.dump"), "of a winter long past");
        Files.setLastModifiedTime(old, FileTime.from(Instant.now().minus(Duration.ofDays(40))));
        List<Process> servers = new ArrayList<>();
        List<Process> loops = new ArrayList<>();
        try {
            for (int server = 0; server < 2; server++) {
                servers.add(new ProcessBuilder("sleep", "120").start());
                ProcessBuilder loop = new ProcessBuilder("bash", "-c",
                        "source \"$0\" help > /dev/null; back_up_daily " + servers.getLast().pid(),
                        Application.projectRoot().resolve("crown").toString()).redirectErrorStream(true);
                loop.environment()
                        .putAll(Map.of("DATABASE_URL", address, "CROWN_DATA", folder.resolve("data").toString(),
                                "CROWN_BACKUP_SECONDS", "0.01"));
                loops.add(loop.start());
            }
            for (int attempt = 0; attempt < 600 && Files.exists(old); attempt++) {
                Client.pause(100);
            }
        } finally {
            servers.forEach(Process::destroyForcibly);
        }
        for (Process loop : loops) {
            assertThat(new String(loop.getInputStream().readAllBytes(), StandardCharsets.UTF_8)).as("what it said")
                    .isEmpty();
        }
        try (Stream<Path> files = Files.list(backups)) {
            assertThat(files.map(file -> file.getFileName().toString()).filter(name -> !name.equals("lock")))
                    .singleElement().asString().matches("crown-\\d{4}-\\d\\d-\\d\\d\\.dump");
        }
    }
}
