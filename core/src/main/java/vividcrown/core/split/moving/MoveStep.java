package vividcrown.core.split.moving;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.split.UnitePlan;
import vividcrown.core.split.moving.MoveSheet.Act;
import vividcrown.core.split.moving.MoveSheet.Gift;
import vividcrown.core.split.moving.MoveSheet.Goes;
import vividcrown.core.split.moving.MoveSheet.Stand;

/** One thing to do. Its key names it in the record, and stays whatever else changes. */
public sealed interface MoveStep {

    String key();

    /** The hive that it is done at. */
    Stand at();

    /** The queen of a hive that gives is looked for, before anything leaves it. */
    record Find(Stand at) implements MoveStep {
        @Override
        public String key() {
            return "find " + at.code();
        }
    }

    /** Where the queen of the small unit is: the gift hangs on the other side of the nest. */
    record OwnQueen(Stand at) implements MoveStep {
        @Override
        public String key() {
            return "own-queen " + at.code();
        }
    }

    /** A frame goes over with its bees. */
    record Frame(Stand at, Stand to, Gift gift, Goes goes) implements MoveStep {
        @Override
        public String key() {
            return "frame %s %s".formatted(at.code(), goes.at());
        }
    }

    /** Bees are shaken in. */
    record Shaken(Stand at, Stand to, Gift gift) implements MoveStep {
        @Override
        public String key() {
            return "shake %s %s".formatted(at.code(), to.code());
        }
    }

    /** A hive that gave is closed: brood together, comb in at its edge. */
    record Close(Stand at) implements MoveStep {
        @Override
        public String key() {
            return "close " + at.code();
        }
    }

    /** Paper, and the bees above it, shut in overnight. */
    record OverPaper(Stand at) implements MoveStep {
        @Override
        public String key() {
            return "paper " + at.code();
        }
    }

    /** The queen of a hive that is given up is found and taken out, or every frame is searched twice. */
    record TakeOut(Stand at) implements MoveStep {
        @Override
        public String key() {
            return "take-out " + at.code();
        }
    }

    /** The better queen's entrance is guarded, before strangers walk in. */
    record Guard(Stand at) implements MoveStep {
        @Override
        public String key() {
            return "guard " + at.code();
        }
    }

    /** The hive that is given up comes to the other. */
    record Join(Stand at, Stand keeps, UnitePlan.How how) implements MoveStep {
        @Override
        public String key() {
            return "join " + at.code();
        }
    }

    /** Nothing is left on the old spot that smells of home; where a nuc gets it, the nuc stands there. */
    record OldSpot(Stand at, Stand keeps, boolean takesPlace) implements MoveStep {
        @Override
        public String key() {
            return "old-spot " + at.code();
        }
    }

    /** All of a sheet, in the order of the work. */
    static List<MoveStep> of(MoveSheet sheet) {
        List<MoveStep> steps = new ArrayList<>();
        if (sheet.act() == Act.BOOST) {
            sheet.receivers().forEach(unit -> steps.add(new OwnQueen(unit)));
        }
        for (Stand giver : sheet.givers()) {
            List<Gift> gives = sheet.gifts().stream().filter(gift -> gift.from().equals(giver.hive())).toList();
            if (gives.stream().anyMatch(gift -> !gift.aboveExcluder())) {
                steps.add(new Find(giver));
            }
            gives.forEach(gift -> steps.add(step(giver, sheet.stand(gift.to()), gift)));
            if (gives.stream().anyMatch(gift -> gift.frame().isPresent())) {
                steps.add(new Close(giver));
            }
        }
        if (sheet.act() == Act.BOOST_WITH_BEES) {
            sheet.receivers().forEach(unit -> steps.add(new OverPaper(unit)));
        }
        sheet.union().ifPresent(union -> {
            Stand keeps = sheet.stand(union.keeps());
            Stand gives = sheet.stand(union.gives());
            if (!union.isShaken()) {
                steps.add(new TakeOut(gives));
            } else if (!union.takesPlace()) {
                steps.add(new Guard(keeps));
            }
            steps.add(new Join(gives, keeps, union.how()));
            steps.add(new OldSpot(gives, keeps, union.takesPlace()));
        });
        return steps;
    }

    private static MoveStep step(Stand giver, Stand to, Gift gift) {
        Optional<Goes> frame = gift.frame();
        return frame.<MoveStep>map(goes -> new Frame(giver, to, gift, goes))
                .orElseGet(() -> new Shaken(giver, to, gift));
    }
}
