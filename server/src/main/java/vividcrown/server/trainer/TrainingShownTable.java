package vividcrown.server.trainer;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrainingShownTable extends JpaRepository<TrainingShownRow, UUID> {
}
