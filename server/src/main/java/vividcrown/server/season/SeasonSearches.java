package vividcrown.server.season;

import com.fasterxml.uuid.Generators;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import vividcrown.core.season.SeasonBrief;
import vividcrown.core.season.plan.SeasonPlan;
import vividcrown.core.season.plan.SeasonPlanner;
import vividcrown.core.season.plan.SolveWatch;
import vividcrown.core.season.recipe.RecipeShelf;
import vividcrown.server.capacity.FairQueue;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/** Searches for plans. How far each is stands in the database, so any node can tell it, or stop it. */
@Component
class SeasonSearches {

    private static final Logger LOG = LoggerFactory.getLogger(SeasonSearches.class);
    /** A search that gave no sign for so long died with its server. */
    private static final int DEAD_AFTER_SECONDS = 30;
    /** The longest that one waits for its turn. */
    private static final int WAITS_AT_MOST_SECONDS = 900;

    /** A plan shall not hang on who else is busy: it may take so many times as long, and whoever waits sees how far it is and can stop it. */
    private static final double PATIENCE = 4;

    /** How far a search is. */
    enum State {
        /** Others have their turn first. */
        WAITING, RUNNING, DONE, REFUSED, INTERRUPTED
    }

    /**
     * @param plans found so far
     * @param cost of the best, minutes with penalties; left out until there is one
     * @param bound no plan costs less
     * @param seconds since it began
     */
    record Progress(UUID id, State state, int plans, @Nullable Double cost, @Nullable Double bound, double seconds,
            @Nullable SeasonPlanView plan, @Nullable String refusal) {
    }

    private record Row(String state, Instant seenAt, int plans, @Nullable Double cost, @Nullable Double bound,
            double seconds, @Nullable String answer, @Nullable String refusal) {
    }

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Clock clock;
    private final FairQueue queue;
    private final RecipeShelf shelf;

    SeasonSearches(JdbcClient jdbc, JsonMapper json, Clock clock, FairQueue queue, RecipeShelf shelf) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
        this.queue = queue;
        this.shelf = shelf;
    }

    /**
     * Begins a search; it takes its turn beside the request. Yesterday's are thrown away.
     *
     * @param names how people call the queens of the brief
     */
    UUID begin(SeasonBrief brief, Map<String, String> names, double mostSeconds) {
        UUID id = Generators.timeBasedEpochGenerator().generate();
        UUID operation = CurrentOperation.require();
        jdbc.sql("delete from season_search where seen_at < now() - interval '1 day'").update();
        jdbc.sql("""
                insert into season_search (id, operation_id, asked_by, state, stop, seen_at, plans, seconds)
                values (?, ?, ?, 'WAITING', false, now(), 0, 0)""").params(id, operation, SignedIn.require().id())
                .update();
        try {
            queue.submit(operation.toString(), () -> CurrentOperation.in(operation, () -> {
                search(id, brief, names, mostSeconds);
                return id;
            }));
        } catch (Refusal busy) {
            end(id, State.REFUSED, String.valueOf(busy.getMessage()));
            throw busy;
        }
        return id;
    }

    private void search(UUID id, SeasonBrief brief, Map<String, String> names, double mostSeconds) {
        try {
            jdbc.sql("update season_search set state = 'RUNNING', seen_at = now() where id = ?").param(id).update();
            SeasonPlan plan = SeasonPlanner.plan(brief, shelf, mostSeconds, PATIENCE, watch(id));
            jdbc.sql("""
                    update season_search set state = 'DONE', seen_at = now(), cost = ?, bound = ?, seconds = ?,
                        answer = cast(? as jsonb) where id = ?""")
                    .params(plan.search().cost(), plan.search().bound(), plan.search().seconds(),
                            json.writeValueAsString(
                                    SeasonPlanView.of(brief, plan, queen -> names.getOrDefault(queen, queen))),
                            id)
                    .update();
        } catch (IllegalArgumentException refused) {
            end(id, State.REFUSED, String.valueOf(refused.getMessage()));
        } catch (RuntimeException failed) {
            LOG.error("The search for a season's plan failed", failed);
            end(id, State.INTERRUPTED,
                    "The search failed. Ask again; if it fails again, tell whoever keeps the program.");
        }
    }

    private void end(UUID id, State state, String why) {
        jdbc.sql("update season_search set state = ?, seen_at = now(), refusal = ? where id = ?")
                .params(state.name(), why, id).update();
    }

    private SolveWatch watch(UUID id) {
        AtomicInteger asked = new AtomicInteger();
        UUID operation = CurrentOperation.require();
        return new SolveWatch() {
            @Override
            public void found(int plans, double cost, double bound, double seconds) {
                CurrentOperation.in(operation, () -> jdbc.sql("""
                        update season_search set seen_at = now(), plans = ?, cost = ?, bound = ?, seconds = ?
                        where id = ?""").params(plans, cost, bound, seconds, id).update());
            }

            @Override
            public boolean isStopped() {
                // asked five times a second; the database is asked every other time
                return asked.incrementAndGet() % 2 == 0 && CurrentOperation.in(operation,
                        () -> jdbc.sql("update season_search set seen_at = now() where id = ? returning stop").param(id)
                                .query(Boolean.class).optional().orElse(true));
            }
        };
    }

    Optional<Progress> progress(UUID id) {
        return jdbc.sql("""
                select state, seen_at, plans, cost, bound, seconds, answer, refusal from season_search where id = ?""")
                .param(id).query((row, _) -> new Row(row.getString(1),
                        row.getObject(2, OffsetDateTime.class).toInstant(), row.getInt(3),
                        row.getObject(4, Double.class), row.getObject(5, Double.class), row.getDouble(6),
                        row.getString(7), row.getString(8)))
                .optional().map(row -> progress(id, row));
    }

    private Progress progress(UUID id, Row row) {
        State state = State.valueOf(row.state());
        boolean dead = switch (state) {
            case WAITING -> row.seenAt().isBefore(clock.instant().minusSeconds(WAITS_AT_MOST_SECONDS));
            case RUNNING -> row.seenAt().isBefore(clock.instant().minusSeconds(DEAD_AFTER_SECONDS));
            case DONE, REFUSED, INTERRUPTED -> false;
        };
        return new Progress(id, dead ? State.INTERRUPTED : state, row.plans(), row.cost(), row.bound(), row.seconds(),
                row.answer() == null ? null : json.readValue(row.answer(), SeasonPlanView.class),
                dead ? "The server stopped while it searched. Ask again." : row.refusal());
    }

    /** The best plan so far is kept. */
    void stop(UUID id) {
        jdbc.sql("update season_search set stop = true where id = ?").param(id).update();
    }
}
