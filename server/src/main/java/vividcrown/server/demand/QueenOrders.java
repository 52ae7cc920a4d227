package vividcrown.server.demand;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;
import vividcrown.core.demand.OrderState;

public interface QueenOrders extends Repository<QueenOrderRow, UUID> {
    Optional<QueenOrder> findById(UUID id);

    List<QueenOrder> findAll();

    List<QueenOrder> findAllByOrderByUntilDayAscCodeAsc();

    /** Those that are open, and those that were due since. */
    @Query("""
            select o from QueenOrder o where o.state in (ASKED, PROMISED) or o.untilDay >= :day order by o.untilDay, o.code
            """)
    List<QueenOrder> since(LocalDate day);

    /** Those that are closed, and were due in these days. */
    @Query("""
            select o from QueenOrder o where o.state in (DELIVERED, DECLINED) and o.untilDay between :from and :until
            order by o.untilDay, o.code
            """)
    List<QueenOrder> closed(LocalDate from, LocalDate until);

    /** The day on which the last closed order before this day was due. */
    @Query("select max(o.untilDay) from QueenOrder o where o.state in (DELIVERED, DECLINED) and o.untilDay < :day")
    Optional<LocalDate> lastClosedBefore(LocalDate day);

    List<QueenOrder> findByStateInOrderByUntilDayAscCodeAsc(Collection<OrderState> states);

    @Query("select o.code from QueenOrder o where o.code like :prefix order by length(o.code) desc, o.code desc limit 1")
    List<String> lastCode(String prefix);
}
