package vividcrown.core.odds;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;

/**
 * What is known of a batch's surroundings. What is not in it is not known, and may be any.
 *
 * @param known which month, builder, mother …
 */
public record Around(Map<Circumstance, String> known) {

    public static final Around NOTHING_KNOWN = new Around(Map.of());

    public Around {
        known = Map.copyOf(known);
    }

    /** The month of a graft; the rest is not known. */
    public static Around graftOf(LocalDate day) {
        return NOTHING_KNOWN.with(Circumstance.MONTH, day.getMonth().name());
    }

    public Around with(Circumstance circumstance, String which) {
        Map<Circumstance, String> more = new EnumMap<>(Circumstance.class);
        more.putAll(known);
        more.put(circumstance, which);
        return new Around(more);
    }

    public Around with(Circumstance circumstance, Optional<String> which) {
        return which.map(one -> with(circumstance, one)).orElse(this);
    }

    public Optional<String> get(Circumstance circumstance) {
        return Optional.ofNullable(known.get(circumstance));
    }
}
