package vividcrown.server.operation;

import java.time.LocalDate;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The operation of the signed-in person. */
public interface Operations extends JpaRepository<OperationRecord, UUID> {

    default OperationRecord current() {
        return findById(CurrentOperation.require())
                .orElseThrow(() -> new IllegalStateException("Impossible state: the operation of the session is gone"));
    }

    /** The day that the demo has come to. */
    default void demoIsAt(LocalDate day) {
        current().setDemoToday(day);
    }

    /** @param key SHA-256 of the secret in the new calendar link; the one before is not valid any more */
    default void calendarOpensWith(byte[] key) {
        current().setCalendarKey(key);
    }
}
