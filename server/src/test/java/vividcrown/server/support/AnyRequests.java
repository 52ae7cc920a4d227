package vividcrown.server.support;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.sessions.JqwikSession;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Requests of every kind that the description of the interface knows: mostly well formed, each now and then with something that
 * nobody expects in one place. The same seed makes the same requests.
 */
public final class AnyRequests {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
    private static final int DEEPEST = 9;
    private static final int GENERATED = 1_000;
    /** They would end the session that asks, or move the day under it. */
    private static final Set<String> LEFT_OUT = Set.of("delete /api/v1/session",
            "delete /api/v1/people/me/other-sessions",
            "post /api/v1/people/me/password", "post /api/v1/session", "post /api/v1/demo/step",
            "put /api/v1/people/{id}/role", "delete /api/v1/people/{id}", "post /api/v1/people/{id}/password-link");
    private static final List<String> ODD_TEXTS = List.of("", " ", "\u0000", "a\u0000b", "x".repeat(20_000), "\uD800",
            "\u202E\u200B\uFEFF", "'; drop table hive; --", "=1+1", "../../etc/passwd", "%00", "null", "\uD83D\uDC1D");
    private static final List<String> ODD_DAYS = List.of("0000-01-01", "-999999999-01-01", "+999999999-12-31",
            "9999-12-31",
            "1899-12-31", "2026-02-30", "2026-13-01", "20260609", "yesterday", "2026-06-09T00:00:00Z");
    private static final List<String> ODD_MOMENTS = List.of("0000-01-01T00:00:00Z", "+999999999-12-31T23:59:59Z",
            "2026-06-09", "2026-06-09T25:00:00Z", "now", "2026-06-09T10:00:00+18:00", "-4713-01-01T00:00:00Z");

    private final JsonNode api;
    private final Random random;
    private final List<UUID> known;
    private final List<Door> doors = new ArrayList<>();
    private final Arbitrary<String> texts = Arbitraries.strings().ofMaxLength(30);
    private final Arbitrary<Integer> wholes = Arbitraries.integers();
    private final Arbitrary<Double> figures = Arbitraries.doubles();

    private record Door(String method, String path, JsonNode says) {
    }

    /**
     * @param body empty for none
     * @param door method and path as the description has them
     */
    public record AnyRequest(String method, String path, Optional<String> body, String door) {
    }

    /** @param api the description; @param known ids of things that there are */
    public AnyRequests(JsonNode api, List<UUID> known, long seed) {
        this.api = api;
        this.known = List.copyOf(known);
        this.random = new Random(seed);
        if (!JqwikSession.isActive()) {
            JqwikSession.start();
        }
        api.path("paths").propertyStream().forEach(path -> path.getValue().propertyStream()
                .filter(method -> !LEFT_OUT.contains(method.getKey() + " " + path.getKey()))
                .forEach(method -> doors.add(new Door(method.getKey(), path.getKey(), method.getValue()))));
    }

    public int doors() {
        return doors.size();
    }

    /** Every door in turn. */
    public AnyRequest next(int number) {
        Door door = doors.get(number % doors.size());
        String path = door.path();
        List<String> query = new ArrayList<>();
        for (JsonNode parameter : door.says().path("parameters")) {
            String name = parameter.path("name").asString();
            if (parameter.path("in").asString().equals("path")) {
                String value = random.nextInt(12) == 0
                        ? any(ODD_TEXTS.subList(6, ODD_TEXTS.size()))
                        : text(parameter.path("schema"));
                path = path.replace("{" + name + "}", encoded(value.isEmpty() ? "x" : value));
            } else if (parameter.path("required").asBoolean() ? random.nextInt(15) > 0 : random.nextInt(3) == 0) {
                String value = random.nextInt(10) == 0
                        ? odd(parameter.path("schema")).asString("null")
                        : text(parameter.path("schema"));
                query.add(encoded(name) + "=" + encoded(value));
            }
        }
        Optional<String> body = Optional
                .of(door.says().path("requestBody").path("content").path("application/json").path("schema"))
                .filter(schema -> !schema.isMissingNode()).map(this::body);
        return new AnyRequest(door.method().toUpperCase(java.util.Locale.ROOT),
                path + (query.isEmpty() ? "" : "?" + String.join("&", query)), body, door.method() + " " + door.path());
    }

    private String body(JsonNode schema) {
        JsonNode whole = value(schema, 0);
        String text = JSON.writeValueAsString(random.nextInt(3) > 0 ? spoilt(whole) : whole);
        return switch (random.nextInt(60)) {
            case 0 -> text.substring(0, text.length() / 2);
            case 1 -> "[".repeat(3_000) + text;
            case 2 -> "";
            default -> text;
        };
    }

