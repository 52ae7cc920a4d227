package vividcrown.core.split;

import java.time.LocalDate;
import java.util.Optional;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.SplitQuestion.Floor;
import vividcrown.core.split.recipe.SplitRecipe;

/** Who may give, and what it must keep. All common practice. */
public final class DonorRules {

    private static final int OLDEST_READING_DAYS = 45;
    private static final int OLD_READING_DAYS = 21;
    private static final int KEEPS_BROOD = 5;
    private static final int KEEPS_BROOD_FOR_THE_CROP = 6;
    private static final int KEEPS_BROOD_OF_PARENTS = 7;
    private static final double KEEPS_OF_ITS_BEES = 0.55;
    private static final double KEEPS_OF_ITS_BEES_FOR_THE_CROP = 0.65;
    private static final double BEES_FOR_A_BROOD_FRAME = 0.8;
    private static final double LEAST_BEES = 4;
    private static final double GROWN = 0.88;

    private DonorRules() {
    }

    /** Why a hive gives nothing at all on that day; empty if it may. */
    public static Optional<Sentence> refuses(Unit hive, LocalDate day) {
        return refusesNow(hive, day).or(() -> refusesByKind(hive));
    }

    /** The same where its old queen is taken out in a nuc of her own. */
    static Optional<Sentence> refusesHerNuc(Unit hive, LocalDate day) {
        return refusesEvenHerNuc(hive, day).or(() -> refusesByKind(hive));
    }

    /** By what it is kept for, and by its queen. */
    private static Optional<Sentence> refusesByKind(Unit hive) {
        return switch (hive.purpose()) {
            case PRODUCTION, DRONE_COLONY, NUC -> refusesByQueen(hive);
            case BUILDER, MATING_NUC, MINI_NUC, BANK ->
                Optional.of(Sentence.of("donor.purpose", hive.code(), hive.purpose().sentence()));
        };
    }

    private static Optional<Sentence> refusesByQueen(Unit hive) {
        return switch (hive.queen().is()) {
            case LAYING -> Optional.empty();
            case KEPT, VIRGIN, CELL, NONE, LAYING_WORKERS, DRONE_LAYER ->
                Optional.of(Sentence.of("donor.queen." + hive.queen().is().name(), hive.code()));
            // eggs are her doing: she is there, and must be looked for
            case UNKNOWN -> hive.hasEggs()
                    ? Optional.empty()
                    : Optional.of(Sentence.of("donor.queen.UNKNOWN", hive.code()));
        };
    }

    /** The same, whatever its queen and its purpose. */
    static Optional<Sentence> refusesNow(Unit hive, LocalDate day) {
        return refusesEvenHerNuc(hive, day).or(() -> Optional.of(Sentence.of("donor.swarmCells", hive.code()))
                .filter(_ -> hive.is(UnitTrait.SWARM_CELLS)));
    }

    /** The same for the nuc of its old queen, which is what is done about cells. */
    private static Optional<Sentence> refusesEvenHerNuc(Unit hive, LocalDate day) {
        if (hive.is(UnitTrait.SUSPECT)) {
            return Optional.of(Sentence.of("donor.suspect", hive.code()));
        }
        if (hive.is(UnitTrait.TREATED)) {
            return Optional.of(Sentence.of("donor.treated", hive.code()));
        }
        if (hive.is(UnitTrait.HANDS_OFF)) {
            return Optional.of(Sentence.of("donor.handsOff", hive.code()));
        }
        if (hive.is(UnitTrait.ROBBED)) {
            return Optional.of(Sentence.of("donor.robbed", hive.code()));
        }
        if (hive.is(UnitTrait.DEFENSIVE)) {
            return Optional.of(Sentence.of("donor.defensive", hive.code()));
        }
        if (day.toEpochDay() - hive.readOn().toEpochDay() > OLDEST_READING_DAYS) {
            return Optional.of(Sentence.of("donor.notRead", hive.code(), hive.readOn()));
        }
        return Optional.empty();
    }

    /** Said beside a hive that gives though its reading is old. */
    static Optional<Sentence> isOld(Unit hive, LocalDate day) {
        long days = day.toEpochDay() - hive.readOn().toEpochDay();
        return days >= OLD_READING_DAYS
                ? Optional.of(Sentence.of("donor.old", hive.code(), (int) days))
                : Optional.empty();
    }

    /** What a hive keeps when it gives, by its purpose and the season; 1–2 frames of 9 cost it little. */
    public static Floor floor(Unit hive, BeeYear year, LocalDate day) {
        boolean parent = hive.is(UnitTrait.BREEDER) || hive.is(UnitTrait.DRONE_MOTHER)
                || hive.purpose() == Purpose.DRONE_COLONY;
        boolean crop = hive.is(UnitTrait.FOR_THE_CROP);
        int brood = parent ? KEEPS_BROOD_OF_PARENTS : crop ? KEEPS_BROOD_FOR_THE_CROP : KEEPS_BROOD;
        boolean autumn = year.isAutumn(day);
        boolean stillToGrow = !autumn && year.laying(day) < GROWN;
        // in autumn a good colony is never halved, in spring it has still to grow
        int kept = Math.max(brood + (autumn || stillToGrow ? 1 : 0), (hive.broodFrames() + 1) / 2);
        double share = crop || parent || autumn ? KEEPS_OF_ITS_BEES_FOR_THE_CROP : KEEPS_OF_ITS_BEES;
        return new Floor(kept, Math.max(Math.max(LEAST_BEES, BEES_FOR_A_BROOD_FRAME * kept),
                share * hive.framesOfBees()));
    }

    /** What a stripped hive keeps: its queen, a frame or two, the flyers that come home. */
    static final Floor STRIPPED = new Floor(1, 3);

    /** Whether a frame may leave its hive for this recipe; queens and the cells of others never. */
    static boolean mayLeave(FrameSeen frame, SplitRecipe recipe) {
        boolean withQueen = recipe.donor() == SplitRecipe.Donor.ONE_HIVE_WITH_QUEEN;
        return (!frame.queen() || withQueen) && !frame.cells();
    }
}
