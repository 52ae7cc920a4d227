package vividcrown.core.mating;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Whether a virgin will find the weather to mate, from the climate of the place.
 *
 * <p>She needs about two good afternoons between five and twenty-one days after emergence (common practice). The number
 * of fit afternoons among those days is a sum of independent chances; its distribution is worked out exactly, day by day.
 */
public final class MatingChance {

    private static final int FROM = 5;
    private static final int TO = 21;
    /** Below this a virgin started is a gamble. */
    private static final double SENSIBLE = 0.8;
    private static final int SOON_DAYS = 21;

    private final MatingClimate climate;

    public MatingChance(MatingClimate climate) {
        this.climate = climate;
    }

    /** Chance that a virgin out on {@code emerged} has at least two fit afternoons, 0–1. */
    public double of(LocalDate emerged) {
        return 1 - Objects.requireNonNull(weather(emerged).get(MatingWeather.NONE));
    }

    /** Chance of each kind of weather for a virgin out on {@code emerged}; together 1. */
    public Map<MatingWeather, Double> weather(LocalDate emerged) {
        double[] afternoons = new double[TO - FROM + 2];
        afternoons[0] = 1;
        for (int day = FROM; day <= TO; day++) {
            double fit = climate.fitAfternoon(emerged.plusDays(day));
            for (int count = afternoons.length - 1; count > 0; count--) {
                afternoons[count] = afternoons[count] * (1 - fit) + afternoons[count - 1] * fit;
            }
            afternoons[0] *= 1 - fit;
        }
        Map<MatingWeather, Double> kinds = new EnumMap<>(MatingWeather.class);
        for (MatingWeather kind : MatingWeather.values()) {
            kinds.put(kind, 0.0);
        }
        for (int count = 0; count < afternoons.length; count++) {
            kinds.merge(MatingWeather.of(count), afternoons[count], Double::sum);
        }
        return kinds;
    }

    /** Fit afternoons to be expected in her time. */
    public double expectedAfternoons(LocalDate emerged) {
        double sum = 0;
        for (int day = FROM; day <= TO; day++) {
            sum += climate.fitAfternoon(emerged.plusDays(day));
        }
        return sum;
    }

    /**
     * The last day of this season on which a virgin may still come out with a chance of at least four in five; empty if
     * there is none within a year.
     */
    public Optional<LocalDate> lastSensibleEmergence(LocalDate from) {
        Optional<LocalDate> last = Optional.empty();
        for (LocalDate day = from; day.isBefore(from.plusYears(1)); day = day.plusDays(1)) {
            if (isSensible(day)) {
                last = Optional.of(day);
            } else if (last.isPresent()) {
                return last;
            }
        }
        return last;
    }

    /** The first day from then on on which a virgin may come out so; empty if none comes within three weeks. */
    public Optional<LocalDate> firstSensibleEmergence(LocalDate from) {
        return IntStream.rangeClosed(0, SOON_DAYS).mapToObj(from::plusDays).filter(this::isSensible).findFirst();
    }

    public boolean isSensible(LocalDate emerged) {
        return of(emerged) >= SENSIBLE;
    }
}
