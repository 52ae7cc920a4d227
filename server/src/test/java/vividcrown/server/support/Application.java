package vividcrown.server.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import javax.sql.DataSource;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.server.VividCrown;
import vividcrown.server.demo.DemoOperation;
import vividcrown.server.journal.Rebuild;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;

/**
 * Starts the real application once for all tests, on a real PostgreSQL with a database of its own, and hands it to tests
 * that ask for it. Each test founds an operation of its own, so tests do not meet.
 */
public final class Application implements ParameterResolver {

    private static final ExtensionContext.Namespace NAMESPACE = ExtensionContext.Namespace.create(Application.class);

    /**
     * The running application.
     *
     * @param port on 127.0.0.1
     * @param context for what no HTTP door leads to: founding, rebuilding
     */
    public record Running(int port, String databaseUrl, ConfigurableApplicationContext context)
            implements
                AutoCloseable {

        public String address() {
            return "http://127.0.0.1:" + port;
        }

        /** A demo operation of its own with owner and crew; the part before the @ is the same for both. */
        public Demo demo() {
            String name = UUID.randomUUID().toString().substring(0, 8);
            UUID operation = UUID.randomUUID();
            Demo demo = new Demo(operation, "ilva@%s.invalid".formatted(name), "jory@%s.invalid".formatted(name));
            context.getBean(DemoOperation.class).load(operation, demo.ownerEmail(), demo.crewEmail());
            return demo;
        }

        /** An operation with an owner and nothing else. @return who signs in */
        public String empty() {
            String email = "mira@%s.invalid".formatted(UUID.randomUUID().toString().substring(0, 8));
            UUID operation = UUID.randomUUID();
            Founding founding = context.getBean(Founding.class);
            founding.found(operation, "Sallow Ridge", "Europe/Zurich", Optional.of(LocalDate.of(2026, 6, 9)),
                    List.of(new Founding.Newcomer(UUID.randomUUID(), "Mira", email, DemoOperation.PASSWORD, "OWNER")));
            return email;
        }

        public Client signedIn(String email) {
            return new Client(address()).signIn(email, DemoOperation.PASSWORD);
        }

        /** Makes every computed row of an operation again. */
        public void rebuild(UUID operation) {
            CurrentOperation.in(operation, () -> {
                context.getBean(Rebuild.class).all(_ -> {
                });
                return operation;
            });
        }

        @Override
        public void close() {
            context.close();
        }
    }

    public record Demo(UUID operation, String ownerEmail, String crewEmail) {
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext extension) {
        return parameter.getParameter().getType() == Running.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext extension) {
        return extension.getRoot().getStore(NAMESPACE).getOrComputeIfAbsent(Running.class, _ -> start(), Running.class);
    }

    private static final String OF_A_PROCESS = "crown_test_";
    private static final AtomicInteger FRESH = new AtomicInteger();

    private static Running start() {
        Running running = start(database(OF_A_PROCESS + ProcessHandle.current().pid()));
        dropThoseOfTheDead(JdbcClient.create(running.context().getBean("ownerDataSource", DataSource.class)));
        return running;
    }

    /** A second server with a database of its own; whoever asks for it closes it. */
    public static Running another() {
        return start(freshDatabase());
    }

    /** One more server on a database that stands somewhere; whoever asks for it closes it. */
    public static Running on(String url) {
        return start(url);
    }

    /** A server for real use, before anybody founded an operation; whoever asks for it closes it. */
    public static Running unfounded(String url) {
        return start(url, false);
    }

    private static Running start(String url) {
        return start(url, true);
    }

    private static Running start(String url, boolean demo) {
        ConfigurableApplicationContext context = new SpringApplication(VividCrown.class).run("--server.port=0",
                "--crown.demo=" + demo, "--crown.database-url=" + url);
        int port = ((WebServerApplicationContext) context).getWebServer().getPort();
        return new Running(port, url, context);
    }

    /** A database is left standing for whoever wants to look into it; the next run tidies it away. */
    private static void dropThoseOfTheDead(JdbcClient databases) {
        databases.sql("select datname from pg_database where datname like 'crown\\_test\\_%'").query(String.class)
                .list()
                .stream()
                .filter(name -> ProcessHandle
                        .of(Long.parseLong(name.substring(OF_A_PROCESS.length()).replaceAll("_.*", ""))).isEmpty())
                .forEach(name -> databases.sql("drop database if exists \"" + name + "\" with (force)").update());
    }

    /** An empty one, for whoever begins from nothing. */
    public static String freshDatabase() {
        return database(OF_A_PROCESS + ProcessHandle.current().pid() + "_" + FRESH.incrementAndGet());
    }

    /** The project's own script starts the private cluster and makes the database. */
    public static String database(String name) {
        Path root = projectRoot();
        try {
            Process script = new ProcessBuilder(root.resolve("crown").toString(), "db", name).directory(root.toFile())
                    .redirectError(ProcessBuilder.Redirect.INHERIT).start();
            String url = new String(script.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
            if (script.waitFor() != 0 || url.isEmpty()) {
                throw new IllegalStateException("./crown db %s failed; its own words are above".formatted(name));
            }
            return url;
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("interrupted while the database started", interrupted);
        }
    }

    public static Path projectRoot() {
        Path here = Path.of("").toAbsolutePath();
        while (!Files.exists(here.resolve("crown"))) {
            here = here.getParent();
        }
        return here;
    }
}
