package vividcrown.server.hive;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** The rows themselves, for their own feature to write. */
interface HiveTable extends JpaRepository<HiveRow, UUID> {

    List<HiveRow> findByCodeIn(Collection<String> codes);
}
