package vividcrown.core.merit;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Sentence;
import vividcrown.core.solver.Solver;

/**
 * Who is grafted from, and how many daughters each: the most expected merit of all daughters, while two of them are no more akin on
 * average than is bounded, and enough lines go on (optimal contributions: Meuwissen 1997, J. Anim. Sci. 75:934; from memory). In
 * twentieths of the daughters, exactly, by CP-SAT.
 *
 * @param chosen the most daughters first
 * @param merit mean expected merit of what they pass on
 * @param kinship of two drawn among what they pass on, with replacement
 * @param gap at most so much more merit could be had; 0 where proven
 * @param lineMore what one more line would cost in merit; empty where none is left
 */
public record Breeders(List<Chosen> chosen, double merit, double kinship, double gap, Optional<Double> lineMore,
        List<Sentence> warnings) {

    /** @param daughters of all that are wanted */
    public record Chosen(String queen, String line, int daughters, double merit, double reliability) {
    }

    /**
     * One who may be grafted from.
     *
     * @param line she is of; a line of her own if blank
     * @param merit expected, in whatever unit
     * @param reliability 0–1
     */
    public record Candidate(String queen, String line, double merit, double reliability) {
        public Candidate {
            new Faults().text("queen", queen, 1, 60).text("line", line, 0, 60).within("merit", merit, -1e6, 1e6)
                    .within("reliability", reliability, 0, 1).refuse();
        }

        private String lineOrOwn() {
            return line.isBlank() ? queen : line;
        }
    }

    /**
     * What is wanted.
     *
     * @param daughters 1–100,000
     * @param kinship of two drawn, at most; 0–1
     * @param lines at least, 1–50
     * @param mostOfOne share of the daughters that one mother may have, 0.05–1
     */
    public record Wish(int daughters, double kinship, int lines, double mostOfOne) {
        public Wish {
            new Faults().within("daughters", daughters, 1, 100_000).within("kinship", kinship, 0, 1)
                    .within("lines", lines, 1, 50).within("mostOfOne", mostOfOne, 0.05, 1).refuse();
        }
    }

    private static final int PARTS = 20;
    /** More are not asked: the best of each line, then the best of all. */
    private static final int MOST_CANDIDATES = 24;
    private static final double KIN_UNITS = 10_000;
    private static final double MERIT_UNITS = 10_000;
    /** Below this it is a guess. */
    private static final double SURE = 0.3;

    public Breeders {
        chosen = List.copyOf(chosen);
        warnings = List.copyOf(warnings);
    }

    /**
     * @param kinship of each with each, in the order of the candidates
     * @param seconds at most, each time it is asked
     * @return empty where no choice keeps the bounds
     */
    public static Optional<Breeders> choose(List<Candidate> candidates, double[][] kinship, Wish wish,
            double seconds) {
        if (candidates.size() != kinship.length) {
            throw new IllegalArgumentException(
                    "Impossible state: %d candidates, %d rows of kinship".formatted(candidates.size(), kinship.length));
        }
        List<Integer> asked = asked(candidates, wish);
        Optional<Found> found = find(candidates, kinship, asked, wish, seconds);
        return found.map(one -> told(candidates, kinship, asked, wish, one, seconds));
    }

    private static List<Integer> asked(List<Candidate> candidates, Wish wish) {
        List<Integer> byMerit = new ArrayList<>();
        for (int at = 0; at < candidates.size(); at++) {
            byMerit.add(at);
        }
        byMerit.sort(Comparator.comparingDouble(at -> -candidates.get(at).merit()));
        Map<String, Integer> bestOfLine = new HashMap<>();
        byMerit.forEach(at -> bestOfLine.putIfAbsent(candidates.get(at).lineOrOwn(), at));
        List<Integer> asked = new ArrayList<>(bestOfLine.values().stream()
                .sorted(Comparator.comparingDouble(at -> -candidates.get(at).merit()))
                .limit(Math.max(wish.lines() + 1, MOST_CANDIDATES / 2)).toList());
        byMerit.stream().filter(at -> !asked.contains(at)).limit(Math.max(0, MOST_CANDIDATES - asked.size()))
                .forEach(asked::add);
        return asked;
    }

    /** @param parts of twenty, by candidate that was asked */
    private record Found(int[] parts, double bound, double value) {
    }

    private static Optional<Found> find(List<Candidate> candidates, double[][] kinship, List<Integer> asked, Wish wish,
            double seconds) {
        Solver.load();
        CpModel model = new CpModel();
        int most = Math.max(1, (int) Math.floor(wish.mostOfOne() * PARTS));
        IntVar[] parts = new IntVar[asked.size()];
        LinearExprBuilder merit = LinearExpr.newBuilder();
        LinearExprBuilder akin = LinearExpr.newBuilder();
        Map<String, List<BoolVar>> ofLine = new HashMap<>();
        for (int at = 0; at < parts.length; at++) {
            Candidate one = candidates.get(asked.get(at));
            parts[at] = model.newIntVar(0, most, "parts of " + at);
            BoolVar used = model.newBoolVar("used " + at);
            model.addGreaterThan(parts[at], 0).onlyEnforceIf(used);
            model.addEquality(parts[at], 0).onlyEnforceIf(used.not());
            ofLine.computeIfAbsent(one.lineOrOwn(), _ -> new ArrayList<>()).add(used);
            merit.addTerm(parts[at], Math.round(MERIT_UNITS * one.merit()));
        }
        model.addEquality(LinearExpr.sum(parts), PARTS);
        for (int at = 0; at < parts.length; at++) {
            for (int other = at; other < parts.length; other++) {
                long weight = Math
                        .round(KIN_UNITS * kinship[asked.get(at)][asked.get(other)] * (at == other ? 1 : 2));
                if (weight > 0) {
                    IntVar both = model.newIntVar(0, (long) most * most, "both");
                    model.addMultiplicationEquality(both, parts[at], parts[other]);
                    akin.addTerm(both, weight);
                }
            }
        }
        model.addLessOrEqual(akin, Math.round(KIN_UNITS * wish.kinship() * PARTS * PARTS));
        List<BoolVar> lines = new ArrayList<>();
        ofLine.forEach((name, used) -> {
            BoolVar goesOn = model.newBoolVar("line " + name);
            model.addMaxEquality(goesOn, used.toArray(BoolVar[]::new));
            lines.add(goesOn);
        });
        model.addGreaterOrEqual(LinearExpr.sum(lines.toArray(BoolVar[]::new)), wish.lines());
        model.maximize(merit);
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(seconds).setNumWorkers(2).setRandomSeed(1);
        CpSolverStatus status = solver.solve(model);
        if (status != CpSolverStatus.OPTIMAL && status != CpSolverStatus.FEASIBLE) {
            return Optional.empty();
        }
        int[] found = new int[parts.length];
        for (int at = 0; at < found.length; at++) {
            found[at] = (int) solver.value(parts[at]);
        }
        return Optional.of(new Found(found, solver.bestObjectiveBound() / MERIT_UNITS / PARTS,
                solver.objectiveValue() / MERIT_UNITS / PARTS));
    }

    private static Breeders told(List<Candidate> candidates, double[][] kinship, List<Integer> asked, Wish wish,
            Found found, double seconds) {
        List<Chosen> chosen = new ArrayList<>();
        double akin = 0;
        double merit = 0;
        int[] daughters = daughters(found.parts(), wish.daughters());
        List<Sentence> warnings = new ArrayList<>();
        for (int at = 0; at < found.parts().length; at++) {
            double share = found.parts()[at] / (double) PARTS;
            Candidate one = candidates.get(asked.get(at));
            merit += share * one.merit();
            for (int other = 0; other < found.parts().length; other++) {
                akin += share * found.parts()[other] / PARTS * kinship[asked.get(at)][asked.get(other)];
            }
            if (found.parts()[at] > 0) {
                chosen.add(new Chosen(one.queen(), one.lineOrOwn(), daughters[at], one.merit(), one.reliability()));
                if (one.reliability() < SURE) {
                    warnings.add(Sentence.of("breeders.guess", one.queen(), Math.round(100 * one.reliability())));
                }
            }
        }
        chosen.sort(Comparator.comparingInt(Chosen::daughters).reversed().thenComparing(Chosen::queen));
        long lines = chosen.stream().map(Chosen::line).distinct().count();
        double before = merit;
        Optional<Double> more = lines >= 50
                ? Optional.empty()
                : find(candidates, kinship, asked,
                        new Wish(wish.daughters(), wish.kinship(), (int) lines + 1, wish.mostOfOne()), seconds)
                        .map(next -> Math.max(0, before - next.value()));
        return new Breeders(chosen, merit, akin, Math.max(0, found.bound() - found.value()), more, warnings);
    }

    /** Twentieths into whole daughters: the largest remainders get what is left over. */
    private static int[] daughters(int[] parts, int all) {
        int[] whole = new int[parts.length];
        List<Integer> byRest = new ArrayList<>();
        int given = 0;
        for (int at = 0; at < parts.length; at++) {
            whole[at] = parts[at] * all / PARTS;
            given += whole[at];
            byRest.add(at);
        }
        byRest.sort(Comparator.comparingInt(at -> -(parts[at] * all % PARTS)));
        for (int at = 0; given < all; at++, given++) {
            whole[byRest.get(at)]++;
        }
        return whole;
    }
}
