package vividcrown.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.server.journal.Recorder;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.operation.Founding;
import vividcrown.server.trainer.Trainings;

/** Loads the demo operation the first time. */
@Component
@Order(0)
@ConditionalOnProperty(name = "crown.demo", havingValue = "true")
public class DemoOperation implements ApplicationRunner {

    public static final String OWNER_EMAIL = "ilva@larch.invalid";
    public static final String CREW_EMAIL = "jory@larch.invalid";
    /** Open to all: the demo listens on loopback only and holds nothing real. */
    public static final String PASSWORD = "upland valley";

    private static final UUID DEMO = UUID.fromString("0de00000-0000-7000-8000-000000000046");

    private final Founding founding;
    private final Recorder recorder;
    private final DemoTraining training;

    DemoOperation(Founding founding, Recorder recorder, Trainings trainings) {
        this.founding = founding;
        this.recorder = recorder;
        this.training = new DemoTraining(trainings);
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (founding.exists(DEMO)) {
            // a first start that was cut short is brought to its end; what is recorded already is passed over
            record(DEMO);
        } else {
            load(DEMO, OWNER_EMAIL, CREW_EMAIL);
        }
        CurrentOperation.in(DEMO, () -> {
            training.write(owner(DEMO), 0.55);
            training.write(crew(DEMO), 0.3);
            return true;
        });
    }

    /** The demo season for an operation of its own; several can stand side by side. */
    public void load(UUID operation, String ownerEmail, String crewEmail) {
        founding.found(operation, "Larch & Leat Queens", DemoSeason.ZONE.getId(), Optional.of(DemoSeason.TODAY),
                List.of(
                        new Founding.Newcomer(owner(operation), "Ilva Torrenz", ownerEmail, PASSWORD, "OWNER"),
                        new Founding.Newcomer(crew(operation), "Jory Malcanten", crewEmail, PASSWORD, "CREW")));
        record(operation);
    }

    private void record(UUID operation) {
        CurrentOperation.in(operation, () -> recorder
                .record(new DemoSeason(operation, owner(operation), crew(operation)).entries(), true));
    }

    private static UUID owner(UUID operation) {
        return UUID.nameUUIDFromBytes((operation + "owner").getBytes(StandardCharsets.UTF_8));
    }

    private static UUID crew(UUID operation) {
        return UUID.nameUUIDFromBytes((operation + "crew").getBytes(StandardCharsets.UTF_8));
    }
}
