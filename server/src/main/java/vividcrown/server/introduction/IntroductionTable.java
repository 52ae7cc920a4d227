package vividcrown.server.introduction;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface IntroductionTable extends JpaRepository<IntroductionRow, UUID> {
    List<IntroductionRow> findByClosedOnIsNullOrderByBegunOnAscIdAsc();

    List<IntroductionRow> findByClosedOnGreaterThanEqualOrderByClosedOnDescIdDesc(LocalDate since);

    List<IntroductionRow> findByClosedOnIsNotNull();

    List<IntroductionRow> findByHiveIdInAndClosedOnIsNull(Collection<UUID> hives);

    List<IntroductionRow> findByQueenIdAndClosedOnIsNull(UUID queen);
}
