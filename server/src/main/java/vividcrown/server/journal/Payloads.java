package vividcrown.server.journal;

import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Details of entries to JSON and back. */
@Component
public class Payloads {
    private final JsonMapper json;

    Payloads(JsonMapper json) {
        this.json = json;
    }

    public String write(Object detail) {
        return json.writeValueAsString(detail);
    }

    /** @param detail as {@link #write} made it */
    public <T> T parse(String detail, Class<T> type) {
        return json.readValue(detail, type);
    }

    public <T> T read(JournalEntry entry, Class<T> type) {
        return parse(entry.detail(), type);
    }
}
