package vividcrown.journeys;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;

/** The application as a process of its own, from its jar, as people run it. */
final class Server {

    private Server() {
    }

    /** Returns once it answers. */
    static Process start(String databaseUrl, int port) throws IOException, InterruptedException {
        return start(databaseUrl, port, ProcessBuilder.Redirect.DISCARD);
    }

    /** @param window where what it says goes */
    static Process start(String databaseUrl, int port, ProcessBuilder.Redirect window)
            throws IOException, InterruptedException {
        Path jar = Application.projectRoot().resolve("server/target/vividcrown-server-0.1.0-SNAPSHOT-app.jar");
        ProcessBuilder builder = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1", "-jar", jar.toString(), "--server.port=" + port);
        builder.environment().put("DATABASE_URL", databaseUrl);
        Process process = builder.redirectErrorStream(true).redirectOutput(window).start();
        for (int attempt = 0; attempt < 3_600; attempt++) {
            if (answers(port)) {
                return process;
            }
            Thread.sleep(50);
        }
        process.destroyForcibly();
        throw new AssertionError("the server did not start within three minutes");
    }

    /** The code that it prints while nobody has founded an operation. */
    static String codeIn(Path window) throws IOException, InterruptedException {
        for (int attempt = 0; attempt < 200; attempt++) {
            Matcher found = Pattern.compile("it is you: +(\\S+)").matcher(Files.readString(window));
            if (found.find()) {
                return found.group(1);
            }
            Thread.sleep(50);
        }
        throw new AssertionError("the server printed no code");
    }

    private static boolean answers(int port) {
        try {
            return new Client("http://127.0.0.1:" + port).get("/api/v1/session").status() < 500;
        } catch (UncheckedIOException notYet) {
            return false;
        }
    }
}
