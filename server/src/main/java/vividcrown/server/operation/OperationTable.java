package vividcrown.server.operation;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The rows themselves, for their own feature to write. */
interface OperationTable extends JpaRepository<OperationRow, UUID> {
}
