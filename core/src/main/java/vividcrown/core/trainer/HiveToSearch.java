package vividcrown.core.trainer;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.random.RandomGenerator;
import vividcrown.core.hive.FrameSide;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Wrong;
import vividcrown.core.search.BoxThere;
import vividcrown.core.search.Circumstances;
import vividcrown.core.search.CombThere;
import vividcrown.core.search.HiveSearched;
import vividcrown.core.search.Place;
import vividcrown.core.search.QueenTrait;
import vividcrown.core.search.Search;
import vividcrown.core.search.SearchAct;
import vividcrown.core.search.Searcher;
import vividcrown.core.search.Shows;

/** A made-up hive in which a queen is to be found: what is known of it before the lid is off, what stands on its combs, and where she really is. */
public final class HiveToSearch {

    // respects of an exercise's luck
    private static final int WALK = 1;
    private static final int COMBS_FROM = 100;
    private static final int EYES_FROM = 2_000;
    private static final int STANDS_FROM = 3_000;
    private static final int[] COMBS = {5, 10, 10};
    private static final int FULL_BOX = 10;
    private static final int HONEY_COMBS = 8;
    private static final int[] READ_DAYS = {3, 7, 14};
    private static final double[] BEES = {0.6, 1, 1.35};
    private static final double MINUTES_ROBBED = 4;
    /** A swarm's virgin: what the old queen left has all come out but the last of it. */
    private static final int LAST_EGG_DAYS = 19;
    private static final double BROOD = 0.02;

    private final Exercise exercise;
    private final LivedBrood brood;
    private final HiveSearched hive;
    private final Circumstances under;
    private final Place begins;

    private HiveToSearch(Exercise exercise) {
        this.exercise = exercise;
        RandomGenerator luck = exercise.luck();
        int combs = COMBS[exercise.level() - 1];
        this.brood = new LivedBrood(combs, day -> laying(exercise, day), luck);
        this.under = new Circumstances(traits(exercise.skill()), isBroodless() ? 0 : exercise.season().laying(), false,
                exercise.skill() == Skill.FIND_ROBBING, false, Searcher.of(false, 0, 0));
        this.hive = asRead();
        this.begins = isAnywhere(exercise.skill())
                ? Search.drawn(hive, under, luck)
                : LivedBrood.placeOf(brood.queen());
    }

    /** @throws IllegalArgumentException if it is no hive to search */
    public static HiveToSearch of(Exercise exercise) {
        if (exercise.skill().task() != Task.FIND) {
            throw Wrong.of("wrong.trainer.notFind", exercise.skill().sentence());
        }
        return new HiveToSearch(exercise);
    }

    private static double laying(Exercise exercise, int day) {
        boolean stopped = switch (exercise.skill()) {
            case FIND_BROODLESS -> true;
            case FIND_VIRGIN -> day > LivedBrood.DAYS - LAST_EGG_DAYS;
            default -> false;
        };
        // a small unit has neither room nor nurses for more
        double room = (double) COMBS[exercise.level() - 1] / FULL_BOX;
        return stopped ? 0 : exercise.season().laying() * room;
    }

    private static Set<QueenTrait> traits(Skill skill) {
        return switch (skill) {
            case FIND_VIRGIN -> EnumSet.of(QueenTrait.VIRGIN);
            case FIND_OLD -> EnumSet.of(QueenTrait.OLD);
            case FIND_RUNNER -> EnumSet.of(QueenTrait.RUNNER);
            default -> Set.of();
        };
    }

    /** These do not keep to the brood: the odds say all there is to say. */
    private static boolean isAnywhere(Skill skill) {
        return skill == Skill.FIND_VIRGIN || skill == Skill.FIND_RUNNER;
    }

    private boolean isBroodless() {
        return exercise.skill() == Skill.FIND_BROODLESS;
    }

    private HiveSearched asRead() {
        int read = READ_DAYS[exercise.level() - 1];
        double bees = BEES[exercise.level() - 1];
        List<CombThere> combs = new ArrayList<>();
        for (int slot = 1; slot <= COMBS[exercise.level() - 1]; slot++) {
            combs.add(new CombThere(slot, brood.signs(2 * slot - 2, read), brood.signs(2 * slot - 1, read),
                    Optional.of(bees), false));
        }
        List<BoxThere> boxes = new ArrayList<>();
        boxes.add(new BoxThere(false, exercise.level() == 1 ? combs.size() + 1 : combs.size(), false, combs));
        if (exercise.level() == Exercise.LEVELS) {
            List<CombThere> honey = new ArrayList<>();
            for (int slot = 1; slot <= HONEY_COMBS; slot++) {
                honey.add(new CombThere(slot, List.of(Sign.SEALED_HONEY), List.of(Sign.SEALED_HONEY), Optional.of(1.0),
                        false));
            }
            boxes.add(new BoxThere(true, HONEY_COMBS + 1, false, honey));
        }
        return new HiveSearched(boxes, read, Optional.empty(), 1);
    }

