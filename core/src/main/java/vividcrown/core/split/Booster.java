package vividcrown.core.split;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Forecast;
import vividcrown.core.hive.forecast.Forecaster;
import vividcrown.core.hive.forecast.Surroundings;
import vividcrown.core.reason.Sentence;
import vividcrown.core.split.BoostPlan.How;
import vividcrown.core.split.BoostPlan.Part;
import vividcrown.core.split.BoostPlan.Way;
import vividcrown.core.split.recipe.Conditions;
import vividcrown.core.time.DaySpan;
import vividcrown.core.yard.Flow;

/**
 * Strength for a small unit with a queen worth it: sealed brood with its nurses, or bees in equal shares from several hives over
 * paper. Common practice.
 */
public final class Booster {

    private static final int MOST_FRAMES = 2;
    private static final int SOURCES = 3;
    private static final int MOST_SOURCES = 4;
    /** Fewer bees than this cannot keep a gift warm, nor their queen safe. */
    private static final double TOO_FEW = 0.3;
    private static final double MORE_THAN_RESIDENTS = 1;
    private static final double FAR_MORE_THAN_RESIDENTS = 2.5;
    private static final double A_FRAME_OF_BEES = 0.8;
    private static final double NURSES_FLY = 0.15;

    private final Conditions at;
    private final Weather weather;
    private final Unit unit;
    private final Map<String, Double> roads;
    private final List<SplitPlan.LeftOut> left = new ArrayList<>();

    private Booster(Conditions at, Weather weather, Unit unit, Map<String, Double> roads) {
        this.at = at;
        this.weather = weather;
        this.unit = unit;
        this.roads = roads;
    }

    /**
     * @param unit that is to be made stronger
     * @param donors hives that may give
     * @param roads kilometres from the unit to each yard; the unit's own yard is at 0, others that are not named far enough
     */
    public static BoostPlan plan(Conditions at, Weather weather, Unit unit, List<Unit> donors,
            Map<String, Double> roads) {
        return new Booster(at, weather, unit, roads).plan(donors);
    }

    private BoostPlan plan(List<Unit> donors) {
        List<Objection> objections = new ArrayList<>(weather.againstMixing(at.flow()));
        against().ifPresent(objections::add);
        Forecast without = Forecaster.of(unit, surroundings(), Forecaster.DAYS);
        if (objections.stream().anyMatch(Objection::refuses)) {
            return new BoostPlan(List.of(), objections, left, without);
        }
        List<Unit> may = donors.stream().filter(this::mayGive).toList();
        List<Way> ways = new ArrayList<>();
        broodWithNurses(may).ifPresent(ways::add);
        boolean mayMix = at.flow() != Flow.DEARTH;
        if (mayMix) {
            beesOverPaper(may).ifPresent(ways::add);
        }
        if (ways.isEmpty()) {
            objections.add(Objection.refuse("boost.nobody"));
        }
        return new BoostPlan(ways, objections, left, without);
    }

    private Surroundings surroundings() {
        return at.fed(1);
    }

    private Optional<Objection> against() {
        if (unit.is(UnitTrait.SUSPECT)) {
            return Optional.of(Objection.refuse("boost.suspect"));
        }
        if (unit.is(UnitTrait.SWARM_CELLS)) {
            return Optional.of(Objection.refuse("boost.cells"));
        }
        if (unit.is(UnitTrait.ROBBED)) {
            return Optional.of(Objection.refuse("boost.robbed"));
        }
        if (unit.is(UnitTrait.HANDS_OFF)) {
            return Optional.of(Objection.refuse("boost.handsOff"));
        }
        Optional<Objection> byQueen = switch (unit.queen().is()) {
            case LAYING, KEPT -> Optional.empty();
            case VIRGIN, CELL -> Optional.of(Objection.refuse("boost.young"));
            case UNKNOWN -> Optional.of(unit.hasEggs()
                    ? Objection.warn("boost.seeHer")
                    : Objection.refuse("boost.noQueen"));
            case NONE -> Optional.of(Objection.refuse("boost.noQueen"));
            case LAYING_WORKERS, DRONE_LAYER -> Optional.of(Objection.refuse("boost.lost"));
        };
        if (byQueen.map(Objection::refuses).orElse(false)) {
            return byQueen;
        }
        if (unit.framesOfBees() < TOO_FEW) {
            return Optional.of(Objection.refuse("boost.tooFew", unit.framesOfBees()));
        }
        return at.year().usualHigh(at.day().plusDays(21)) < Weather.SHAKE_CELSIUS && at.year().isAutumn(at.day())
                ? Optional.of(Objection.warn("boost.late"))
                : byQueen;
    }

