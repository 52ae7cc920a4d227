package vividcrown.server.introduction;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.ReadingNotes;
import vividcrown.core.introduction.Receiver;
import vividcrown.core.introduction.Receiver.Nurses;
import vividcrown.core.introduction.Receiver.Search;
import vividcrown.core.journal.Entry;
import vividcrown.core.judgement.Contents;
import vividcrown.core.judgement.Contents.QueenIs;
import vividcrown.core.judgement.Status;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.reading.ColonyEvent;
import vividcrown.core.reading.EventKind;
import vividcrown.core.reading.Sign;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.yard.Flow;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.colony.ColonyGlances.Glance;
import vividcrown.server.hive.Hive;
import vividcrown.server.mating.YardFlow;
import vividcrown.server.yard.Yard;

/** Colonies that are to get a queen, as the record has them. */
@Component
class Receivers {

    /** A search says nothing of what came in later; a virgin can fly in. */
    private static final int SEARCH_HOLDS_DAYS = 3;
    private static final int CUT_HOLDS_DAYS = 7;
    private static final int USUAL_TEMPER = 2;

    private final YardFlow flows;

    Receivers(YardFlow flows) {
        this.flows = flows;
    }

    /** @param worth of a queen that is kept there, in whatever money */
    Receiver of(Hive hive, Glance glance, Yard yard, double worth, LocalDate today) {
        Verdict verdict = glance.verdict();
        ColonyBook.Facts facts = glance.facts();
        LocalDate since = changed(facts.events()).filter(today.minusDays(SEARCH_HOLDS_DAYS)::isBefore)
                .orElse(today.minusDays(SEARCH_HOLDS_DAYS));
        List<Entry> lately = facts.reads().stream().filter(entry -> !entry.day().isBefore(since)).toList();
        return new Receiver(hive.code(),
                bounded(is(verdict, QueenIs.LAYING) + is(verdict, QueenIs.KEPT_FROM_LAYING)
                        + is(verdict, QueenIs.TWO) + is(verdict, QueenIs.LAYS_DRONES)),
                bounded(is(verdict, QueenIs.VIRGIN) + is(verdict, QueenIs.MATED)),
                bounded(1 - verdict.contents().cells().getOrDefault(Contents.CellsAre.NONE, 1.0)),
                bounded(verdict.chance(Status.LAYING_WORKERS)), search(lately), cutOn(facts.events(), today),
                lastEgg(verdict, today), Nurses.MANY, flow(yard, today), temper(facts), robbed(facts),
                Suspicion.of(facts.readings()).stops(), worth, "", true);
    }

    private static double is(Verdict verdict, QueenIs who) {
        return verdict.contents().queen().getOrDefault(who, 0.0);
    }

    private static double bounded(double chance) {
        return Math.clamp(Math.round(1000 * chance) / 1000.0, 0, 1);
    }

    private Flow flow(Yard yard, LocalDate today) {
        return flows.at(yard, today).map(YardFlow.FlowView::flow).orElse(Flow.LITTLE);
    }

    private static int temper(ColonyBook.Facts facts) {
        return facts.notes().reversed().stream().flatMap(notes -> notes.temper().stream()).findFirst()
                .orElse(USUAL_TEMPER);
    }

    private static boolean robbed(ColonyBook.Facts facts) {
        return !facts.readings().isEmpty() && facts.readings().getLast().saw(Sign.ROBBING);
    }

    /** How often every frame was gone through by the readings of the last days. */
    private static Search search(List<Entry> lately) {
        int passes = 0;
        boolean some = false;
        for (Entry entry : lately) {
            ReadingNotes notes = ColonyBook.notes(entry);
            // a search that found somebody says nothing of who is left
            boolean foundHer = notes.seen().contains(Sign.QUEEN) || notes.seen().contains(Sign.QUEEN_MARKED)
                    || notes.seen().contains(Sign.VIRGIN);
            passes += foundHer ? 0 : notes.search().map(ReadingNotes.QueenSearch::passes).orElse(0);
            some |= !notes.sides().isEmpty() || notes.looked().isPresent();
        }
        return passes >= 2 ? Search.TWICE : passes == 1 ? Search.EVERY_FRAME : some ? Search.IN_PART : Search.NOT;
    }

    /** When somebody was last taken out or put in: what was searched before does not count. */
    private static Optional<LocalDate> changed(List<ColonyEvent> events) {
        return events.stream().filter(event -> switch (event.kind()) {
            case QUEEN_REMOVED, QUEEN_GIVEN, CELL_GIVEN, VIRGIN_GIVEN, UNITED, STARTED, SPLIT_WITHOUT_QUEEN,
                    SPLIT_WITHOUT_EGGS ->
                true;
            default -> false;
        }).map(ColonyEvent::day).reduce((_, last) -> last);
    }

    private static Optional<LocalDate> cutOn(List<ColonyEvent> events, LocalDate today) {
        return events.stream().filter(event -> event.kind() == EventKind.CELLS_DESTROYED).map(ColonyEvent::day)
                .filter(day -> !day.isBefore(today.minusDays(CUT_HOLDS_DAYS))).reduce((_, last) -> last);
    }

    /** What the brood proves; where only a latest day is proven that is taken. */
    private static Optional<DatedSpan> lastEgg(Verdict verdict, LocalDate today) {
        return verdict.proof().lastEgg()
                .map(until -> until.bounded().orElseGet(() -> DatedSpan.on(until.latest())))
                .filter(span -> !span.latest().isAfter(today));
    }

}
