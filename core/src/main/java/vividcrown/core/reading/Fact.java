package vividcrown.core.reading;

import java.time.LocalDate;
import vividcrown.core.reason.Sentence;

/** One thing that is known of a colony: what an argument rests on, and what may clash. */
public sealed interface Fact {

    LocalDate day();

    Sentence sentence();

    /** @param reading its place among the readings, from 0 */
    record Seen(int reading, LocalDate day, Sign sign) implements Fact {
        @Override
        public Sentence sentence() {
            return Sentence.of("fact.seen", day, sign.sentence());
        }
    }

    /** @param reading its place among the readings, from 0 */
    record Absent(int reading, LocalDate day, Sign sign) implements Fact {
        @Override
        public Sentence sentence() {
            return Sentence.of("fact.absent", day, sign.sentence());
        }
    }

    /** @param event its place among the events, from 0 */
    record Happened(int event, LocalDate day, EventKind kind) implements Fact {
        @Override
        public Sentence sentence() {
            return Sentence.of("fact.happened", day, kind.sentence());
        }
    }
}
