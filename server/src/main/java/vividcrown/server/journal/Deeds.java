package vividcrown.server.journal;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Withdrawn;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Misread;
import vividcrown.server.problem.Refusal;

/** Every kind of deed that there is, and how each is written and read. */
@Component
public class Deeds implements SmartInitializingSingleton {

    static final String WITHDRAWN = "WITHDRAWN";

    private final Supplier<Stream<DeedKinds>> features;
    private Map<String, DeedKind<?>> byName = Map.of();
    private Map<Class<?>, DeedKind<?>> byType = Map.of();

    @Autowired
    Deeds(ObjectProvider<DeedKinds> features) {
        this(features::stream);
    }

    private Deeds(Supplier<Stream<DeedKinds>> features) {
        this.features = features;
    }

    /** A register of these kinds only. */
    static Deeds of(List<DeedKinds> features) {
        Deeds deeds = new Deeds(features::stream);
        deeds.afterSingletonsInstantiated();
        return deeds;
    }

    /** Features register once all of them are there: their doors read the record themselves. */
    @Override
    public void afterSingletonsInstantiated() {
        Map<String, DeedKind<?>> names = new TreeMap<>();
        names.put(WITHDRAWN, DeedKind.of(WITHDRAWN, Withdrawn.class));
        features.get().flatMap(feature -> feature.kinds().stream()).forEach(kind -> {
            if (names.put(kind.name(), kind) != null) {
                throw new IllegalStateException("Two features register the deed %s".formatted(kind.name()));
            }
        });
        byType = names.values().stream().collect(Collectors.toMap(DeedKind::type, Function.identity()));
        byName = names;
    }

    /** A payload that cannot be read; the message says what to change. */
    static final class Unreadable extends Exception {
        private final transient List<Sentence> faults;

        Unreadable(Sentence why) {
            this(List.of(why));
        }

        Unreadable(List<Sentence> faults) {
            super(faults.getFirst().toString());
            this.faults = List.copyOf(faults);
        }

        /** Everything that is wrong with it. */
        List<Sentence> faults() {
            return faults;
        }
    }

    /** Every kind, by name. */
    public List<DeedKind<?>> kinds() {
        return byName.values().stream().sorted(Comparator.comparing(DeedKind::name)).toList();
    }

    Optional<DeedKind<?>> kind(String name) {
        return Optional.ofNullable(byName.get(name));
    }

    DeedKind<?> kindOf(Deed deed) {
        return Optional.ofNullable(byType.get(deed.getClass())).orElseThrow(() -> new IllegalStateException(
                "Impossible state: no feature registers %s".formatted(deed.getClass())));
    }

    /** The payload as it is stored, of the version written today. */
    public String write(Deed deed) {
        return DeedJson.MAPPER.writeValueAsString(deed);
    }

    /** A deed as it goes over the wire: its kind, then its parts. */
    /** As anybody in the operation may read it. */
    public JsonNode viewForAll(Deed deed) {
        return view(kindOf(deed).readByAll(deed));
    }

    public JsonNode view(Deed deed) {
        ObjectNode view = DeedJson.MAPPER.createObjectNode();
        view.put("kind", kindOf(deed).name());
        view.setAll((ObjectNode) DeedJson.MAPPER.valueToTree(deed));
        return view;
    }

    /** @param payload as it was stored, of whatever version */
    public Deed read(String kind, int version, String payload) {
        try {
            return read(kind, version, (ObjectNode) DeedJson.MAPPER.readTree(payload));
        } catch (Unreadable unreadable) {
            throw new IllegalStateException("Impossible state: %s %d in the record cannot be read: %s".formatted(kind,
                    version, unreadable.getMessage()), unreadable);
        }
    }

    /** A deed as a client sends it. */
    Deed asked(JsonNode asked) throws Unreadable {
        if (!(asked instanceof ObjectNode sent)) {
            throw new Unreadable(Sentence.of("refusal.deedIsNoObject"));
        }
        ObjectNode payload = sent.deepCopy();
        String kind = payload.path("kind").asString("");
        Optional<DeedKind<?>> known = kind(kind);
        if (known.isEmpty()) {
            throw new Unreadable(Sentence.of("refusal.deedUnknown", kind, String.join(", ", byName.keySet())));
        }
        int version = payload.path("version").asInt(known.get().version());
        payload.remove(List.of("kind", "version"));
        return read(kind, version, payload);
    }

    private Deed read(String kind, int version, ObjectNode payload) throws Unreadable {
        DeedKind<?> known = kind(kind).orElseThrow(() -> new Unreadable(
                Sentence.of("refusal.deedUnknown", kind, String.join(", ", byName.keySet()))));
        if (version < 1 || version > known.version()) {
            throw new Unreadable(Sentence.of("refusal.deedVersion", kind, version, known.version()));
        }
        ObjectNode current = payload;
        for (var upcaster : known.upcasters().subList(version - 1, known.upcasters().size())) {
            current = upcaster.apply(current);
        }
        return part(current, known.type());
    }

    private static <T> T part(JsonNode sent, Class<T> type) throws Unreadable {
        try {
            return DeedJson.MAPPER.treeToValue(sent, type);
        } catch (JacksonException unreadable) {
            throw new Unreadable(Misread.of(unreadable).stream()
                    .map(one -> Sentence.of("refusal.deedUnreadable",
                            one.field().isEmpty() ? one.message() : one.field() + ": " + one.message()))
                    .toList());
        }
    }

    /** A part of a deed as a client sends it, to be looked at before it is recorded. */
    public static <T> T preview(JsonNode sent, Class<T> type) {
        try {
            return part(sent, type);
        } catch (Unreadable unreadable) {
            throw Refusal.invalid(unreadable.faults().stream()
                    .map(fault -> new Refusal.Finding("", fault.toString())).toList());
        }
    }
}
