package vividcrown.server.split;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SplitTable extends JpaRepository<SplitRow, UUID> {
    List<SplitRow> findByDayGreaterThanEqualAndDroppedFalseOrderByDayDescIdDesc(LocalDate since);

    List<SplitRow> findByDayBetween(LocalDate from, LocalDate until);
}
