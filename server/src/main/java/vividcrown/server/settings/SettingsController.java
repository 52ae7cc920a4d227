package vividcrown.server.settings;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.settings.OwnFigure;
import vividcrown.core.settings.Settings;
import vividcrown.server.job.LongJobs;
import vividcrown.server.operation.CurrentOperation;

/** What the operation does its own way. Everybody sees it, the owner changes it. */
@RestController
class SettingsController {

    /**
     * @param operation whose settings they are: the thing that a change concerns
     * @param formats comb area of one side, dm², by name: the usual frames and the own
     * @param standard the trade's value of every figure, with its source
     * @param reckoning how far living queens are reckoned with new figures; left out when all are
     */
    record SettingsPage(UUID operation, Settings settings, List<StandardFigure> standard, Map<String, Double> formats,
            LongJobs.@Nullable JobProgress reckoning) {
    }

    record StandardFigure(OwnFigure value, String source) {
    }

    private final SettingsInForce inForce;
    private final LongJobs jobs;

    SettingsController(SettingsInForce inForce, LongJobs jobs) {
        this.inForce = inForce;
        this.jobs = jobs;
    }

    @GetMapping("/api/v1/settings")
    @Operation(operationId = "settings", summary = "What the operation does its own way, beside what the trade does")
    @Transactional(readOnly = true)
    public SettingsPage current() {
        Settings settings = inForce.current();
        return new SettingsPage(CurrentOperation.require(), settings, Stream.of(Figure.values())
                .map(figure -> new StandardFigure(OwnFigure.standard(figure), figure.source().citation())).toList(),
                settings.frameFormats(), jobs.progress(LongJobs.FIGURES).orElse(null));
    }
}
