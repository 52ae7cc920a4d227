package vividcrown.server.mite;

import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.judgement.Contents;
import vividcrown.core.judgement.Contents.QueenIs;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.mite.BroodBreak;
import vividcrown.core.mite.MiteRecord;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.core.swarm.SwarmPath;
import vividcrown.core.time.DatedSpan;
import vividcrown.core.time.Until;
import vividcrown.server.colony.ColonyBook;
import vividcrown.server.colony.ColonyJudge;
import vividcrown.server.colony.Swarms;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yard;

/** What stops the brood of a hive: a caged queen, a path against swarming that was begun, or that none lays in it. */
@Component
class BroodStops {

    private static final double LIKELY = 0.5;
    /** Of full lay: in winter she rests. */
    private static final double RESTS = 0.1;
    /** Longer ago than that nothing is sealed in any case. */
    private static final int LONG_AGO_DAYS = 120;

    private final ColonyJudge judges;
    private final Swarms swarms;
    private final SettingsInForce settings;

    BroodStops(ColonyJudge judges, Swarms swarms, SettingsInForce settings) {
        this.judges = judges;
        this.swarms = swarms;
        this.settings = settings;
    }

    /**
     * @param brood empty where drone brood goes on, whatever becomes of the worker brood
     * @param why what stops it
     */
    record Stopped(Optional<BroodBreak> brood, Sentence why) {
        private static Stopped by(BroodBreak brood, Sentence why) {
            return new Stopped(Optional.of(brood), why);
        }
    }

    /** @return empty while brood goes on, or where nobody knows since when it does not */
    Optional<Stopped> of(ColonyBook.Facts facts, Yard yard, LocalDate today) {
        BeeYear year = yard.year();
        boolean drones = facts.readings().reversed().stream()
                .filter(reading -> reading.saw(Sign.SEALED_DRONE) || reading.missed(Sign.SEALED_DRONE)).findFirst()
                .map(reading -> reading.saw(Sign.SEALED_DRONE)).orElse(true);
        return caged(facts.mites(), drones, year)
                .or(() -> divided(facts, yard, drones, year, today))
                .or(() -> nobodyLays(facts, yard, drones, year, today));
    }

    private Optional<Stopped> caged(MiteRecord mites, boolean drones, BeeYear year) {
        return mites.stop().map(stop -> Stopped.by(BroodBreak.of(BroodBreak.Plan.QUEEN_CAGED,
                DatedSpan.on(stop.since()), stop.release(), 0, drones, false, year, settings.assumptions()),
                Sentence.of("brood.why.caged", stop.since(), stop.release())));
    }

    /** The queen was taken out against swarming: what is left raises one. */
    private Optional<Stopped> divided(ColonyBook.Facts facts, Yard yard, boolean drones, BeeYear year,
            LocalDate today) {
        return swarms.of(facts, yard, Optional.empty(), today).map(Swarms.Underway::swarm)
                .flatMap(swarm -> swarm.begun().map(SwarmPath::begun)
                        .flatMap(since -> swarm.plan().youngQueen().map(next -> Stopped.by(
                                BroodBreak.between(BroodBreak.Plan.RAISES_ITS_OWN, DatedSpan.on(since),
                                        Optional.of(next.firstEggs()), drones, false, year, settings.assumptions()),
                                Sentence.of("brood.why.divided", since)))));
    }

    private Optional<Stopped> nobodyLays(ColonyBook.Facts facts, Yard yard, boolean drones, BeeYear year,
            LocalDate today) {
        Verdict verdict = judges.verdict(facts, yard, today);
        Contents in = verdict.contents();
        Optional<DatedSpan> lastEgg = verdict.proof().lastEgg().map(BroodStops::span)
                .filter(egg -> egg.latest().isAfter(today.minusDays(LONG_AGO_DAYS)));
        if (chance(in, QueenIs.LAYS_DRONES) + in.workersLay() > LIKELY) {
            return Optional.of(new Stopped(Optional.empty(), Sentence.of("brood.why.drones", in.who())));
        }
        if (chance(in, QueenIs.LAYING) + chance(in, QueenIs.TWO) > LIKELY || lastEgg.isEmpty()) {
            return Optional.empty();
        }
        if (chance(in, QueenIs.KEPT_FROM_LAYING) > LIKELY) {
            // in winter nobody asks when brood ends: it does by itself
            return lastEgg.filter(egg -> year.laying(today) > RESTS && !egg.earliest().isAfter(today))
                    .map(egg -> Stopped.by(BroodBreak.of(BroodBreak.Plan.QUEEN_GIVEN, egg, today, 0, drones, false,
                            year, settings.assumptions()), Sentence.of("brood.why.nobody", in.who())));
        }
        return lastEgg.map(egg -> Stopped.by(BroodBreak.between(
                in.firstEggs().isPresent() ? BroodBreak.Plan.RAISES_ITS_OWN : BroodBreak.Plan.NOTHING, egg,
                in.firstEggs(), drones, false, year, settings.assumptions()),
                Sentence.of("brood.why.nobody", in.who())));
    }

    private static double chance(Contents in, QueenIs queen) {
        return in.queen().getOrDefault(queen, 0.0);
    }

    private static DatedSpan span(Until until) {
        return until.bounded().orElseGet(() -> DatedSpan.on(until.latest()));
    }
}
