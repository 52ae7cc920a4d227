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
 * @param odds chance that the bees end up under a sound laying queen, here or in the hive they are joined to
 * @param ownSchool the operation prefers it
 * @param lastSensible the last day on which it is still sensible to begin, empty if the date does not matter
 * @param followUps what must happen afterwards, in order
 */
public record Option(Action action, double odds, double value, boolean ownSchool, Optional<LocalDate> lastSensible,
        List<FollowUp> followUps, List<Caution> cautions, List<Reason> reasons) {

    public Option {
        followUps = List.copyOf(followUps);
        cautions = List.copyOf(cautions);
        reasons = List.copyOf(reasons);
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
