package vividcrown.server.journal;

import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividcrown.core.reason.Sentence;
import vividcrown.server.person.People;
import vividcrown.server.person.Role;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/**
 * Who may put an entry right, and who may take it away. Owners may all of it. Crew put right what crew record, whoever did; what an
 * owner recorded they do not take away.
 */
@Component
class EntryRights {

    private final Deeds deeds;
    private final People people;

    EntryRights(Deeds deeds, People people) {
        this.deeds = deeds;
        this.people = people;
    }

    /** What the signed-in person may do. */
    record OfPerson(boolean owner, Set<UUID> owners, Deeds deeds) {

        boolean mayCorrect(JournalEntry entry) {
            return owner || deeds.kind(entry.kind()).map(DeedKind::hand).orElseThrow() == DeedKind.Hand.ANYBODY;
        }

        /** @throws Refusal if the person may not put it right, or not take it away */
        void require(JournalEntry entry, boolean takesAway) {
            if (!mayCorrect(entry)) {
                throw Refusal.forbidden(Sentence.of("refusal.ownerOnly"));
            }
            if (takesAway && !mayTakeAway(entry)) {
                throw Refusal.forbidden(Sentence.of("refusal.ownersEntry"));
            }
        }

        boolean mayTakeAway(JournalEntry entry) {
            return owner || mayCorrect(entry) && !owners.contains(entry.recordedBy());
        }
    }

    OfPerson mine() {
        boolean owner = SignedIn.require().role() == Role.OWNER;
        return new OfPerson(owner, owner ? Set.of() : people.owners(), deeds);
    }
}
