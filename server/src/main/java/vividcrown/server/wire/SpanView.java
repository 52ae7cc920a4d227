package vividcrown.server.wire;

import java.time.LocalDate;
import vividcrown.core.time.DatedSpan;

/** A span on the calendar: first possible, likely and last possible day, all included. */
public record SpanView(LocalDate earliest, LocalDate likely, LocalDate latest) {
    public static SpanView of(DatedSpan span) {
        return new SpanView(span.earliest(), span.likely(), span.latest());
    }
}