    private boolean mayGive(Unit donor) {
        Optional<Sentence> no = donor.code().equals(unit.code())
                ? Optional.of(Sentence.of("boost.itself", donor.code()))
                : DonorRules.refuses(donor, at.day());
        no.ifPresent(why -> left.add(new SplitPlan.LeftOut(donor.code(), why)));
        return no.isEmpty();
    }

    // --- brood with its nurses ---------------------------------------------------------------------------------------

    private record Offer(Unit from, FrameSeen frame) {
    }

    private Optional<Way> broodWithNurses(List<Unit> donors) {
        List<Offer> offers = new ArrayList<>();
        for (Unit donor : donors) {
            int spare = donor.broodFrames() - DonorRules.floor(donor, at.year(), at.day()).brood();
            donor.framesWithBees().stream()
                    .filter(one -> one.comb().isOfBrood() && !one.queen() && !one.cells())
                    .sorted(Comparator.comparingDouble((FrameSeen one) -> -one.comb().sealed()))
                    .limit(Math.max(0, spare)).forEach(one -> offers.add(new Offer(donor, one)));
            if (spare <= 0) {
                left.add(new SplitPlan.LeftOut(donor.code(), Sentence.of("donor.atItsFloor", donor.code(),
                        donor.broodFrames(), donor.broodFrames() - spare)));
            }
        }
        // sealed before open, known queens before unknown
        offers.sort(Comparator.comparing((Offer one) -> !one.frame().comb().isMostlySealed())
                .thenComparing(one -> one.from().queensFrame().isEmpty() && !one.frame().searched())
                .thenComparingDouble(one -> -one.frame().comb().sealed()));
        int room = unit.slots() - unit.frames().size()
                + (int) unit.frames().stream().filter(Booster::canMakeRoom).count();
        int most = Math.clamp(Math.min(Math.round(unit.framesOfBees()), room), 1, MOST_FRAMES);
        List<Offer> taken = offers.stream().limit(most).toList();
        if (taken.isEmpty()) {
            return Optional.empty();
        }
        List<Part> parts = new ArrayList<>();
        for (Offer one : taken) {
            parts.add(new Part(one.from().code(), Optional.of(one.frame().at()), one.frame().covered(),
                    one.from().queensFrame().isEmpty() && !one.frame().searched(),
                    Equaliser.giftSlot(unit, parts.size() + 1)));
        }
        double bees = parts.stream().mapToDouble(Part::framesOfBees).sum();
        List<Sentence> steps = new ArrayList<>();
        steps.add(Sentence.of("boost.step.donorQueen"));
        steps.add(Sentence.of("boost.step.ownQueen"));
        steps.add(Sentence.of("boost.step.farSide"));
        if (!taken.getFirst().frame().comb().isMostlySealed()) {
            steps.add(Sentence.of("boost.step.openBrood"));
        }
        return Optional.of(way(How.SEALED_BROOD_WITH_NURSES, parts, bees, steps, taken));
    }

