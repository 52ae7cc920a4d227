package vividcrown.core.season;

import java.util.List;
import java.util.OptionalInt;
import vividcrown.core.journal.Faults;

/**
 * A mother to graft from.
 *
 * @param daughters that the season is to bring of her, 1–100,000; empty if nobody said
 */
public record BreederQueen(String id, String line, OptionalInt daughters) {

    public BreederQueen {
        daughters.ifPresent(many -> new Faults().within("daughters", many, 1, 100_000).refuse());
    }

    /** Of whom as many are wished as of any other. */
    public BreederQueen(String id, String line) {
        this(id, line, OptionalInt.empty());
    }

    /**
     * Which part of all cups is to be hers: by the daughters wished of each; of whom nothing was said, as many as of the others on
     * average.
     *
     * @return 0–1, together 1
     */
    public double share(List<BreederQueen> all) {
        double usual = all.stream().flatMapToInt(one -> one.daughters().stream()).average().orElse(1);
        double sum = all.stream().mapToDouble(one -> one.wished(usual)).sum();
        return wished(usual) / sum;
    }

    private double wished(double usual) {
        return daughters.isPresent() ? daughters.getAsInt() : usual;
    }
}
