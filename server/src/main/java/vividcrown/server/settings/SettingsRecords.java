package vividcrown.server.settings;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SettingsRecords extends JpaRepository<SettingsRecord, UUID> {
}
