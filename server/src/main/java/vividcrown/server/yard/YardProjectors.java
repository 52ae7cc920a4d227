package vividcrown.server.yard;

import java.util.Objects;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Predicate;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.Journal;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Projector;
import vividcrown.server.journal.SubjectKind;

/** Makes the rows of yards, builders and nucs from the entries that set them up. */
@Configuration
class YardProjectors {

    private final Journal journal;
    private final Payloads payloads;

    YardProjectors(Journal journal, Payloads payloads) {
        this.journal = journal;
        this.payloads = payloads;
    }

    @Bean
    Projector yardProjector(Yards yards) {
        return new SetUpProjector(SubjectKind.YARD, EntryKind.YARD_OPENED, yards::existsById,
                entry -> yards.save(new Yard(entry.subjectId(), payloads.read(entry, YardSetUp.class))));
    }

    @Bean
    Projector builderProjector(Builders builders) {
        return new SetUpProjector(SubjectKind.BUILDER, EntryKind.BUILDER_SET_UP, builders::existsById, entry -> {
            BoxSetUp setUp = payloads.read(entry, BoxSetUp.class);
            builders.save(new Builder(entry.subjectId(), setUp, Objects.requireNonNull(setUp.school())));
        });
    }

    @Bean
    Projector nucProjector(Nucs nucs) {
        return new SetUpProjector(SubjectKind.NUC, EntryKind.NUC_SET_UP, nucs::existsById, entry -> {
            Nuc nuc = nucs.findById(entry.subjectId()).orElseGet(() -> new Nuc(entry.subjectId()));
            nuc.setUp(payloads.read(entry, BoxSetUp.class), entry.happenedOn());
            nucs.save(nuc);
        });
    }

    /** A box is what the last entry that set it up says. */
    private final class SetUpProjector implements Projector {
        private final SubjectKind subjectKind;
        private final EntryKind setUp;
        private final Predicate<UUID> exists;
        private final Consumer<JournalEntry> save;

        SetUpProjector(SubjectKind subjectKind, EntryKind setUp, Predicate<UUID> exists,
                Consumer<JournalEntry> save) {
            this.subjectKind = subjectKind;
            this.setUp = setUp;
            this.exists = exists;
            this.save = save;
        }

        @Override
        public SubjectKind subjectKind() {
            return subjectKind;
        }

        @Override
        public void project(UUID subject) {
            journal.standing(subject).stream().filter(entry -> entry.kind() == setUp).reduce((_, last) -> last)
                    .ifPresent(save);
        }

        @Override
        public boolean exists(UUID subject) {
            return exists.test(subject);
        }
    }
}
