package vividcrown.server.hive;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

/** Boxes of the operation. */
public interface HiveBoxes extends Repository<HiveBoxRow, UUID> {
    List<HiveBox> findByHiveIdIn(Collection<UUID> hives);

    List<HiveBox> findByHiveIdIsNull();
}
