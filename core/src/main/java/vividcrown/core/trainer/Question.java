package vividcrown.core.trainer;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import vividcrown.core.introduction.CageReading.Behaviour;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reason.Sentence;
import vividcrown.core.reason.Wrong;

/**
 * A picture that is to be read, and what it may mean. How each looks is common practice, from memory.
 *
 * @param answers to choose from, in the order in which they are offered; one is right
 * @param said the same in words, for whoever sees no picture
 */
public record Question(Skill right, Shown shown, List<Skill> answers, List<Sentence> said) {

    private static final double[] PATCH_SHARE = {0.62, 0.52, 0.42};
    private static final double LOWEST = 0.96;

    public Question {
        answers = List.copyOf(answers);
        said = List.copyOf(said);
    }

    /** @throws IllegalArgumentException if it is a hive to search */
    public static Question of(Exercise exercise) {
        RandomGenerator luck = exercise.luck();
        Skill skill = exercise.skill();
        Shown shown = switch (skill.task()) {
            case FIND -> throw Wrong.of("wrong.trainer.find", skill.sentence());
            case PATTERN -> new Shown.Comb(CombPicture.of(patch(skill, exercise.level()), share(exercise), luck),
                    List.of());
            case CELL_KIND -> cells(skill, exercise, luck);
            case CELL_LOOK -> new Shown.OneCell(look(skill));
            case CAGE -> cage(skill, luck);
        };
        List<Skill> answers = new ArrayList<>(Skill.of(skill.task()));
        Collections.shuffle(answers, luck);
        return new Question(skill, shown, answers, said(shown));
    }

    private static double share(Exercise exercise) {
        return PATCH_SHARE[exercise.level() - 1];
    }

    // --- brood -------------------------------------------------------------------------------------------------------

    /** The harder, the less there is of what tells. */
    private static CombPicture.Patch patch(Skill skill, int level) {
        double plain = 1 - 0.2 * (level - 1);
        return switch (skill) {
            case BETWEEN_CYCLES -> (out, luck) -> out < 0.3
                    ? luck.nextDouble() < 0.6 ? CellContent.EGG : CellContent.POLISHED
                    : out < 0.42
                            ? luck.nextDouble() < 0.5 ? CellContent.EMERGING : CellContent.POLISHED
                            : luck.nextDouble() < 0.04 ? CellContent.POLISHED : CellContent.SEALED;
            case SHOT_BROOD -> (out, luck) -> luck.nextDouble() < 0.3 + 0.14 * plain
                    ? anyOf(luck, CellContent.EGG, CellContent.YOUNG_LARVA, CellContent.OLD_LARVA, CellContent.POLISHED,
                            CellContent.EMPTY)
                    : laidOutwards(out, luck, 0.75);
            case DRONE_LAYER -> (out, luck) -> {
                CellContent usual = laidOutwards(out, luck, 0.6);
                return luck.nextDouble() < 0.1
                        ? CellContent.EMPTY
                        : usual == CellContent.SEALED
                                ? luck.nextDouble() < 0.75 + 0.2 * plain ? CellContent.DOMED : CellContent.SEALED
                                : usual;
            };
            case LAYING_WORKERS -> (_, luck) -> {
                double draw = luck.nextDouble();
                if (draw < 0.34) {
                    return CellContent.EMPTY;
                }
                return draw < 0.34 + 0.3 * plain
                        ? anyOf(luck, CellContent.EGGS, CellContent.EGGS, CellContent.EGG_ON_WALL)
                        : anyOf(luck, CellContent.EGG, CellContent.YOUNG_LARVA, CellContent.OLD_LARVA,
                                CellContent.DOMED, CellContent.DOMED, CellContent.EMPTY);
            };
            case QUEEN_EXPECTED -> (out, luck) -> luck.nextDouble() < 0.06 * out
                    ? CellContent.EMERGING
                    : CellContent.POLISHED;
            case NO_QUEEN_EXPECTED -> (out, luck) -> luck.nextDouble() < 0.25 + 0.35 * plain
                    ? CellContent.NECTAR
                    : luck.nextDouble() < 0.15 ? CellContent.POLLEN : CellContent.EMPTY;
            case DISEASE_SUSPECTED -> (out, luck) -> {
                double draw = luck.nextDouble();
                if (draw < 0.05 + 0.1 * plain) {
                    return luck.nextDouble() < 0.55 ? CellContent.SUNKEN : CellContent.SICK_LARVA;
                }
                return draw < 0.35 ? CellContent.EMPTY : laidOutwards(out, luck, 0.75);
            };
            case CHALK_BROOD -> (out, luck) -> {
                double draw = luck.nextDouble();
                return draw < 0.04 + 0.07 * plain
                        ? CellContent.MUMMY
                        : draw < 0.22 ? CellContent.EMPTY : laidOutwards(out, luck, 0.75);
            };
            default -> (out, luck) -> luck.nextDouble() < 0.05 ? CellContent.POLISHED : laidOutwards(out, luck, 0.6);
        };
    }

    /** She began in the middle: the oldest stand there, the youngest at the edge. */
    private static CellContent laidOutwards(double out, RandomGenerator luck, double sealed) {
        double ragged = out + (luck.nextDouble() - 0.5) * 0.06;
        if (ragged < sealed) {
            return CellContent.SEALED;
        }
        double rest = (ragged - sealed) / (1 - sealed);
        return rest < 0.35 ? CellContent.OLD_LARVA : rest < 0.65 ? CellContent.YOUNG_LARVA : CellContent.EGG;
    }