    private static String encoded(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8).replace("+", "%20");
    }

    private String text(JsonNode schema) {
        JsonNode value = value(schema, 0);
        return value.isArray()
                ? String.join(",", value.valueStream().map(one -> one.asString("")).toList())
                : value.asString("");
    }

    private <T> T any(List<T> all) {
        return all.get(random.nextInt(all.size()));
    }

    private <T> T drawn(Arbitrary<T> all) {
        return all.generator(GENERATED, true).next(random).value();
    }

    private JsonNode value(JsonNode schema, int depth) {
        if (schema.has("$ref")) {
            return value(api.at(schema.path("$ref").asString().substring(1)), depth + 1);
        }
        if (schema.has("oneOf")) {
            return variant(schema, depth);
        }
        if (schema.has("enum")) {
            return schema.path("enum").get(random.nextInt(schema.path("enum").size()));
        }
        return switch (schema.path("type").asString("")) {
            case "object" -> object(schema, depth);
            case "array" -> array(schema, depth);
            case "integer" -> whole(schema);
            case "number" -> figure(schema);
            case "boolean" -> NODES.booleanNode(random.nextBoolean());
            default -> string(schema);
        };
    }

    private JsonNode variant(JsonNode schema, int depth) {
        JsonNode mapping = schema.path("discriminator").path("mapping");
        if (mapping.isMissingNode()) {
            return value(schema.path("oneOf").get(random.nextInt(schema.path("oneOf").size())), depth + 1);
        }
        String name = any(List.copyOf(mapping.propertyNames()));
        JsonNode made = value(api.at(mapping.path(name).asString().substring(1)), depth + 1);
        if (made instanceof ObjectNode object) {
            object.put(schema.path("discriminator").path("propertyName").asString(), name);
        }
        return made;
    }

    private JsonNode object(JsonNode schema, int depth) {
        ObjectNode made = NODES.objectNode();
        Set<String> needed = new java.util.HashSet<>();
        schema.path("required").forEach(one -> needed.add(one.asString()));
        schema.path("properties").propertyStream()
                .filter(part -> needed.contains(part.getKey()) || depth < DEEPEST && random.nextInt(3) > 0)
                .forEach(part -> made.set(part.getKey(), value(part.getValue(), depth + 1)));
        if (schema.path("additionalProperties").isObject()) {
            made.set(any(known).toString(), value(schema.path("additionalProperties"), depth + 1));
        }
        return made;
    }

    private JsonNode array(JsonNode schema, int depth) {
        ArrayNode made = NODES.arrayNode();
        int least = schema.path("minItems").asInt(0);
        int count = depth >= DEEPEST ? least : Math.max(least, random.nextInt(4));
        for (int index = 0; index < Math.min(count, 20); index++) {
            made.add(value(schema.path("items"), depth + 1));
        }
        return made;
    }

    private JsonNode whole(JsonNode schema) {
        if (schema.has("minimum") || schema.has("maximum")) {
            long least = schema.path("minimum").asLong(0);
            long most = schema.path("maximum").asLong(least + 100);
            return NODES.numberNode(random.nextInt(4) == 0
                    ? least
                    : least + (long) (random.nextDouble() * Math.min(40, most - least + 1)));
        }
        return NODES.numberNode(random.nextInt(8) == 0 ? (long) drawn(wholes) : random.nextInt(12));
    }

    private JsonNode figure(JsonNode schema) {
        double least = schema.path("minimum").asDouble(0);
        double most = schema.path("maximum").asDouble(least + 10);
        return NODES.numberNode(
                random.nextInt(8) == 0 ? (double) drawn(figures) : least + random.nextDouble() * (most - least));
    }

    private JsonNode string(JsonNode schema) {
        return NODES.stringNode(switch (schema.path("format").asString("")) {
            case "uuid" -> random.nextInt(3) == 0
                    ? new UUID(random.nextLong(), random.nextLong()).toString()
                    : any(known).toString();
            case "date" -> java.time.LocalDate.of(2026, 6, 9).plusDays(random.nextInt(400) - 200).toString();
            case "date-time" -> java.time.LocalDate.of(2026, 6, 9).minusDays(random.nextInt(60)) + "T10:00:00+02:00";
            default -> random.nextInt(4) == 0
                    ? drawn(texts)
                    : any(List.of("R 12", "brown line", "a word", "shed", "2026-06-01"));
        });
    }

    /** What nobody expects in a place of this kind. */
    private JsonNode odd(JsonNode schema) {
        String format = schema.path("format").asString("");
        return switch (random.nextInt(9)) {
            case 0 -> NODES.nullNode();
            case 1 -> NODES.stringNode(any(ODD_TEXTS));
            case 2 -> NODES.stringNode(format.equals("date-time") ? any(ODD_MOMENTS) : any(ODD_DAYS));
            case 3 -> NODES.numberNode((long) any(List.of(Long.MAX_VALUE, Long.MIN_VALUE, -1L, 0L, 1_000_000_007L)));
            case 4 -> NODES.numberNode((double) any(List.of(1.5, -0.5, 1e300, -1e300, 1e-300, 0.1)));
            case 5 -> NODES.arrayNode().add(NODES.nullNode());
            case 6 -> NODES.objectNode();
            case 7 -> NODES.booleanNode(true);
            default -> NODES.stringNode(new UUID(random.nextLong(), random.nextLong()).toString());
        };
    }

    /** The same with something odd in one place, or without it. */
    private JsonNode spoilt(JsonNode whole) {
        List<Runnable> ways = new ArrayList<>();
        collect(whole, ways);
        if (ways.isEmpty()) {
            return odd(NODES.objectNode());
        }
        any(ways).run();
        return whole;
    }

    private void collect(JsonNode node, List<Runnable> ways) {
        if (node instanceof ObjectNode object) {
            for (String name : List.copyOf(object.propertyNames())) {
                ways.add(() -> object.set(name, odd(NODES.objectNode())));
                ways.add(() -> object.remove(name));
                collect(object.get(name), ways);
            }
        } else if (node instanceof ArrayNode array) {
            ways.add(() -> array.addNull());
            for (int index = 0; index < array.size(); index++) {
                int at = index;
                ways.add(() -> array.set(at, odd(NODES.objectNode())));
                collect(array.get(index), ways);
            }
        }
    }
}
