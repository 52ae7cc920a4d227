package vividcrown.core.split;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import vividcrown.core.hive.FrameKind;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.hive.forecast.Units;

/** Yards of hives as they come: big and small, known queens and not, some that must not be touched. */
final class RandomYard {

    private static final FrameKind[] BROOD = {FrameKind.EGGS, FrameKind.OPEN_BROOD, FrameKind.SEALED_BROOD,
            FrameKind.BROOD};
    private static final FrameKind[] OTHER = {FrameKind.HONEY, FrameKind.POLLEN, FrameKind.DRAWN, FrameKind.HONEY};

    private RandomYard() {
    }

    static List<Unit> of(int hives, LocalDate day, Random luck) {
        List<Unit> yard = new ArrayList<>();
        for (int hive = 0; hive < hives; hive++) {
            yard.add(hive("H " + hive, day, luck));
        }
        return yard;
    }

    private static Unit hive(String code, LocalDate day, Random luck) {
        int slots = luck.nextInt(4) == 0 ? 5 : 10 + luck.nextInt(3);
        int brood = slots == 5 ? 1 + luck.nextInt(3) : 3 + luck.nextInt(7);
        int first = Math.max(1, (slots - brood) / 2);
        boolean queenSeen = luck.nextInt(3) > 0;
        int queenOn = first + 1 + luck.nextInt(brood);
        List<FrameSeen> frames = new ArrayList<>();
        for (int slot = 1; slot <= slots; slot++) {
            boolean nest = slot > first && slot <= first + brood;
            FrameKind kind = nest ? BROOD[luck.nextInt(BROOD.length)] : OTHER[luck.nextInt(OTHER.length)];
            double covered = nest ? 0.7 + luck.nextDouble() * 0.5 : luck.nextDouble() * 0.9;
            frames.add(new FrameSeen(1, slot, kind.usual(), covered, queenSeen && slot == queenOn, luck.nextInt(3) == 0,
                    luck.nextInt(25) == 0));
        }
        Set<UnitTrait> traits = EnumSet.noneOf(UnitTrait.class);
        if (luck.nextInt(8) == 0) {
            traits.add(UnitTrait.values()[luck.nextInt(UnitTrait.values().length)]);
        }
        if (luck.nextInt(2) == 0) {
            traits.add(UnitTrait.FOR_THE_CROP);
        }
        UnitQueen.Is queen = luck.nextInt(8) == 0
                ? UnitQueen.Is.values()[luck.nextInt(UnitQueen.Is.values().length)]
                : UnitQueen.Is.LAYING;
        return new Unit(code, luck.nextInt(3) == 0 ? "Far" : "Home", slots == 5 ? Purpose.NUC : Purpose.PRODUCTION,
                day.minusDays(luck.nextInt(12)), Units.DEEP, slots, frames, Optional.empty(), UnitQueen.of(queen),
                traits,
                Optional.empty(), Optional.empty());
    }
}
