package vividcrown.server.founding;

import com.fasterxml.uuid.Generators;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.reason.Sentence;
import vividcrown.server.operation.CrownProperties;
import vividcrown.server.operation.Founding;
import vividcrown.server.problem.Refusal;

/**
 * While there is no operation yet, whoever reads the server's own output may found one: it prints a code that works once. A new
 * start prints another.
 */
@Component
@Order(1)
class FirstDay implements ApplicationRunner {

    /** Without letters and digits that are taken for one another. */
    private static final String LETTERS = "ABCDEFGHJKLMNPQRTUVWXY346789";
    private static final int LENGTH = 10;
    private static final int WRONG_ALLOWED = 10;

    private final Founding founding;
    private final CrownProperties properties;
    private Optional<String> code = Optional.empty();
    private int wrong;

    FirstDay(Founding founding, CrownProperties properties) {
        this.founding = founding;
        this.properties = properties;
    }

    /** @param zone as in the IANA database */
    record Wanted(String operation, String zone, String owner, String email, String password) {
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (arguments.getNonOptionArgs().isEmpty() && !properties.demo() && founding.operations().isEmpty()) {
            String fresh = fresh();
            code = Optional.of(fresh);
            System.out.printf("%n  Nobody has founded an operation here yet. Open the address above in a browser.%n"
                    + "  It asks for this code, to know that it is you:   %s-%s%n%n", fresh.substring(0, LENGTH / 2),
                    fresh.substring(LENGTH / 2));
        }
    }

    synchronized boolean isOpen() {
        return code.isPresent() && founding.operations().isEmpty();
    }

    /** One at a time: of two that send the code together, here or to two servers, one founds, the other is told that it is done. */
    synchronized void found(String told, Wanted wanted) {
        String right = code.orElseThrow(() -> Refusal.forbidden(Sentence.of("refusal.foundedAlready")));
        if (!MessageDigest.isEqual(bytes(right), bytes(told.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "")))) {
            wrong++;
            if (wrong >= WRONG_ALLOWED) {
                code = Optional.empty();
            }
            throw Refusal.invalid("code", Sentence.of("refusal.foundingCode"));
        }
        boolean founded = founding.foundFirst(Generators.timeBasedEpochGenerator().generate(), wanted.operation(),
                wanted.zone(), new Founding.Newcomer(Generators.timeBasedEpochGenerator().generate(), wanted.owner(),
                        wanted.email(), wanted.password(), "OWNER"));
        code = Optional.empty();
        if (!founded) {
            // meanwhile, from the command line or by another server
            throw Refusal.forbidden(Sentence.of("refusal.foundedAlready"));
        }
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static String fresh() {
        return new SecureRandom().ints(LENGTH, 0, LETTERS.length()).mapToObj(LETTERS::charAt)
                .collect(StringBuilder::new, StringBuilder::append, StringBuilder::append).toString();
    }
}
