package vividcrown.server.yard;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface Yards extends JpaRepository<Yard, UUID> {
}
