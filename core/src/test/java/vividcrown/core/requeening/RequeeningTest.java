package vividcrown.core.requeening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividcrown.core.assumptions.Assumptions;
import vividcrown.core.climate.BeeYear;
import vividcrown.core.climate.Climate;
import vividcrown.core.climate.ClimateOfPlace;
import vividcrown.core.queen.MarkingScheme;
import vividcrown.core.queen.YearColour;
import vividcrown.core.requeening.Requeening.Action;
import vividcrown.core.requeening.Requeening.Colony;
import vividcrown.core.requeening.Requeening.Policy;
import vividcrown.core.requeening.Unmarked.Evidence;
import vividcrown.core.requeening.Unmarked.Seen;
import vividcrown.core.requeening.Unmarked.Was;
import vividcrown.core.yard.Flow;

/** When a colony gets another queen (common practice): situations that would cost a good queen, or keep a bad one. */
class RequeeningTest {

    private static final BeeYear NORTH = new BeeYear(false, new ClimateOfPlace(Climate.UPLAND, 700, false, List.of()));
    private static final BeeYear SOUTH = new BeeYear(true, new ClimateOfPlace(Climate.UPLAND, 300, true, List.of()));
    private static final LocalDate JUNE = LocalDate.of(2026, 6, 20);
    private static final LocalDate OCTOBER = LocalDate.of(2026, 10, 20);

    private static final class Of {
        private Age age = new Age(1, 1, true);
        private double lays = 0.95;
        private double drones;
        private int spotty;
        private boolean solid = true;
        private int badTemper;
        private boolean people;
        private boolean superseding;
        private boolean breeder;
        private boolean suspect;
        private Optional<Double> merit = Optional.empty();
        private double reliability;
        private Optional<Integer> here = Optional.empty();
        private Flow flow = Flow.LITTLE;

        Requeening on(LocalDate day, Policy policy) {
            return Requeening.of(new Colony("H 1", age, lays, drones, spotty, solid, badTemper, people, superseding,
                    breeder, suspect, merit, reliability, here, SwarmOdds.History.NONE, flow), policy, day, NORTH,
                    Assumptions.standard());
        }

        Action action(Policy policy) {
            return on(JUNE, policy).action();
        }
    }

    /** A queen of unknown year that came with a mark: by its colour, except this year's, which found queens get too (common practice). */
    @Test
    void a_mark_narrows_an_unknown_age_but_never_overrides_a_year() {
        assertThat(age(0, YearColour.GREEN)).isEqualTo(new Age(2, 2, true));
        assertThat(age(2025, YearColour.GREEN)).isEqualTo(new Age(1, 1, true));
        assertThat(age(0, YearColour.WHITE)).isEqualTo(Age.UNKNOWN);
        assertThat(age(0, YearColour.PINK)).isEqualTo(Age.UNKNOWN);
        assertThat(Age.of(0, Optional.of(YearColour.GREEN), new MarkingScheme(List.of()), JUNE, NORTH))
                .isEqualTo(Age.UNKNOWN);
        assertThat(Age.of(0, Optional.of(YearColour.GREEN), MarkingScheme.INTERNATIONAL, JUNE, SOUTH))
                .as("a season in the south runs over New Year").isEqualTo(new Age(1, 2, true));
    }

    private static Age age(int year, YearColour wears) {
        return Age.of(year, Optional.of(wears), MarkingScheme.INTERNATIONAL, JUNE, NORTH);
    }

    @Test
    void the_house_rule_counts_winters_and_waits_for_the_flow_to_end() {
        Of one = new Of();
        assertThat(one.action(Policy.EVERY_YEAR)).isEqualTo(Action.AFTER_FLOW);
        assertThat(one.action(Policy.AT_TWO_YEARS)).isEqualTo(Action.KEEP);
        one.age = new Age(2, 2, true);
        assertThat(one.action(Policy.AT_TWO_YEARS)).isEqualTo(Action.AFTER_FLOW);
        assertThat(one.on(JUNE, Policy.AT_TWO_YEARS).by().orElseThrow()).isAfter(JUNE.plusMonths(1));
        // school A of D24: one keeps an old queen who lays superbly, and watches her for swarming
        assertThat(one.action(Policy.BY_MERIT)).isEqualTo(Action.WATCH);
        assertThat(one.on(JUNE, Policy.BY_MERIT).reasons().toString()).contains("swarm");
    }

    @Test
    void an_unknown_age_is_asked_for_and_never_decides() {
        Of one = new Of();
        one.age = Age.UNKNOWN;
        assertThat(one.action(Policy.EVERY_YEAR)).isEqualTo(Action.WATCH);
        assertThat(one.on(JUNE, Policy.EVERY_YEAR).reasons().toString()).contains("Nobody knows how old");
    }

