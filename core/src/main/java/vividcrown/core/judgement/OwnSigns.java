package vividcrown.core.judgement;

import java.util.HashMap;
import java.util.Map;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;

/**
 * How often each sign was seen, and looked for in vain, in colonies whose state was settled later: an operation's own
 * experience, laid over the table of likelihoods.
 *
 * @param counts by sign and state
 */
public record OwnSigns(Map<Sign, Map<Status, Count>> counts) {

    public static final OwnSigns NONE = new OwnSigns(Map.of());

    public OwnSigns {
        counts = Map.copyOf(counts);
    }

    /** @param seen how often it was seen, of {@code told} times that it was told at all */
    public record Count(int seen, int told) {
        private Count plus(boolean isSeen) {
            return new Count(seen + (isSeen ? 1 : 0), told + 1);
        }
    }

    /** The same with one more settled reading. */
    public OwnSigns with(Reading reading, Status state) {
        Map<Sign, Map<Status, Count>> all = new HashMap<>(counts);
        for (Sign sign : Sign.values()) {
            if (reading.saw(sign) || reading.missed(sign)) {
                Map<Status, Count> of = new HashMap<>(all.getOrDefault(sign, Map.of()));
                of.put(state, of.getOrDefault(state, new Count(0, 0)).plus(reading.saw(sign)));
                all.put(sign, of);
            }
        }
        return new OwnSigns(all);
    }
}
