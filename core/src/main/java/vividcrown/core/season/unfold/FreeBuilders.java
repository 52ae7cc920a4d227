package vividcrown.core.season.unfold;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vividcrown.core.season.CellBuilder;
import vividcrown.core.season.plan.BuilderRest;

/** Which builders can take a load: one that is loaded, however little, is busy for its days between loads, and rests after so many. */
final class FreeBuilders {

    private final List<CellBuilder> builders;
    private final Map<String, List<LocalDate>> loaded = new HashMap<>();

    FreeBuilders(List<CellBuilder> builders) {
        this.builders = builders;
    }

    /** Cups that they bring up between them if loaded that day. */
    int cups(LocalDate day) {
        return builders.stream().filter(one -> isFree(one, day)).mapToInt(CellBuilder::load).sum();
    }

    /**
     * Whether one could be loaded on a later day too. Where only one is free it is taken to be loaded: of several, some may be left.
     *
     * @param loadedOn a day on which those that are free are asked for
     */
    boolean isFreeAfter(LocalDate loadedOn, LocalDate day) {
        List<CellBuilder> free = builders.stream().filter(one -> isFree(one, loadedOn)).toList();
        return builders.stream().anyMatch(one -> free.equals(List.of(one))
                ? isFree(one, day, List.of(loadedOn))
                : isFree(one, day, List.of()));
    }

    int many() {
        return builders.size();
    }

    /** Cups of one load, on average. */
    int usualLoad() {
        return (int) Math.round(builders.stream().mapToInt(CellBuilder::load).average().orElse(1));
    }

    /** So many cups go into those that are free, one after the other. */
    void load(LocalDate day, int cups) {
        int left = cups;
        for (CellBuilder one : builders) {
            if (left > 0 && isFree(one, day)) {
                loaded.computeIfAbsent(one.id(), _ -> new ArrayList<>()).add(day);
                left -= one.load();
            }
        }
    }

    private boolean isFree(CellBuilder one, LocalDate day) {
        return isFree(one, day, List.of());
    }

    private boolean isFree(CellBuilder one, LocalDate day, List<LocalDate> more) {
        List<LocalDate> grafts = new ArrayList<>(one.grafts());
        grafts.addAll(more);
        grafts.addAll(loaded.getOrDefault(one.id(), List.of()));
        return !day.isBefore(one.readyFrom()) && BuilderRest.of(one.rhythm()).stretches().stream()
                .allMatch(stretch -> stretch.left(1, grafts, day) > 0);
    }

    /** Whether one that is loaded on a day is busy still on a later one, whichever it is. */
    boolean isBusy(LocalDate loadedOn, LocalDate day) {
        return builders.stream()
                .allMatch(one -> day.isBefore(loadedOn.plusDays(one.rhythm().daysBetweenLoads())));
    }
}
