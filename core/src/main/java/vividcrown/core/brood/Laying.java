package vividcrown.core.brood;

import java.util.List;
import vividcrown.core.reading.Fact;
import vividcrown.core.time.Until;

/**
 * A time in which a queen laid, as far as brood proves it.
 *
 * @param firstEgg when she began; no earlier bound where nothing shows that there was no layer before
 * @param lastEgg when she laid last, as of the day asked about: up to that day if nothing shows that she stopped
 * @param proofs the sights that prove her
 */
public record Laying(Until firstEgg, Until lastEgg, List<Fact> proofs) {
    public Laying {
        proofs = List.copyOf(proofs);
    }
}
