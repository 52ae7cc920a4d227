package vividcrown.core.introduction;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Sentence;

/**
 * What the bees do at the cage on the top bars.
 *
 * @param minutes watched, 0–60; a glance says little
 */
public record CageReading(LocalDate day, Set<Behaviour> seen, double minutes) {

    /** What they do. */
    public enum Behaviour {
        FEEDING, FANNING, LOOSE, BRUSHES_OFF, BITING, BENT_ABDOMENS, BALLING, MATTED, WILL_NOT_BRUSH_OFF;

        /** Whether they mean to kill her. */
        public boolean isHostile() {
            return switch (this) {
                case FEEDING, FANNING, LOOSE, BRUSHES_OFF -> false;
                case BITING, BENT_ABDOMENS, BALLING, MATTED, WILL_NOT_BRUSH_OFF -> true;
            };
        }
    }

    /** How they are. */
    public enum Mood {
        FRIENDLY, UNDECIDED, HOSTILE
    }

    private static final double LEAST_MINUTES = 2;

    public CageReading {
        seen = seen.isEmpty() ? Set.of() : Set.copyOf(seen);
        new Faults().within("minutes", minutes, 0, 60).refuse();
    }

    /** One hostile sign outweighs every friendly one; a friendly one needs to be watched for some minutes. */
    public Mood mood() {
        if (seen.stream().anyMatch(Behaviour::isHostile)) {
            return Mood.HOSTILE;
        }
        return !seen.isEmpty() && minutes >= LEAST_MINUTES ? Mood.FRIENDLY : Mood.UNDECIDED;
    }

    /** What to do at the cage. */
    public enum Act {
        /** She is pulled out and kept: they would kill her through the wire. */
        TAKE_HER_OUT, WAIT,
        /** Every frame is searched for eggs, a virgin, cells before anybody opens. */
        SECOND_LOOK, RELEASE,
        /** Another way: a push-in cage, a nuc. */
        CHANGE_METHOD,
        /** There is one already: she is not given. */
        ABORT
    }

    /**
     * What the second look found.
     *
     * @param day on which every frame was looked at
     * @param eggs of another queen
     * @param virgin seen
     * @param cells found and destroyed
     */
    public record SecondLook(LocalDate day, boolean eggs, boolean virgin, boolean cells) {
    }

    /** @param why in one sentence */
    public record Answer(Act act, Sentence why) {
        private static Answer of(Act act, String key, Object... with) {
            return new Answer(act, Sentence.of(key, with));
        }
    }

    /**
     * What to do today.
     *
     * @param readings at this cage, in any order
     * @param caged the day on which she was given
     * @param earliest the first day on which she may be let out
     * @param looks second looks, in any order
     * @param today the day for which it is asked
     */
    public static Answer answer(List<CageReading> readings, LocalDate caged, LocalDate earliest,
            List<SecondLook> looks, LocalDate today) {
        List<CageReading> inOrder = readings.stream().filter(one -> !one.day().isAfter(today))
                .sorted(Comparator.comparing(CageReading::day)).toList();
        Optional<SecondLook> last = looks.stream().filter(one -> !one.day().isAfter(today))
                .max(Comparator.comparing(SecondLook::day));
        if (last.filter(one -> one.eggs() || one.virgin()).isPresent()) {
            return Answer.of(Act.ABORT, last.get().eggs() ? "cage.abort.eggs" : "cage.abort.virgin");
        }
        if (inOrder.isEmpty()) {
            return Answer.of(Act.WAIT, "cage.wait.read");
        }
        CageReading newest = inOrder.getLast();
        LocalDate next = newest.day().plusDays(1);
        LocalDate again = next.isBefore(today) ? today : next;
        if (newest.seen().contains(Behaviour.BALLING)) {
            return Answer.of(Act.TAKE_HER_OUT, "cage.balling");
        }
        long hostileDays = inOrder.stream().filter(one -> one.mood() == Mood.HOSTILE).map(CageReading::day).distinct()
                .count();
        if (newest.mood() == Mood.HOSTILE) {
            return hostileDays >= 2 && !newest.day().isBefore(caged.plusDays(4))
                    ? Answer.of(Act.CHANGE_METHOD, "cage.stillHostile")
                    : Answer.of(Act.WAIT, "cage.hostile", again);
        }
        if (newest.mood() == Mood.UNDECIDED) {
            return Answer.of(Act.WAIT, "cage.undecided");
        }
        if (today.isBefore(earliest)) {
            return Answer.of(Act.WAIT, "cage.tooEarly", earliest);
        }
        long friendly = inOrder.reversed().stream().takeWhile(one -> one.mood() == Mood.FRIENDLY).map(CageReading::day)
                .distinct().count();
        if (friendly < 2) {
            return Answer.of(Act.WAIT, "cage.oneMore", again);
        }
        if (last.filter(one -> !one.day().isBefore(earliest)).isEmpty()) {
            return Answer.of(Act.SECOND_LOOK, "cage.secondLook");
        }
        return Answer.of(Act.RELEASE, last.get().cells() ? "cage.releaseCellsCut" : "cage.release");
    }
}
