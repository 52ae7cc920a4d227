package vividcrown.server.operation;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The operation of the signed-in person. */
public interface Operations extends JpaRepository<OperationRecord, UUID> {

    default OperationRecord current() {
        return findById(CurrentOperation.require())
                .orElseThrow(() -> new IllegalStateException("Impossible state: the operation of the session is gone"));
    }
}
