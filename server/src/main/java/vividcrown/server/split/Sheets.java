package vividcrown.server.split;

import com.fasterxml.uuid.Generators;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.BoxKind;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.reading.Sign;
import vividcrown.core.split.SplitPlan;
import vividcrown.core.split.making.SplitSheet;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.hive.StackBox;
import vividcrown.server.hive.Stacks;
import vividcrown.server.yard.Yard;

/** A plan as a sheet that can be taken to the yard: with the hives, boxes and frames of the record, and free names. */
@Component
class Sheets {

    private static final String PREFIX = "N ";

    private final Hives hives;
    private final Stacks stacks;
    private final Makings makings;
    private final Today today;

    Sheets(Hives hives, Stacks stacks, Makings makings, Today today) {
        this.hives = hives;
        this.stacks = stacks;
        this.makings = makings;
        this.today = today;
    }

    /**
     * @param asked hives that the plan was made of
     * @param to where the new units stand
     * @return empty where there is nothing to make, or frames of several formats would meet in one unit
     */
    Optional<SplitSheet> of(SplitPlan plan, List<HiveUnits.HiveUnit> asked, Yard to) {
        if (plan.newUnits().isEmpty()) {
            return Optional.empty();
        }
        Set<String> giving = plan.donors().stream().map(SplitPlan.Donor::code).collect(Collectors.toSet());
        plan.newUnits().forEach(unit -> unit.shakes().forEach(shake -> giving.add(shake.fromHive())));
        Map<String, HiveUnits.HiveUnit> byCode = asked.stream().filter(one -> giving.contains(one.hive().code()))
                .collect(Collectors.toMap(one -> one.hive().code(), Function.identity()));
        Map<UUID, List<StackBox>> boxes = stacks.of(byCode.values().stream().map(HiveUnits.HiveUnit::hive).toList());
        Set<String> formats = boxes.values().stream().flatMap(List::stream).filter(box -> !box.frames().isEmpty())
                .filter(box -> box.kind() == BoxKind.BROOD).map(StackBox::format)
                .collect(Collectors.toSet());
        if (formats.size() != 1) {
            return Optional.empty();
        }
        Map<String, SplitPlan.Donor> donors = plan.donors().stream()
                .collect(Collectors.toMap(SplitPlan.Donor::code, Function.identity()));
        List<SplitSheet.Giver> givers = giving.stream().sorted().map(code -> new SplitSheet.Giver(
                Objects.requireNonNull(byCode.get(code)).hive().id(), code,
                Optional.ofNullable(donors.get(code)).map(SplitPlan.Donor::closes).orElse(List.of()))).toList();
        int number = nextNumber();
        int position = hives.findByYardIdAndEndedOnIsNullOrderByPosition(to.id()).stream().mapToInt(Hive::position)
                .max().orElse(0);
        List<SplitSheet.NewHive> units = new ArrayList<>();
        for (SplitPlan.NewUnit unit : plan.newUnits()) {
            position++;
            List<SplitSheet.Hangs> hangs = unit.layout().stream().map(hanging -> new SplitSheet.Hangs(hanging.slot(),
                    hanging.otherwise(), hanging.frame().map(move -> comes(move, byCode, boxes)))).toList();
            units.add(new SplitSheet.NewHive(Generators.timeBasedEpochGenerator().generate(),
                    Generators.timeBasedEpochGenerator().generate(), PREFIX + number++, position,
                    unit.recipe().slots(), hangs, shakes(unit, byCode), unit.litres(), unit.target(),
                    unit.calendar()));
        }
        SplitPlan.NewUnit first = plan.newUnits().getFirst();
        return Optional.of(new SplitSheet(first.recipe().kind(), first.gets(), first.place(),
                first.calendar().getFirst().when().earliest(), to.id(), formats.iterator().next(), givers, units));
    }

    private static List<SplitSheet.Shake> shakes(SplitPlan.NewUnit unit, Map<String, HiveUnits.HiveUnit> byCode) {
        return unit.shakes().stream().map(shake -> new SplitSheet.Shake(
                Objects.requireNonNull(byCode.get(shake.fromHive())).hive().id(),
                ForecastView.hundredth(shake.frames()), shake.aboveExcluder())).toList();
    }

    private static SplitSheet.Comes comes(SplitPlan.Move move, Map<String, HiveUnits.HiveUnit> byCode,
            Map<UUID, List<StackBox>> boxes) {
        HiveUnits.HiveUnit giver = Objects.requireNonNull(byCode.get(move.fromHive()));
        UUID hive = giver.hive().id();
        FrameAt at = move.from();
        StackBox box = boxes.getOrDefault(hive, List.of()).stream().filter(one -> one.level() == at.box()).findFirst()
                .orElseThrow();
        UUID frame = box.frames().stream().filter(one -> one.slot() == at.slot()).findFirst().orElseThrow().id();
        Set<Sign> signs = EnumSet.noneOf(Sign.class);
        giver.sides().stream()
                .filter(side -> side.box() == at.box() && side.slot() == at.slot())
                .forEach(side -> signs.addAll(side.signs()));
        // she is looked for, not carried over
        signs.remove(Sign.QUEEN);
        return new SplitSheet.Comes(frame, hive, box.id(), at, signs);
    }

    /** One more than the highest number that any hive of that name bears, bore or is to bear. */
    private int nextNumber() {
        return 1 + Stream.concat(hives.codesLike(PREFIX + "%").stream(), makings.codesMeant(today.day()).stream())
                .filter(code -> code.startsWith(PREFIX)).map(code -> code.substring(PREFIX.length()))
                .filter(rest -> rest.matches("\\d{1,6}")).mapToInt(Integer::parseInt).max().orElse(0);
    }
}
