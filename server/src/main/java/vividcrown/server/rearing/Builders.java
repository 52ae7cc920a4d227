package vividcrown.server.rearing;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

/** How hives are run as cell builders. */
interface Builders extends JpaRepository<Builder, UUID> {
}