    @Test
    void a_mother_one_grafts_from_is_never_on_the_list() {
        Of one = new Of();
        one.breeder = true;
        one.age = new Age(3, 3, true);
        for (Policy policy : Policy.values()) {
            assertThat(one.action(policy)).isIn(Action.KEEP, Action.WATCH);
        }
        one.spotty = 3;
        one.solid = false;
        assertThat(one.action(Policy.EVERY_YEAR)).isIn(Action.KEEP, Action.WATCH);
        one.drones = 0.6;
        assertThat(one.action(Policy.EVERY_YEAR)).isEqualTo(Action.WATCH);
    }

    /** In the south October is spring; in a highland of the tropics bees never rest (facts of the calendar). */
    @Test
    void the_rule_holds_where_the_bees_are() {
        Colony old = new Colony("H 1", new Age(2, 2, true), 0.95, 0, 0, true, 0, false, false, false, false,
                Optional.empty(), 0, Optional.empty(), SwarmOdds.History.NONE, Flow.LITTLE);
        Requeening south = Requeening.of(old, Policy.AT_TWO_YEARS, OCTOBER, SOUTH, Assumptions.standard());
        assertThat(south.action()).isEqualTo(Action.AFTER_FLOW);
        assertThat(south.by().orElseThrow()).isBetween(LocalDate.of(2026, 12, 15), LocalDate.of(2027, 4, 30));
        BeeYear tropics = new BeeYear(false, new ClimateOfPlace(Climate.TROPICAL_HIGHLAND, 1_800, false, List.of()));
        for (int month = 1; month <= 12; month++) {
            assertThat(Requeening.of(old, Policy.AT_TWO_YEARS, LocalDate.of(2026, month, 10), tropics,
                    Assumptions.standard()).action()).as("month %d", month).isEqualTo(Action.AFTER_FLOW);
        }
    }

    @Test
    void holes_once_are_looked_at_again_twice_are_believed() {
        Of one = new Of();
        one.age = new Age(0, 0, true);
        one.spotty = 1;
        one.solid = false;
        assertThat(one.action(Policy.BY_MERIT)).isEqualTo(Action.WATCH);
        one.spotty = 2;
        assertThat(one.action(Policy.BY_MERIT)).isEqualTo(Action.NOW);
        // the newest look is better: what was, is over
        one.solid = true;
        assertThat(one.action(Policy.BY_MERIT)).isEqualTo(Action.KEEP);
    }

    @Test
    void temper_waits_for_the_flow_unless_people_are_near_and_says_when_it_turns() {
        Of one = new Of();
        one.age = new Age(0, 0, true);
        one.badTemper = 1;
        assertThat(one.action(Policy.BY_MERIT)).isEqualTo(Action.WATCH);
        one.badTemper = 2;
        one.flow = Flow.STRONG;
        assertThat(one.action(Policy.BY_MERIT)).isEqualTo(Action.AFTER_FLOW);
        one.people = true;
        Requeening near = one.on(JUNE, Policy.BY_MERIT);
        assertThat(near.action()).isEqualTo(Action.NOW);
        // daughters three weeks after her eggs, all of them once the old bees are gone: 8–10 weeks (handbook of the trade)
        assertThat(near.temper().orElseThrow().all().likely()).isBetween(JUNE.plusWeeks(7), JUNE.plusWeeks(13));
    }

    @Test
    void who_is_not_surely_there_is_found_out_first_and_disease_stops_everything() {
        Of one = new Of();
        one.lays = 0.5;
        assertThat(one.action(Policy.EVERY_YEAR)).isEqualTo(Action.JUDGE_FIRST);
        one.drones = 0.8;
        assertThat(one.action(Policy.EVERY_YEAR)).isEqualTo(Action.NOW);
        one.suspect = true;
        assertThat(one.action(Policy.EVERY_YEAR)).isEqualTo(Action.STOP);
    }

    @Test
    void the_bees_own_replacing_and_a_queen_just_given_are_left_alone() {
        Of one = new Of();
        one.superseding = true;
        assertThat(one.action(Policy.EVERY_YEAR)).isEqualTo(Action.WATCH);
        Of given = new Of();
        given.here = Optional.of(20);
        given.badTemper = 3;
        given.spotty = 2;
        given.solid = false;
        assertThat(given.action(Policy.EVERY_YEAR)).as("what it does is still her predecessor's")
                .isEqualTo(Action.KEEP);
    }

    @Test
    void in_autumn_no_queen_is_changed_any_more() {
        Of one = new Of();
        one.age = new Age(2, 2, true);
        Requeening late = one.on(OCTOBER, Policy.EVERY_YEAR);
        assertThat(late.action()).isEqualTo(Action.WATCH);
        assertThat(late.reasons().toString()).contains("look again in spring");
        assertThat(one.on(LocalDate.of(2026, 1, 15), Policy.EVERY_YEAR).action()).isEqualTo(Action.WATCH);
    }

    @Test
    void merit_decides_only_where_it_is_known() {
        Of one = new Of();
        one.merit = Optional.of(-0.8);
        one.reliability = 0.2;
        assertThat(one.action(Policy.BY_MERIT)).isEqualTo(Action.KEEP);
        one.reliability = 0.6;
        assertThat(one.action(Policy.BY_MERIT)).isEqualTo(Action.AFTER_FLOW);
    }

