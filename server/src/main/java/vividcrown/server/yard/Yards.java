package vividcrown.server.yard;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.data.repository.Repository;

/** Yards of the operation: a handful. */
public interface Yards extends Repository<YardRow, UUID> {
    Optional<Yard> findById(UUID id);

    List<Yard> findAll();

    default Map<UUID, Yard> byId() {
        return findAll().stream().collect(Collectors.toMap(Yard::id, Function.identity()));
    }

    /** What each is called; of several of one name, all but the first on the walk with their place in it. */
    default Map<UUID, String> names() {
        Map<UUID, String> names = new HashMap<>();
        Set<String> taken = new HashSet<>();
        inWalkingOrder().forEach(yard -> names.put(yard.id(), taken.add(yard.name())
                ? yard.name()
                : "%s (%d)".formatted(yard.name(), yard.walkOrder())));
        return names;
    }

    /** Where one sets out from: the first open yard of the walk; empty if there is none. */
    default Optional<Yard> home() {
        return inWalkingOrder().stream().filter(yard -> yard.closedOn().isEmpty()).findFirst();
    }

    default List<Yard> inWalkingOrder() {
        return findAll().stream().sorted(Comparator.comparingInt(Yard::walkOrder).thenComparing(Yard::name)).toList();
    }
}
