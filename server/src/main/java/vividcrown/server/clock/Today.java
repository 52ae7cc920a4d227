package vividcrown.server.clock;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import org.springframework.stereotype.Component;
import vividcrown.server.operation.CrownProperties;
import vividcrown.server.operation.OperationRecord;
import vividcrown.server.operation.Operations;

/** What day it is for the operation: by the clock of its place, or in demo mode the demo day at the same hour. */
@Component
public class Today {
    private final Operations operations;
    private final CrownProperties properties;
    private final Clock clock;

    Today(Operations operations, CrownProperties properties, Clock clock) {
        this.operations = operations;
        this.properties = properties;
        this.clock = clock;
    }

    public LocalDate day() {
        return now().toLocalDate();
    }

    public ZonedDateTime now() {
        OperationRecord operation = operations.current();
        ZonedDateTime byTheClock = clock.instant().atZone(operation.zone());
        return properties.demo() ? operation.demoToday().map(byTheClock::with).orElse(byTheClock) : byTheClock;
    }

    public ZoneId zone() {
        return operations.current().zone();
    }

    /** The moment an entry is recorded. Never moved by the demo. */
    public Instant recordedAt() {
        return clock.instant();
    }
}
