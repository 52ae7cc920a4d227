package vividcrown.server.split;

import java.util.Optional;
import java.util.Set;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.split.making.MakingStep;
import vividcrown.core.split.making.SplitDeed;
import vividcrown.core.split.making.SplitSheet;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;

/** The deeds of splits, and what is checked before they are recorded. */
@Configuration
class SplitDeeds {

    private final Hives hives;
    private final ColonyBook book;
    private final Makings makings;

    SplitDeeds(Hives hives, ColonyBook book, Makings makings) {
        this.hives = hives;
        this.book = book;
        this.makings = makings;
    }

    @Bean
    DeedKinds splitDeedKinds() {
        return DeedKinds.of(
                DeedKind.of("SPLIT_BEGUN", SplitDeed.Begun.class).bringing(SplitDeed.SPLIT).through(this::begun),
                DeedKind.of("SPLIT_STEP_DONE", SplitDeed.StepDone.class).through(this::stepDone),
                DeedKind.of("SPLIT_DROPPED", SplitDeed.Dropped.class));
    }

    private SplitDeed.Begun begun(SplitDeed.Begun asked, Admission admission) {
        for (SplitSheet.NewHive unit : asked.sheet().units()) {
            Optional<Hive> known = hives.called(unit.code()).filter(hive -> !hive.isEnded());
            known.ifPresent(hive -> admission.refuse("code", "refusal.split.codeTaken", hive.code()));
        }
        Set<String> meant = makings.codesMeant(admission.today());
        asked.sheet().units().stream().map(SplitSheet.NewHive::code).filter(meant::contains)
                .forEach(code -> admission.refuse("code", "refusal.split.codeMeant", code));
        return asked;
    }

    private SplitDeed.StepDone stepDone(SplitDeed.StepDone asked, Admission admission) {
        makings.of(asked.split()).ifPresent(making -> {
            Optional<MakingStep> step = MakingStep.of(making.sheet()).stream()
                    .filter(one -> one.key().equals(asked.step())).findFirst();
            if (step.isEmpty() && !making.isALaterStep(asked.step())) {
                admission.refuse("step", "refusal.split.noSuchStep", asked.step());
            }
            step.filter(_ -> asked.how() != SplitDeed.How.LEFT).flatMap(SplitDeeds::takesFrom)
                    .flatMap(giver -> hives.findById(giver.hive()))
                    .filter(hive -> Suspicion.of(book.facts(hive, admission.day()).readings()).stops())
                    .ifPresent(hive -> admission.refuse("step", "refusal.split.suspect", hive.code()));
        });
        return asked;
    }

    /** The hive that bees or combs leave, if any do. */
    private static Optional<SplitSheet.Giver> takesFrom(MakingStep step) {
        return switch (step) {
            case MakingStep.Frame frame -> Optional.of(frame.giver());
            case MakingStep.Shaken shaken -> Optional.of(shaken.giver());
            default -> Optional.empty();
        };
    }
}
