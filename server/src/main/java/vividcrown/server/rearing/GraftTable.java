package vividcrown.server.rearing;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The rows themselves, for their own feature to write. */
interface GraftTable extends JpaRepository<GraftRow, UUID> {
}
