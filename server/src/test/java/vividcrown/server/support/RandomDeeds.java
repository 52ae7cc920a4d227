package vividcrown.server.support;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import vividcrown.core.hive.FrameMove;
import vividcrown.core.hive.Spot;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.operation.CurrentOperation;

/**
 * Deeds of any kind with anything in them: parts are filled by their type, things are those of the operation, now and
 * then one that nobody knows. Many of them cannot be; the door is to find that out.
 */
public final class RandomDeeds {

    private final Random random;
    private final JdbcClient database;
    private final UUID operation;

    public RandomDeeds(Application.Running application, UUID operation, long seed) {
        this.random = new Random(seed);
        this.database = application.context().getBean(JdbcClient.class);
        this.operation = operation;
    }

    private record Place(UUID frame, UUID hive, UUID box, int slot) {
    }

    /** @param type of the deed's record */
    public Map<String, Object> deed(String kind, Class<?> type) {
        Map<String, Object> deed = new LinkedHashMap<>();
        deed.put("kind", kind);
        deed.putAll(parts(kind, type));
        return deed;
    }

    public LocalDate day() {
        return LocalDate.of(2026, 4, 20).plusDays(random.nextInt(50));
    }

    /** One of these, blindly. */
    public <T> T any(List<T> all) {
        return all.get(random.nextInt(all.size()));
    }

    private Map<String, Object> parts(String kind, Class<?> type) {
        Map<String, Object> parts = new LinkedHashMap<>();
        for (RecordComponent component : type.getRecordComponents()) {
            value(kind, component.getName(), component.getGenericType())
                    .ifPresent(value -> parts.put(component.getName(), value));
        }
        return parts;
    }

    private Optional<Object> value(String kind, String name, Type type) {
        if (type instanceof ParameterizedType of) {
            Type inner = of.getActualTypeArguments()[0];
            if (of.getRawType() == Optional.class) {
                return random.nextBoolean() ? value(kind, name, inner) : Optional.empty();
            }
            int count = inner.getTypeName().contains("FollowUp") ? 0 : random.nextInt(3);
            List<Object> all = new ArrayList<>();
            for (int index = 0; index < count; index++) {
                value(kind, name, inner).ifPresent(all::add);
            }
            return Optional.of(of.getRawType() == Set.class ? all.stream().distinct().toList() : all);
        }
        Class<?> one = (Class<?>) type;
        return Optional.of(one.isEnum() ? any(List.of(one.getEnumConstants())).toString() : plain(kind, name, one));
    }

    private Object plain(String kind, String name, Class<?> type) {
        if (type == UUID.class) {
            return thing(kind, name);
        }
        if (type == String.class) {
            return name.equals("code") ? "R " + random.nextInt(1000) : any(List.of("shed", "Dadant", "a word", ""));
        }
        if (type == int.class || type == Integer.class) {
            return name.equals("emergenceYear") ? 2025 : random.nextInt(9);
        }
        if (type == double.class || type == Double.class) {
            return random.nextInt(19) * 2.5;
        }
        if (type == boolean.class) {
            return random.nextBoolean();
        }
        if (type == LocalDate.class) {
            return day().toString();
        }
        if (type == ZonedDateTime.class) {
            return day() + "T09:00:00+02:00";
        }
        if (type == DatedSpan.class) {
            LocalDate day = day();
            return Map.of("earliest", day.toString(), "likely", day.plusDays(1).toString(), "latest",
                    day.plusDays(3).toString());
        }
        if (type == SubjectKind.class) {
            return "HIVE";
        }
        if (type == FrameMove.class) {
            return move();
        }
        if (type == Spot.class) {
            return spot();
        }
        return type.isRecord() ? parts(kind, type) : any(List.of("1", "9"));
    }

    private Map<String, Object> move() {
        Place from = place();
        return Map.of("frame", from.frame(), "from", inHive(from, from.slot()), "to", spot(), "signs", List.of());
    }

    private Map<String, Object> spot() {
        return switch (random.nextInt(4)) {
            case 0 -> Map.of("at", "STOCK", "where", "shed");
            case 1 -> Map.of("at", "AWAY");
            default -> inHive(place(), 1 + random.nextInt(11));
        };
    }

    private static Map<String, Object> inHive(Place place, int slot) {
        return Map.of("at", "HIVE", "hive", place.hive(), "box", place.box(), "slot", slot);
    }

    private Place place() {
        return CurrentOperation.in(operation, () -> any(database.sql("""
                select f.id as frame, b.hive_id as hive, b.id as box, f.slot from frame f join box b on b.id = f.box_id
                where b.hive_id is not null order by f.id limit 200""").query(Place.class).list()));
    }

    private UUID thing(String kind, String name) {
        boolean unknown = random.nextInt(12) == 0
                || Set.of("HIVE_SET_UP hive", "QUEEN_KNOWN queen", "GRAFT_PLANNED graft", "ORDER_TAKEN order",
                        "YARD_OPENED yard", "FRAMES_ADDED frame", "NOT_POSSIBLE putOff").contains(kind + " " + name)
                || name.equals("id");
        if (unknown) {
            return new UUID(random.nextLong(), random.nextLong());
        }
        String table = switch (name) {
            case "hive", "subject", "builder" -> "hive";
            case "yard" -> "yard";
            case "graft" -> "graft";
            case "order" -> "queen_order";
            case "box", "boxes" -> "box";
            case "frame" -> "frame";
            default -> "queen";
        };
        return name.equals("operation")
                ? operation
                : CurrentOperation.in(operation, () -> any(database
                        .sql("select id from %s order by id limit 300".formatted(table)).query(UUID.class).list()));
    }
}
