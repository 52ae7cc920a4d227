package vividcrown.server.search;

import java.util.Optional;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.search.SearchDeed;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;

/** The deeds of a search. */
@Configuration
class SearchDeeds {

    private final Hives hives;
    private final HivesSearched searched;
    private final Eyes eyes;

    SearchDeeds(Hives hives, HivesSearched searched, Eyes eyes) {
        this.hives = hives;
        this.searched = searched;
        this.eyes = eyes;
    }

    @Bean
    DeedKinds searchDeedKinds() {
        return DeedKinds
                .of(DeedKind.of("QUEEN_SEARCHED", SearchDeed.Searched.class).through(this::searched));
    }

    /** What was known of the hive is kept with it: only by that can it be said what a search in vain is worth. */
    private SearchDeed.Searched searched(SearchDeed.Searched asked, Admission admission) {
        Optional<SearchDeed.KnownOfHive> known = hives.findById(asked.hive())
                .flatMap(hive -> searched.of(hive, admission.day(), admission.corrects()))
                .map(one -> new SearchDeed.KnownOfHive(one.hive().boxes(), one.hive().readDays(), one.laying(),
                        one.hive().chance(), Optional.of(eyes.own(admission.corrects())), Optional.empty()));
        SearchDeed.Searched whole = asked.with(known);
        try {
            return whole.told();
        } catch (IllegalArgumentException wrong) {
            // who found her found her, wherever the record thinks that combs hang
            if (!whole.isFound()) {
                admission.refuse("looks", "refusal.search.look", String.valueOf(wrong.getMessage()));
            }
        }
        return whole;
    }
}
