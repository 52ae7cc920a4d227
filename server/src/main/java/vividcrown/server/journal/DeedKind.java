package vividcrown.server.journal;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import tools.jackson.databind.node.ObjectNode;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.SubjectKind;

/**
 * A kind of deed as the record knows it.
 *
 * @param name as it stands in the table and on the wire; never changed once written
 * @param type its record in core; the names of its parts are those of the payload
 * @param upcasters from version 1 to 2, from 2 to 3 …: its version is one more than their number
 * @param brings kinds of things that it may bring into the record
 * @param hand who may record it
 * @param open what of it everybody in the operation may read
 * @param door what is checked, and completed, before it goes in
 */
public record DeedKind<D extends Deed>(String name, Class<D> type, List<UnaryOperator<ObjectNode>> upcasters,
        Set<SubjectKind> brings, Hand hand, UnaryOperator<D> open, Door<D> door) {

    /** Who may record a deed. */
    public enum Hand {
        ANYBODY,
        /** What binds the operation: orders, settings, its places. */
        OWNER
    }

    /** Checks a deed, says everything that is wrong with it, and adds what only the server knows. */
    public interface Door<D extends Deed> {
        D admit(D asked, Admission admission);
    }

    public DeedKind {
        upcasters = List.copyOf(upcasters);
        brings = Set.copyOf(brings);
    }

    public static <D extends Deed> DeedKind<D> of(String name, Class<D> type) {
        return new DeedKind<>(name, type, List.of(), Set.of(), Hand.ANYBODY, UnaryOperator.identity(),
                (asked, _) -> asked);
    }

    public DeedKind<D> bringing(SubjectKind... kinds) {
        return new DeedKind<>(name, type, upcasters, Set.of(kinds), hand, open, door);
    }

    public DeedKind<D> ofOwner() {
        return new DeedKind<>(name, type, upcasters, brings, Hand.OWNER, open, door);
    }

    /** @param open without what only the owner may read */
    public DeedKind<D> readByAll(UnaryOperator<D> open) {
        return new DeedKind<>(name, type, upcasters, brings, hand, open, door);
    }

    public DeedKind<D> through(Door<D> checked) {
        return new DeedKind<>(name, type, upcasters, brings, hand, open, checked);
    }

    /** @param next makes a payload of the version before into one of the next */
    public DeedKind<D> upcast(UnaryOperator<ObjectNode> next) {
        List<UnaryOperator<ObjectNode>> all = new ArrayList<>(upcasters);
        all.add(next);
        return new DeedKind<>(name, type, all, brings, hand, open, door);
    }

    /** The version written today. */
    public int version() {
        return upcasters.size() + 1;
    }

    D readByAll(Deed deed) {
        return open.apply(type.cast(deed));
    }

    D admitted(Deed asked, Admission admission) {
        return door.admit(type.cast(asked), admission);
    }
}
