package vividcrown.core.merit;

import vividcrown.core.journal.Faults;

/**
 * A mark that a queen's colony got.
 *
 * @param queen her id
 * @param value on the scale in force, the best highest
 * @param yard where it stood; may be empty
 * @param year in which
 */
public record Score(String queen, Trait trait, double value, String yard, int year) {
    public Score {
        new Faults().text("queen", queen, 1, 60).text("yard", yard, 0, 60).within("value", value, -1_000, 1_000)
                .within("year", year, 1950, 2200).refuse();
    }

    /** Colonies that stood side by side: what yard and year gave to all of them says nothing of one. */
    record Side(String yard, int year) {
    }

    Side side() {
        return new Side(yard, year);
    }

    /**
     * From which to which marks are given.
     *
     * @param least worst, −100 to 99
     * @param most best, above it
     * @param step between two marks, above 0
     */
    public record Scale(double least, double most, double step) {
        /** 1 to 4 by halves. Common practice of breeders' associations. */
        public static final Scale USUAL = new Scale(1, 4, 0.5);

        public Scale {
            new Faults().within("least", least, -100, 99).within("most", most, -99, 100)
                    .unless(most > least && step > 0 && step <= most - least && (most - least) / step <= 100,
                            "fault.scale", least, most, step)
                    .refuse();
        }

        /** The same mark on another scale. */
        public double to(Scale other, double value) {
            return other.least + (other.most - other.least) * (value - least) / (most - least);
        }

        /** @throws IllegalArgumentException if it is out of the scale or between two marks */
        public void check(double value) {
            double steps = (value - least) / step;
            new Faults().within("value", value, least, most)
                    .unless(Math.abs(steps - Math.rint(steps)) < 1e-6, "fault.scaleStep", value, step,
                            least + Math.rint(steps) * step)
                    .refuse();
        }
    }
}