    private Way way(How how, List<Part> parts, double bees, List<Sentence> steps, List<Offer> taken) {
        double newcomers = Math.round(10 * bees / Math.max(0.1, unit.framesOfBees())) / 10.0;
        List<Sentence> cautions = new ArrayList<>();
        if (newcomers > FAR_MORE_THAN_RESIDENTS) {
            cautions.add(Sentence.of("boost.caution.farMore", newcomers));
        } else if (newcomers > MORE_THAN_RESIDENTS) {
            cautions.add(Sentence.of("boost.caution.more", newcomers));
        }
        if (parts.stream().anyMatch(Part::search)) {
            cautions.add(Sentence.of("boost.caution.search"));
        }
        int free = unit.slots() - unit.frames().size();
        Optional<FrameSeen.FrameAt> leaves = taken.size() <= free
                ? Optional.empty()
                : makesRoom(unit.frames()).map(FrameSeen::at);
        if (leaves.isEmpty() && taken.size() > free) {
            cautions.add(Sentence.of("boost.caution.noRoom"));
        } else if (taken.size() > free) {
            cautions.add(Sentence.of("boost.caution.leaves"));
        }
        List<SplitPlan.Step> looks = List.of(
                step(how == How.BEES_OVER_PAPER ? DaySpan.ofDays(1, 1, 2) : DaySpan.ofDays(2, 2, 3),
                        how == How.BEES_OVER_PAPER ? "boost.look.paper" : "boost.look.queen"),
                step(DaySpan.ofDays(12, 13, 14), "boost.look.emerged"));
        return new Way(how, parts, newcomers, leaves, steps, looks,
                Forecaster.of(boosted(bees, taken), surroundings(), Forecaster.DAYS), cautions);
    }

    /** The comb with fewest bees, without brood, food or queen, that makes room for a gift. */
    public static Optional<FrameSeen> makesRoom(List<FrameSeen> frames) {
        return frames.stream().filter(Booster::canMakeRoom).min(Comparator.comparingDouble(FrameSeen::covered));
    }

    private static boolean canMakeRoom(FrameSeen comb) {
        return !comb.queen() && !comb.comb().isOfBrood() && !comb.comb().isOfFood();
    }

    private SplitPlan.Step step(DaySpan days, String key) {
        return new SplitPlan.Step(days.from(at.day()), Sentence.of(key), false);
    }

    private Unit boosted(double bees, List<Offer> taken) {
        List<FrameSeen> frames = new ArrayList<>(unit.frames());
        for (Offer one : taken) {
            frames.add(new FrameSeen(9, frames.size() % 24 + 1, one.frame().comb(), one.frame().covered(), false, true,
                    false));
        }
        return unit.with(frames, unit.framesOfBees() + bees).withFlyers(NURSES_FLY);
    }

    // --- bees over paper ---------------------------------------------------------------------------------------------

    private Optional<Way> beesOverPaper(List<Unit> donors) {
        List<Unit> sources = new ArrayList<>();
        for (Unit donor : donors) {
            boolean sameYard = donor.yard().equals(unit.yard());
            double road = roads.getOrDefault(donor.yard(), sameYard ? 0 : Drift.NONE_RETURN_KM);
            double spare = donor.framesOfBees() - DonorRules.floor(donor, at.year(), at.day()).bees();
            if (road < Drift.NONE_RETURN_KM) {
                left.add(new SplitPlan.LeftOut(donor.code(), Sentence.of("boost.flyHome", donor.code())));
            } else if (spare >= A_FRAME_OF_BEES) {
                sources.add(donor);
            }
        }
        // free of the queen first: from above the excluder, then where she is seen
        sources.sort(Comparator.comparing((Unit one) -> !one.is(UnitTrait.HAS_SUPERS))
                .thenComparing(one -> one.queensFrame().isEmpty())
                .thenComparingDouble(one -> -one.framesOfBees()));
        List<Unit> taken = sources.stream().limit(MOST_SOURCES).toList();
        if (taken.size() < SOURCES) {
            return Optional.empty();
        }
        List<Part> parts = taken.stream().map(one -> new Part(one.code(), Optional.empty(), A_FRAME_OF_BEES,
                !one.is(UnitTrait.HAS_SUPERS) && one.queensFrame().isEmpty(), 0)).toList();
        List<Sentence> steps = List.of(Sentence.of("boost.step.equal", taken.size()), Sentence.of("boost.step.box"),
                Sentence.of("boost.step.paper"), Sentence.of("boost.step.night"));
        return Optional.of(way(How.BEES_OVER_PAPER, parts, A_FRAME_OF_BEES * taken.size(), steps, List.of()));
    }
}
