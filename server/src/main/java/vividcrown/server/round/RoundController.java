package vividcrown.server.round;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.mating.Afternoon;
import vividcrown.core.round.Caution;
import vividcrown.core.round.Item;
import vividcrown.server.queen.QueenView;
import vividcrown.server.weather.Weathers;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;

/** The day's walk. */
@RestController
@RequestMapping("/api/v1/round")
class RoundController {

    /**
     * @param carry how many of each thing, for all yards together
     * @param cautions the short warnings that belong to this day's work
     */
    record RoundPage(LocalDate day, List<YardStops> yards, Map<Item, Integer> carry, List<Late> late,
            List<CautionView> cautions) {
    }

    /**
     * @param shut codes of hives that stay shut today, because their queens may fly
     * @param flightsFrom clock hour of the sun's noon here, from which queens may fly
     * @param weather the afternoon's weather, if somebody or a station noted it
     * @param fitOdds chance of an afternoon fit for mating, where nobody did
     * @param weatherBy where that is known from
     */
    record YardStops(UUID yard, String name, String caution, List<StopView> stops, List<String> shut,
            @Nullable LocalTime flightsFrom, @Nullable LocalTime flightsUntil,
            Afternoon.@Nullable Fitness weather, @Nullable Double airCelsius, @Nullable Double fitOdds,
            Weathers.@Nullable By weatherBy) {
    }

    /**
     * @param job the job's word
     * @param subjectKind QUEEN, GRAFT, HIVE or SPLIT
     * @param overdue it should have been done before today
     * @param queen whom it concerns, if it is one cell or queen
     * @param hive the empty hive that the cell goes to, where a ripe cell is given
     * @param graft the batch it concerns, if it is one
     * @param split the split that it belongs to, if to one
     * @param introduction the queen on her way into a colony that it is done for, if for one
     */
    record StopView(String job, String subjectKind, UUID subject, String code, String text, SpanView window,
            boolean overdue, List<ReasonView> reasons, @Nullable QueenView queen, @Nullable UUID hive,
            @Nullable UUID graft, @Nullable UUID split, @Nullable UUID introduction) {
    }

    record Late(UUID queen, String code, @Nullable String hive, int daysSinceEmergence, double comesGood,
            LocalDate decideBy) {
    }

    record CautionView(Caution id, String text) {
    }

    private final RoundPlanner planner;

    RoundController(RoundPlanner planner) {
        this.planner = planner;
    }

    /** What is due today, in walking order, with what to carry. */
    @GetMapping
    RoundPage today() {
        return planner.plan();
    }
}
