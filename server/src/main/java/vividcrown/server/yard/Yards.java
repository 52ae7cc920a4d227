package vividcrown.server.yard;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

    /** Where one sets out from: the first open yard of the walk; empty if there is none. */
    default Optional<Yard> home() {
        return inWalkingOrder().stream().filter(yard -> yard.closedOn().isEmpty()).findFirst();
    }

    default List<Yard> inWalkingOrder() {
        return findAll().stream().sorted(Comparator.comparingInt(Yard::walkOrder).thenComparing(Yard::name)).toList();
    }
}
