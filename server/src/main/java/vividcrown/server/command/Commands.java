package vividcrown.server.command;

import com.fasterxml.uuid.Generators;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Scanner;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.stereotype.Component;
import vividcrown.server.journal.Rebuild;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;

/** Runs one command and ends; without one the application goes on to serve. */
@Component
class Commands implements ApplicationRunner {

    private final Founding founding;
    private final Rebuild rebuild;
    private final ConfigurableApplicationContext application;

    Commands(Founding founding, Rebuild rebuild, ConfigurableApplicationContext application) {
        this.founding = founding;
        this.rebuild = rebuild;
        this.application = application;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        List<String> words = arguments.getNonOptionArgs();
        if (words.isEmpty()) {
            return;
        }
        switch (words.getFirst()) {
            case "rebuild" -> rebuild();
            case "found" -> found(words);
            default -> throw new IllegalArgumentException(
                    "There is no command \"%s\". Maybe: rebuild, found".formatted(words.getFirst()));
        }
        System.exit(SpringApplication.exit(application));
    }

    private void rebuild() {
        for (UUID operation : founding.operations()) {
            CurrentOperation.in(operation, () -> {
                rebuild.all(done -> System.out.println("  " + done + " things"));
                return operation;
            });
            System.out.println("Rebuilt operation " + operation + " from its journal.");
        }
    }

    /** The password comes on standard input, so that it stands in no list of processes. */
    private void found(List<String> words) {
        if (words.size() != 5) {
            throw new IllegalArgumentException(
                    "Usage: ./crown found OPERATION ZONE OWNER EMAIL, then the password on one line");
        }
        String password = new Scanner(System.in, StandardCharsets.UTF_8).nextLine();
        if (password.length() < 10) {
            throw new IllegalArgumentException(
                    "The password needs at least 10 characters, but has %d. Choose a longer one."
                            .formatted(password.length()));
        }
        UUID operation = Generators.timeBasedEpochGenerator().generate();
        founding.found(operation, words.get(1), ZoneId.of(words.get(2)).getId(), Optional.empty(),
                List.of(new Founding.Newcomer(Generators.timeBasedEpochGenerator().generate(), words.get(3),
                        words.get(4),
                        password, "OWNER")));
        System.out.println("Founded " + words.get(1) + ". Sign in as " + words.get(4) + ".");
    }
}
