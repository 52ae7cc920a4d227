package vividcrown.server.journal;

import java.util.List;

/** The kinds of deeds of one feature: each feature has a bean of these. */
public record DeedKinds(List<DeedKind<?>> kinds) {
    public DeedKinds {
        kinds = List.copyOf(kinds);
    }

    public static DeedKinds of(DeedKind<?>... kinds) {
        return new DeedKinds(List.of(kinds));
    }
}
