package vividcrown.server.hive;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The rows themselves, for their own feature to write. */
interface HiveBoxTable extends JpaRepository<HiveBoxRow, UUID> {
}
