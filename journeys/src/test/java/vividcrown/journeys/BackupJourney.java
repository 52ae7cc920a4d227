package vividcrown.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import java.util.UUID;
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
}
