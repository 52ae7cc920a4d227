package vividcrown.core.reason;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import vividcrown.core.brood.Clash;
import vividcrown.core.hive.Lift;
import vividcrown.core.judgement.Action;
import vividcrown.core.judgement.BestLook;
import vividcrown.core.judgement.Status;
import vividcrown.core.queen.Stage;
import vividcrown.core.queen.Work;
import vividcrown.core.queen.YearColour;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.round.Caution;
import vividcrown.core.season.plan.Relaxation;
import vividcrown.core.swarm.Rung;
import vividcrown.core.swarm.SwarmStep;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

class SentencesTest {

    private static final Pattern KEY = Pattern
            .compile(
                    "\"((?:graft|due|clash|work|load|stage|colour|caution|step|brood|fact|swarm|material|found|advice|season|stores|swarmStep|plan)\\.[A-Za-z.]*[A-Za-z])\"");

    @Test
    void every_key_in_the_code_has_a_text() throws IOException {
        Set<String> used = new TreeSet<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
            for (Path file : files.filter(path -> path.toString().endsWith(".java")).toList()) {
                Matcher matcher = KEY.matcher(Files.readString(file));
                while (matcher.find()) {
                    used.add(matcher.group(1));
                }
            }
        }
        assertThat(used).hasSizeGreaterThan(40);
        assertThat(texts().keySet()).containsAll(used);
    }

    @Test
    void every_word_of_the_trade_has_a_text() {
        Stream.of(named("step.", StepKind.values()), named("stage.", Stage.values()), named("work.", Work.values()),
                named("colour.", YearColour.values()), named("caution.", Caution.values()),
                named("graft.makeUp.", BuilderSchool.values()), named("swarmStep.", SwarmStep.Kind.values()),
                named("stores.lift.", Lift.values()),
                named("plan.wayOut.", Relaxation.values()), named("sign.", Sign.values()),
                named("cell.", CellLook.values()), named("event.", EventKind.values()),
                named("status.", Status.values()), named("action.", Action.values()),
                named("needs.", Action.values()), named("beware.", Action.values()), named("rung.", Rung.values()),
                named("look.", BestLook.Kind.values()), named("explanation.", Clash.Explanation.values()))
                .flatMap(names -> names)
                .forEach(name -> assertThat(texts().containsKey(name)).as(name).isTrue());
    }

    @Test
    void days_and_spans_are_written_as_people_say_them() {
        LocalDate jun9 = LocalDate.of(2026, 6, 9);
        assertThat(Sentence.of("clash.beforeGraft", jun9, jun9.plusDays(1)))
                .hasToString("Tue 9 June lies before the graft on Wed 10 June. Change the day, or correct the graft.");
        assertThat(Sentence.of("due.incubator", DatedSpan.ofClosed(jun9, jun9.plusDays(2))))
                .hasToString("Emergence expected 9–11 June; virgins in cages need candy.");
        assertThat(Sentence.of("graft.sealed", DaySpan.ofHours(180, 192, 204)))
                .hasToString("Cells are sealed 7.5–8.5 days after the egg.");
        assertThat(Sentence.of("due.incubator", DatedSpan.ofClosed(jun9, jun9.plusMonths(1))))
                .hasToString("Emergence expected 9 June–9 July; virgins in cages need candy.");
    }

    @Test
    void the_language_of_the_machine_does_not_decide() {
        Locale before = Locale.getDefault();
        try {
            Locale.setDefault(Locale.FRENCH);
            assertThat(Sentence.of("step.GRAFT").in(Locale.ITALIAN)).isEqualTo("Graft");
        } finally {
            Locale.setDefault(before);
        }
    }

    private static Stream<String> named(String prefix, Enum<?>[] values) {
        return Arrays.stream(values).map(value -> prefix + value.name());
    }

    private static ResourceBundle texts() {
        return ResourceBundle.getBundle("vividcrown.core.sentences", Locale.ROOT);
    }
}
