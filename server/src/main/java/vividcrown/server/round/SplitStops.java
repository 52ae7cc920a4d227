package vividcrown.server.round;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Source;
import vividcrown.core.round.Item;
import vividcrown.core.round.Kit;
import vividcrown.core.round.Stop;
import vividcrown.core.split.Due;
import vividcrown.core.split.SplitPlan.Filled;
import vividcrown.core.split.making.Making;
import vividcrown.core.split.making.SplitSheet;
import vividcrown.core.split.moving.MoveSheet;
import vividcrown.core.split.moving.MoveStep;
import vividcrown.core.split.moving.Moving;
import vividcrown.core.store.Thing;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.split.Makings;
import vividcrown.server.yard.Yard;

/** Splits that are to be made, strength that is to be moved, and what follows at each new unit and at the hives that gave. */
@Component
class SplitStops {

    static final String MAKE_SPLIT = "MAKE_SPLIT";
    /** What was not done so long after its last day is not done any more. */
    private static final int FORGOTTEN_DAYS = 14;
    private static final int MOST_NAMED = 4;

    private final Makings makings;
    private final Hives hives;

    SplitStops(Makings makings, Hives hives) {
        this.makings = makings;
        this.hives = hives;
    }

    /** A job and the split that it belongs to. */
    record OfSplit(UUID split, Stop stop) {
    }

    List<OfSplit> of(Map<UUID, Yard> yards, LocalDate today) {
        Map<UUID, Making> followed = makings.followed(today);
        Map<UUID, Moving> moved = makings.movesFollowed(today);
        List<UUID> touched = Stream.concat(followed.values().stream().map(Making::sheet)
                .flatMap(sheet -> Stream.concat(sheet.givers().stream().map(SplitSheet.Giver::hive),
                        sheet.units().stream().map(SplitSheet.NewHive::hive))),
                moved.values().stream().flatMap(one -> one.sheet().hives().stream()).map(MoveSheet.Stand::hive))
                .distinct().toList();
        Map<UUID, Hive> standing = new HashMap<>(hives.findAllById(touched).stream().filter(hive -> !hive.isEnded())
                .collect(Collectors.toMap(Hive::id, Function.identity())));
        List<OfSplit> all = new ArrayList<>();
        followed.forEach((id, making) -> {
            if (!making.isMade()) {
                toMake(id, making, standing, yards).ifPresent(stop -> all.add(new OfSplit(id, stop)));
            }
            making.sheet().units().forEach(unit -> Optional.ofNullable(standing.get(unit.hive()))
                    .ifPresent(hive -> making.ahead(unit).forEach(due -> later(hive, due, making, yards, today)
                            .ifPresent(stop -> all.add(new OfSplit(id, stop))))));
            making.sheet().givers().forEach(giver -> Optional.ofNullable(standing.get(giver.hive()))
                    .ifPresent(hive -> making.ahead(giver).flatMap(due -> later(hive, due, making, yards, today))
                            .ifPresent(stop -> all.add(new OfSplit(id, stop)))));
        });
        moved.forEach((id, moving) -> {
            if (!moving.isMade()) {
                toMove(id, moving, standing, yards).ifPresent(stop -> all.add(new OfSplit(id, stop)));
            }
            moving.ahead().forEach(look -> Optional.ofNullable(standing.get(look.at().hive()))
                    .flatMap(hive -> later(hive, look, moving, yards, today))
                    .ifPresent(stop -> all.add(new OfSplit(id, stop))));
        });
        return all;
    }

    private static Optional<Stop> toMove(UUID id, Moving moving, Map<UUID, Hive> standing, Map<UUID, Yard> yards) {
        MoveSheet sheet = moving.sheet();
        return sheet.hives().stream().flatMap(stand -> Optional.ofNullable(standing.get(stand.hive())).stream())
                .findFirst().map(first -> {
                    Stop.Box at = Jobs.box(first, yards);
                    return new Stop(
                            new Stop.Box(at.yard(), at.yardName(), at.yardOrder(), at.position(),
                                    named(sheet.hives().stream().map(MoveSheet.Stand::code).toList())),
                            MAKE_SPLIT, id, Sentence.of("work.MAKE_MOVES", sheet.act().sentence(),
                                    MoveStep.of(sheet).size()),
                            DatedSpan.on(sheet.day()), List.of(Reason.of(Source.COMMON_PRACTICE, "due.moves")),
                            kit(sheet));
                });
    }

