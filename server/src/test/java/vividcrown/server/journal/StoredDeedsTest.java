package vividcrown.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.server.support.Application;

/**
 * What was written once can be read for ever: {@code src/test/resources/deeds} holds one payload for each kind and
 * version, as it was stored. These files are never changed; a new version gets a file of its own.
 */
@ExtendWith(Application.class)
class StoredDeedsTest {

    private static final Path FOLDER = Application.projectRoot().resolve("server/src/test/resources/deeds");

    private final Deeds deeds;

    StoredDeedsTest(Application.Running application) {
        this.deeds = application.context().getBean(Deeds.class);
    }

    private static Set<String> stored() {
        try (Stream<Path> files = Files.list(FOLDER)) {
            return files.map(file -> file.getFileName().toString()).collect(Collectors.toCollection(TreeSet::new));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    @Test
    void there_is_one_for_each_kind_and_version_and_no_other() {
        assertThat(stored()).isEqualTo(deeds.kinds().stream()
                .flatMap(kind -> IntStream.rangeClosed(1, kind.version())
                        .mapToObj(version -> "%s.v%d.json".formatted(kind.name(), version)))
                .collect(Collectors.toCollection(TreeSet::new)));
    }

    @Test
    void each_is_read_whole_and_written_again_it_is_the_same_deed() throws IOException {
        for (String file : stored()) {
            String[] name = file.split("\\.");
            String payload = Files.readString(FOLDER.resolve(file));
            Deed deed = deeds.read(name[0], Integer.parseInt(name[1].substring(1)), payload);
            DeedKind<?> kind = deeds.kindOf(deed);
            assertThat(kind.name()).as(file).isEqualTo(name[0]);
            String written = deeds.write(deed);
            assertThat(deeds.read(kind.name(), kind.version(), written)).as(file).isEqualTo(deed);
            if (name[1].equals("v" + kind.version())) {
                assertContains(DeedJson.MAPPER.readTree(payload), DeedJson.MAPPER.readTree(written), file);
            }
        }
    }

    /** Every value stored is there after; what is new may be there besides. */
    private static void assertContains(JsonNode before, JsonNode after, String where) {
        if (before.isObject()) {
            before.propertyNames()
                    .forEach(name -> assertContains(before.path(name), after.path(name), where + "." + name));
        } else if (before.isArray()) {
            assertThat(after.size()).as(where).isEqualTo(before.size());
            if (before.valueStream().allMatch(JsonNode::isString)) { // sets come back in any order
                assertThat(after.valueStream().toList()).as(where).hasSameElementsAs(before.valueStream().toList());
            } else {
                IntStream.range(0, before.size())
                        .forEach(at -> assertContains(before.get(at), after.get(at), where + "[" + at + "]"));
            }
        } else if (before.isNumber()) {
            assertThat(after.asDouble()).as(where).isEqualTo(before.asDouble());
        } else {
            assertThat(after.toString()).as(where).isEqualTo(before.toString());
        }
    }

    @Test
    void every_deed_of_the_core_has_a_kind() {
        List<String> core = new ClassFileImporter().importPackages("vividcrown.core").stream()
                .filter(type -> type.isAssignableTo(Deed.class) && !type.isInterface()).map(JavaClass::getName)
                .toList();
        assertThat(core).isNotEmpty();
        assertThat(deeds.kinds()).extracting(kind -> kind.type().getName()).hasSameElementsAs(core);
    }

    @Test
    void an_older_version_is_brought_up_step_by_step() {
        DeedKind<HiveDeed.Noted> third = DeedKind
                .of("HIVE_NOTED", HiveDeed.Noted.class)
                .upcast(first -> renamed(first, "words", "said")).upcast(second -> renamed(second, "said", "text"));
        Deeds three = Deeds.of(List.of(DeedKinds.of(third)));
        String hive = "01900000-0000-7000-8000-000000000001";
        for (String part : List.of("words", "said", "text")) {
            int version = List.of("words", "said", "text").indexOf(part) + 1;
            assertThat(
                    three.read("HIVE_NOTED", version, "{\"hive\":\"%s\",\"%s\":\"new floor\"}".formatted(hive, part)))
                    .isEqualTo(new HiveDeed.Noted(UUID.fromString(hive), "new floor"));
        }
        assertThatThrownBy(() -> three.read("HIVE_NOTED", 4, "{}")).hasMessageContaining("HIVE_NOTED 4");
        assertThatThrownBy(() -> three.read("HIVE_PAINTED", 1, "{}")).hasMessageContaining("HIVE_PAINTED 1");
    }

    private static ObjectNode renamed(ObjectNode payload, String from, String to) {
        payload.set(to, payload.remove(from));
        return payload;
    }
}
