package vividcrown.server.yard;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface Nucs extends JpaRepository<Nuc, UUID> {
    List<Nuc> findByYardIdOrderByPosition(UUID yard);
}
