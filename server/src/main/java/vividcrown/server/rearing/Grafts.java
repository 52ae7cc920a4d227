package vividcrown.server.rearing;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

public interface Grafts extends Repository<GraftRow, UUID> {
    Optional<Graft> findById(UUID id);

    List<Graft> findAllById(Iterable<UUID> ids);

    boolean existsById(UUID id);

    List<Graft> findByGraftDayGreaterThanEqualOrderByGraftDayAscCodeAsc(LocalDate since);

    /** The day of the last graft before this one. */
    @Query("select max(g.graftDay) from Graft g where g.graftDay < :day")
    Optional<LocalDate> lastBefore(LocalDate day);

    List<Graft> findByGraftDayBetweenOrderByGraftDayAscCodeAsc(LocalDate from, LocalDate until);

    @Query("select g.code from Graft g where g.code like :prefix order by length(g.code) desc, g.code desc limit 1")
    List<String> lastCode(String prefix);
}
