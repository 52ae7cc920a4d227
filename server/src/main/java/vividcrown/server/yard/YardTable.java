package vividcrown.server.yard;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The rows themselves, for their own feature to write. */
interface YardTable extends JpaRepository<YardRow, UUID> {
}
