package vividcrown.server.lineage;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** With whom queens mated. */
interface MatingTable extends JpaRepository<MatingRow, UUID> {
}
