package vividcrown.core.judgement;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.round.Caution;
import vividcrown.core.time.DatedSpan;

/**
 * One possible action.
 *
 * @param value odds less what it costs, for ranking: a colony given up counts 0.6, a queen or a nuc costs a share
 * @param cost what of that is taken off for bees, queens, work and a colony given up, in parts of a colony
 * @param gates what must be true first, and whether it is known to be
 * @param risk what would be lost if something else is in there than is thought, if anything good would
 * @param odds chance that the bees end up under a sound laying queen, here or in the hive they are joined to
 * @param ownSchool the operation prefers it
 * @param lastSensible the last day on which it is still sensible to begin, empty if the date does not matter
 * @param followUps what must happen afterwards, in order
 */
public record Option(Action action, double odds, double value, double cost, boolean ownSchool,
        Optional<LocalDate> lastSensible, List<Opens> gates, Optional<Sentence> risk, List<FollowUp> followUps,
        List<Caution> cautions, List<Reason> reasons) {

    public Option {
        gates = List.copyOf(gates);
        followUps = List.copyOf(followUps);
        cautions = List.copyOf(cautions);
        reasons = List.copyOf(reasons);
    }

    /** @param open it is known to be so */
    public record Opens(Sentence gate, boolean open) {
    }

    /**
     * @param days the days of the look, or the days to leave it shut
     * @param shut leave it shut on these days, rather than look
     * @param lookFor what to look for
     * @param ifNot what it means if it is not there
     */
    public record FollowUp(DatedSpan days, boolean shut, Sentence lookFor, Sentence ifNot) {
    }
}