    private static Kit kit(MoveSheet sheet) {
        Kit kit = Kit.NOTHING;
        for (MoveSheet.Stand giver : sheet.givers()) {
            int gaps = (int) sheet.gifts().stream()
                    .filter(gift -> gift.from().equals(giver.hive()) && gift.frame().isPresent()).count();
            kit = kit.plus(
                    Kit.of(giver.comb() == Filled.DRAWN ? Item.DRAWN_COMBS : Item.FOUNDATION_FRAMES, gaps));
        }
        return kit;
    }

    private static Optional<Stop> later(Hive hive, Moving.Look look, Moving moving, Map<UUID, Yard> yards,
            LocalDate today) {
        boolean read = hive.lastReadOn().filter(day -> !day.isBefore(look.when().earliest())).isPresent();
        if (read || look.when().latest().plusDays(FORGOTTEN_DAYS).isBefore(today)) {
            return Optional.empty();
        }
        return Optional.of(new Stop(Jobs.box(hive, yards), "SPLIT_AFTER_" + look.after().name(), hive.id(),
                look.words(), look.when(), List.of(Reason.of(Source.COMMON_PRACTICE, "due.afterMoves",
                        moving.sheet().act().sentence(), moving.sheet().day())),
                Kit.NOTHING));
    }

    private static String named(List<String> codes) {
        return String.join(", ", codes.subList(0, Math.min(MOST_NAMED, codes.size())))
                + (codes.size() > MOST_NAMED ? " …" : "");
    }

    private static Optional<Stop> toMake(UUID id, Making making, Map<UUID, Hive> standing, Map<UUID, Yard> yards) {
        SplitSheet sheet = making.sheet();
        return sheet.givers().stream().flatMap(giver -> Optional.ofNullable(standing.get(giver.hive())).stream())
                .findFirst().map(first -> {
                    List<String> codes = sheet.units().stream().map(SplitSheet.NewHive::code).toList();
                    Stop.Box at = Jobs.box(first, yards);
                    return new Stop(new Stop.Box(at.yard(), at.yardName(), at.yardOrder(), at.position(),
                            named(codes)),
                            MAKE_SPLIT, id,
                            Sentence.of("work.MAKE_SPLIT", codes.size(), sheet.givers().size()),
                            DatedSpan.on(sheet.day()),
                            List.of(Reason.of(Source.COMMON_PRACTICE, "due.split", sheet.recipe().sentence(),
                                    sheet.givers().stream().map(SplitSheet.Giver::code)
                                            .collect(Collectors.joining(", ")))),
                            kit(sheet));
                });
    }

    private static Kit kit(SplitSheet sheet) {
        Kit kit = Kit.NOTHING;
        for (Map.Entry<Thing, Double> need : sheet.needs().entrySet()) {
            double count = need.getValue();
            kit = kit.plus(switch (need.getKey()) {
                case NUC_BOXES -> Kit.of(Item.NUC_BOXES, (int) count);
                case MINI_NUCS -> Kit.of(Item.MINI_NUCS, (int) count);
                case STRAPS -> Kit.of(Item.STRAPS, (int) count);
                case DRAWN_COMBS -> Kit.of(Item.DRAWN_COMBS, (int) count);
                case FOUNDATION_FRAMES -> Kit.of(Item.FOUNDATION_FRAMES, (int) count);
                case FEEDERS -> Kit.of(Item.FEEDERS, (int) count);
                case INTRODUCTION_CAGES -> Kit.of(Item.INTRODUCTION_CAGES, (int) count);
                case SYRUP_LITRES -> Kit.of(Item.SYRUP_DECILITRES, (int) Math.ceil(10 * count));
                default -> Kit.NOTHING;
            });
        }
        return kit;
    }

    /** Once a reading answers it, it is done. */
    private static Optional<Stop> later(Hive hive, Due due, Making making, Map<UUID, Yard> yards, LocalDate today) {
        boolean read = due.work().isALook()
                && hive.lastReadOn().filter(day -> !day.isBefore(due.when().earliest())).isPresent();
        if (read || due.when().latest().plusDays(FORGOTTEN_DAYS).isBefore(today)) {
            return Optional.empty();
        }
        Kit kit = switch (due.work()) {
            case GIVE_CELL -> Kit.of(Item.RIPE_CELLS, 1);
            case GIVE_QUEEN -> Kit.of(Item.INTRODUCTION_CAGES, 1);
            case FEED_AGAIN -> Kit.of(Item.SYRUP_DECILITRES, 10);
            default -> Kit.NOTHING;
        };
        return Optional.of(new Stop(Jobs.box(hive, yards), "SPLIT_" + due.work().name(), hive.id(), due.words(),
                due.when(), List.of(Reason.of(Source.COMMON_PRACTICE, "due.afterSplit",
                        making.sheet().recipe().sentence(), making.sheet().day())),
                kit));
    }
}
