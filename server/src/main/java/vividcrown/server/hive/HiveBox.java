package vividcrown.server.hive;

import java.util.Optional;
import java.util.UUID;
import vividcrown.core.hive.BoxKind;

/** A box: on a hive, or in the store. Its place in the stack is its hive's to say. */
public interface HiveBox {
    UUID id();

    Optional<UUID> hiveId();

    String store();

    BoxKind kind();

    String format();

    int slots();
}
