package vividcrown.core.lineage;

import java.util.ArrayList;
import java.util.List;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Source.Published;

/**
 * What a planned mating would give.
 *
 * @param inbreeding of the workers, 0–1
 * @param loss of brood to shared sex alleles
 * @param workers mean relatedness of two workers; sisters of one father 0.75, of many 0.25
 * @param reasons how it follows
 */
public record MatingOutlook(double inbreeding, BroodLoss loss, double workers, Advice advice,
        List<Reason> reasons) {

    /** What to do about it. */
    public enum Advice {
        WELL,
        /** It costs something, and more in her daughters. */
        MIND,
        /** The brood would be full of holes. */
        APART
    }

    private static final Source SEX_ALLELES = new Published("Woyke 1976; Page & Laidlaw 1988", true);
    private static final Source X_LINKED = new Published("Crow & Roberts 1950, Genetics 35:612", true);
    private static final Source SISTERS = new Published("Hamilton 1964, J. Theor. Biol. 7:1", true);
    /** As akin as daughters of one queen with those of her half-sister. */
    private static final double MINDS = 0.0625;
    private static final double PARTS = 0.125;

    public MatingOutlook {
        reasons = List.copyOf(reasons);
    }

    /** Who is to mate. */
    public enum Who {
        /** The queen of this record. */
        SHE,
        /** A daughter of hers that is yet to be raised. */
        HER_DAUGHTER
    }

    /**
     * @param alleles sex alleles in the founders, 2–100
     * @throws IllegalArgumentException if one of them is not in the pedigree
     */
    public static MatingOutlook of(Kinship kinship, String queen, Who who, Mating mating, int alleles) {
        Kinship.Meeting meeting = who == Who.SHE
                ? kinship.meeting(queen, mating)
                : kinship.meetingOfDaughter(queen, mating);
        BroodLoss loss = BroodLoss.byKinship(meeting.brood(), alleles, mating.drones());
        List<Reason> reasons = new ArrayList<>();
        reasons.add(Reason.of(X_LINKED, "mating.reason.inbreeding", percent(meeting.brood())));
        reasons.add(Reason.of(SEX_ALLELES, "mating.reason.alleles", alleles, percent(1.0 / alleles),
                percent(loss.share().likely())));
        reasons.add(Reason.of(SISTERS, "mating.reason.workers", mating.drones(),
                Math.round(100 * meeting.workers()) / 100.0));
        if (mating.equals(Mating.UNKNOWN)) {
            reasons.add(Reason.of(Source.COMMON_PRACTICE, "mating.reason.strangers"));
        }
        Advice advice = meeting.brood() >= PARTS || loss.shows()
                ? Advice.APART
                : meeting.brood() >= MINDS ? Advice.MIND : Advice.WELL;
        return new MatingOutlook(meeting.brood(), loss, meeting.workers(), advice, reasons);
    }

    private static double percent(double share) {
        return Math.round(1000 * share) / 10.0;
    }
}
