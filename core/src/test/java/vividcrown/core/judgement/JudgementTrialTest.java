package vividcrown.core.judgement;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.mating.MatingClimate;

/**
 * The judgement against simulated colonies of known truth: is what it calls 80 % true in 80 of 100, and does its first advice
 * ever lose something good? Common practice asks as much of a mentor. The seeds are fixed.
 */
class JudgementTrialTest {

    private static final int COLONIES = 5_000;
    private static final int ADVISED = 1_500;

    /** One answer: the chance of a state, and whether it was so. */
    private record Answer(Status state, double chance, boolean so) {
    }

    private static final List<Answer> EVERY = new ArrayList<>();
    private static final List<Answer> LEADING = new ArrayList<>();
    private static final Map<String, Integer> DANGEROUS = new TreeMap<>();
    private static final Map<String, Integer> FIRST = new TreeMap<>();
    private static double logLoss;

    @BeforeAll
    static void ask() {
        Judge judge = new Judge(Assumptions.standard(), Season.NORTHERN);
        Advisor advisor = new Advisor(Assumptions.standard(), MatingClimate.UPLAND_46_NORTH, java.util.Set.of());
        for (int seed = 0; seed < COLONIES; seed++) {
            SimulatedYard.Known colony = SimulatedYard.colony(seed);
            boolean advised = seed < ADVISED;
            Verdict verdict = advised
                    ? judge.judge(colony.readings(), colony.events(), colony.today())
                    : judge.atAGlance(colony.readings(), colony.events(), colony.today());
            Status truth = colony.truth().status();
            verdict.odds().forEach((state, chance) -> EVERY.add(new Answer(state, chance, state == truth)));
            LEADING.add(new Answer(verdict.leading(), verdict.chance(verdict.leading()), verdict.leading() == truth));
            logLoss -= Math.log(Math.max(1e-6, verdict.chance(truth))) / COLONIES;
            if (advised) {
                first(advisor.advise(verdict, colony.readings()).options().getFirst().action(), colony.truth(),
                        verdict);
            }
        }
        print();
    }

    private static void first(Action action, SimulatedHive truth, Verdict verdict) {
        FIRST.merge(action.name(), 1, Integer::sum);
        boolean kills = switch (action) {
            case GIVE_QUEEN, BREAK_UP, UNITE, SHAKE_OUT, SHAKE_OUT_FOR_A_NUC, REQUEEN, BROOD_THEN_QUEEN -> true;
            default -> false;
        };
        boolean rests = action == Action.LEAVE_ALONE || action == Action.WAIT_FOR_YOUNG_QUEEN;
        count("laying queen killed", kills && truth.isQueenright());
        count("virgin killed", kills && truth.queen == SimulatedHive.Queen.VIRGIN && truth.queenDays < 21);
        count("swarm cells left", action == Action.LEAVE_ALONE && truth.hasOpenSwarmCells());
        count("late queenless left", rests && (truth.status() == Status.HOPELESSLY_QUEENLESS
                || truth.status() == Status.LAYING_WORKERS));
        count("cells of the queenless destroyed", (action == Action.ARTIFICIAL_SWARM || action == Action.REMOVE_CELLS)
                && truth.queen == SimulatedHive.Queen.NONE);
        double sure = verdict.chance(verdict.leading());
        count("unsure", sure < 0.6);
        count("unsure, a look or a test first",
                sure < 0.6 && (action == Action.TEST_FRAME || action == Action.LOOK_AGAIN));
    }

    private static void count(String what, boolean so) {
        DANGEROUS.merge(what, so ? 1 : 0, Integer::sum);
    }

    private static void print() {
        StringBuilder table = new StringBuilder();
        long right = LEADING.stream().filter(Answer::so).count();
        table.append("right in %.1f %%, log-loss %.3f%n".formatted(100.0 * right / COLONIES, logLoss));
        for (int decile = 0; decile < 10; decile++) {
            table.append(line("all states", EVERY, decile));
        }
        for (Status status : Status.values()) {
            List<Answer> of = EVERY.stream().filter(one -> one.state() == status).toList();
            double said = of.stream().mapToDouble(Answer::chance).sum();
            long so = of.stream().filter(Answer::so).count();
            table.append("%-22s expected %.0f, was %d%n".formatted(status, said, so));
        }
        List<Answer> sure = LEADING.stream().filter(one -> one.chance() >= 0.95).toList();
        table.append("sure of 95 %%: %d, right %.2f %%%n".formatted(sure.size(),
                100.0 * sure.stream().filter(Answer::so).count() / sure.size()));
        table.append(FIRST).append('\n').append(DANGEROUS).append('\n');
        System.getLogger("trial").log(System.Logger.Level.INFO, table);
        if (Boolean.getBoolean("crown.bench")) {
            System.out.println(table);
        }
    }

    private static String line(String name, List<Answer> answers, int decile) {
        List<Answer> in = answers.stream()
                .filter(one -> Math.min(9, (int) (one.chance() * 10)) == decile).toList();
        double said = in.stream().mapToDouble(Answer::chance).average().orElse(0);
        double so = in.stream().filter(Answer::so).count() / (double) Math.max(1, in.size());
        return "%s %2d–%3d %%: %6d answers, said %.1f %%, so in %.1f %%%n".formatted(name, decile * 10,
                decile * 10 + 10,
                in.size(), 100 * said, 100 * so);
    }

    @Test
    void runs() {
        assertThat(LEADING).hasSize(COLONIES);
    }
}
