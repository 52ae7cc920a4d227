package vividcrown.server.trainer;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** What was practised in the current operation. */
interface TrainingTable extends JpaRepository<TrainingRow, UUID> {

    List<TrainingRow> findByPersonIdOrderByDoneAt(UUID person);
}