    public Exercise exercise() {
        return exercise;
    }

    /** What is known of it before the lid is off. */
    public HiveSearched hive() {
        return hive;
    }

    public Circumstances under() {
        return under;
    }

    /** Minutes until it must be shut; empty if there is time. */
    public OptionalDouble minutes() {
        return exercise.skill() == Skill.FIND_ROBBING ? OptionalDouble.of(MINUTES_ROBBED) : OptionalDouble.empty();
    }

    /** What a side shows today by its largest part. @throws IllegalArgumentException if there is no such place */
    public Shows shows(Place place) {
        if (!hive.places().contains(place)) {
            throw Wrong.of("wrong.search.noPlace", place.sentence());
        }
        return switch (place) {
            case Place.OnComb side -> side.box() > 1 ? Shows.FOOD : brood.shows(LivedBrood.sideOf(side), 0);
            case Place.InHole _,Place.Lid _,Place.Walls _,Place.Excluder _,Place.Floor _ -> Shows.NOTHING;
        };
    }

    /** What stands on a side, cell by cell. */
    public CombPicture picture(Place.OnComb side) {
        RandomGenerator luck = exercise.luck(COMBS_FROM + 50 * side.box() + LivedBrood.sideOf(side));
        return side.box() > 1
                ? CombPicture.honey(luck)
                : CombPicture.of(brood, LivedBrood.sideOf(side), luck);
    }

    /** Share of a side that bees cover. Fewer hang where there is no brood. */
    public double bees(Place place) {
        if (!(place instanceof Place.OnComb(int box, int slot, FrameSide side))) {
            return BEES[0] / 2;
        }
        double usual = hive.boxes().get(box - 1).combs().stream().filter(comb -> comb.slot() == slot)
                .flatMap(comb -> comb.bees().stream()).findFirst().orElse(1.0);
        boolean nest = box == 1 && brood.isNest(LivedBrood.sideOf(new Place.OnComb(box, slot, side)));
        return nest || box > 1 ? usual : usual * 0.6;
    }

    /** Where she is after what was done so far. */
    public Place queenAfter(List<SearchAct> done) {
        return Search.walked(hive, under, begins, done, exercise.luck(WALK));
    }

    /**
     * Where on a side she stands.
     *
     * @param across 0 at the left, 1 at the right
     * @param down 0 at the top bar, 1 at the bottom bar
     */
    public record Stand(double across, double down) {
    }

    /** Where she stands on whatever was looked at last; empty if she is elsewhere. Those that run hang at the edges. */
    public Optional<Stand> stands(List<SearchAct> done) {
        if (done.isEmpty() || !SearchScore.placeOf(done.getLast()).equals(Optional.of(queenAfter(done)))) {
            return Optional.empty();
        }
        RandomGenerator luck = exercise.luck(STANDS_FROM + done.size());
        double turn = 2 * Math.PI * luck.nextDouble();
        double far = isAnywhere(exercise.skill())
                ? 0.7 + 0.25 * luck.nextDouble()
                : 0.65 * Math.sqrt(luck.nextDouble());
        return Optional.of(new Stand(0.5 + 0.45 * far * Math.cos(turn), 0.52 + 0.42 * far * Math.sin(turn)));
    }

    /** What was done, with what each side really showed: by that the odds are exact. */
    List<SearchAct> told(List<SearchAct> done) {
        return done.stream().map(act -> act instanceof SearchAct.Looked looked
                ? new SearchAct.Looked(looked.place(), shows(looked.place()), looked.minutes())
                : act).toList();
    }

    /** The search as it stands. @throws IllegalArgumentException if something cannot have been done */
    public Search search(List<SearchAct> done) {
        return Search.after(hive, under, told(done));
    }

    /**
     * Whether she catches the eye of somebody who is told instead of shown: with the chance with which practised eyes see her.
     *
     * @param done the last of it is the look that is asked about
     */
    public boolean catchesTheEye(List<SearchAct> done) {
        Place looked = ((SearchAct.Looked) done.getLast()).place();
        RandomGenerator luck = exercise.luck(EYES_FROM + done.size());
        return queenAfter(done).equals(looked) && luck.nextDouble() < search(List.of()).sees(looked);
    }

    /** There is brood by which to follow her. */
    public boolean hasTrail() {
        for (int side = 0; side < 2 * COMBS[exercise.level() - 1]; side++) {
            if (brood.laid(side, 0) + brood.laid(side, 1) > BROOD) {
                return true;
            }
        }
        return false;
    }
}
