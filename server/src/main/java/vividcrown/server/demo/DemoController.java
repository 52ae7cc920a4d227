package vividcrown.server.demo;

import java.time.LocalDate;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.server.clock.Today;
import vividcrown.server.operation.Operations;

/** Moves the demo's day. Does not exist in normal mode. */
@RestController
@ConditionalOnProperty(name = "crown.demo", havingValue = "true")
class DemoController {

    record DemoDay(LocalDate today) {
    }

    private final Operations operations;
    private final Today today;

    DemoController(Operations operations, Today today) {
        this.operations = operations;
        this.today = today;
    }

    /** One day on. */
    @PostMapping("/api/v1/demo/step")
    @Transactional
    public DemoDay step() {
        LocalDate next = today.day().plusDays(1);
        operations.demoIsAt(next);
        return new DemoDay(next);
    }
}
