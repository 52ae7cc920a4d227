package vividcrown.core.season.plan;

import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverSolutionCallback;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.SatParameters.SearchBranching;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/**
 * Has the solver search for the cheapest: two searches side by side, each of one thread and of a counted effort, so that the same model gives the
 * same answer on every machine and however busy it is. The first branches as the solver usually does, the second by the linear bound: on seasons
 * that are short of something the one finds the better plans, the other the better bounds. With hardly any time only the first is asked: a bound
 * worth telling takes longer.
 */
final class Searching {

    private static final List<SearchBranching> WAYS = List.of(SearchBranching.AUTOMATIC_SEARCH,
            SearchBranching.LP_SEARCH);
    private static final int LOOKED_AFTER_EVERY_MILLIS = 200;
    /** A plan that costs no more than the bound but for this share is proven. */
    private static final double GAP = 0.0001;

    /** What was found so far: told when it gets better. */
    private static final class Progress {
        private final SolveWatch watch;
        private int plans;
        private double cost = Double.MAX_VALUE;
        private double bound;

        Progress(SolveWatch watch, double atLeast) {
            this.watch = watch;
            this.bound = atLeast;
        }

        synchronized boolean isProven() {
            return cost <= bound * (1 + GAP);
        }

        synchronized void found(double found, double atLeast, double seconds) {
            bound = Math.max(bound, atLeast);
            if (found < cost) {
                cost = found;
                watch.found(++plans, cost, bound, seconds);
            }
        }
    }

    /**
     * @param solver of the cheapest
     * @param bound no plan costs less
     * @param infeasible nothing keeps all limits
     * @param hasPlan whether there was time to find one
     * @param seconds by the clock
     */
    record Best(CpSolver solver, double bound, boolean proven, boolean infeasible, boolean hasPlan, double seconds) {
    }

    private record Ended(CpSolver solver, CpSolverStatus status) {
        boolean hasPlan() {
            return status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
        }

        double cost() {
            return hasPlan() ? solver.objectiveValue() : Double.MAX_VALUE;
        }
    }

    private Searching() {
    }

    /** @param atLeast what any plan costs, as is known before */
    static Best solve(CpModel model, double atLeast, Effort effort, SolveWatch watch) {
        Progress progress = new Progress(watch, atLeast);
        List<CpSolver> solvers = (effort.isLeast() ? WAYS.subList(0, 1) : WAYS).stream()
                .map(way -> solver(way, effort)).toList();
        Awaiting awaiting = new Awaiting();
        List<Ended> ended;
        try (ScheduledExecutorService threads = Executors.newScheduledThreadPool(solvers.size() + 1)) {
            threads.scheduleAtFixedRate(() -> {
                if (watch.isStopped() || awaiting.isInterrupted() || progress.isProven()) {
                    solvers.forEach(CpSolver::stopSearch);
                }
            }, LOOKED_AFTER_EVERY_MILLIS / 2, LOOKED_AFTER_EVERY_MILLIS, TimeUnit.MILLISECONDS);
            // on threads of their own: a virtual one would hold its carrier through the whole search and while it tells
            List<CompletableFuture<Ended>> searches = solvers.stream().map(solver -> {
                CpModel own = model.getClone();
                return CompletableFuture.supplyAsync(() -> new Ended(solver, solver.solve(own, telling(progress))),
                        threads);
            }).toList();
            ended = searches.stream().map(awaiting::of).toList();
            threads.shutdownNow();
        }
        Ended best = ended.stream().min(Comparator.comparingDouble(Ended::cost)).orElseThrow();
        double bound = ended.stream().filter(Ended::hasPlan).mapToDouble(one -> one.solver().bestObjectiveBound())
                .reduce(atLeast, Math::max);
        return new Best(best.solver(), bound, best.hasPlan() && best.cost() <= bound * (1 + GAP),
                ended.stream().anyMatch(one -> one.status() == CpSolverStatus.INFEASIBLE), best.hasPlan(),
                ended.stream().mapToDouble(one -> one.solver().wallTime()).max().orElse(0));
    }

    private static CpSolver solver(SearchBranching way, Effort effort) {
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(effort.seconds()).setMaxDeterministicTime(effort.steps())
                .setNumWorkers(1).setLinearizationLevel(effort.isLeast() ? 1 : 2).setSearchBranching(way)
                .setRandomSeed(1).setRelativeGapLimit(GAP);
        if (effort.isLeast()) {
            // what it takes to look for builders that may change places, and to try every choice for what follows, is not won back in so
            // short a search: it may end before a plan is found
            solver.getParameters().setSymmetryLevel(0).setCpModelProbingLevel(0);
        }
        return solver;
    }

    private static CpSolverSolutionCallback telling(Progress progress) {
        return new CpSolverSolutionCallback() {
            @Override
            public void onSolutionCallback() {
                progress.found(objectiveValue(), bestObjectiveBound(), wallTime());
            }
        };
    }
}
