package vividcrown.server.journal;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.Nulls;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.cfg.DateTimeFeature;
import tools.jackson.databind.cfg.EnumFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import vividcrown.core.hive.Spot;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * Core's records as JSON. Parts that are lists, sets or optional may be left out; all others must be there, and no part is
 * there that the record does not know: a slip of the pen is refused, not swallowed.
 */
public final class DeedJson {

    private DeedJson() {
    }

    private static final JsonSetter.Value EMPTY_IF_LEFT_OUT = JsonSetter.Value.forValueNulls(Nulls.AS_EMPTY);

    /** The one way in which deeds are written and read. */
    public static final JsonMapper MAPPER = JsonMapper.builder()
            .withConfigOverride(List.class, lists -> lists.setNullHandling(EMPTY_IF_LEFT_OUT))
            .withConfigOverride(Set.class, sets -> sets.setNullHandling(EMPTY_IF_LEFT_OUT))
            .changeDefaultVisibility(seen -> seen.withIsGetterVisibility(JsonAutoDetect.Visibility.NONE))
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_CREATOR_PROPERTIES)
            // two and a half frames are not two, and the third of the kinds is no kind
            .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
            .enable(EnumFeature.FAIL_ON_NUMBERS_FOR_ENUMS)
            .disable(DateTimeFeature.ADJUST_DATES_TO_CONTEXT_TIME_ZONE)
            .addMixIn(Spot.class, SpotNamed.class).addMixIn(Source.class, SourceNamed.class)
            .addModule(new SimpleModule().addSerializer(Sentence.class, new SentenceWriter())
                    .addDeserializer(Sentence.class, new SentenceReader())
                    .addSerializer(SubjectKind.class, new SubjectKindWriter())
                    .addDeserializer(SubjectKind.class, new SubjectKindReader()))
            .build();

    /** Where a frame is: {@code at} says which of the three. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "at")
    @JsonSubTypes({@JsonSubTypes.Type(value = Spot.InHive.class, name = "HIVE"),
            @JsonSubTypes.Type(value = Spot.InStock.class, name = "STOCK"),
            @JsonSubTypes.Type(value = Spot.Away.class, name = "AWAY")})
    private interface SpotNamed {
    }

    /** On what authority: {@code by} says which kind. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "by")
    @JsonSubTypes({@JsonSubTypes.Type(value = Source.Published.class, name = "PUBLISHED"),
            @JsonSubTypes.Type(value = Source.CommonPractice.class, name = "COMMON_PRACTICE"),
            @JsonSubTypes.Type(value = Source.Derived.class, name = "DERIVED"),
            @JsonSubTypes.Type(value = Source.OwnRecord.class, name = "OWN_RECORD")})
    private interface SourceNamed {
    }

    private static final class SubjectKindWriter extends ValueSerializer<SubjectKind> {
        @Override
        public void serialize(SubjectKind kind, JsonGenerator json, SerializationContext context) {
            json.writeString(kind.name());
        }
    }

    private static final class SubjectKindReader extends ValueDeserializer<SubjectKind> {
        @Override
        public SubjectKind deserialize(JsonParser json, DeserializationContext context) {
            return new SubjectKind(context.readTree(json).asString());
        }
    }

    /** Key and arguments, never the text. */
    private static final class SentenceWriter extends ValueSerializer<Sentence> {
        @Override
        public void serialize(Sentence sentence, JsonGenerator json, SerializationContext context) {
            json.writeStartObject();
            json.writeStringProperty("key", sentence.key());
            json.writeArrayPropertyStart("with");
            for (Object argument : sentence.arguments()) {
                switch (argument) {
                    case String text -> json.writeString(text);
                    case Integer number -> json.writeNumber(number);
                    case Long number -> json.writeNumber(number);
                    case Double number -> json.writeNumber(number);
                    case Sentence inner -> serialize(inner, json, context);
                    case LocalDate day -> {
                        json.writeStartObject();
                        json.writeStringProperty("day", day.toString());
                        json.writeEndObject();
                    }
                    case DatedSpan days -> {
                        json.writeStartObject();
                        json.writeArrayPropertyStart("days");
                        json.writeString(days.earliest().toString());
                        json.writeString(days.likely().toString());
                        json.writeString(days.latest().toString());
                        json.writeEndArray();
                        json.writeEndObject();
                    }
                    case DaySpan length -> {
                        json.writeStartObject();
                        json.writeArrayPropertyStart("hours");
                        json.writeNumber(length.earliestHours());
                        json.writeNumber(length.likelyHours());
                        json.writeNumber(length.latestHours());
                        json.writeEndArray();
                        json.writeEndObject();
                    }
                    default -> json.writeString(String.valueOf(argument));
                }
            }
            json.writeEndArray();
            json.writeEndObject();
        }
    }

    private static final class SentenceReader extends ValueDeserializer<Sentence> {
        @Override
        public Sentence deserialize(JsonParser json, DeserializationContext context) {
            return sentence(context.readTree(json));
        }

        private static Sentence sentence(JsonNode node) {
            List<Object> arguments = new ArrayList<>();
            node.path("with").forEach(argument -> arguments.add(argument(argument)));
            return new Sentence(node.path("key").asString(), arguments);
        }

        private static Object argument(JsonNode node) {
            if (node.isString()) {
                return node.asString();
            }
            if (node.isIntegralNumber()) {
                return node.asInt();
            }
            if (node.isNumber()) {
                return node.asDouble();
            }
            if (node.has("day")) {
                return LocalDate.parse(node.path("day").asString());
            }
            if (node.has("days")) {
                JsonNode days = node.path("days");
                return new DatedSpan(LocalDate.parse(days.get(0).asString()), LocalDate.parse(days.get(1).asString()),
                        LocalDate.parse(days.get(2).asString()));
            }
            if (node.has("hours")) {
                JsonNode hours = node.path("hours");
                return DaySpan.ofHours(hours.get(0).asInt(), hours.get(1).asInt(), hours.get(2).asInt());
            }
            return sentence(node);
        }
    }
}
