package vividcrown.core.reason;

import java.text.MessageFormat;
import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.concurrent.ConcurrentHashMap;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * Something to say, apart from the language it is said in: a key of {@code sentences.properties} and what fills its
 * gaps. Days and spans are written as people say them ("Thu 12 June", "12–14 June").
 *
 * @param key key in {@code sentences.properties}; an unknown key fails when the sentence is rendered
 * @param arguments texts, numbers, days, spans of days, lengths of time, or further sentences
 */
public record Sentence(String key, List<Object> arguments) {

    public Sentence {
        arguments = List.copyOf(arguments);
    }

    /** A pattern is read once for a language, not for each of a page's hundreds of sentences. */
    private static final Map<Locale, DateTimeFormatter> WEEKDAYS = new ConcurrentHashMap<>();
    private static final Map<Locale, DateTimeFormatter> DAYS = new ConcurrentHashMap<>();
    private static final Map<Written, MessageFormat> PATTERNS = new ConcurrentHashMap<>();

    private record Written(String key, Locale locale) {
    }

    public static Sentence of(String key, Object... arguments) {
        return new Sentence(key, List.of(arguments));
    }

    /** In the given language; falls back to English where a language has no text for it. */
    public String in(Locale locale) {
        MessageFormat pattern = PATTERNS.computeIfAbsent(new Written(key, locale), Sentence::pattern);
        Object[] filled = arguments.stream().map(argument -> written(argument, locale)).toArray();
        // a format must not be used by two at once
        return Measures.said(((MessageFormat) pattern.clone()).format(filled));
    }

    private static MessageFormat pattern(Written written) {
        return new MessageFormat(
                ResourceBundle.getBundle("vividcrown.core.sentences", written.locale(), Fallback.TO_ENGLISH)
                        .getString(written.key()),
                written.locale());
    }

    @Override
    public String toString() {
        return in(Locale.ENGLISH);
    }

    private static Object written(Object argument, Locale locale) {
        return switch (argument) {
            case LocalDate day -> WEEKDAYS.computeIfAbsent(Measures.daysOf(locale),
                    one -> format(one, "EEE d MMMM", "MMMMEEEd")).format(day);
            case DatedSpan span -> written(span, Measures.daysOf(locale));
            case DaySpan length -> written(length, locale);
            case Sentence sentence -> sentence.in(locale);
            default -> argument;
        };
    }

    /** English as people here say it; every other way as its own people do. @param parts of the day that are wanted */
    private static DateTimeFormatter format(Locale locale, String english, String parts) {
        return locale.equals(Locale.ENGLISH)
                ? DateTimeFormatter.ofPattern(english, locale)
                : DateTimeFormatter.ofLocalizedPattern(parts).withLocale(locale);
    }

    private static String written(DatedSpan span, Locale locale) {
        DateTimeFormatter full = DAYS.computeIfAbsent(locale, one -> format(one, "d MMMM", "MMMMd"));
        if (span.earliest().equals(span.latest())) {
            return full.format(span.earliest());
        }
        boolean sameMonth = span.earliest().getMonth() == span.latest().getMonth() && locale.equals(Locale.ENGLISH);
        String first = sameMonth ? String.valueOf(span.earliest().getDayOfMonth()) : full.format(span.earliest());
        return first + "–" + full.format(span.latest());
    }

    /** In days without the word: "14–21", "7.5–8.5", "9". */
    private static String written(DaySpan length, Locale locale) {
        NumberFormat days = NumberFormat.getNumberInstance(locale);
        days.setMaximumFractionDigits(1);
        String first = days.format(length.earliestHours() / 24.0);
        String last = days.format(length.latestHours() / 24.0);
        return first.equals(last) ? first : first + "–" + last;
    }

    private static final class Fallback extends ResourceBundle.Control {
        static final ResourceBundle.Control TO_ENGLISH = new Fallback();

        @Override
        public List<String> getFormats(String baseName) {
            return FORMAT_PROPERTIES;
        }

        /** The base file is English; the machine's own language must not decide. */
        @Override
        @SuppressWarnings("NullAway") // the library asks for null where there is none
        public Locale getFallbackLocale(String baseName, Locale locale) {
            return Locale.ROOT.equals(locale) ? null : Locale.ROOT;
        }
    }
}
