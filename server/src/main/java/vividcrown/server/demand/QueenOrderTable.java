package vividcrown.server.demand;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The rows themselves, for their own feature to write. */
interface QueenOrderTable extends JpaRepository<QueenOrderRow, UUID> {
}
