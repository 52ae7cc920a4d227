package vividcrown.server.introduction;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.introduction.IntroductionDeed;
import vividcrown.core.introduction.IntroductionDeed.Begun;
import vividcrown.core.reading.Reading;
import vividcrown.core.reading.Sign;
import vividcrown.core.reading.Suspicion;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;

/** The deeds of introductions, and what is checked before a queen is put at risk. */
@Configuration
class IntroductionDeeds {

    /** Upright and lying eggs are younger than this. */
    private static final int EGGS_ARE_FRESH_DAYS = 3;
    /** Eggs stand so long after the queen is gone. */
    private static final int EGGS_HATCH_DAYS = 3;

    private final Hives hives;
    private final ColonyBook book;
    private final Introductions introductions;

    IntroductionDeeds(Hives hives, ColonyBook book, Introductions introductions) {
        this.hives = hives;
        this.book = book;
        this.introductions = introductions;
    }

    @Bean
    DeedKinds introductionDeedKinds() {
        return DeedKinds.of(
                DeedKind.of("INTRODUCTION_BEGUN", Begun.class).bringing(IntroductionDeed.INTRODUCTION)
                        .through(this::begun),
                DeedKind.of("CAGE_READ", IntroductionDeed.CageRead.class),
                DeedKind.of("LOOKED_THROUGH", IntroductionDeed.LookedThrough.class),
                DeedKind.of("QUEEN_FREED", IntroductionDeed.Freed.class),
                DeedKind.of("INTRODUCTION_CLOSED", IntroductionDeed.Closed.class));
    }

    private Begun begun(Begun asked, Admission admission) {
        asked.queen().filter(introductions::isOnHerWay)
                .ifPresent(_ -> admission.refuse("queen", "refusal.introduction.queenTwice", asked.code()));
        // the bees open it themselves, and kill her for the first new cell
        asked.noNewCellsFrom().filter(from -> from.isAfter(admission.day()) && asked.method().opensByItself())
                .ifPresent(from -> admission.refuse("method", "refusal.introduction.opensTooEarly", from));
        Optional<Hive> hive = hives.findById(asked.hive());
        hive.filter(Hive::isEnded)
                .ifPresent(one -> admission.refuse("hive", "refusal.introduction.ended", one.code()));
        hive.filter(one -> !one.isEnded()).ifPresent(one -> {
            if (!introductions.underWayIn(List.of(one.id())).isEmpty()) {
                admission.refuse("hive", "refusal.introduction.hiveTwice", one.code());
            }
            ColonyBook.Facts facts = book.facts(one, admission.day());
            if (Suspicion.of(facts.readings()).stops()) {
                admission.refuse("hive", "refusal.introduction.suspect", one.code());
            }
            lays(facts, admission.day()).ifPresent(
                    seen -> admission.refuse("hive", "refusal.introduction.lays", one.code(), seen));
        });
        return asked;
    }

    /** The day on which fresh eggs, or the queen herself, were seen, and nothing says that they are another's or she is gone. */
    private static Optional<LocalDate> lays(ColonyBook.Facts facts, LocalDate day) {
        return facts.readings().reversed().stream()
                .filter(reading -> !reading.day().isBefore(day.minusDays(EGGS_ARE_FRESH_DAYS)))
                .filter(reading -> reading.saw(Sign.QUEEN) && isStillThere(facts, reading.day())
                        || reading.saw(Sign.EGGS_SINGLE)
                                && isStillThere(facts, reading.day().minusDays(EGGS_HATCH_DAYS)))
                .map(Reading::day).findFirst();
    }

    /** Nobody took the queen away since, and no brood of another came in. */
    private static boolean isStillThere(ColonyBook.Facts facts, LocalDate since) {
        return facts.events().stream().filter(event -> !event.day().isBefore(since))
                .noneMatch(event -> switch (event.kind()) {
                    case QUEEN_REMOVED, SPLIT_WITHOUT_QUEEN, SPLIT_WITHOUT_EGGS, SWARMED, BROOD_GIVEN -> true;
                    default -> false;
                });
    }
}
