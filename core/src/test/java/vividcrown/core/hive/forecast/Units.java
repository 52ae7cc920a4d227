package vividcrown.core.hive.forecast;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.climate.Climate;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.hive.FrameKind;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Strength;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.yard.Flow;

/** Hives for tests, told by their frames. */
public final class Units {

    public static final Strength DEEP = new Strength(8.8);
    public static final BeeYear UPLAND = new BeeYear(false, new ClimateOfPlace(Climate.UPLAND, 550, false, List.of()));

    private Units() {
    }

    public static Surroundings on(LocalDate day, Flow flow) {
        return new Surroundings(day, UPLAND, flow, true, 1, Assumptions.standard());
    }

    /** Frames from slot 1 on, each covered with so many bees. */
    public static Unit unit(String code, LocalDate read, UnitQueen.Is queen, double covered, FrameKind... kinds) {
        List<FrameSeen> frames = new ArrayList<>();
        for (FrameKind kind : kinds) {
            boolean bare = kind == FrameKind.FOUNDATION;
            frames.add(FrameSeen.of(frames.size() + 1, kind, bare ? covered / 4 : covered));
        }
        return new Unit(code, "Home", Purpose.PRODUCTION, read, DEEP, Math.max(frames.size(), 5), frames,
                Optional.empty(), UnitQueen.of(queen), Set.of(), Optional.empty(), Optional.empty());
    }

    public static Unit with(Unit unit, UnitTrait... traits) {
        return new Unit(unit.code(), unit.yard(), unit.purpose(), unit.readOn(), unit.side(), unit.slots(),
                unit.frames(),
                unit.seams(), unit.queen(), Set.of(traits), unit.lastEgg(), unit.flyers());
    }

    /** A production colony with so many frames of brood among ten or more frames. */
    public static Unit production(String code, LocalDate read, int brood) {
        List<FrameKind> kinds = new ArrayList<>(List.of(FrameKind.HONEY, FrameKind.POLLEN));
        for (int frame = 0; frame < brood; frame++) {
            kinds.add(frame % 3 == 1 ? FrameKind.SEALED_BROOD : frame % 3 == 2 ? FrameKind.EGGS : FrameKind.BROOD);
        }
        kinds.addAll(List.of(FrameKind.POLLEN, FrameKind.HONEY));
        return unit(code, read, UnitQueen.Is.LAYING, 0.95, kinds.toArray(FrameKind[]::new));
    }
}