    private static CellContent anyOf(RandomGenerator luck, CellContent... some) {
        return some[luck.nextInt(some.length)];
    }

    // --- queen cells -------------------------------------------------------------------------------------------------

    private static Shown cells(Skill skill, Exercise exercise, RandomGenerator luck) {
        List<Shown.CellAt> cells = new ArrayList<>();
        int fewer = exercise.level() - 1;
        switch (skill) {
            case SWARM_CELLS -> {
                int count = 8 - fewer + luck.nextInt(3);
                for (int nth = 0; nth < count; nth++) {
                    boolean below = luck.nextDouble() < 0.75;
                    cells.add(new Shown.CellAt(below ? between(luck, 0.08, 0.92) : luck.nextBoolean() ? 0.04 : 0.96,
                            below ? LOWEST : between(luck, 0.6, 0.9),
                            List.of(CellLook.CUP_EGG, CellLook.JELLY, CellLook.LONG, CellLook.SEALED).get(nth % 4)));
                }
            }
            case SUPERSEDURE_CELLS -> {
                CellLook look = luck.nextBoolean() ? CellLook.LONG : CellLook.SEALED;
                int count = 1 + luck.nextInt(exercise.level() == 1 ? 2 : 3);
                double across = between(luck, 0.35, 0.6);
                for (int nth = 0; nth < count; nth++) {
                    cells.add(new Shown.CellAt(across + 0.08 * nth, between(luck, 0.4, 0.55), look));
                }
            }
            case EMERGENCY_CELLS -> {
                int count = 11 - 2 * fewer + luck.nextInt(4);
                CellLook look = luck.nextBoolean() ? CellLook.JELLY : CellLook.SEALED;
                for (int nth = 0; nth < count; nth++) {
                    cells.add(new Shown.CellAt(between(luck, 0.2, 0.8), between(luck, 0.3, 0.78), look));
                }
            }
            default -> {
                for (int nth = 0; nth < 3 + luck.nextInt(4); nth++) {
                    cells.add(new Shown.CellAt(between(luck, 0.08, 0.92), LOWEST, CellLook.CUP_EMPTY));
                }
            }
        }
        boolean queenless = skill == Skill.EMERGENCY_CELLS;
        // where the queen was lost, nothing is younger than what the cells were begun on
        CombPicture.Patch brood = (out, chance) -> {
            CellContent usual = laidOutwards(out, chance, 0.6);
            return queenless && (usual == CellContent.EGG || usual == CellContent.YOUNG_LARVA)
                    ? CellContent.OLD_LARVA
                    : usual;
        };
        return new Shown.Comb(CombPicture.of(brood, share(exercise), luck), cells);
    }

    private static double between(RandomGenerator luck, double least, double most) {
        return least + (most - least) * luck.nextDouble();
    }

    private static CellLook look(Skill skill) {
        return CellLook.valueOf(skill.name().substring("LOOK_".length()));
    }

    // --- cages -------------------------------------------------------------------------------------------------------

    private static Shown cage(Skill skill, RandomGenerator luck) {
        return switch (skill) {
            case CAGE_BALLED -> new Shown.Cage(EnumSet.of(Behaviour.BALLING, Behaviour.WILL_NOT_BRUSH_OFF), 5);
            case CAGE_HOSTILE -> {
                Set<Behaviour> seen = EnumSet.of(
                        anyHostile(luck), Behaviour.WILL_NOT_BRUSH_OFF);
                // some feed all the same: one hostile sign outweighs them
                if (luck.nextBoolean()) {
                    seen.add(Behaviour.FEEDING);
                }
                yield new Shown.Cage(seen, 3 + luck.nextInt(4));
            }
            case CAGE_WATCH_LONGER ->
                new Shown.Cage(EnumSet.of(luck.nextBoolean() ? Behaviour.LOOSE : Behaviour.FANNING),
                        0.5);
            default -> new Shown.Cage(EnumSet.of(Behaviour.FEEDING, Behaviour.BRUSHES_OFF,
                    luck.nextBoolean() ? Behaviour.LOOSE : Behaviour.FANNING), 3 + luck.nextInt(4));
        };
    }

    private static Behaviour anyHostile(RandomGenerator luck) {
        return List.of(Behaviour.BITING, Behaviour.BENT_ABDOMENS, Behaviour.MATTED).get(luck.nextInt(3));
    }

    // --- in words ----------------------------------------------------------------------------------------------------

    private static List<Sentence> said(Shown shown) {
        return switch (shown) {
            case Shown.Comb(CombPicture picture, List<Shown.CellAt> cells) -> {
                List<Sentence> all = new ArrayList<>(picture.said());
                if (!cells.isEmpty()) {
                    long below = cells.stream().filter(cell -> cell.down() >= LOWEST).count();
                    all.add(Sentence.of("trainer.cells", cells.size(), below, cells.stream()
                            .map(cell -> cell.look().sentence().toString()).distinct()
                            .collect(Collectors.joining(", "))));
                }
                yield all;
            }
            case Shown.OneCell(CellLook look) -> List.of(Sentence.of("trainer.look." + look));
            case Shown.Cage(Set<Behaviour> behaviours, double minutes) -> List.of(Sentence.of("trainer.cage",
                    behaviours.stream().sorted().map(one -> Sentence.of("trainer.behaviour." + one).toString())
                            .collect(Collectors.joining(", ")),
                    minutes));
        };
    }
}
