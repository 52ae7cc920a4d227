package vividcrown.core.introduction;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import com.google.ortools.sat.Literal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.introduction.IntroductionPlan.Planned;
import vividcrown.core.introduction.method.Method;
import vividcrown.core.odds.Rate;
import vividcrown.core.reason.Sentence;
import vividcrown.core.solver.Solver;
import vividcrown.core.split.Objection;

/**
 * Queens at hand, colonies in need: who goes where. Exact: the sum of worth times chance, less what is risked and driven, is the
 * greatest there is; a pair that risks more than it brings is not made.
 *
 * @param pairs the most that is gained first
 * @param left queens that go nowhere, with why
 * @param waiting colonies that get none, with why
 * @param proven no assignment gains more
 */
public record Assignment(List<Pair> pairs, List<Left> left, List<Left> waiting, double gain, boolean proven) {

    /** @param gain worth times chance, less what is risked and driven */
    public record Pair(String queen, String colony, Planned way, double gain) {
    }

    /** @param why in one sentence */
    public record Left(String code, Sentence why) {
    }

    /** A line that was wished for is worth a fifth more. */
    private static final double WISHED = 1.2;
    private static final double KILOMETRE = 0.4;
    private static final long UNITS = 100;

    /**
     * @param year of the bees at the place
     * @param kilometres from where the queens are to each colony, by its code; none where it is not named
     * @param seconds at most
     */
    public static Assignment of(List<Given> queens, List<Receiver> colonies, LocalDate day, BeeYear year,
            Map<Method, Rate> own, Map<String, Double> kilometres, double seconds) {
        Solver.load();
        CpModel model = new CpModel();
        Map<Integer, Map<Integer, Choice>> goes = new HashMap<>();
        LinearExprBuilder gain = LinearExpr.newBuilder();
        Map<Integer, Sentence> refused = new HashMap<>();
        for (int colony = 0; colony < colonies.size(); colony++) {
            List<Literal> into = new ArrayList<>();
            for (int queen = 0; queen < queens.size(); queen++) {
                IntroductionPlan plan = IntroductionPlan.of(colonies.get(colony), queens.get(queen), day, year, own);
                if (plan.ways().isEmpty()) {
                    refused.putIfAbsent(colony,
                            plan.objections().stream().filter(Objection::refuses).findFirst().map(Objection::words)
                                    .orElse(Sentence.of("assignment.noWay")));
                    continue;
                }
                Planned way = plan.ways().getFirst();
                double worth = gain(way, queens.get(queen), colonies.get(colony), kilometres);
                if (worth <= 0) {
                    refused.putIfAbsent(colony, Sentence.of("assignment.notWorth",
                            Math.round(100 * way.acceptance().chance().likely())));
                    continue;
                }
                BoolVar pair = model.newBoolVar("q%d to c%d".formatted(queen, colony));
                goes.computeIfAbsent(queen, _ -> new HashMap<>()).put(colony, new Choice(pair, way, worth));
                into.add(pair);
                gain.addTerm(pair, Math.round(UNITS * worth));
            }
            model.addAtMostOne(into);
        }
        goes.values().forEach(to -> model.addAtMostOne(
                to.values().stream().map(Choice::pair).toArray(Literal[]::new)));
        model.maximize(gain);
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(seconds).setNumWorkers(2).setRandomSeed(1);
        CpSolverStatus status = solver.solve(model);
        return told(queens, colonies, goes, refused, solver, status == CpSolverStatus.OPTIMAL);
    }

    private static double gain(Planned way, Given queen, Receiver colony, Map<String, Double> kilometres) {
        double wished = !colony.wishes().isBlank() && colony.wishes().equals(queen.line()) ? WISHED : 1;
        double chance = way.acceptance().chance().likely();
        return wished * colony.worth() * chance - queen.cost() * (1 - chance)
                - KILOMETRE * kilometres.getOrDefault(colony.code(), 0.0);
    }

    /** A pair that may be made. */
    private record Choice(BoolVar pair, Planned way, double gain) {
    }

    private static Assignment told(List<Given> queens, List<Receiver> colonies,
            Map<Integer, Map<Integer, Choice>> goes, Map<Integer, Sentence> refused, CpSolver solver,
            boolean proven) {
        List<Pair> pairs = new ArrayList<>();
        List<Left> left = new ArrayList<>();
        boolean[] served = new boolean[colonies.size()];
        for (int queen = 0; queen < queens.size(); queen++) {
            Map<Integer, Choice> to = goes.getOrDefault(queen, Map.of());
            Optional<Map.Entry<Integer, Choice>> made = to.entrySet().stream()
                    .filter(one -> solver.booleanValue(one.getValue().pair())).findFirst();
            if (made.isEmpty()) {
                left.add(new Left(queens.get(queen).code(),
                        Sentence.of(to.isEmpty() ? "assignment.nobodyTakes" : "assignment.othersFirst")));
                continue;
            }
            int where = made.get().getKey();
            served[where] = true;
            pairs.add(new Pair(queens.get(queen).code(), colonies.get(where).code(), made.get().getValue().way(),
                    made.get().getValue().gain()));
        }
        List<Left> waiting = new ArrayList<>();
        for (int colony = 0; colony < colonies.size(); colony++) {
            if (!served[colony]) {
                waiting.add(new Left(colonies.get(colony).code(),
                        refused.getOrDefault(colony, Sentence.of("assignment.noQueen"))));
            }
        }
        pairs.sort(Comparator.comparingDouble(pair -> -pair.gain()));
        return new Assignment(pairs, left, waiting, pairs.stream().mapToDouble(Pair::gain).sum(), proven);
    }
}
