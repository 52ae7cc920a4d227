package vividcrown.server.colony;

import java.time.LocalDate;
import org.springframework.stereotype.Component;
import vividcrown.core.judgement.Advice;
import vividcrown.core.judgement.Advisor;
import vividcrown.core.judgement.Judge;
import vividcrown.core.judgement.Season;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.settings.Settings;
import vividcrown.server.clock.Today;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.weather.Weathers;
import vividcrown.server.yard.Yard;

/** Judges colonies by the operation's own figures, in the season of their yard. */
@Component
class ColonyJudge {

    private final SettingsInForce settings;
    private final Weathers weathers;
    private final Today today;
    private final Said said;

    ColonyJudge(SettingsInForce settings, Weathers weathers, Today today, Said said) {
        this.settings = settings;
        this.weathers = weathers;
        this.today = today;
        this.said = said;
    }

    Judge judge(Yard yard) {
        return new Judge(settings.assumptions(), season(yard), said.own(today.day()));
    }

    /** With what would settle it, and what can be done. */
    Verdict verdict(ColonyBook.Facts facts, Yard yard, LocalDate today) {
        return judge(yard).judge(facts.readings(), facts.events(), today);
    }

    Advice advice(Verdict verdict, ColonyBook.Facts facts, Yard yard) {
        return advisor(yard).advise(verdict, facts.readings());
    }

    /** With the weather that is known of the yard: asked for once, for all that stand there. */
    Advisor advisor(Yard yard) {
        Settings own = settings.current();
        return new Advisor(own.assumptions(), climate(yard), own.preferred());
    }

    static Season season(Yard yard) {
        return new Season(yard.isSouthern(), yard.climateOfPlace());
    }

    private MatingClimate climate(Yard yard) {
        LocalDate day = today.day();
        return weathers.at(yard, day).asOf(day);
    }
}
