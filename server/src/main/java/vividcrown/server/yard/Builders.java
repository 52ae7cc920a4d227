package vividcrown.server.yard;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface Builders extends JpaRepository<Builder, UUID> {
}
