package vividcrown.core.yard;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import vividcrown.core.climate.Climate;
import vividcrown.core.journal.Entry;

/** Makes of a yard's entries how it stands: of each part of it the last to speak is right. */
public final class YardFold {

    private YardFold() {
    }

    /**
     * @param opened how it was described last
     * @param climate what was said of its climate, if anything
     * @param stationOn the simulated station is switched on
     * @param mating how it serves for mating, if anything was said
     * @param flow what bees found here, as somebody said last, and when
     * @param closedOn the day it was closed, unless it was opened again since
     * @param days weather of past days as noted, by the day
     */
    public record State(YardDeed.Opened opened, Optional<YardDeed.ClimateSaid> climate, boolean stationOn,
            Set<SiteCondition> conditions, String rules, Optional<YardDeed.MatingSaid> mating, Optional<FlowNoted> flow,
            Optional<LocalDate> closedOn,
            Map<LocalDate, YardDeed.DayNoted> days) {

        /** As it was said, or else the likeliest for the place. */
        public Climate climateOrLikely() {
            return climate.map(YardDeed.ClimateSaid::climate)
                    .orElseGet(() -> Climate.likelyAt(opened.latitude(), opened.elevationMetres()));
        }
    }

    /** @param on the day on which it was so */
    public record FlowNoted(Flow flow, LocalDate on) {
    }

    /** @param record its standing entries, in order of happening @return empty if it was never opened */
    public static Optional<State> fold(List<Entry> record) {
        Optional<YardDeed.Opened> opened = Optional.empty();
        Optional<YardDeed.ClimateSaid> climate = Optional.empty();
        boolean stationOn = false;
        Set<SiteCondition> conditions = Set.of();
        String rules = "";
        Optional<YardDeed.MatingSaid> mating = Optional.empty();
        Optional<FlowNoted> flow = Optional.empty();
        Optional<LocalDate> closedOn = Optional.empty();
        Map<LocalDate, YardDeed.DayNoted> days = new TreeMap<>();
        for (Entry entry : record) {
            if (entry.deed() instanceof YardDeed deed) {
                switch (deed) {
                    case YardDeed.Opened one -> {
                        opened = Optional.of(one);
                        closedOn = Optional.empty();
                    }
                    case YardDeed.ClimateSaid one -> climate = Optional.of(one);
                    case YardDeed.StationSwitched one -> stationOn = one.on();
                    case YardDeed.WeatherNoted one -> one.days().forEach(day -> days.put(day.day(), day));
                    case YardDeed.SiteDescribed one -> {
                        conditions = one.conditions();
                        rules = one.rules();
                    }
                    case YardDeed.MatingSaid one -> mating = Optional.of(one);
                    case YardDeed.FlowSaid one -> flow = Optional.of(new FlowNoted(one.flow(), entry.day()));
                    case YardDeed.Closed _ -> closedOn = Optional.of(entry.day());
                }
            }
        }
        return opened.isEmpty()
                ? Optional.empty()
                : Optional.of(new State(opened.get(), climate, stationOn, conditions, rules, mating, flow,
                        closedOn, days));
    }
}
