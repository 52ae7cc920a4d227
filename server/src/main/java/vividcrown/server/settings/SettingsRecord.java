package vividcrown.server.settings;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.annotations.TenantId;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import vividcrown.core.settings.Settings;
import vividcrown.server.journal.DeedJson;

/** An operation's settings in force; the id is the operation's. */
@Entity
@Table(name = "settings")
class SettingsRecord {
    @Id
    private UUID id;
    @TenantId
    private @Nullable UUID operationId;
    @JdbcTypeCode(SqlTypes.JSON)
    private String detail;

    @SuppressWarnings("NullAway") // filled by Hibernate
    protected SettingsRecord() {
    }

    SettingsRecord(UUID id, Settings settings) {
        this.id = id;
        this.detail = DeedJson.MAPPER.writeValueAsString(settings);
    }

    Settings settings() {
        return DeedJson.MAPPER.readValue(detail, Settings.class);
    }
}
