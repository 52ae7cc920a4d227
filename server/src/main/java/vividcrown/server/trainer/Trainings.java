package vividcrown.server.trainer;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.reason.Sentence;
import vividcrown.core.trainer.Exercise;
import vividcrown.core.trainer.Quality;
import vividcrown.server.problem.Refusal;

/** What was practised in the current operation, person by person, and who wishes to be compared. */
@Component
public class Trainings {

    private final TrainingTable table;
    private final TrainingShownTable shownTable;
    private final JdbcClient jdbc;

    Trainings(TrainingTable table, TrainingShownTable shownTable, JdbcClient jdbc) {
        this.table = table;
        this.shownTable = shownTable;
        this.jdbc = jdbc;
    }

    /** @param quality how well it was known @param points 0–100 @param seconds it took */
    public record Worth(Quality quality, int points, int seconds) {
    }

    List<TrainingRow> of(UUID person) {
        return table.findByPersonIdOrderByDoneAt(person);
    }

    /**
     * Keeps an exercise once, however often it is sent.
     *
     * @throws Refusal if that id belongs to another exercise
     */
    @Transactional
    public void keep(UUID id, UUID person, Instant doneAt, LocalDate day, Exercise exercise, Worth worth) {
        oneAtATime(person);
        Optional<TrainingRow> before = table.findById(id);
        if (before.filter(row -> !row.personId().equals(person) || !row.isOf(exercise)).isPresent()) {
            throw Refusal.invalid("id", Sentence.of("refusal.trainer.idTaken"));
        }
        if (before.isEmpty()) {
            table.saveAndFlush(new TrainingRow(id, person, doneAt, day, exercise, worth));
        }
    }

    boolean isShown(UUID person) {
        return shownTable.existsById(person);
    }

    /** Everybody who wishes to be compared. */
    List<UUID> shown() {
        return shownTable.findAll().stream().map(TrainingShownRow::personId).toList();
    }

    /** Whether somebody wishes to be compared. */
    @Transactional
    public void show(UUID person, boolean shown) {
        oneAtATime(person);
        if (!shown) {
            shownTable.deleteById(person);
        } else if (!isShown(person)) {
            shownTable.save(new TrainingShownRow(person));
        }
    }

    /** A person's own entries, sent twice at once, wait for each other. */
    private void oneAtATime(UUID person) {
        jdbc.sql("select pg_advisory_xact_lock(hashtextextended(?, 0))").param("trainer " + person).query()
                .listOfRows();
    }
}
