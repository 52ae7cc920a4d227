package vividcrown.server.matingyard;

import com.fasterxml.uuid.Generators;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Recorder;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;
import vividcrown.server.yard.BoxSetUp;
import vividcrown.server.yard.Builder;
import vividcrown.server.yard.Builders;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Cell builders: which there are, how they are run, how much they bring up. */
@RestController
@RequestMapping("/api/v1/builders")
class BuilderController {

    /**
     * @param load cups that it brings up at a time
     * @param rhythm how often it can be loaded, by its school
     */
    record BuilderView(UUID id, String code, UUID yardId, String yard, int position, BuilderSchool school, int load,
            BuilderRhythm rhythm) {
    }

    /**
     * @param load cups that it brings up at a time; reckoned from its strength if left out
     * @param framesOfBees its strength, instead of a load
     */
    record BuilderSetUp(@NotNull UUID yard, @NotBlank String code, @Min(1) int position, @NotNull BuilderSchool school,
            @Nullable @Min(1) @Max(BuilderSchool.EXCEPTIONAL_LOAD) Integer load,
            @Nullable @DecimalMin("0") @DecimalMax("40") Double framesOfBees) {
    }

    private final Builders builders;
    private final Yards yards;
    private final Recorder recorder;
    private final Payloads payloads;
    private final Today today;

    BuilderController(Builders builders, Yards yards, Recorder recorder, Payloads payloads, Today today) {
        this.builders = builders;
        this.yards = yards;
        this.recorder = recorder;
        this.payloads = payloads;
        this.today = today;
    }

    @GetMapping
    List<BuilderView> all() {
        Map<UUID, String> names = yards.findAll().stream().collect(Collectors.toMap(Yard::id, Yard::name));
        return builders.findAll().stream().sorted(Comparator.comparing(Builder::code))
                .map(one -> new BuilderView(one.id(), one.code(), one.yardId(), names.getOrDefault(one.yardId(), "?"),
                        one.position(), one.school(), one.load(), BuilderRhythm.of(one.school())))
                .toList();
    }

    /** Made or changed by the client's own id. */
    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    public void setUp(@PathVariable UUID id, @Valid @RequestBody BuilderSetUp asked) {
        SignedIn.requireOwner("set builders up");
        recorder.takeTurn();
        List<Refusal.Finding> findings = new ArrayList<>();
        if (!yards.existsById(asked.yard())) {
            findings.add(new Refusal.Finding("yard", "There is no yard with this id. Choose one from the list."));
        }
        builders.findAll().stream().filter(one -> one.code().equals(asked.code().strip()) && !one.id().equals(id))
                .findFirst().ifPresent(one -> findings.add(new Refusal.Finding("code",
                        "There is a builder %s already. Choose another code.".formatted(one.code()))));
        Integer load = asked.load();
        if (load == null && asked.framesOfBees() != null) {
            load = BuilderRhythm.load(asked.framesOfBees());
            if (load == 0) {
                findings.add(new Refusal.Finding("framesOfBees",
                        "%s frames of bees cannot be crowded with nurses: strengthen it to five or more."
                                .formatted(asked.framesOfBees())));
            }
        }
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        recorder.record(List.of(new JournalEntry(Generators.timeBasedEpochGenerator().generate(), today.now(),
                today.recordedAt(), SignedIn.require().id(), SubjectKind.BUILDER, id, EntryKind.BUILDER_SET_UP,
                payloads.write(
                        new BoxSetUp(asked.yard(), asked.code().strip(), asked.position(), asked.school(), load)),
                null)), true);
    }
}
