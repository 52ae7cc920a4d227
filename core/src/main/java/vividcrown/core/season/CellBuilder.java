package vividcrown.core.season;

import java.time.LocalDate;
import java.util.List;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.reason.Wrong;

/**
 * A cell builder as the season is planned with it.
 *
 * @param load cups that it brings up at a time, 1–45
 * @param readyFrom the first day on which it can take a graft
 * @param grafts days of its grafts so far; they count towards its rest
 */
public record CellBuilder(String id, BuilderSchool school, int load, LocalDate readyFrom, List<LocalDate> grafts) {

    public CellBuilder {
        if (load < 1 || load > BuilderSchool.EXCEPTIONAL_LOAD) {
            throw Wrong.of("wrong.CellBuilder", id, BuilderSchool.EXCEPTIONAL_LOAD, load);
        }
        grafts = grafts.stream().sorted().toList();
    }

    public BuilderRhythm rhythm() {
        return BuilderRhythm.of(school);
    }
}
