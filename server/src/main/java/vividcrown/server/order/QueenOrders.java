package vividcrown.server.order;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

public interface QueenOrders extends JpaRepository<QueenOrder, UUID> {
    List<QueenOrder> findAllByOrderByUntilDayAscCodeAsc();

    List<QueenOrder> findByStateInOrderByUntilDayAscCodeAsc(Collection<OrderState> states);

    @Query("select o.code from QueenOrder o where o.code like :prefix order by length(o.code) desc, o.code desc limit 1")
    List<String> lastCode(String prefix);
}
