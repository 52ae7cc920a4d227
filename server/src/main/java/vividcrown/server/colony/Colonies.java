package vividcrown.server.colony;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface Colonies extends JpaRepository<Colony, UUID> {
    List<Colony> findAllByOrderByYardIdAscPositionAsc();

    Optional<Colony> findByCode(String code);
}
