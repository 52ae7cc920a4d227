package vividcrown.server.wire;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** Core's records go over the wire as they are: their parts, and nothing that is reckoned from them. */
@Configuration
class WireJson {

    private static final int EARLIEST_YEAR = 1900;
    private static final int LATEST_YEAR = 9999;

    /** A day is written as one, and is one that somebody alive can mean: no number that would be read as days since 1970, no year 999,999,999. */
    static final class DayReader extends StdDeserializer<LocalDate> {
        DayReader() {
            super(LocalDate.class);
        }

        @Override
        public LocalDate deserialize(JsonParser parser, DeserializationContext context) {
            String text = parser.getValueAsString("");
            try {
                LocalDate day = LocalDate.parse(text);
                if (parser.currentToken() == JsonToken.VALUE_STRING && day.getYear() >= EARLIEST_YEAR
                        && day.getYear() <= LATEST_YEAR) {
                    return day;
                }
            } catch (DateTimeParseException noDay) {
                // said below
            }
            return (LocalDate) context.handleWeirdStringValue(LocalDate.class, text, "no day");
        }
    }

    /** Text that the database can keep: it knows no NUL, and no half of a character. */
    static final class TextReader extends StdDeserializer<String> {
        TextReader() {
            super(String.class);
        }

        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            String text = StringDeserializer.instance.deserialize(parser, context);
            return text == null || Unkept.none(text)
                    ? text
                    : (String) context.handleWeirdStringValue(String.class, "", "a character that no text has");
        }
    }

    @Bean
    JsonMapperBuilderCustomizer daysAndWordsAsTheyAreWritten() {
        return builder -> builder.enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                // a list with nothing in one place is told, not stumbled over
                .changeDefaultNullHandling(_ -> JsonSetter.Value.forContentNulls(Nulls.FAIL))
                .addModule(new SimpleModule("needed") {
                    @Override
                    public void setupModule(SetupContext context) {
                        context.insertAnnotationIntrospector(new NeededParts());
                    }
                }).addModule(new SimpleModule("days").addDeserializer(LocalDate.class, new DayReader())
                        .addDeserializer(String.class, new TextReader()));
    }

    @Bean
    JsonMapperBuilderCustomizer partsOnly() {
        return builder -> builder
                .changeDefaultVisibility(seen -> seen.withIsGetterVisibility(JsonAutoDetect.Visibility.NONE));
    }
}
