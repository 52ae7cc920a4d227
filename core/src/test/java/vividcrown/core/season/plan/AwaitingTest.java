package vividcrown.core.season.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import vividcrown.core.solver.Solver;

/** Whoever waits and is interrupted says so to those who work; that a waiting thread does not look it, is how Java's futures wait. */
class AwaitingTest {

    @Test
    void whoever_works_hears_of_it_at_once_and_whoever_waited_is_interrupted_still() throws InterruptedException {
        Awaiting awaiting = new Awaiting();
        AtomicBoolean stillInterrupted = new AtomicBoolean();
        CompletableFuture<String> work = CompletableFuture.supplyAsync(() -> {
            while (!awaiting.isInterrupted()) {
                Thread.onSpinWait();
            }
            return "given up";
        }).completeOnTimeout("not told", 20, TimeUnit.SECONDS);
        CompletableFuture<String> came = new CompletableFuture<>();
        Thread waits = new Thread(() -> {
            String answer = awaiting.of(work);
            stillInterrupted.set(Thread.currentThread().isInterrupted());
            came.complete(answer);
        });
        waits.start();
        waits.interrupt();
        waits.join();
        assertThat(came).isCompletedWithValue("given up");
        assertThat(stillInterrupted).isTrue();
    }

    @Test
    void what_fails_there_fails_here() {
        CompletableFuture<String> work = CompletableFuture.failedFuture(new IllegalStateException("no plan"));
        assertThatThrownBy(() -> new Awaiting().of(work)).isInstanceOf(CompletionException.class)
                .hasRootCauseMessage("no plan");
    }

    /** Halves of six lots of fifty weights at once: no solver is done with them in a minute (Cornuéjols &amp; Dawande 1998, market split; from memory). */
    @Test
    void a_search_that_is_interrupted_while_the_solver_works_is_given_up() throws InterruptedException {
        Solver.load();
        CpModel model = new CpModel();
        BoolVar[] taken = new BoolVar[50];
        for (int at = 0; at < taken.length; at++) {
            taken[at] = model.newBoolVar("");
        }
        Random random = new Random(46);
        for (int lot = 0; lot < 6; lot++) {
            LinearExprBuilder sum = LinearExpr.newBuilder();
            int all = 0;
            for (BoolVar one : taken) {
                int weight = random.nextInt(100);
                sum.addTerm(one, weight);
                all += weight;
            }
            model.addEquality(sum, all / 2);
        }
        Thread searches = new Thread(() -> Searching.solve(model, 0, new Effort(10_000, 60),
                SolveWatch.untilInterrupted()));
        searches.start();
        while (searches.getState() != Thread.State.WAITING && searches.isAlive()) {
            Thread.sleep(20);
        }
        Thread.sleep(1_000);
        assertThat(searches.isAlive()).as("still at it").isTrue();
        searches.interrupt();
        searches.join(TimeUnit.SECONDS.toMillis(30));
        assertThat(searches.isAlive()).as("at it although interrupted").isFalse();
    }
}
