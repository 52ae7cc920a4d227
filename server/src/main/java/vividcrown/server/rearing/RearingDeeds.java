package vividcrown.server.rearing;

import java.time.ZonedDateTime;
import java.util.Locale;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;

/** The deeds of grafts and builders. */
@Configuration
class RearingDeeds {

    /** Nobody plans further ahead than the season after this one. */
    private static final int FURTHEST_YEARS = 2;

    private final Grafts grafts;
    private final Today today;

    RearingDeeds(Grafts grafts, Today today) {
        this.grafts = grafts;
        this.today = today;
    }

    @Bean
    DeedKinds rearingDeedKinds() {
        return DeedKinds.of(
                DeedKind.of("GRAFT_PLANNED", RearingDeed.Planned.class).bringing(RearingDeed.GRAFT)
                        .through(this::planned),
                DeedKind.of("GRAFT_DONE", RearingDeed.Done.class),
                DeedKind.of("GRAFT_CANCELLED", RearingDeed.Cancelled.class),
                DeedKind.of("GRAFT_STEP_DONE", RearingDeed.StepDone.class),
                DeedKind.of("GRAFT_NOTED", RearingDeed.Noted.class),
                DeedKind.of("GRAFT_MEANT_FOR", RearingDeed.MeantFor.class),
                DeedKind.of("BUILDER_RUN", RearingDeed.BuilderRun.class).ofOwner());
    }

    /** A graft keeps the code that it was given when it was planned first. */
    private RearingDeed.Planned planned(RearingDeed.Planned asked, Admission admission) {
        ZonedDateTime when = asked.plannedFor().withZoneSameInstant(today.zone());
        if (when.toLocalDate().isAfter(admission.today().plusYears(FURTHEST_YEARS))
                || when.toLocalDate().isBefore(admission.today().minusYears(FURTHEST_YEARS))) {
            admission.refuse("plannedFor", "refusal.farOff", when.toLocalDate().toString(), FURTHEST_YEARS);
        }
        return asked.called(grafts.findById(asked.graft()).map(Graft::code)
                .orElseGet(() -> nextCode(when.getYear(), admission)));
    }

    private String nextCode(int year, Admission admission) {
        String prefix = String.format(Locale.ROOT, "%02d-", year % 100);
        int last = grafts.lastCode(prefix + "%").stream().findFirst()
                .map(code -> Integer.parseInt(code.substring(prefix.length()))).orElse(0);
        return String.format(Locale.ROOT, "%s%02d", prefix, last + 1 + admission.before(RearingDeed.Planned.class));
    }
}
