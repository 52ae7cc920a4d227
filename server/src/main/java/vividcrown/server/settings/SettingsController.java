package vividcrown.server.settings;

import com.fasterxml.uuid.Generators;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Recorder;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.operation.CurrentOperation;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/** What the operation does its own way. Everybody sees it, the owner changes it. */
@RestController
@RequestMapping("/api/v1/settings")
class SettingsController {

    /**
     * @param formats comb area of one side, dm², by name: the usual frames and the own
     * @param hands what a season is planned with, the usual where nothing was set
     * @param standard the trade's value of every figure, with its source
     */
    record SettingsPage(Settings settings, List<StandardFigure> standard, Map<String, Double> formats,
            Settings.SeasonHands hands) {
    }

    record StandardFigure(OwnFigure value, String source) {
    }

    private final SettingsInForce inForce;
    private final Recorder recorder;
    private final Payloads payloads;
    private final Today today;

    SettingsController(SettingsInForce inForce, Recorder recorder, Payloads payloads, Today today) {
        this.inForce = inForce;
        this.recorder = recorder;
        this.payloads = payloads;
        this.today = today;
    }

    @GetMapping
    SettingsPage current() {
        return page(inForce.current());
    }

    /** Everything reckoned from the old settings is reckoned again. */
    @PutMapping
    @Transactional
    public SettingsPage change(@Valid @RequestBody Settings asked) {
        SignedIn.requireOwner("change settings");
        check(asked);
        UUID operation = CurrentOperation.require();
        recorder.record(List.of(new JournalEntry(Generators.timeBasedEpochGenerator().generate(), today.now(),
                today.recordedAt(), SignedIn.require().id(), SubjectKind.OPERATION, operation,
                EntryKind.SETTINGS_CHANGED, payloads.write(asked), null)), true);
        recorder.rebuild();
        return page(asked);
    }

    private static void check(Settings asked) {
        try {
            asked.assumptions();
        } catch (IllegalArgumentException contradictory) {
            throw Refusal.invalid("figures", contradictory.getMessage() + ". Change one of them.");
        }
        try {
            new MarkingScheme(asked.marking());
        } catch (IllegalArgumentException incomplete) {
            throw Refusal.invalid("marking", incomplete.getMessage() + ". Choose each colour once.");
        }
    }

    private static SettingsPage page(Settings settings) {
        return new SettingsPage(settings, Stream.of(Figure.values()).map(
                figure -> new StandardFigure(OwnFigure.of(figure, figure.standard()), figure.source().citation()))
                .toList(), settings.frameFormats(), settings.hands());
    }
}
