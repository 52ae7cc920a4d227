package vividcrown.server.lineage;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.Amount;
import vividcrown.core.lineage.BroodLoss;
import vividcrown.core.lineage.MatingOutlook;
import vividcrown.core.merit.Breeders;
import vividcrown.core.merit.Merit;
import vividcrown.core.merit.Trait;
import vividcrown.core.reason.Sentence;
import vividcrown.core.requeening.Requeening;
import vividcrown.core.requeening.SwarmOdds;
import vividcrown.server.introduction.IntroductionPlanView.TurnoverView;
import vividcrown.server.wire.ReasonView;

/** Descent, merit and requeening as they are shown. */
public final class LineageViews {

    private static final double THOUSAND = 1000.0;

    private LineageViews() {
    }

    public static double thousandth(double value) {
        return Math.round(THOUSAND * value) / THOUSAND;
    }

    /**
     * Brood lost to equal sex alleles.
     *
     * @param share of the fertilised eggs, with what one queen in twenty loses at least and at most
     * @param shows whoever reads the comb sees it
     */
    public record BroodLossView(Amount share, boolean shows) {
        public static BroodLossView of(BroodLoss loss) {
            return new BroodLossView(loss.share().map(LineageViews::thousandth), loss.shows());
        }
    }

    /**
     * What a mating would give.
     *
     * @param inbreeding of the workers, 0–1
     * @param workers mean relatedness of two workers, 0–1
     */
    public record MatingView(double inbreeding, BroodLossView loss, double workers, MatingOutlook.Advice advice,
            String text, List<ReasonView> reasons) {
        public static MatingView of(MatingOutlook outlook) {
            return new MatingView(thousandth(outlook.inbreeding()), BroodLossView.of(outlook.loss()),
                    thousandth(outlook.workers()), outlook.advice(),
                    Sentence.of("mating.advice." + outlook.advice().name()).toString(),
                    ReasonView.of(outlook.reasons()));
        }
    }

    /**
     * What one queen is expected to pass on in one trait.
     *
     * @param value marks above those she is compared with
     * @param reliability squared correlation of it with the truth, 0–1
     * @param own scores of her own colony
     * @param daughters of hers that were scored
     */
    public record EstimateView(Trait trait, String text, double value, double reliability, int own, int daughters) {
        public static EstimateView of(Trait trait, Merit.Estimate one) {
            return new EstimateView(trait, trait.sentence().toString(), thousandth(one.value()),
                    thousandth(one.reliability()), one.own(), one.daughters());
        }
    }

    /**
     * @param scores how many it rests on
     * @param queens what each is expected to pass on, by her id
     */
    public record MeritView(Trait trait, Merit.Way way, int scores, Map<String, EstimateView> queens,
            List<ReasonView> reasons) {
        public static MeritView of(Merit merit) {
            return new MeritView(merit.trait(), merit.way(), merit.scores(), merit.of().entrySet().stream()
                    .collect(Collectors.toMap(Map.Entry::getKey, one -> EstimateView.of(merit.trait(), one.getValue()),
                            (one, _) -> one, TreeMap::new)),
                    ReasonView.of(merit.reasons()));
        }
    }

    /** @param daughters of all that are wanted */
    public record ChosenView(String queen, String line, int daughters, double merit, double reliability) {
    }

    /**
     * Who is grafted from.
     *
     * @param merit mean of what they pass on
     * @param kinship of two drawn among what they pass on
     * @param gap at most so much more merit could be had; 0 where proven
     * @param lineMore what one more line would cost in merit; left out where there is none
     */
    public record BreedersView(List<ChosenView> chosen, double merit, double kinship, double gap,
            @Nullable Double lineMore, List<String> warnings) {
        public static BreedersView of(Breeders found) {
            return new BreedersView(found.chosen().stream().map(one -> new ChosenView(one.queen(), one.line(),
                    one.daughters(), thousandth(one.merit()), thousandth(one.reliability()))).toList(),
                    thousandth(found.merit()), thousandth(found.kinship()), thousandth(found.gap()),
                    found.lineMore().map(LineageViews::thousandth).orElse(null),
                    found.warnings().stream().map(Object::toString).toList());
        }
    }

    /** @param chance that it swarms this season if nothing is done, 0–1 @param measures what takes the urge away mildly */
    public record SwarmOddsView(Amount chance, List<String> measures, List<ReasonView> reasons) {
        public static SwarmOddsView of(SwarmOdds odds) {
            return new SwarmOddsView(odds.chance().map(LineageViews::thousandth),
                    odds.measures().stream().map(Object::toString).toList(), ReasonView.of(odds.reasons()));
        }
    }

    /**
     * Whether a colony gets another queen.
     *
     * @param by the last day on which it makes sense this season; left out where nothing is to be done
     * @param swarm how likely it swarms if nothing is done; left out where no queen surely lays in it
     * @param temper when the bees of the new queen set the tone; left out where temper is not why
     */
    public record RequeeningView(Requeening.Action action, String text, @Nullable LocalDate by,
            @Nullable SwarmOddsView swarm, @Nullable TurnoverView temper, List<ReasonView> reasons) {
        public static RequeeningView of(Requeening one) {
            return new RequeeningView(one.action(), one.action().sentence().toString(), one.by().orElse(null),
                    one.swarm().map(SwarmOddsView::of).orElse(null), one.temper().map(TurnoverView::of).orElse(null),
                    ReasonView.of(one.reasons()));
        }
    }
}
