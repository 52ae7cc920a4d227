package vividcrown.server.split;

import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.split.making.MakingStep;
import vividcrown.core.split.making.SplitDeed;
import vividcrown.core.split.making.SplitSheet;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;

/** The deeds of splits, and what is checked before they are recorded. */
@Configuration
class SplitDeeds {

    private final Hives hives;
    private final Makings makings;

    SplitDeeds(Hives hives, Makings makings) {
        this.hives = hives;
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
        return asked;
    }

    private SplitDeed.StepDone stepDone(SplitDeed.StepDone asked, Admission admission) {
        makings.of(asked.split()).ifPresent(making -> {
            boolean known = MakingStep.of(making.sheet()).stream().anyMatch(step -> step.key().equals(asked.step()))
                    || making.isALaterStep(asked.step());
            if (!known) {
                admission.refuse("step", "refusal.split.noSuchStep", asked.step());
            }
        });
        return asked;
    }
}
