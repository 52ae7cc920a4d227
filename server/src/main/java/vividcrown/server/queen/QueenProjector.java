package vividcrown.server.queen;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.SubjectKind;
import vividcrown.core.queen.QueenDeed;
import vividcrown.server.journal.Projector;

/** Makes the rows of cells and queens. Cups have theirs from their graft; queens known already from what is stated of them. */
@Component
@Order(40)
class QueenProjector implements Projector {

    private final QueenTable queens;
    private final QueenRows rows;
    private final Agendas agendas;
    private final OwnRates rates;

    QueenProjector(QueenTable queens, QueenRows rows, Agendas agendas, OwnRates rates) {
        this.queens = queens;
        this.rows = rows;
        this.agendas = agendas;
        this.rates = rates;
    }

    @Override
    public SubjectKind subjectKind() {
        return QueenDeed.QUEEN;
    }

    @Override
    public Set<UUID> existing(Collection<UUID> subjects) {
        return queens.findAllById(subjects).stream().map(QueenRow::id).collect(Collectors.toSet());
    }

    @Override
    public Set<UUID> madeWithOthers(Collection<UUID> subjects) {
        return existing(subjects);
    }

    @Override
    public void project(Map<UUID, List<Entry>> records) {
        Map<UUID, QueenRow> known = queens.findAllById(records.keySet()).stream()
                .collect(Collectors.toMap(QueenRow::id, Function.identity()));
        List<QueenRow> written = new ArrayList<>();
        List<QueenRow> gone = new ArrayList<>();
        records.forEach((id, record) -> {
            Optional<QueenRow> row = Optional.ofNullable(known.get(id));
            Optional<QueenDeed.Known> stated = stated(id, record);
            if (row.isPresent() && row.get().graftId().isPresent()) {
                written.add(row.get());
            } else if (stated.isPresent()) {
                written.add(
                        row.map(queen -> queen.stated(stated.get())).orElseGet(() -> QueenRow.ofKnown(stated.get())));
            } else {
                row.ifPresent(gone::add);
            }
        });
        rows.delete(gone);
        if (!written.isEmpty()) {
            rows.write(written, records);
        }
    }

    private static Optional<QueenDeed.Known> stated(UUID queen, List<Entry> record) {
        return record.stream().map(Entry::deed).filter(QueenDeed.Known.class::isInstance)
                .map(QueenDeed.Known.class::cast).filter(known -> known.queen().equals(queen))
                .reduce((_, last) -> last);
    }

    @Override
    public void clear() {
        rates.clear();
        agendas.clear();
        queens.deleteAllInBatch();
    }
}
