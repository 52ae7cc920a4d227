package vividcrown.server.colony;

import java.time.LocalDate;
import org.springframework.stereotype.Component;
import vividcrown.core.judgement.Advice;
import vividcrown.core.judgement.Advisor;
import vividcrown.core.judgement.Judge;
import vividcrown.core.judgement.Season;
import vividcrown.core.judgement.Verdict;
import vividcrown.core.mating.MatingClimate;
import vividcrown.core.odds.LossStep;
import vividcrown.core.settings.Settings;
import vividcrown.server.clock.Today;
import vividcrown.server.queen.OwnRates;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.weather.Weathers;
import vividcrown.server.yard.Yard;

/** Judges colonies by the operation's own figures, in the season of their yard. */
@Component
public class ColonyJudge {

    private final SettingsInForce settings;
    private final Weathers weathers;
    private final Today today;
    private final Said said;
    private final OwnRates rates;

    ColonyJudge(SettingsInForce settings, Weathers weathers, Today today, Said said, OwnRates rates) {
        this.settings = settings;
        this.weathers = weathers;
        this.today = today;
        this.said = said;
        this.rates = rates;
    }

    Judge judge(Yard yard) {
        return new Judge(settings.assumptions(), new Season(yard.isSouthern(), yard.climateOfPlace(), mates()),
                said.own(today.day()));
    }

    /** With what would settle it, and what can be done. */
    public Verdict verdict(ColonyBook.Facts facts, Yard yard, LocalDate today) {
        return judge(yard).judge(facts.readings(), facts.events(), today);
    }

    Advice advice(Verdict verdict, ColonyBook.Facts facts, Yard yard) {
        return advisor(yard).advise(verdict, facts.readings());
    }

    /** With the weather that is known of the yard: asked for once, for all that stand there. */
    Advisor advisor(Yard yard) {
        Settings own = settings.current();
        return new Advisor(own.assumptions(), climate(yard), mates(), own.preferred());
    }

    /** Share of virgins that came to lay, by the operation's own record over the trade's. */
    private double mates() {
        return rates.counts().of(LossStep.MATING).mean();
    }

    static Season season(Yard yard) {
        return new Season(yard.isSouthern(), yard.climateOfPlace());
    }

    private MatingClimate climate(Yard yard) {
        LocalDate day = today.day();
        return weathers.at(yard, day).asOf(day);
    }
}
