package vividcrown.server.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * A PostgreSQL of a test's own, on loopback, that may be stopped, killed, copied and promoted. The other tests' database goes on.
 */
public final class Cluster implements AutoCloseable {

    private static final boolean ROOT = "root".equals(System.getProperty("user.name"));

    private final Path folder;
    private final int port;

    private Cluster(Path folder, int port) {
        this.folder = folder;
        this.port = port;
    }

    /** A new one, running, with an empty database. */
    public static Cluster fresh() {
        Cluster cluster = new Cluster(folder(), freePort());
        cluster.tool("initdb", "-D", cluster.data(), "-U", "crown", "-A", "trust", "-E", "UTF8", "--locale=C.UTF-8",
                "--data-checksums");
        cluster.start();
        cluster.sql("postgres", "create database crown");
        return cluster;
    }

    /** A copy that follows this one and holds what this one acknowledged. */
    public Cluster standby() {
        Cluster standby = new Cluster(folder(), freePort());
        standby.tool("pg_basebackup", "-R", "-X", "stream", "-c", "fast", "-D", standby.data(), "-h", "127.0.0.1", "-p",
                String.valueOf(port), "-U", "crown");
        standby.start();
        sql("postgres", "alter system set synchronous_standby_names = '*'");
        sql("postgres", "select pg_reload_conf()");
        return standby;
    }

    public int port() {
        return port;
    }

    public String address() {
        return "postgres://crown@127.0.0.1:" + port + "/crown";
    }

    /** Of this one and that, whichever is the primary. */
    public String addressWith(Cluster other) {
        return "postgres://crown@127.0.0.1:" + port + ",127.0.0.1:" + other.port + "/crown";
    }

    public void start() {
        tool("pg_ctl", "-D", data(), "-l", folder.resolve("server.log").toString(), "-w", "-o",
                "-p " + port + " -c listen_addresses=127.0.0.1 -c unix_socket_directories=", "start");
    }

    public void stop() {
        tool("pg_ctl", "-D", data(), "-w", "-m", "fast", "stop");
    }

    /** Nothing is written down any more, nobody is told. */
    public void kill() {
        try {
            long process = Long.parseLong(Files.readAllLines(folder.resolve("data/postmaster.pid")).getFirst());
            List<ProcessHandle> children = ProcessHandle.of(process).stream().flatMap(ProcessHandle::children).toList();
            ProcessHandle.of(process).ifPresent(ProcessHandle::destroyForcibly);
            children.forEach(ProcessHandle::destroyForcibly);
            children.forEach(child -> child.onExit().join());
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    /** A standby becomes the primary. */
    public void promote() {
        tool("pg_ctl", "-D", data(), "-w", "promote");
    }

    /** @return the first column of the answer, a line a row */
    public List<String> sql(String database, String statement) {
        return tool("psql", "-h", "127.0.0.1", "-p", String.valueOf(port), "-U", "crown", "-d", database, "-v",
                "ON_ERROR_STOP=1", "-Atqc", statement).lines().toList();
    }

    @Override
    public void close() {
        try {
            if (Files.exists(folder.resolve("data/postmaster.pid"))) {
                kill();
            }
            try (Stream<Path> all = Files.walk(folder)) {
                for (Path one : all.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(one);
                }
            }
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private String data() {
        return folder.resolve("data").toString();
    }

    private static String tool(Path folder, List<String> words) {
        List<String> command = new ArrayList<>(ROOT ? List.of("runuser", "-u", "postgres", "--") : List.of());
        command.add(programs().resolve(words.getFirst()).toString());
        command.addAll(words.subList(1, words.size()));
        try {
            Path said = folder.resolve("said.txt");
            Process process = new ProcessBuilder(command).directory(folder.toFile()).redirectErrorStream(true)
                    .redirectOutput(said.toFile()).start();
            process.getOutputStream().close();
            int exit = process.waitFor();
            String text = Files.readString(said);
            if (exit != 0) {
                throw new IllegalStateException("%s said: %s".formatted(String.join(" ", command), text));
            }
            return text;
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while PostgreSQL worked", interrupted);
        }
    }

    private String tool(String... words) {
        return tool(folder, List.of(words));
    }

    private static Path programs() {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.max(Comparator.comparingInt(one -> Integer.parseInt(one.getFileName().toString())))
                    .orElseThrow().resolve("bin");
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    /** PostgreSQL refuses to run as root, and its user must be able to walk there. */
    private static Path folder() {
        try {
            Path folder = Files.createTempDirectory("crown-cluster");
            if (ROOT) {
                Files.setOwner(folder,
                        FileSystems.getDefault().getUserPrincipalLookupService().lookupPrincipalByName("postgres"));
            }
            return folder;
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    /** One that nobody listens at. */
    public static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
