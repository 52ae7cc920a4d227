package vividcrown.server.graft;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.time.ZonedDateTime;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.server.problem.Refusal;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Builders;

/** Planning a graft, and saying that it was done. */
@RestController
@RequestMapping("/api/v1/grafts")
class GraftController {

    /**
     * @param plannedFor day and hour; in the past where the graft was done already
     * @param done the graft was done, at the hour given
     */
    record PlanGraft(@NotNull UUID mother, @NotNull UUID builder, @NotBlank String grafter,
            @NotNull ZonedDateTime plannedFor, @NotNull LarvaAge larvaAge, @NotNull Placing placing,
            @Nullable Double incubatorCelsius, @NotNull Integer bars, @NotNull Integer cupsPerBar, boolean done) {

        private double celsius() {
            return Objects.requireNonNullElse(incubatorCelsius, GraftPlan.PROPER_INCUBATOR_CELSIUS);
        }

        private GraftPlanned planned() {
            return new GraftPlanned("", mother, builder, grafter, plannedFor, larvaAge, placing, celsius(), bars,
                    cupsPerBar, null, true);
        }
    }

    record Done(@NotNull ZonedDateTime graftedAt) {
    }

    private final GraftDesk desk;
    private final Grafts grafts;
    private final Builders builders;
    private final SettingsInForce settings;

    GraftController(GraftDesk desk, Grafts grafts, Builders builders, SettingsInForce settings) {
        this.desk = desk;
        this.grafts = grafts;
        this.builders = builders;
        this.settings = settings;
    }

    /** Made by the client's own id, so that a plan sent twice is one plan. */
    @PutMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void plan(@PathVariable UUID id, @Valid @RequestBody PlanGraft asked) {
        desk.plan(id, asked.planned(), asked.done());
    }

    /** The calendar that a plan would have; nothing is kept. */
    @PostMapping("/calendar")
    CalendarView preview(@Valid @RequestBody PlanGraft asked) {
        var school = builders.findById(asked.builder())
                .orElseThrow(() -> Refusal.invalid("builder", "Choose the builder from the list.")).school();
        return CalendarView.of(GraftCalendar.of(new GraftPlan(asked.plannedFor().toLocalDate(), asked.larvaAge(),
                school, asked.placing(), asked.celsius()), settings.assumptions()));
    }

    @PostMapping("/{id}/done")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void done(@PathVariable UUID id, @Valid @RequestBody Done done) {
        desk.grafted(require(id), done.graftedAt());
    }

    @PostMapping("/{id}/cancel")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void cancel(@PathVariable UUID id) {
        desk.cancel(require(id));
    }

    private Graft require(UUID id) {
        return grafts.findById(id)
                .orElseThrow(() -> Refusal.notFound("There is no graft with this id. Choose one from the list."));
    }
}
