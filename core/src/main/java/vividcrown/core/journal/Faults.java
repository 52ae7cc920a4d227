package vividcrown.core.journal;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import vividcrown.core.reason.Sentence;

/** Collects everything that is wrong with a deed, so that it can be said at once. */
public final class Faults {

    private final List<Sentence> found = new ArrayList<>();

    /** Thrown with every fault; the message has them all. */
    public static final class Found extends IllegalArgumentException {

        private final transient List<Sentence> all;

        private Found(List<Sentence> all) {
            super(all.stream().map(Sentence::toString).collect(Collectors.joining("; ")));
            this.all = List.copyOf(all);
        }

        /** What is wrong with its value, the rule, and what to change; one sentence each, without the full stop. */
        public List<Sentence> all() {
            return all;
        }
    }

    /** @param least included; @param most included */
    public Faults within(String name, double value, double least, double most) {
        return unless(value >= least && value <= most, "fault.within", name, said(least), said(most), said(value));
    }

    /** @param least characters, blanks around it not counted; @param most included */
    public Faults text(String name, String value, int least, int most) {
        int length = value.strip().length();
        return unless(length >= least && length <= most, "fault.text", name, least, most, length);
    }

    /** @param key what is wrong and what to change, in the catalogue, without the full stop */
    public Faults unless(boolean right, String key, Object... arguments) {
        if (!right) {
            found.add(Sentence.of(key, arguments));
        }
        return this;
    }

    /** @throws Found if anything was wrong */
    public void refuse() {
        if (!found.isEmpty()) {
            throw new Found(found);
        }
    }

    private static String said(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? String.valueOf((long) value)
                : String.valueOf(value);
    }
}
