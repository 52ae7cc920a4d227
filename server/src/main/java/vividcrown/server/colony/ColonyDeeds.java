package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.judgement.JudgementDeed;
import vividcrown.core.judgement.Option;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.swarm.SwarmDeed;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** The deeds that follow a judgement. */
@Configuration
class ColonyDeeds {

    private final Hives hives;
    private final Yards yards;
    private final ColonyBook book;
    private final ColonyJudge judges;

    ColonyDeeds(Hives hives, Yards yards, ColonyBook book, ColonyJudge judges) {
        this.hives = hives;
        this.yards = yards;
        this.book = book;
        this.judges = judges;
    }

    @Bean
    DeedKinds colonyDeedKinds() {
        return DeedKinds.of(DeedKind.of("ACTION_CHOSEN", JudgementDeed.ActionChosen.class).through(this::chosen),
                DeedKind.of("SWARM_STEP_DONE", SwarmDeed.StepDone.class));
    }

    /** Keeps the dated follow-ups of the action as the advice of that day has them. */
    private JudgementDeed.ActionChosen chosen(JudgementDeed.ActionChosen asked, Admission admission) {
        Hive hive = hives.findById(asked.hive()).orElseThrow();
        Yard yard = yards.findById(hive.yardId()).orElseThrow();
        LocalDate day = admission.day();
        ColonyBook.Facts facts = book.facts(hive, day);
        Verdict verdict = judges.verdict(facts, yard, day);
        Optional<Option> option = judges.advice(verdict, facts, yard).options().stream()
                .filter(one -> one.action() == asked.action()).findFirst();
        if (option.isEmpty()) {
            admission.refuse("action", "refusal.notAdvised", asked.action().sentence(), verdict.leading().sentence());
        }
        return new JudgementDeed.ActionChosen(asked.hive(), asked.action(),
                option.map(Option::followUps).orElse(asked.followUps()));
    }
}
