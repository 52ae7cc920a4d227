package vividcrown.server.order;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface PromisedQueens extends JpaRepository<PromisedQueen, UUID> {
    List<PromisedQueen> findByOrderId(UUID order);

    void deleteByOrderId(UUID order);
}
