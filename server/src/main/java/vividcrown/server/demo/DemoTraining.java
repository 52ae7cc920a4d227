package vividcrown.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import vividcrown.core.trainer.Exercise;
import vividcrown.core.trainer.Quality;
import vividcrown.core.trainer.Season;
import vividcrown.core.trainer.Skill;
import vividcrown.server.trainer.Trainings;

/** A winter of training: two people, some evenings a week, getting better. Made up. */
final class DemoTraining {

    private static final LocalDate FIRST_EVENING = LocalDate.of(2026, 1, 6);
    private static final int EVENINGS = 26;
    private static final int DAYS_BETWEEN = 4;
    private static final int EVENING_HOUR = 20;

    private final Trainings trainings;

    DemoTraining(Trainings trainings) {
        this.trainings = trainings;
    }

    /** @param head how much somebody knew at the beginning, 0–1 */
    void write(UUID person, double head) {
        Random luck = new Random(person.getLeastSignificantBits());
        List<Skill> skills = List.of(Skill.values());
        for (int evening = 0; evening < EVENINGS; evening++) {
            LocalDate day = FIRST_EVENING.plusDays((long) DAYS_BETWEEN * evening);
            double knows = head + (1 - head) * 0.8 * evening / EVENINGS;
            for (int nth = 0; nth < 3; nth++) {
                Skill skill = skills.get(luck.nextInt(skills.size()));
                boolean known = luck.nextDouble() < knows;
                int points = skill.name().startsWith("FIND_")
                        ? (int) Math.min(100, 100 * (0.5 + 0.5 * knows) * (0.85 + 0.15 * luck.nextDouble()))
                        : known ? 100 : 0;
                Quality quality = known ? Quality.WELL : Quality.WRONG;
                trainings.keep(id(person, evening, nth), person,
                        day.atTime(EVENING_HOUR, nth).atZone(DemoSeason.ZONE).toInstant(), day,
                        new Exercise(skill, 1, Season.SUMMER, luck.nextInt(1000)),
                        new Trainings.Worth(quality, points, 40));
            }
        }
        trainings.show(person, true);
    }

    private static UUID id(UUID person, int evening, int nth) {
        return UUID.nameUUIDFromBytes("%s %d %d".formatted(person, evening, nth).getBytes(StandardCharsets.UTF_8));
    }
}
