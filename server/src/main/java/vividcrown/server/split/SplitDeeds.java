package vividcrown.server.split;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.reading.Suspicion;
import vividcrown.core.split.making.MakingStep;
import vividcrown.core.split.making.SplitDeed;
import vividcrown.core.split.making.SplitSheet;
import vividcrown.core.split.moving.MoveStep;
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
                DeedKind.of("MOVES_BEGUN", SplitDeed.MovesBegun.class).bringing(SplitDeed.SPLIT)
                        .through(this::movesBegun),
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

    private SplitDeed.MovesBegun movesBegun(SplitDeed.MovesBegun asked, Admission admission) {
        asked.sheet().hives().forEach(stand -> hives.findById(stand.hive()).filter(Hive::isEnded)
                .ifPresent(hive -> admission.refuse("hives", "refusal.split.ended", hive.code())));
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
                    .ifPresent(giver -> stopSuspect(giver.hive(), admission));
        });
        makings.movesOf(asked.split()).ifPresent(moving -> {
            Optional<MoveStep> step = moving.step(asked.step());
            if (step.isEmpty() && !moving.isALook(asked.step())) {
                admission.refuse("step", "refusal.split.noSuchStep", asked.step());
            }
            step.filter(_ -> asked.how() != SplitDeed.How.LEFT)
                    .ifPresent(one -> mixes(one).forEach(hive -> stopSuspect(hive, admission)));
        });
        return asked;
    }

    /** Nothing of a hive with a sign of disease goes anywhere, and nothing goes into it, until a named look lifts it. */
    private void stopSuspect(UUID id, Admission admission) {
        hives.findById(id).filter(hive -> Suspicion.of(book.facts(hive, admission.day()).readings()).stops())
                .ifPresent(hive -> admission.refuse("step", "refusal.split.suspect", hive.code()));
    }

    /** Hives whose combs or bees come together. */
    private static List<UUID> mixes(MoveStep step) {
        return switch (step) {
            case MoveStep.Frame frame -> List.of(frame.at().hive(), frame.to().hive());
            case MoveStep.Shaken shaken -> List.of(shaken.at().hive(), shaken.to().hive());
            case MoveStep.Join join -> List.of(join.at().hive(), join.keeps().hive());
            default -> List.of();
        };
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
