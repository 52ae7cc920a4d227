package vividcrown.server.operation;

import java.time.LocalDate;
import org.springframework.stereotype.Component;

/** The operation of the signed-in person. */
@Component
public class Operations {

    private final OperationTable table;

    Operations(OperationTable table) {
        this.table = table;
    }

    public OperationRecord current() {
        return row();
    }

    /** The day that the demo has come to. */
    public void demoIsAt(LocalDate day) {
        row().setDemoToday(day);
    }

    /** @param key SHA-256 of the secret in the new calendar link; the one before is not valid any more */
    public void calendarOpensWith(byte[] key) {
        row().setCalendarKey(key);
    }

    private OperationRow row() {
        return table.findById(CurrentOperation.require())
                .orElseThrow(() -> new IllegalStateException("Impossible state: the operation of the session is gone"));
    }
}
