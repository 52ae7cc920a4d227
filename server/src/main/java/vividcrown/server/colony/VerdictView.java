package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.Advice;
import vividcrown.core.judgement.BestLook;
import vividcrown.core.judgement.Contents;
import vividcrown.core.judgement.Option;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.reading.Sign;
import vividcrown.core.round.Caution;
import vividcrown.core.search.WhySearch;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/**
 * A judgement with its advice.
 *
 * @param odds chance of each state, the likeliest first; together 1
 * @param signs what speaks for (factor above 1) and against (below 1) the leading state, the strongest first
 * @param settle which look or test would settle it best
 * @param cellKind chance of each kind of queen cells, if there are any
 * @param who who is there, in words
 * @param underWay what is under way, in words
 * @param contents odds of each part of what is in the hive, and the days that follow
 * @param decideBy the day by which to decide, where a young queen must still mate
 * @param decide the same with both outcomes
 * @param stop reasons to stop and move nothing
 */
public record VerdictView(LocalDate asOf, Status leading, String text, String who, String underWay,
        ContentsView contents, List<OddsView> odds, List<SignView> signs,
        List<LookView> settle, Map<Verdict.CellKind, Double> cellKind, List<OptionView> options,
        List<ReasonView> stop, @Nullable LocalDate decideBy, @Nullable DecisionView decide, ProofView proof) {

    /**
     * @param queen odds of the queen, together 1
     * @param cells odds of queen cells by why they are there, together 1
     * @param workersLay chance that workers lay
     * @param cellsSealed when the oldest cell is sealed, where one is likely and open
     * @param swarmLeaves when the swarm leaves, where one is likely
     * @param virginEmerges when the virgin comes out, where cells are likely
     * @param firstEggs when a young queen on the way or out begins to lay, where she is likely; of those who will
     * @param ownWorkers when her first workers come out
     * @param layingBy of such colonies, the share in which a young queen lays after so many days
     */
    public record ContentsView(Map<Contents.QueenIs, Double> queen, Map<Contents.CellsAre, Double> cells,
            double workersLay,
            @Nullable SpanView cellsSealed, @Nullable SpanView swarmLeaves, @Nullable SpanView virginEmerges,
            @Nullable SpanView firstEggs, @Nullable SpanView ownWorkers, Map<Integer, Double> layingBy) {

        static ContentsView of(Contents contents) {
            return new ContentsView(contents.queen(), contents.cells(), contents.workersLay(),
                    contents.sealed().map(SpanView::of).orElse(null), contents.swarms().map(SpanView::of).orElse(null),
                    contents.emerges().map(SpanView::of).orElse(null),
                    contents.firstEggs().map(SpanView::of).orElse(null),
                    contents.ownWorkers().map(SpanView::of).orElse(null), contents.layingBy());
        }
    }

    /**
     * @param tooLate no virgin mates any more this season
     * @param ifSo what is done if a young queen lays by then
     * @param ifNot what is done if none does
     */
    public record DecisionView(LocalDate by, boolean tooLate, String ifSo, String ifNot) {
        static DecisionView of(Advice.Decision decision) {
            return new DecisionView(decision.by(), decision.tooLate(), decision.ifSo().toString(),
                    decision.ifNot().toString());
        }
    }

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
     * @param value what ranks it: odds over all that may be in the hive, less what it costs, in parts of a colony
     * @param cost what it costs in bees, queens, work and a colony given up, in parts of a colony
     * @param ownSchool the operation prefers it
     * @param lastSensible last day on which to begin
     * @param gates what must be true first
     * @param findFirst what its queen must be found for before anything else is done, if one may well be in there
     * @param risk what would be lost if something else is in there
     */
    public record OptionView(Action action, String text, double odds, double value, double cost, boolean ownSchool,
            @Nullable LocalDate lastSensible, String needs, String beware, List<GateView> gates,
            @Nullable WhySearch findFirst, @Nullable String risk,
            List<FollowUpView> followUps, List<CautionText> cautions, List<ReasonView> reasons) {
    }

    /** @param open it is known to be so */
    public record GateView(String text, boolean open) {
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
    /** One in ten is too many queens lost. */
    private static final double HARDLY_THERE = 0.9;

    public static VerdictView of(Verdict verdict, Advice advice) {
        List<OddsView> odds = verdict.odds().entrySet().stream()
                .sorted(Map.Entry.<Status, Double>comparingByValue(Comparator.reverseOrder()))
                .map(one -> new OddsView(one.getKey(), one.getKey().sentence().toString(), one.getValue())).toList();
        return new VerdictView(verdict.asOf(), verdict.leading(), verdict.leading().sentence().toString(),
                verdict.contents().who().toString(), verdict.contents().underWay().toString(),
                ContentsView.of(verdict.contents()), odds,
                ProofView.each(verdict.signs(), VerdictView::sign), ProofView.each(verdict.settle(), VerdictView::look),
                verdict.cellKind(), ProofView.each(advice.options(), one -> option(one, verdict)),
                ReasonView.of(advice.stop()), advice.decideBy().orElse(null),
                advice.decide().map(DecisionView::of).orElse(null), ProofView.of(verdict.proof()));
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

    private static @Nullable WhySearch findFirst(Option option, Verdict verdict) {
        boolean mayBeThere = verdict.contents().queen().getOrDefault(Contents.QueenIs.NONE, 0.0) < HARDLY_THERE;
        return mayBeThere ? option.action().findsHerFor().orElse(null) : null;
    }

    private static OptionView option(Option option, Verdict verdict) {
        return new OptionView(option.action(), option.action().sentence().toString(), option.odds(), option.value(),
                option.cost(), option.ownSchool(), option.lastSensible().orElse(null),
                option.action().needs().toString(), option.action().beware().toString(),
                ProofView.each(option.gates(), one -> new GateView(one.gate().toString(), one.open())),
                findFirst(option, verdict), option.risk().map(Object::toString).orElse(null),
                ProofView.each(option.followUps(), FollowUpView::of),
                ProofView.each(option.cautions(), one -> new CautionText(one, one.sentence().toString())),
                ReasonView.of(option.reasons()));
    }
}
