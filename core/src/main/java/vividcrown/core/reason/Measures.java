package vividcrown.core.reason;

import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How somebody reads: what sentences are measured in, and how days are written in them. Sentences are metric; whoever reads other
 * units has every quantity in them put into those. Factors: NIST Special Publication 811 (2008), appendix B.
 *
 * @param units that quantities are read in
 * @param days language and region that days are written for
 */
public record Measures(Units units, Locale days) {

    /** Metric, days as in "Tue 9 June". */
    public static final Measures USUAL = new Measures(Units.METRIC, Locale.ENGLISH);

    private static final ScopedValue<Supplier<Measures>> SHOWN = ScopedValue.newInstance();

    /** "5 km", "30–40 kg", "10 to 12 kg", "34.5 °C". */
    private static final Pattern QUANTITY = Pattern
            .compile("(-?\\d+(?:\\.\\d+)?)(?:(–| to )(-?\\d+(?:\\.\\d+)?))? (kg|km|°C|l)(?!\\w)");

    private record Scale(String unit, double perUnit, double zero, int digits) {
        String write(String metric) {
            DecimalFormat format = new DecimalFormat("0", DecimalFormatSymbols.getInstance(Locale.ROOT));
            format.setMaximumFractionDigits(digits);
            return format.format(Double.parseDouble(metric) / perUnit + zero);
        }
    }

    private static final Map<String, Scale> US = Map.of("kg", new Scale("lb", 0.45359237, 0, 0), "km",
            new Scale("mi", 1.609344, 0, 1), "°C", new Scale("°F", 5 / 9.0, 32, 0), "l",
            new Scale("gal", 3.785411784, 0, 1));

    /** Sentences that are written while the work goes on are for this reader. @param reader asked only if it matters */
    public static <T, X extends Throwable> T in(Supplier<Measures> reader, ScopedValue.CallableOp<T, X> work) throws X {
        return ScopedValue.where(SHOWN, reader).call(work);
    }

    private static Measures shown() {
        return SHOWN.isBound() ? SHOWN.get().get() : USUAL;
    }

    /** In which way the days of a sentence are written. @param language of the sentence */
    static Locale daysOf(Locale language) {
        Locale days = shown().days();
        return days.equals(USUAL.days()) ? language : days;
    }

    static String said(String text) {
        Matcher quantity = QUANTITY.matcher(text);
        if (!quantity.find() || shown().units() == Units.METRIC) {
            return text;
        }
        return quantity.replaceAll(found -> {
            Scale scale = Objects.requireNonNull(US.get(found.group(4)));
            String last = found.group(2) == null ? "" : found.group(2) + scale.write(found.group(3));
            return Matcher.quoteReplacement(scale.write(found.group(1)) + last + " " + scale.unit());
        });
    }
}
