package vividcrown.core.journal;

import java.util.ArrayList;
import java.util.List;

/** Collects everything that is wrong with a deed, so that it can be said at once. */
public final class Faults {

    private final List<String> found = new ArrayList<>();

    /** Thrown with every fault; the message has them all. */
    public static final class Found extends IllegalArgumentException {

        private final transient List<String> all;

        private Found(List<String> all) {
            super(String.join("; ", all));
            this.all = List.copyOf(all);
        }

        /** What is wrong with its value, the rule, and what to change; one sentence each, without the full stop. */
        public List<String> all() {
            return all;
        }
    }

    /** @param least included; @param most included */
    public Faults within(String name, double value, double least, double most) {
        return unless(value >= least && value <= most, "%s must lie between %s and %s, but is %s", name, said(least),
                said(most), said(value));
    }

    /** @param least characters, blanks around it not counted; @param most included */
    public Faults text(String name, String value, int least, int most) {
        int length = value.strip().length();
        return unless(length >= least && length <= most, "%s must be %d to %d characters, but has %d", name, least,
                most,
                length);
    }

    /** @param message as for {@link String#format} */
    public Faults unless(boolean right, String message, Object... arguments) {
        if (!right) {
            found.add(message.formatted(arguments));
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
