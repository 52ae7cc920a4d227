package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import org.springframework.stereotype.Component;
import vividcrown.core.judgement.Advice;
import vividcrown.core.judgement.Advisor;
import vividcrown.core.judgement.Judge;
import vividcrown.core.judgement.Season;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.settings.Settings;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.weather.WeatherStation;
import vividcrown.server.yard.Yard;

/** Judges colonies by the operation's own figures, in the season of their yard. */
@Component
class ColonyJudge {

    private final SettingsInForce settings;

    ColonyJudge(SettingsInForce settings) {
        this.settings = settings;
    }

    Judge judge(Yard yard) {
        return new Judge(settings.assumptions(), season(yard));
    }

    /** With what would settle it, and what can be done. */
    Verdict verdict(ColonyBook.Facts facts, Yard yard, LocalDate today) {
        return judge(yard).judge(facts.readings(), facts.events(), today);
    }

    Advice advice(Verdict verdict, ColonyBook.Facts facts, Yard yard) {
        Settings own = settings.current();
        return new Advisor(own.assumptions(), climate(yard), own.preferred()).advise(verdict, facts.readings());
    }

    static Season season(Yard yard) {
        return new Season(yard.isSouthern());
    }

    /** The share of afternoons fit for mating in the same week of the last twenty years, from the yard's station. */
    private static MatingClimate climate(Yard yard) {
        WeatherStation station = new WeatherStation(yard.id(), yard.elevationMetres());
        Map<LocalDate, Double> known = new HashMap<>();
        return day -> known.computeIfAbsent(day, station::oddsOfMatingAfternoon);
    }
}
