package vividcrown.core.queen;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.assumptions.Figure;
import vividcrown.core.odds.LateOdds;
import vividcrown.core.odds.Rate;
import vividcrown.core.rearing.GraftCalendar;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.StepKind;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.DaySpan;

/**
 * What is to be expected of a queen on a given day, from the facts of her life.
 *
 * <p>Spans narrow as things are seen: a cell still closed on day x did not emerge before x; a look without eggs on day y
 * moves her first eggs to y or later.
 *
 * @param emergence when she emerged or will, empty if not known (a queen bought or found)
 * @param flights days on which she may fly to mate
 * @param firstEggs when she began to lay or will
 * @param flatBrood when flat sealed worker brood can first be judged
 * @param due what to do next at her box, empty if nothing
 * @param handsOff days on which her box or bar stays shut
 * @param isLate no eggs though the day from which the trade calls it late has come
 * @param comesGood odds that she will still lay worker eggs, for one that is looked at and has none
 */
public record QueenOutlook(Optional<DatedSpan> emergence, Optional<DatedSpan> flights, Optional<DatedSpan> firstEggs,
        Optional<DatedSpan> flatBrood, Optional<Due> due, List<HandsOff> handsOff, boolean isLate,
        Optional<Double> comesGood) {

    public QueenOutlook {
        handsOff = List.copyOf(handsOff);
    }

    /**
     * @param life the facts
     * @param plan the graft she comes from; empty for a queen bought or found
     * @param mating belief about virgins of this operation that mate and lay
     * @param scheme which colour queens are marked with
     */
    public static QueenOutlook of(QueenLife life, Optional<GraftPlan> plan, Assumptions assumptions, Rate mating,
            MarkingScheme scheme, LocalDate today) {
        return new Reckoning(life, plan, assumptions, mating, scheme, today).reckon();
    }

    /**
     * The first look for eggs: 14 to 21 days after a ripe cell was placed. A virgin placed as such is counted from her
     * emergence, so that her flights are over.
     */
    static DatedSpan firstLook(QueenLife life, DatedSpan emergence, Assumptions assumptions) {
        return life.on(Milestone.PLACED_AS_CELL)
                .map(placed -> assumptions.span(Figure.FIRST_LOOK).windowFrom(placed))
                .orElseGet(() -> assumptions.span(Figure.FIRST_LOOK).windowFrom(emergence.likely()));
    }

    /** The dates first, then what is due. */
    private static final class Reckoning {
        /** A look so many days ago is as good as one of today. Common practice. */
        private static final int FRESH_LOOK_DAYS = 2;

        private final QueenLife life;
        private final Optional<GraftPlan> plan;
        private final Assumptions assumptions;
        private final Rate mating;
        private final MarkingScheme scheme;
        private final LocalDate today;

        Reckoning(QueenLife life, Optional<GraftPlan> plan, Assumptions assumptions, Rate mating, MarkingScheme scheme,
                LocalDate today) {
            this.life = life;
            this.plan = plan;
            this.assumptions = assumptions;
            this.mating = mating;
            this.scheme = scheme;
            this.today = today;
        }

        QueenOutlook reckon() {
            Optional<DatedSpan> emergence = emergence();
            Optional<DatedSpan> flights = emergence.map(span -> span.plus(assumptions.span(Figure.MATING_FLIGHTS)));
            Optional<DatedSpan> firstEggs = firstEggs(emergence);
            Optional<DatedSpan> flatBrood = firstEggs
                    .map(span -> span.plus(assumptions.span(Figure.FLAT_SEALED_BROOD)));
            boolean late = emergence.isPresent() && waitsForEggs()
                    && !today.isBefore(emergence.get().likely().plusDays(assumptions.late()));
            Optional<Double> comesGood = emergence.filter(_ -> looksHaveFailed() || late).map(span -> comesGood(span));
            return new QueenOutlook(emergence, flights, firstEggs, flatBrood,
                    life.isAlive() ? due(emergence, firstEggs, comesGood) : Optional.empty(), handsOff(flights), late,
                    comesGood);
        }

        private Optional<DatedSpan> emergence() {
            Optional<DatedSpan> expected = plan
                    .map(graft -> GraftCalendar.emergenceAfterGraft(graft, assumptions).from(graft.graftDay()));
            if (expected.isEmpty()) {
                return life.on(Milestone.EMERGED_SEEN).map(DatedSpan::on);
            }
            DatedSpan span = expected.get();
            for (Milestone stillClosed : List.of(Milestone.SEALED_SEEN, Milestone.CAGED, Milestone.PLACED_AS_CELL)) {
                span = life.on(stillClosed).map(span::notBefore).orElse(span);
            }
            for (Milestone out : List.of(Milestone.EMERGED_SEEN, Milestone.VIRGIN_SEEN)) {
                span = life.on(out).map(span::notAfter).orElse(span);
            }
            return Optional.of(span);
        }

        private Optional<DatedSpan> firstEggs(Optional<DatedSpan> emergence) {
            if (emergence.isEmpty()) {
                return life.on(Milestone.EGGS_SEEN).map(DatedSpan::on);
            }
            DatedSpan span = emergence.get().plus(assumptions.span(Figure.FIRST_EGGS));
            span = life.on(Milestone.LAST_LOOK_WITHOUT_EGGS)
                    .filter(look -> life.on(Milestone.EGGS_SEEN).map(look::isBefore).orElse(true)).map(span::notBefore)
                    .orElse(span);
            return Optional.of(life.on(Milestone.EGGS_SEEN).map(span::notAfter).orElse(span));
        }

        private boolean waitsForEggs() {
            return life.isAlive() && life.stage().compareTo(Stage.LAYING) < 0
                    && life.where() instanceof Whereabouts.InHive;
        }

        private boolean looksHaveFailed() {
            return waitsForEggs() && life.has(Milestone.LAST_LOOK_WITHOUT_EGGS);
        }

        /** Odds as of the last look that found nothing, or of today if she is late and nobody has looked. */
        private double comesGood(DatedSpan emergence) {
            LocalDate asOf = life.on(Milestone.LAST_LOOK_WITHOUT_EGGS).orElse(emergence.likely());
            return new LateOdds(mating, assumptions)
                    .stillComesGood(ChronoUnit.DAYS.between(emergence.likely(), asOf));
        }

        private Optional<Due> due(Optional<DatedSpan> emergence, Optional<DatedSpan> firstEggs,
                Optional<Double> comesGood) {
            return switch (life.where()) {
                case Whereabouts.OnTheBar _ -> Optional.empty();
                case Whereabouts.InIncubator _ -> emergence.map(this::dueInIncubator);
                case Whereabouts.InHive _ -> dueInHive(emergence, firstEggs, comesGood);
                case Whereabouts.Elsewhere _ -> Optional.empty();
            };
        }

        private Due dueInIncubator(DatedSpan emergence) {
            if (life.stage() == Stage.VIRGIN) {
                return due(Work.INTRODUCE_VIRGIN, emergence.plus(assumptions.span(Figure.VIRGIN_INTRODUCTION)),
                        Reason.of(Source.COMMON_PRACTICE, "due.introduceVirgin", emergence));
            }
            return due(Work.CHECK_EMERGENCE, emergence,
                    Reason.of(Source.derived("days from egg to virgin, less the age of the larva"), "due.incubator",
                            emergence));
        }

        private Optional<Due> dueInHive(Optional<DatedSpan> emergence, Optional<DatedSpan> firstEggs,
                Optional<Double> comesGood) {
            return switch (life.stage()) {
                case GRAFTED, TAKEN, SEALED -> emergence.map(this::dueAsCell);
                case VIRGIN -> emergence.map(span -> dueAsVirgin(span, comesGood));
                case LAYING -> firstEggs.map(this::dueAsLayer);
                case JUDGED ->
                    life.isMarked() && !life.has(Milestone.MARK_WORN) ? Optional.empty() : Optional.of(dueToMark());
                case DRONE_LAYER -> Optional.of(replace(life.on(Milestone.DRONE_BROOD_SEEN).orElse(today),
                        Reason.of(Source.COMMON_PRACTICE, "due.droneLayer")));
                case NOT_TAKEN, CULLED, DUD, DEAD, TAKEN_OUT -> Optional.empty();
            };
        }

        private Due dueAsCell(DatedSpan emergence) {
            LocalDate placed = life.on(Milestone.PLACED_AS_CELL).orElse(emergence.earliest());
            DatedSpan check = DatedSpan.on(placed).plus(assumptions.span(Figure.EMERGENCE_CHECK))
                    .notBefore(emergence.likely());
            DatedSpan look = firstLook(emergence);
            if (!today.isBefore(look.earliest())) {
                return due(Work.LOOK_FOR_EGGS, look,
                        Reason.of(Source.COMMON_PRACTICE, "due.neverChecked", placed, look.earliest()));
            }
            return due(Work.CHECK_EMERGENCE, check,
                    Reason.of(Source.COMMON_PRACTICE, "due.checkEmergence", placed, emergence));
        }

        private Due dueAsVirgin(DatedSpan emergence, Optional<Double> comesGood) {
            LocalDate hopeless = emergence.likely().plusDays(assumptions.dronesOnly());
            Optional<LocalDate> eggless = life.on(Milestone.LAST_LOOK_WITHOUT_EGGS);
            if (eggless.isPresent() && !today.isBefore(hopeless)) {
                if (eggless.get().isBefore(hopeless.minusDays(FRESH_LOOK_DAYS))) {
                    // she may have begun since: nobody is replaced unseen
                    return due(Work.LOOK_AGAIN, DaySpan.ofDays(0, 0, 2).from(hopeless),
                            Reason.of(Source.COMMON_PRACTICE, "due.decide", eggless.get(), hopeless));
                }
                return replace(hopeless, Reason.of(Source.COMMON_PRACTICE, "due.hopeless", emergence, hopeless));
            }
            Optional<LocalDate> notFound = life.on(Milestone.NOT_FOUND);
            Optional<LocalDate> lastLook = life.on(Milestone.LAST_LOOK_WITHOUT_EGGS);
            if (lastLook.isPresent() && notFound.map(day -> !day.isAfter(lastLook.get())).orElse(true)) {
                DatedSpan again = assumptions.span(Figure.LOOK_AGAIN).windowFrom(lastLook.get());
                return due(Work.LOOK_AGAIN, again, Reason.of(Source.COMMON_PRACTICE, "due.lookAgain", lastLook.get(),
                        percent(comesGood.orElse(mating.mean())), hopeless));
            }
            if (notFound.isPresent()) {
                return due(Work.FIND_AGAIN, DaySpan.ofDays(7, 7, 14).windowFrom(notFound.get()),
                        Reason.of(Source.COMMON_PRACTICE, "due.findAgain", notFound.get()));
            }
            DatedSpan look = firstLook(emergence);
            return due(Work.LOOK_FOR_EGGS, look,
                    Reason.of(Source.COMMON_PRACTICE, "due.firstLook",
                            emergence.plus(assumptions.span(Figure.FIRST_EGGS)), look));
        }

        private DatedSpan firstLook(DatedSpan emergence) {
            return QueenOutlook.firstLook(life, emergence, assumptions);
        }

        private Due dueAsLayer(DatedSpan firstEggs) {
            DatedSpan sealed = firstEggs.plus(assumptions.span(Figure.FLAT_SEALED_BROOD));
            DatedSpan window = new DatedSpan(sealed.likely(), sealed.likely(), sealed.latest().plusDays(5));
            return due(Work.JUDGE_BROOD, window,
                    Reason.of(assumptions.source(Figure.FLAT_SEALED_BROOD), "due.judge", firstEggs));
        }

        /** A lost mark is a question about the queen, not the loss of her: worn off, or another queen in her place? */
        private Due dueToMark() {
            Optional<LocalDate> lost = life.on(Milestone.MARK_LOST);
            if (lost.isPresent()) {
                return due(Work.CHECK_MARK, DaySpan.ofDays(0, 0, 7).from(lost.get()),
                        Reason.of(Source.COMMON_PRACTICE, "due.markLost", lost.get()));
            }
            Optional<LocalDate> worn = life.on(Milestone.MARK_WORN);
            if (worn.isPresent()) {
                // nobody opens a hive for paint: whenever she is in hand anyway
                return due(Work.MARK, DaySpan.ofDays(0, 30, 90).from(worn.get()),
                        Reason.of(Source.COMMON_PRACTICE, "due.markWorn", worn.get(),
                                life.mark().toLowerCase(Locale.ROOT)));
            }
            LocalDate judged = life.on(Milestone.SEALED_BROOD_SEEN).orElse(today);
            return due(Work.MARK, DaySpan.ofDays(0, 0, 7).from(judged),
                    scheme.colourOf(life.emergenceYear())
                            .map(colour -> Reason.of(scheme.source(), "due.mark", colour.sentence(),
                                    String.valueOf(life.emergenceYear())))
                            .orElseGet(() -> Reason.of(scheme.source(), "due.markNoYear")));
        }

        private Due replace(LocalDate from, Reason reason) {
            return due(Work.REPLACE, DaySpan.ofDays(0, 1, 3).from(from), reason);
        }

        private List<HandsOff> handsOff(Optional<DatedSpan> flights) {
            List<HandsOff> shut = new ArrayList<>();
            if (plan.isPresent() && life.isAlive() && life.where() instanceof Whereabouts.OnTheBar) {
                GraftCalendar.of(plan.get(), assumptions).handsOff().stream()
                        .filter(step -> step.kind() == StepKind.HANDS_OFF_CELLS)
                        .forEach(step -> shut.add(new HandsOff(step.when(), step.reasons().getFirst())));
            }
            if (flights.isPresent() && waitsForEggs()) {
                DatedSpan look = firstLook(emergence().orElse(flights.get()));
                shut.add(new HandsOff(flights.get().notAfter(look.earliest().minusDays(1)),
                        Reason.of(assumptions.source(Figure.MATING_FLIGHTS), "graft.handsOffMating",
                                assumptions.span(Figure.MATING_FLIGHTS))));
            }
            return shut;
        }

        private static Due due(Work work, DatedSpan window, Reason reason) {
            return new Due(work, window, List.of(reason));
        }
    }

    private static String percent(double share) {
        return Math.round(share * 100) + " %";
    }
}
