package vividcrown.core.reading;

import java.time.LocalDate;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Signs of disease that still stand: each from the day on which it was seen last until a later day on which it was looked for
 * on every frame and was not there. A look that left out a frame, or a box, or found no sealed brood that could have shown it,
 * proves nothing. What is to be done meanwhile is the authority's to say. Source: common practice.
 *
 * @param standing the signs, each with the day on which it was seen last
 */
public record Suspicion(Map<Sign, LocalDate> standing) {

    /** Nothing that would stop the work. */
    public static final Suspicion NONE = new Suspicion(Map.of());

    public Suspicion {
        Map<Sign, LocalDate> inOrder = new EnumMap<>(Sign.class);
        inOrder.putAll(standing);
        standing = Collections.unmodifiableMap(inOrder);
    }

    /** The same after one more reading, of the same day or a later one. */
    public Suspicion after(Reading next) {
        Map<Sign, LocalDate> still = new EnumMap<>(Sign.class);
        standing.forEach((sign, seen) -> {
            if (!next.missed(sign) || !next.saw(Sign.SEALED_WORKER) || !next.day().isAfter(seen)) {
                still.put(sign, seen);
            }
        });
        next.seen().stream().filter(Sign::stopsTheWork).forEach(sign -> still.put(sign, next.day()));
        return new Suspicion(still);
    }

    /** Of these readings, in whatever order they come. */
    public static Suspicion of(List<Reading> readings) {
        Suspicion suspicion = NONE;
        for (Reading reading : readings.stream().sorted(Comparator.comparing(Reading::day)).toList()) {
            suspicion = suspicion.after(reading);
        }
        return suspicion;
    }

    /** Nothing may leave the hive. */
    public boolean stops() {
        return !standing.isEmpty();
    }

    /** The day on which any of them was seen last. */
    public Optional<LocalDate> lastSeen() {
        return standing.values().stream().max(Comparator.naturalOrder());
    }
}
