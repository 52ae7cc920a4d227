package vividcrown.core.reason;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pound, mile, gallon and degree Fahrenheit by their definitions (NIST Special Publication 811, 2008, appendix B). */
class MeasuresTest {

    private static final Measures US = new Measures(Units.US, Locale.ENGLISH);

    private static String inUs(String text) {
        return Measures.in(() -> US, () -> Measures.said(text));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"5 km: beyond 5 km none returns|3.1 mi: beyond 3.1 mi none returns",
            "boxes weigh 30–40 kg: two lift|boxes weigh 66–88 lb: two lift", "about 10 to 12 kg.|about 22 to 26 lb.",
            "below 30 °C or above 37 °C cells die|below 86 °F or above 99 °F cells die", "34.5 °C|94 °F",
            "at -40 °C|at -40 °F", "3.785411784 l syrup|1 gal syrup", "9 lots and 5 kgs|9 lots and 5 kgs",
            "W 12 in 9–11 days|W 12 in 9–11 days"})
    void every_quantity_in_a_sentence_is_put_into_the_units_that_are_read(String metric, String us) {
        assertThat(inUs(metric)).isEqualTo(us);
    }

    @Test
    void metric_stays_as_it_is_written_and_nobody_is_asked_where_nothing_is_measured() {
        AtomicInteger asked = new AtomicInteger();
        String text = Measures.in(() -> {
            asked.incrementAndGet();
            return Measures.USUAL;
        }, () -> Measures.said("30 kg") + Measures.said(" by Tuesday"));
        assertThat(text).isEqualTo("30 kg by Tuesday");
        assertThat(asked).hasValue(1);
        assertThat(Measures.said("30 kg")).as("outside of any reading").isEqualTo("30 kg");
    }

    /** Expected texts: the Unicode CLDR's patterns for month, weekday and day of these languages. */
    @ParameterizedTest
    @CsvSource({"en-US, 'Tue, Jun 9'", "de-CH, 'Di., 9. Juni'", "fr, 'mar. 9 juin'", "en, Tue 9 June"})
    void days_are_written_as_the_reader_writes_them(String language, String day) {
        Measures reader = new Measures(Units.METRIC, Locale.forLanguageTag(language));
        assertThat(Measures.in(() -> reader, () -> Sentence.of("due.decide", LocalDate.of(2026, 6, 9),
                LocalDate.of(2026, 6, 9)).toString())).contains(day);
    }

    @Test
    void a_sentence_within_a_sentence_is_put_once() {
        String text = Measures.in(() -> US, () -> Sentence.of("clash.both", Sentence.of("caution.LIFTING"),
                Sentence.of("caution.LIFTING")).toString());
        assertThat(text).contains("66–88 lb").doesNotContain("kg");
    }
}
