package vividcrown.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import vividcrown.server.support.AnyRequests;
import vividcrown.server.support.Application;
import vividcrown.server.support.Client;
import vividcrown.server.support.ComputedRows;

/** Whatever is asked, by whomever: an answer that says what is wrong with it, never a fault of the program. */
@ExtendWith(Application.class)
class AnyRequestTest {

    private static final int ROUNDS = Integer.getInteger("crown.requests", 834);

    /** Caches are warm after so many; what is kept from then on is what requests leave behind. */
    private static final int WARM = 5_000;

    private final Application.Running application;

    AnyRequestTest(Application.Running application) {
        this.application = application;
    }

    private static long heapInUse() {
        System.gc();
        return ManagementFactory.getMemoryMXBean().getHeapMemoryUsage().getUsed();
    }

    @Test
    void no_request_finds_a_fault_of_the_program() {
        Application.Demo demo = application.demo();
        Client owner = application.signedIn(demo.ownerEmail());
        AnyRequests any = new AnyRequests(owner.get("/api/v1/openapi").json(),
                List.copyOf(ComputedRows.ids(application, demo.operation())),
                Long.getLong("crown.seed", 1));
        Map<Integer, Integer> statuses = new TreeMap<>();
        TreeSet<String> faults = new TreeSet<>();
        TreeSet<String> reached = new TreeSet<>();
        Map<String, Long> slowest = new TreeMap<>();
        long warm = 0;
        for (int number = 0; number < ROUNDS; number++) {
            AnyRequests.AnyRequest request = any.next(number);
            long begun = System.nanoTime();
            Client.Answer answer = owner.ask(request.method(), request.path(), request.body());
            slowest.merge(request.door(), (System.nanoTime() - begun) / 1_000_000, Math::max);
            warm = number == WARM ? heapInUse() : warm;
            statuses.merge(answer.status(), 1, Integer::sum);
            if (answer.status() >= 500) {
                faults.add("%s: %d to %s %s".formatted(request.door(), answer.status(), request.path(),
                        request.body().orElse("")));
            } else if (answer.status() >= 400) {
                assertThat(answer.text()).as("%s %s", request.path(), request.body()).doesNotContain("java.")
                        .doesNotContain("vividcrown.").doesNotContain("Exception").doesNotContain("org.");
            } else {
                reached.add(request.door());
            }
        }
        System.out.println("answers to any requests: " + statuses + ", through " + reached.size() + " of " + any.doors()
                + " doors; the slowest, in ms: " + slowest.entrySet().stream()
                        .sorted(Map.Entry.<String, Long>comparingByValue().reversed()).limit(8).toList());
        if (ROUNDS > WARM) {
            System.out
                    .println("heap in use after " + WARM + " requests: " + (warm >> 20) + " MB, after " + ROUNDS + ": "
                            + (heapInUse() >> 20) + " MB");
        }
        assertThat(faults).isEmpty();
        assertThat(reached).as("it is no wall that they run into").hasSizeGreaterThan(any.doors() / 3);
        assertThat(owner.get("/api/v1/session").status()).as("still signed in").isEqualTo(200);
    }
}
