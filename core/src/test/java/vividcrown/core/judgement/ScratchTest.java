package vividcrown.core.judgement;
import java.time.LocalDate;
import java.util.*;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.reading.*;
class ScratchTest {
    static void show(String name, List<ColonyEvent> ev, LocalDate today, Reading... r) {
        Verdict v = new Judge(Assumptions.standard(), Season.NORTHERN).judge(List.of(r), ev, today);
        Advice a = new Advisor(Assumptions.standard(), MatingClimate.UPLAND_46_NORTH, Set.of()).advise(v, List.of(r));
        System.out.println("## " + name + "\n  " + v.contents().who() + " | " + v.contents().underWay());
        StringBuilder s = new StringBuilder("  ");
        v.contents().cases().entrySet().stream().sorted((x, y) -> Double.compare(y.getValue(), x.getValue())).limit(7)
                .forEach(e -> s.append("%s %.3f, ".formatted(e.getKey(), e.getValue())));
        System.out.println(s);
        StringBuilder o = new StringBuilder("  ");
        a.options().stream().limit(7)
                .forEach(x -> o.append("%s v=%.2f o=%.2f, ".formatted(x.action(), x.value(), x.odds())));
        System.out.println(o + " decide " + a.decide().map(d -> d.by() + " " + d.tooLate()).orElse("-"));
        System.out.println("  eggs " + v.contents().firstEggs() + " looks " + v.settle().stream()
                .map(l -> l.kind() + "@" + l.when().earliest() + " %.2f".formatted(l.bits())).toList());
    }
    @Test
    void all() {
        LocalDate d = LocalDate.of(2026, 9, 20);
        show("sept no brood", List.of(), d, Reading.of(d).without(Sign.BROOD, Sign.QUEEN_CELLS));
        LocalDate j = LocalDate.of(2026, 6, 10);
        show("june no brood no cells no queen", List.of(), j,
                Reading.of(j).without(Sign.BROOD, Sign.QUEEN_CELLS, Sign.QUEEN));
        show("LW", List.of(), j,
                Reading.of(j, Sign.EGGS_SEVERAL, Sign.EGGS_ON_WALLS, Sign.SEALED_DRONE_SCATTERED, Sign.BEES_OLD)
                        .without(Sign.SEALED_WORKER));
        show("DL", List.of(), j,
                Reading.of(j, Sign.EGGS_SINGLE, Sign.SEALED_DRONE_SCATTERED).without(Sign.SEALED_WORKER));
        show("virgin seen yesterday", List.of(), j.plusDays(1), Reading.of(j, Sign.VIRGIN));
        show("virgin seen, no brood", List.of(), j.plusDays(1), Reading.of(j, Sign.VIRGIN).without(Sign.BROOD));
        show("swarm cells young", List.of(), LocalDate.of(2026, 5, 20),
                Reading.of(LocalDate.of(2026, 5, 20), Sign.EGGS, Sign.CROWDED, Sign.SEALED_WORKER).with(CellLook.JELLY,
                        CombPlace.BOTTOM_EDGE, 5));
        show("swarm cells long", List.of(), LocalDate.of(2026, 5, 20),
                Reading.of(LocalDate.of(2026, 5, 20), Sign.EGGS, Sign.CROWDED, Sign.SEALED_WORKER).with(CellLook.LONG,
                        CombPlace.BOTTOM_EDGE, 7));
        show("supersedure", List.of(), LocalDate.of(2026, 8, 5),
                Reading.of(LocalDate.of(2026, 8, 5), Sign.EGGS, Sign.LARVAE, Sign.SEALED_WORKER).with(CellLook.SEALED,
                        CombPlace.FACE, 2));
        show("all fine may, cells looked", List.of(), LocalDate.of(2026, 5, 20), Reading
                .of(LocalDate.of(2026, 5, 20), Sign.EGGS, Sign.LARVAE, Sign.SEALED_WORKER).without(Sign.QUEEN_CELLS));
        show("all fine may, cells not looked", List.of(), LocalDate.of(2026, 5, 20),
                Reading.of(LocalDate.of(2026, 5, 20), Sign.EGGS, Sign.LARVAE, Sign.SEALED_WORKER));
        show("cell given 1 june no eggs 1 july",
                List.of(new ColonyEvent(LocalDate.of(2026, 6, 1), EventKind.CELL_GIVEN)), LocalDate.of(2026, 7, 1),
                Reading.of(LocalDate.of(2026, 7, 1)).without(Sign.EGGS));
        show("cell given 1 june no eggs 15 june",
                List.of(new ColonyEvent(LocalDate.of(2026, 6, 1), EventKind.CELL_GIVEN)), LocalDate.of(2026, 6, 15),
                Reading.of(LocalDate.of(2026, 6, 15)).without(Sign.EGGS));
        show("jan no brood", List.of(), LocalDate.of(2026, 1, 10),
                Reading.of(LocalDate.of(2026, 1, 10)).without(Sign.BROOD));
        show("caged 10 days no eggs", List.of(new ColonyEvent(j, EventKind.QUEEN_CAGED)), j.plusDays(12),
                Reading.of(j, Sign.EGGS, Sign.QUEEN_MARKED), Reading.of(j.plusDays(12)).without(Sign.OPEN_BROOD));
        show("removed 1 june, emergency long 5 june",
                List.of(new ColonyEvent(LocalDate.of(2026, 6, 1), EventKind.QUEEN_REMOVED)), LocalDate.of(2026, 6, 5),
                Reading.of(LocalDate.of(2026, 6, 5)).with(CellLook.LONG, CombPlace.AMONG_WORKER_BROOD, 6));
        show("nuc in september virgin", List.of(new ColonyEvent(LocalDate.of(2026, 9, 5), EventKind.CELL_GIVEN)),
                LocalDate.of(2026, 9, 28), Reading.of(LocalDate.of(2026, 9, 28)).without(Sign.EGGS));
        show("recent queenless", List.of(new ColonyEvent(j, EventKind.QUEEN_REMOVED)), j.plusDays(1),
                Reading.of(j.plusDays(1), Sign.EGGS, Sign.MOANING));
        show("hopeless",
                List.of(new ColonyEvent(j, EventKind.QUEEN_REMOVED),
                        new ColonyEvent(j.plusDays(8), EventKind.CELLS_DESTROYED)),
                j.plusDays(12), Reading.of(j.plusDays(12)).without(Sign.OPEN_BROOD, Sign.QUEEN_CELLS, Sign.QUEEN));
    }
}
