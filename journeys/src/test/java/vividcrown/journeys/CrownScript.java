package vividcrown.journeys;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import vividcrown.server.support.Application;

/** The project's own command, run on a database that a test names. */
final class CrownScript {

    /**
     * @param exit 0 if it did what it was asked
     * @param text all it printed
     */
    record Said(int exit, String text) {
    }

    private CrownScript() {
    }

    static Said with(String databaseUrl, String... words) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(Application.projectRoot().resolve("crown").toString()));
        command.addAll(List.of(words));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().put("DATABASE_URL", databaseUrl);
        Process process = builder.start();
        process.getOutputStream().close();
        String text = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Said(process.waitFor(), text);
    }
}
