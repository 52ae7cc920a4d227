package vividcrown.server.queen;

import com.fasterxml.uuid.Generators;
import com.fasterxml.uuid.impl.NameBasedGenerator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.server.journal.Records;

/** Keeps one row for each cup of a graft that was done, whether or not anything was recorded of it since. */
@Component
public class Cups {

    private final QueenTable queens;
    private final Records records;
    private final QueenRows rows;

    Cups(QueenTable queens, Records records, QueenRows rows) {
        this.queens = queens;
        this.records = records;
        this.rows = rows;
    }

    /** A cup's id follows from its graft and its place, so that everybody who counts them means the same. */
    public static UUID id(UUID graft, int bar, int cup) {
        NameBasedGenerator names = Generators.nameBasedGenerator(graft);
        return names.generate(bar + "-" + cup);
    }

    /** A graft that was done. @param code begins the codes of its cups */
    public record DoneGraft(UUID id, String code, UUID mother, int bars, int cupsPerBar) {
    }

    /** The grafts were done, or changed: each cup has its row. */
    public void follow(List<DoneGraft> grafts) {
        if (grafts.isEmpty()) {
            return;
        }
        Map<UUID, QueenRow> known = queens.findByGraftIdIn(grafts.stream().map(DoneGraft::id).toList()).stream()
                .collect(Collectors.toMap(QueenRow::id, Function.identity()));
        List<QueenRow> cups = new ArrayList<>();
        for (DoneGraft graft : grafts) {
            for (int bar = 1; bar <= graft.bars(); bar++) {
                for (int cup = 1; cup <= graft.cupsPerBar(); cup++) {
                    UUID id = id(graft.id(), bar, cup);
                    String called = String.format(Locale.ROOT, "%s-%d%02d", graft.code(), bar, cup);
                    QueenRow fresh = QueenRow.ofCup(id, called, graft.id(), bar, cup, graft.mother());
                    cups.add(known.getOrDefault(id, fresh));
                }
            }
        }
        rows.write(cups, records.standing(cups.stream().map(QueenRow::id).toList()));
    }

    /** The graft was not done after all. */
    public void drop(UUID graft) {
        rows.delete(queens.findByGraftIdOrderByBarAscCupAsc(graft));
    }
}
