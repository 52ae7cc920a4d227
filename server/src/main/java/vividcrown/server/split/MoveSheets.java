package vividcrown.server.split;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.FrameSeen.FrameAt;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.reading.Sign;
import vividcrown.core.split.BoostPlan;
import vividcrown.core.split.Booster;
import vividcrown.core.split.EqualisePlan;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.UnitePlan;
import vividcrown.core.split.moving.MoveSheet;
import vividcrown.core.split.moving.MoveSheet.Act;
import vividcrown.core.split.moving.MoveSheet.Gift;
import vividcrown.core.split.moving.MoveSheet.Goes;
import vividcrown.core.split.moving.MoveSheet.Room;
import vividcrown.core.split.moving.MoveSheet.Stand;
import vividcrown.core.split.moving.MoveSheet.Union;
import vividcrown.core.store.Store;
import vividcrown.core.store.Thing;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.StackBox;
import vividcrown.server.hive.Stacks;
import vividcrown.server.store.InStore;

/** Plans of strength that is moved as sheets that can be taken to the yard: with the boxes and frames of the record. */
@Component
class MoveSheets {

    private final Stacks stacks;
    private final InStore store;

    MoveSheets(Stacks stacks, InStore store) {
        this.stacks = stacks;
        this.store = store;
    }

    /** @return empty where nobody gives anything */
    Optional<MoveSheet> of(EqualisePlan plan, Asking.Asked asked) {
        List<Wish> wishes = plan.gifts().stream()
                .map(gift -> new Wish(gift.from(), gift.to(), gift.frame(), gift.toSlot(), 1)).toList();
        return sheet(Act.EQUALISE, wishes, asked);
    }

    /** @param unit code of the unit that is made stronger */
    Optional<MoveSheet> of(BoostPlan.Way way, String unit, Asking.Asked asked) {
        List<Wish> wishes = way.parts().stream()
                .map(part -> new Wish(part.from(), unit, part.frame(), part.toSlot(), part.framesOfBees())).toList();
        return sheet(way.how() == BoostPlan.How.BEES_OVER_PAPER ? Act.BOOST_WITH_BEES : Act.BOOST, wishes, asked);
    }

    /** What the record will be once two hives are one: nothing of it is done yet. */
    MoveSheet of(UnitePlan.Way way, Hive keeps, Hive gives, Asking.Asked asked) {
        return new MoveSheet(Act.UNITE, asked.at().day(),
                List.of(new Stand(keeps.id(), keeps.code(), Filled.DRAWN),
                        new Stand(gives.id(), gives.code(), Filled.DRAWN)),
                List.of(), Optional.of(new Union(keeps.id(), gives.id(), way.how(), way.takesPlace())));
    }

    private record Wish(String from, String to, Optional<FrameAt> frame, int toSlot, double framesOfBees) {
    }

    private Optional<MoveSheet> sheet(Act act, List<Wish> wishes, Asking.Asked asked) {
        if (wishes.isEmpty()) {
            return Optional.empty();
        }
        Map<String, HiveUnits.HiveUnit> byCode = asked.hives().stream()
                .collect(Collectors.toMap(one -> one.hive().code(), Function.identity()));
        Map<String, HiveUnits.HiveUnit> named = new LinkedHashMap<>();
        wishes.forEach(wish -> {
            named.put(wish.from(), Objects.requireNonNull(byCode.get(wish.from())));
            named.put(wish.to(), Objects.requireNonNull(byCode.get(wish.to())));
        });
        Map<UUID, List<StackBox>> boxes = stacks
                .of(named.values().stream().map(HiveUnits.HiveUnit::hive).toList());
        Map<String, Places> places = new HashMap<>();
        List<Gift> gifts = new ArrayList<>();
        for (Wish wish : wishes) {
            HiveUnits.HiveUnit from = Objects.requireNonNull(named.get(wish.from()));
            HiveUnits.HiveUnit to = Objects.requireNonNull(named.get(wish.to()));
            Optional<Goes> goes = wish.frame().flatMap(at -> goes(from, at, boxes,
                    places.computeIfAbsent(wish.to(), _ -> new Places(to, boxes)), wish.toSlot()));
            if (wish.frame().isEmpty() || goes.isPresent()) {
                gifts.add(new Gift(from.hive().id(), to.hive().id(), goes,
                        ForecastView.hundredth(wish.framesOfBees()), goes.isEmpty() && from
                                .unit().filter(unit -> unit.is(UnitTrait.HAS_SUPERS)).isPresent()));
            }
        }
        return gifts.isEmpty()
                ? Optional.empty()
                : Optional.of(new MoveSheet(act, asked.at().day(), stands(named.values(), gifts), gifts,
                        Optional.empty()));
    }