    /** In the south a queen of last spring may have no winter behind her yet in its autumn (facts of the calendar). */
    @Test
    void winters_are_counted_where_the_bees_are() {
        assertThat(Age.of(2025, JUNE, NORTH)).isEqualTo(new Age(1, 1, true));
        assertThat(Age.of(2025, LocalDate.of(2026, 3, 1), SOUTH)).isEqualTo(new Age(0, 1, true));
        assertThat(Age.of(2025, LocalDate.of(2026, 9, 1), SOUTH)).isEqualTo(new Age(1, 2, true));
        assertThat(Age.ofDay(LocalDate.of(2025, 10, 5), LocalDate.of(2026, 9, 1), SOUTH).least()).isEqualTo(1);
        assertThat(Age.ofDay(LocalDate.of(2025, 6, 5), LocalDate.of(2025, 12, 1), NORTH).least()).isZero();
        assertThat(Age.of(0, JUNE, NORTH)).isEqualTo(Age.UNKNOWN);
    }

    /** Second and third year queens swarm more, out of the season nobody does, a divided colony seldom (common practice). */
    @Test
    void swarming_goes_by_age_history_and_season() {
        LocalDate may = LocalDate.of(2026, 5, 10);
        double young = SwarmOdds.of(new Age(0, 0, true), SwarmOdds.History.NONE, may, NORTH).chance().likely();
        double second = SwarmOdds.of(new Age(1, 1, true), SwarmOdds.History.NONE, may, NORTH).chance().likely();
        double third = SwarmOdds.of(new Age(2, 2, true), SwarmOdds.History.NONE, may, NORTH).chance().likely();
        assertThat(young).isLessThan(second / 2);
        assertThat(second).isLessThan(third);
        SwarmOdds cells = SwarmOdds.of(new Age(2, 2, true), new SwarmOdds.History(true, false, true, false), may,
                NORTH);
        assertThat(cells.chance().likely()).isGreaterThan(0.7);
        assertThat(cells.measures()).isNotEmpty();
        assertThat(
                SwarmOdds.of(new Age(2, 2, true), new SwarmOdds.History(true, false, true, true), may, NORTH).chance()
                        .likely())
                .isLessThan(cells.chance().likely() - 0.2);
        assertThat(SwarmOdds.of(new Age(3, 3, true), SwarmOdds.History.NONE, OCTOBER, NORTH).chance().likely())
                .isLessThan(0.05);
        assertThat(SwarmOdds.of(new Age(2, 2, true), SwarmOdds.History.NONE, OCTOBER, SOUTH).chance().likely())
                .as("October is spring there").isGreaterThan(0.3);
    }

    @Test
    void an_unmarked_queen_is_a_question_with_odds() {
        Evidence nothing = new Evidence(1, 2, Seen.NOBODY_LOOKED, Seen.NOBODY_LOOKED, Seen.NOBODY_LOOKED,
                Seen.NOBODY_LOOKED, Seen.NOBODY_LOOKED, Seen.NOBODY_LOOKED);
        Unmarked open = Unmarked.of(nothing);
        assertThat(open.odds().values().stream().mapToDouble(Double::doubleValue).sum()).isCloseTo(1, within(1e-9));
        assertThat(open.odds().values()).allMatch(chance -> chance > 0.001 && chance < 0.9);
        assertThat(leading(new Evidence(1, 2, Seen.YES, Seen.NO, Seen.NO, Seen.NO, Seen.NO, Seen.NOBODY_LOOKED)))
                .isEqualTo(Was.MARK_LOST);
        assertThat(leading(new Evidence(1, 3, Seen.NO, Seen.YES, Seen.YES, Seen.YES, Seen.YES, Seen.NOBODY_LOOKED)))
                .isEqualTo(Was.SWARMED);
        assertThat(leading(new Evidence(2, 6, Seen.NO, Seen.YES, Seen.YES, Seen.NO, Seen.NO, Seen.NOBODY_LOOKED)))
                .isEqualTo(Was.SUPERSEDED);
        // a clipped wing is hers whatever else was seen
        assertThat(leading(new Evidence(2, 6, Seen.NO, Seen.YES, Seen.YES, Seen.NO, Seen.NO, Seen.YES)))
                .isEqualTo(Was.MARK_LOST);
    }

    private static Was leading(Evidence evidence) {
        return Unmarked.of(evidence).odds().entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow()
                .getKey();
    }

    @Test
    void what_is_wanted_is_those_to_be_changed_and_a_tenth_spare() {
        Of old = new Of();
        Of good = new Of();
        good.age = new Age(0, 0, true);
        List<Requeening> all = List.of(old.on(JUNE, Policy.EVERY_YEAR), good.on(JUNE, Policy.EVERY_YEAR),
                good.on(JUNE, Policy.EVERY_YEAR));
        assertThat(Requeening.wanted(all, 0.1)).isEqualTo(2);
        assertThat(Requeening.wanted(List.of(), 0.1)).isZero();
    }
}
