package vividcrown.server.queen;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;

/** The operation's own counts at each step of loss, laid over the trade's priors. Counted once a change, by batch. */
@Component
public class OwnRates {

    private static final String TALLY = """
            insert into graft_tally (graft_id, operation_id, counted, took, judged, sound, checked, emerged, settled, mated)
            select graft_id, current_operation(),
                count(*) filter (where take_counted_on is not null),
                count(*) filter (where take_counted_on is not null and stage <> 'NOT_TAKEN'),
                count(*) filter (where placed_as_cell_on is not null or caged_on is not null or stage = 'CULLED'),
                count(*) filter (where placed_as_cell_on is not null or caged_on is not null),
                count(*) filter (where emerged_seen_on is not null or stage = 'DUD'),
                count(*) filter (where emerged_seen_on is not null),
                count(*) filter (where emerged_seen_on is not null and (eggs_seen_on is not null
                    or drone_brood_seen_on is not null or ended_on is not null)),
                count(*) filter (where emerged_seen_on is not null and eggs_seen_on is not null
                    and drone_brood_seen_on is null)
            from queen where graft_id in (:grafts) group by graft_id
            """;
    private static final String MATING_TALLY = """
            insert into mating_tally (graft_id, yard_id, operation_id, settled, mated)
            select q.graft_id, coalesce(h.yard_id, '00000000-0000-0000-0000-000000000000'), current_operation(), count(*),
                count(*) filter (where q.eggs_seen_on is not null and q.drone_brood_seen_on is null)
            from queen q left join hive h on h.id = q.mating_hive_id
            where q.graft_id in (:grafts) and q.emerged_seen_on is not null
                and (q.eggs_seen_on is not null or q.drone_brood_seen_on is not null or q.ended_on is not null)
            group by 1, 2
            """;
    private static final String COUNTS = """
            select coalesce(sum(counted), 0) as counted, coalesce(sum(took), 0) as took,
                coalesce(sum(judged), 0) as judged, coalesce(sum(sound), 0) as sound,
                coalesce(sum(checked), 0) as checked, coalesce(sum(emerged), 0) as emerged,
                coalesce(sum(settled), 0) as settled, coalesce(sum(mated), 0) as mated
            from graft_tally
            """;
    /** PostgreSQL takes 65,535 parameters; a rebuild brings every batch at once. */
    private static final int AT_ONCE = 1_000;

    private final JdbcClient jdbc;

    OwnRates(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Cups and queens counted at each step: tried, and come through. */
    public record Counts(int counted, int took, int judged, int sound, int checked, int emerged, int settled,
            int mated) {

        public Rate of(LossStep step) {
            return switch (step) {
                case TAKE -> step.prior().updatedBy(took, counted);
                case SOUND -> step.prior().updatedBy(sound, judged);
                case EMERGENCE -> step.prior().updatedBy(emerged, checked);
                case MATING -> step.prior().updatedBy(mated, settled);
                case ACCEPTANCE -> step.prior();
            };
        }

        public int tried(LossStep step) {
            return switch (step) {
                case TAKE -> counted;
                case SOUND -> judged;
                case EMERGENCE -> checked;
                case MATING -> settled;
                case ACCEPTANCE -> 0;
            };
        }
    }

    public Counts counts() {
        return jdbc.sql(COUNTS).query(Counts.class).single();
    }

    void clear() {
        jdbc.sql("delete from graft_tally").update();
        jdbc.sql("delete from mating_tally").update();
    }

    /** Counts again where queens mated, after these hives may have moved. */
    void recountOfHives(Collection<UUID> hives) {
        recount(jdbc
                .sql("select distinct graft_id from queen where mating_hive_id in (:hives) and graft_id is not null")
                .param("hives", hives).query(UUID.class).list());
    }

    /** Counts the queens of these batches again, after their rows have changed. */
    void recount(Collection<UUID> grafts) {
        var all = grafts.stream().distinct().toList();
        for (int from = 0; from < all.size(); from += AT_ONCE) {
            List<UUID> some = all.subList(from, Math.min(from + AT_ONCE, all.size()));
            jdbc.sql("delete from graft_tally where graft_id in (:grafts)").param("grafts", some).update();
            jdbc.sql("delete from mating_tally where graft_id in (:grafts)").param("grafts", some).update();
            jdbc.sql(TALLY).param("grafts", some).update();
            jdbc.sql(MATING_TALLY).param("grafts", some).update();
        }
    }
}