    /** Drawn comb into the gaps as long as the store has it; where nobody counts it, it is taken to be there. */
    private List<Stand> stands(Collection<HiveUnits.HiveUnit> named, List<Gift> gifts) {
        Store now = store.current();
        double drawn = now.of(Thing.DRAWN_COMBS).orElse(Double.MAX_VALUE);
        List<Stand> stands = new ArrayList<>();
        for (HiveUnits.HiveUnit one : named) {
            UUID hive = one.hive().id();
            if (gifts.stream().noneMatch(gift -> gift.from().equals(hive) || gift.to().equals(hive))) {
                continue;
            }
            long gaps = gifts.stream()
                    .filter(gift -> gift.from().equals(hive) && gift.frame().isPresent()).count();
            stands.add(new Stand(hive, one.hive().code(),
                    gaps <= drawn ? Filled.DRAWN : Filled.FOUNDATION));
            drawn -= gaps;
        }
        return stands;
    }

    private static Optional<Goes> goes(HiveUnits.HiveUnit from, FrameAt at, Map<UUID, List<StackBox>> boxes,
            Places to, int slot) {
        Optional<StackBox> box = boxes.getOrDefault(from.hive().id(), List.of()).stream()
                .filter(one -> one.level() == at.box()).findFirst();
        Optional<UUID> frame = box.flatMap(one -> one.frames().stream().filter(it -> it.slot() == at.slot())
                .map(StackBox.StackFrame::id).findFirst());
        if (frame.isEmpty()) {
            return Optional.empty();
        }
        Set<Sign> signs = EnumSet.noneOf(Sign.class);
        from.sides().stream().filter(side -> side.box() == at.box() && side.slot() == at.slot())
                .forEach(side -> signs.addAll(side.signs()));
        // she is looked for, not carried over
        signs.remove(Sign.QUEEN);
        return to.take().map(place -> new Goes(frame.get(), box.orElseThrow().id(), at, place.box().id(), slot,
                place.room(), signs));
    }

    /** How much room there is in the lowest box of a hive that gets frames, and what can make more. */
    private static final class Places {
        private final Optional<StackBox> box;
        private final List<FrameSeen> combs;
        private int free;

        Places(HiveUnits.HiveUnit to, Map<UUID, List<StackBox>> boxes) {
            this.box = boxes.getOrDefault(to.hive().id(), List.of()).stream().filter(one -> one.level() == 1)
                    .findFirst();
            this.combs = new ArrayList<>(to.unit().map(Unit::frames).orElse(List.of()).stream()
                    .filter(frame -> frame.box() == 1).toList());
            this.free = box.map(one -> one.slots() - one.frames().size()).orElse(0);
        }

        /** @param room empty if a place is free */
        private record Place(StackBox box, Optional<Room> room) {
        }

        /** @return empty if there is no room, and no comb without brood and food that could make some */
        Optional<Place> take() {
            if (free > 0) {
                free--;
                return box.map(one -> new Place(one, Optional.empty()));
            }
            Optional<FrameSeen> out = Booster.makesRoom(combs);
            out.ifPresent(combs::remove);
            return out.flatMap(comb -> box.flatMap(one -> one.frames().stream()
                    .filter(frame -> frame.slot() == comb.slot()).findFirst()
                    .map(frame -> new Place(one, Optional.of(new Room(frame.id(), one.id()))))));
        }
    }
}
