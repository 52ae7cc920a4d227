package vividcrown.server.store;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StoreRecords extends JpaRepository<StoreRecord, UUID> {
}
