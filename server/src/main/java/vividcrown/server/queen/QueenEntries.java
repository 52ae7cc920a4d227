package vividcrown.server.queen;

import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vividcrown.core.queen.LifeEntry;
import vividcrown.core.queen.QueenEvent;
import vividcrown.server.journal.Detail;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;

/** Journal entries about a queen, as core's events. */
@Component
class QueenEntries {
    private final Payloads payloads;

    QueenEntries(Payloads payloads) {
        this.payloads = payloads;
    }

    Optional<LifeEntry> lifeEntry(JournalEntry entry) {
        return event(entry)
                .map(event -> new LifeEntry(entry.id(), entry.happenedOn(), entry.sequence(), event));
    }

    private Optional<QueenEvent> event(JournalEntry entry) {
        Detail detail = payloads.read(entry, Detail.class);
        return switch (entry.kind()) {
            case TOOK -> Optional.of(new QueenEvent.Took());
            case DID_NOT_TAKE -> Optional.of(new QueenEvent.DidNotTake());
            case SEALED -> Optional.of(new QueenEvent.SealedSeen());
            case CULLED -> Optional.of(new QueenEvent.Culled(Objects.requireNonNull(detail.reason())));
            case PLACED_IN_NUC -> Optional.of(new QueenEvent.PlacedInNuc(
                    Objects.requireNonNull(detail.nuc()), Optional.ofNullable(detail.place())));
            case CAGED_IN_INCUBATOR ->
                Optional.of(new QueenEvent.CagedInIncubator(Objects.requireNonNull(detail.cage())));
            case EMERGED -> Optional.of(new QueenEvent.Emerged());
            case DUD -> Optional.of(new QueenEvent.Dud());
            case VIRGIN_SEEN -> Optional.of(new QueenEvent.VirginSeen());
            case NO_EGGS_YET -> Optional.of(new QueenEvent.NoEggsYet());
            case EGGS_SEEN -> Optional.of(new QueenEvent.EggsSeen());
            case SEALED_WORKER_BROOD -> Optional.of(new QueenEvent.SealedWorkerBroodSeen());
            case DRONE_BROOD_ONLY -> Optional.of(new QueenEvent.DroneBroodOnly());
            case NOT_FOUND -> Optional.of(new QueenEvent.NotFound());
            case DEAD -> Optional.of(new QueenEvent.Dead());
            case MARKED -> Optional.of(new QueenEvent.Marked(Objects.requireNonNull(detail.colour()),
                    Objects.requireNonNullElse(detail.number(), "")));
            case MARK_LOST -> Optional.of(new QueenEvent.MarkLost());
            case TAKEN_OUT -> Optional.of(new QueenEvent.TakenOut(Objects.requireNonNullElse(detail.text(), "")));
            case NOTE -> Optional.of(new QueenEvent.Noted(Objects.requireNonNullElse(detail.text(), "")));
            case KNOWN -> Optional.of(new QueenEvent.Known(Objects.requireNonNull(detail.stage()),
                    Objects.requireNonNullElse(detail.emergenceYear(), 0)));
            case NOT_POSSIBLE, WITHDRAWN, STEP_DONE, GRAFT_PLANNED, GRAFT_MEANT_FOR, GRAFTED, GRAFT_CANCELLED,
                    YARD_OPENED,
                    BUILDER_SET_UP, NUC_SET_UP, SETTINGS_CHANGED,
                    READ, HAPPENED, SWARM_STEP_DONE, DRONE_COMB_IN, FRAME_TAKEN, FRAME_GIVEN, ACTION_CHOSEN,
                    COLONY_SET_UP, DRONE_COMB_MEANT,
                    ORDER_TAKEN,
                    ORDER_MOVED_ON, QUEENS_PROMISED, QUEENS_LET_GO, QUEENS_DELIVERED ->
                Optional.empty();
        };
    }
}
