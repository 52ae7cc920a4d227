package vividcrown.core.split.making;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vividcrown.core.split.Due;
import vividcrown.core.split.Place;
import vividcrown.core.split.making.SplitSheet.Comes;
import vividcrown.core.split.making.SplitSheet.Giver;
import vividcrown.core.split.making.SplitSheet.Hangs;
import vividcrown.core.split.making.SplitSheet.NewHive;
import vividcrown.core.split.making.SplitSheet.Shake;

/** One thing to do while a split is made. Its key names it in the record, and stays whatever else changes. */
public sealed interface MakingStep {

    String key();

    /** The new unit's box stands ready, its entrance shut. */
    record SetUp(NewHive unit) implements MakingStep {
        @Override
        public String key() {
            return "set-up " + unit.code();
        }
    }

    /** The queen of a hive is found, before anything leaves it. */
    record Find(Giver giver) implements MakingStep {
        @Override
        public String key() {
            return "find " + giver.code();
        }
    }

    /** A frame goes over with its bees. */
    record Frame(Giver giver, NewHive unit, int slot, Comes comes) implements MakingStep {
        @Override
        public String key() {
            return "frame %s %s".formatted(giver.code(), comes.at());
        }
    }

    /** Bees are shaken in. */
    record Shaken(Giver giver, NewHive unit, Shake shake) implements MakingStep {
        @Override
        public String key() {
            return "shake %s %s".formatted(giver.code(), unit.code());
        }
    }

    /** Comb from the store is hung into a new unit. */
    record Comb(NewHive unit, List<Hangs> hangs) implements MakingStep {
        public Comb {
            hangs = List.copyOf(hangs);
        }

        @Override
        public String key() {
            return "comb " + unit.code();
        }
    }

    /** A hive that gave is closed: brood together, comb put back, its queen's frame between two others. */
    record Close(Giver giver) implements MakingStep {
        @Override
        public String key() {
            return "close " + giver.code();
        }
    }

    /** Closed boxes go to another yard: bees in them die of heat within the hour. */
    record Load(List<NewHive> units) implements MakingStep {
        public Load {
            units = List.copyOf(units);
        }

        @Override
        public String key() {
            return "load";
        }
    }

    /** What a unit gets before anybody drives home: feed, strap, shade, its entrance. */
    record AtOnce(NewHive unit, Due due) implements MakingStep {
        @Override
        public String key() {
            return Making.keyOf(unit, due.work());
        }
    }

    /** All of a sheet, in the order of the work: boxes, hive by hive, what the store gives, the way, what each unit gets. */
    static List<MakingStep> of(SplitSheet sheet) {
        List<MakingStep> steps = new ArrayList<>();
        sheet.units().forEach(unit -> steps.add(new SetUp(unit)));
        for (Giver giver : sheet.givers()) {
            steps.add(new Find(giver));
            for (NewHive unit : sheet.units()) {
                for (Hangs hangs : unit.hangs()) {
                    Optional<Comes> comes = hangs.comes().filter(one -> one.from().equals(giver.hive()));
                    comes.ifPresent(one -> steps.add(new Frame(giver, unit, hangs.slot(), one)));
                }
                unit.shakes().stream().filter(shake -> shake.from().equals(giver.hive()))
                        .forEach(shake -> steps.add(new Shaken(giver, unit, shake)));
            }
            steps.add(new Close(giver));
        }
        for (NewHive unit : sheet.units()) {
            List<Hangs> comb = unit.hangs().stream().filter(hangs -> hangs.comes().isEmpty()).toList();
            if (!comb.isEmpty()) {
                steps.add(new Comb(unit, comb));
            }
        }
        if (sheet.place() == Place.AWAY) {
            steps.add(new Load(sheet.units()));
        }
        for (NewHive unit : sheet.units()) {
            unit.due().stream().filter(due -> due.work().isAtOnce())
                    .forEach(due -> steps.add(new AtOnce(unit, due)));
        }
        return steps;
    }
}
