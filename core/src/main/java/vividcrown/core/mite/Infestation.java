package vividcrown.core.mite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.hipparchus.distribution.continuous.GammaDistribution;
import vividcrown.core.hive.Amount;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;

/**
 * What a count says of a colony.
 *
 * @param percent mites for a hundred adult bees; the ends are those of the exact two-sided 95 % interval. Empty where only the
 *        whole colony's mites can be told
 * @param inAll mites in the whole colony, where a board tells it; empty otherwise
 * @param cautions what makes it doubtful
 */
public record Infestation(Optional<Amount> percent, Optional<Amount> inAll, List<Sentence> cautions,
        List<Reason> reasons) {

    /** Sides of the interval. */
    private static final double TAIL = 0.025;
    private static final int USUAL_BEES = 300;
    private static final Source CLOPPER_PEARSON = new Source.Published(
            "Clopper & Pearson 1934, Biometrika 26:404, The use of confidence or fiducial limits", true);
    private static final Source MARTIN = new Source.Published(
            "Martin 1998, Ecol. Modelling 109:267, A population model for the ectoparasitic mite Varroa jacobsoni",
            true);
    /** Share of what a wash finds. Common practice. */
    private static final Amount SUGAR_FINDS = new Amount(0.7, 0.8, 0.9);
    /** What a colony holds for each mite that falls in a day, by how much brood it has. Order of magnitude. */
    private static final Amount WITH_BROOD = new Amount(20, 30, 40);
    private static final Amount AUTUMN = new Amount(80, 100, 120);
    private static final Amount BROODLESS = new Amount(250, 350, 500);

    public Infestation {
        cautions = List.copyOf(cautions);
        reasons = List.copyOf(reasons);
    }

    /** How much brood there is where a board lay: it decides how many mites walk about on bees. */
    public enum Brood {
        MUCH, LITTLE, NONE
    }

    /** @param brood of the colony; of a board only */
    public static Infestation of(MiteCount count, Brood brood) {
        return switch (count) {
            case MiteCount.Wash wash -> wash(wash);
            case MiteCount.Sugar sugar -> sugar(sugar);
            case MiteCount.NaturalFall fall -> fall(fall, brood);
        };
    }

    private static Infestation wash(MiteCount.Wash wash) {
        List<Sentence> cautions = cautions(wash.bees(), wash.estimated());
        if (wash.second().isEmpty()) {
            cautions.add(Sentence.of("mites.caution.rinseAgain"));
        } else if (wash.second().get() > wash.first()) {
            cautions.add(Sentence.of("mites.caution.shookTooLittle"));
        }
        return new Infestation(Optional.of(percent(wash.mites(), wash.bees(), SURE)), Optional.empty(), cautions,
                List.of(Reason.of(CLOPPER_PEARSON, "mites.because.interval", wash.mites(), wash.bees())));
    }

    private static final Amount SURE = Amount.of(1);

    private static Infestation sugar(MiteCount.Sugar sugar) {
        List<Sentence> cautions = cautions(sugar.bees(), sugar.estimated());
        return new Infestation(Optional.of(percent(sugar.mites(), sugar.bees(), SUGAR_FINDS)), Optional.empty(),
                cautions,
                List.of(Reason.of(CLOPPER_PEARSON, "mites.because.interval", sugar.mites(), sugar.bees()),
                        Reason.of(Source.COMMON_PRACTICE, "mites.because.sugar")));
    }

    /**
     * Of all samples of bees together, mites for a hundred bees: what a yard or a line has on the whole. Hives differ more than
     * samples of one hive, so the interval is the least there can be.
     *
     * @return empty if no bees were sampled
     */
    public static Optional<Amount> pooled(List<MiteCount> counts) {
        int mites = 0;
        int bees = 0;
        for (MiteCount count : counts) {
            switch (count) {
                case MiteCount.Wash wash -> {
                    mites += wash.mites();
                    bees += wash.bees();
                }
                case MiteCount.Sugar sugar -> {
                    mites += (int) Math.rint(sugar.mites() / SUGAR_FINDS.likely());
                    bees += sugar.bees();
                }
                case MiteCount.NaturalFall _ -> {
                    // a board tells of the colony, not of its bees
                }
            }
        }
        return bees == 0 ? Optional.empty() : Optional.of(percent(mites, bees, SURE));
    }

    private static List<Sentence> cautions(int bees, boolean estimated) {
        List<Sentence> cautions = new ArrayList<>();
        if (bees < USUAL_BEES / 2) {
            cautions.add(Sentence.of("mites.caution.fewBees", bees, USUAL_BEES));
        }
        if (estimated) {
            cautions.add(Sentence.of("mites.caution.estimated"));
        }
        return cautions;
    }

    /** @param finds share of the mites on those bees that this way of counting finds */
    private static Amount percent(int mites, int bees, Amount finds) {
        // one bee may carry two: as a share of bees it is at most all of them
        int carriers = Math.min(mites, bees);
        double low = carriers == 0
                ? 0
                : new BetaDistribution(carriers, bees - carriers + 1.0)
                        .inverseCumulativeProbability(TAIL);
        double high = carriers == bees
                ? 1
                : new BetaDistribution(carriers + 1.0, bees - carriers).inverseCumulativeProbability(1 - TAIL);
        double many = carriers == 0 ? 1 : (double) mites / carriers;
        return new Amount(100 * many * low / finds.most(), 100.0 * mites / bees / finds.likely(),
                100 * many * high / finds.least());
    }

    private static Infestation fall(MiteCount.NaturalFall fall, Brood brood) {
        Amount each = switch (brood) {
            case MUCH -> WITH_BROOD;
            case LITTLE -> AUTUMN;
            case NONE -> BROODLESS;
        };
        // exact interval of a Poisson count (Garwood 1936)
        double low = fall.mites() == 0 ? 0 : new GammaDistribution(fall.mites(), 1).inverseCumulativeProbability(TAIL);
        double high = new GammaDistribution(fall.mites() + 1.0, 1).inverseCumulativeProbability(1 - TAIL);
        double days = fall.days();
        List<Sentence> cautions = new ArrayList<>();
        if (fall.days() < 3) {
            cautions.add(Sentence.of("mites.caution.shortFall", fall.days()));
        }
        return new Infestation(Optional.empty(), Optional.of(new Amount(low / days * each.least(),
                fall.mites() / days * each.likely(), high / days * each.most())), cautions,
                List.of(Reason.of(MARTIN, "mites.because.fall", Math.round(each.least()), Math.round(each.most()))));
    }

    /** The same in mites for a hundred bees, where the colony's bees are known. */
    public Optional<Amount> percentOf(double bees) {
        return percent.or(() -> inAll.filter(_ -> bees > 0).map(mites -> mites.map(one -> 100 * one / bees)));
    }
}
