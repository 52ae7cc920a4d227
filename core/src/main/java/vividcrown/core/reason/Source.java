package vividcrown.core.reason;

/** Where a number or a rule comes from. */
public sealed interface Source {

    /** Worker, drone and queen development days; maturity; flight temperature. */
    Source WINSTON_1987 = new Published("Winston 1987, The Biology of the Honey Bee", true);
    /** Larva age for grafting, incubator climate, ripe cells. */
    Source BUECHLER_2013 = new Published("Büchler et al. 2013, J. Apic. Res. 52(1), Standard methods for rearing and "
            + "selection of Apis mellifera queens", true);
    /** The international marking code. */
    Source MARKING_CODE = new Published("International queen marking code, trade standard", true);
    Source COMMON_PRACTICE = new CommonPractice();

    /** The source as one line, as shown under a figure. */
    String citation();

    /**
     * @param citation author, year, title
     * @param fromMemory the value was written down from memory of the source, not copied from it
     */
    record Published(String citation, boolean fromMemory) implements Source {
    }

    record CommonPractice() implements Source {
        @Override
        public String citation() {
            return "common practice";
        }
    }

    /** @param derivation how it follows from other values, so that it can be redone */
    record Derived(String derivation) implements Source {
        @Override
        public String citation() {
            return "derived: " + derivation;
        }
    }

    /** @param citation which of the operation's own records it rests on */
    record OwnRecord(String citation) implements Source {
    }

    static Source derived(String derivation) {
        return new Derived(derivation);
    }
}
