package vividcrown.server.yard;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.data.jpa.repository.JpaRepository;

/** Yards of the operation: a handful. */
public interface Yards extends JpaRepository<Yard, UUID> {

    default Map<UUID, Yard> byId() {
        return findAll().stream().collect(Collectors.toMap(Yard::id, Function.identity()));
    }

    default List<Yard> inWalkingOrder() {
        return findAll().stream().sorted(Comparator.comparingInt(Yard::walkOrder).thenComparing(Yard::name)).toList();
    }
}
