package vividcrown.core.store;

import java.util.List;
import java.util.UUID;
import vividcrown.core.journal.Faults;
import vividcrown.core.journal.OfOperation;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.journal.Touch;

/** What comes into the store and leaves it. */
public sealed interface StoreDeed extends OfOperation {

    SubjectKind STORE = new SubjectKind("STORE");
    double MOST = 100_000;

    /** The operation whose store it is. */
    UUID operation();

    @Override
    default List<Touch> touches() {
        return List.of(Touch.itself(STORE, operation()));
    }

    /**
     * Somebody counted: it is so many, whatever was reckoned before.
     *
     * @param count 0–100,000
     */
    record Counted(UUID operation, Thing thing, double count) implements StoreDeed {
        public Counted {
            new Faults().within("count", count, 0, MOST).refuse();
        }

        @Override
        public Counted in(UUID other) {
            return new Counted(other, thing, count);
        }
    }

    /**
     * So many came, bought or built, or went, used or sold.
     *
     * @param by −100,000–100,000; below 0 they went
     * @param why in words, up to 80 characters
     */
    record Changed(UUID operation, Thing thing, double by, String why) implements StoreDeed {
        public Changed {
            new Faults().within("by", by, -MOST, MOST).unless(by != 0, "fault.store.nothing").text("why", why, 1, 80)
                    .refuse();
        }

        @Override
        public Changed in(UUID other) {
            return new Changed(other, thing, by, why);
        }
    }
}
