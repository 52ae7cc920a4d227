package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Advice;
import vividcrown.core.judgement.BestLook;
import vividcrown.core.judgement.Option;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.reading.Sign;
import vividcrown.core.round.Caution;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/**
 * A judgement with its advice.
 *
 * @param odds chance of each state, the likeliest first; together 1
 * @param signs what speaks for (factor above 1) and against (below 1) the leading state, the strongest first
 * @param settle which look or test would settle it best
 * @param cellKind chance of each kind of queen cells, if there are any
 * @param decideBy the day by which to decide, where a young queen must still mate
 * @param stop reasons to stop and move nothing
 */
public record VerdictView(LocalDate asOf, Status leading, String text, List<OddsView> odds, List<SignView> signs,
        List<LookView> settle, Map<Verdict.CellKind, Double> cellKind, List<OptionView> options,
        List<ReasonView> stop, @Nullable LocalDate decideBy, ProofView proof) {

    public record OddsView(Status state, String text, double chance) {
    }

    /**
     * @param factor how many times likelier it is in the leading state than in the others
     * @param speaks in one word, for those who read no factors
     */
    public record SignView(LocalDate day, Sign sign, String text, boolean seen, double factor, Speaks speaks,
            ReasonView reason) {
    }

    /** Which way a sign speaks. */
    public enum Speaks {
        FOR, AGAINST, NEITHER
    }

    /** @param bits by how much it is expected to lessen the doubt */
    public record LookView(BestLook.Kind look, String text, SpanView when, double bits, List<OutcomeView> outcomes) {
    }

    /** @param leading the state that would then lead, with the chance it would have */
    public record OutcomeView(String found, double chance, Status leading, String leadingText, double odds) {
    }

    /**
     * @param odds chance that the bees end up under a sound laying queen
     * @param ownSchool the operation prefers it
     * @param lastSensible last day on which to begin
     */
    public record OptionView(Action action, String text, double odds, boolean ownSchool,
            @Nullable LocalDate lastSensible, String needs, String beware, List<FollowUpView> followUps,
            List<CautionText> cautions, List<ReasonView> reasons) {
    }

    /** @param shut leave it shut on these days */
    public record FollowUpView(SpanView days, boolean shut, String lookFor, String ifNot) {
        static FollowUpView of(Option.FollowUp one) {
            return new FollowUpView(SpanView.of(one.days()), one.shut(), one.lookFor().toString(),
                    one.ifNot().toString());
        }
    }

    public record CautionText(Caution id, String text) {
    }

    private static final double SPEAKS = 1.15;

    public static VerdictView of(Verdict verdict, Advice advice) {
        List<OddsView> odds = verdict.odds().entrySet().stream()
                .sorted(Map.Entry.<Status, Double>comparingByValue(Comparator.reverseOrder()))
                .map(one -> new OddsView(one.getKey(), one.getKey().sentence().toString(), one.getValue())).toList();
        return new VerdictView(verdict.asOf(), verdict.leading(), verdict.leading().sentence().toString(), odds,
                ProofView.each(verdict.signs(), VerdictView::sign), ProofView.each(verdict.settle(), VerdictView::look),
                verdict.cellKind(), ProofView.each(advice.options(), VerdictView::option),
                ReasonView.of(advice.stop()), advice.decideBy().orElse(null), ProofView.of(verdict.proof()));
    }

    private static SignView sign(Verdict.Weighed weighed) {
        Speaks speaks = weighed.factor() > SPEAKS
                ? Speaks.FOR
                : weighed.factor() < 1 / SPEAKS ? Speaks.AGAINST : Speaks.NEITHER;
        return new SignView(weighed.reading().day(), weighed.sign(), weighed.sign().sentence().toString(),
                weighed.seen(), weighed.factor(), speaks, ReasonView.of(weighed.reason()));
    }

    private static LookView look(BestLook look) {
        return new LookView(look.kind(), look.kind().sentence().toString(), SpanView.of(look.when()), look.bits(),
                ProofView.each(look.outcomes(), one -> new OutcomeView(one.found().toString(), one.chance(),
                        one.leading(), one.leading().sentence().toString(), one.odds())));
    }

    private static OptionView option(Option option) {
        return new OptionView(option.action(), option.action().sentence().toString(), option.odds(),
                option.ownSchool(), option.lastSensible().orElse(null), option.action().needs().toString(),
                option.action().beware().toString(), ProofView.each(option.followUps(), FollowUpView::of),
                ProofView.each(option.cautions(), one -> new CautionText(one, one.sentence().toString())),
                ReasonView.of(option.reasons()));
    }
}
