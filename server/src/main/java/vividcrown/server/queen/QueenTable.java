package vividcrown.server.queen;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.NativeQuery;

/** The rows themselves, for their own feature. */
interface QueenTable extends JpaRepository<QueenRow, UUID> {

    /**
     * @param part of the code or name, in small letters
     * @param most how many
     * @param after how many of the list to leave out before
     */
    @NativeQuery("select * from queens_called(:part, :most, :after)")
    List<QueenRow> called(String part, int most, int after);

    List<QueenRow> findByGraftIdIn(Collection<UUID> grafts);

    List<QueenRow> findByGraftIdOrderByBarAscCupAsc(UUID graft);
}
