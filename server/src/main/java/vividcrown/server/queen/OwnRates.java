package vividcrown.server.queen;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import vividcrown.core.odds.LossStep;
import vividcrown.core.odds.Rate;

/** The operation's own counts at each step of loss, laid over the trade's priors. */
@Component
public class OwnRates {

    private static final String COUNTS = """
            select count(*) filter (where take_counted_on is not null) as counted,
                count(*) filter (where take_counted_on is not null and stage <> 'NOT_TAKEN') as took,
                count(*) filter (where placed_as_cell_on is not null or caged_on is not null or stage = 'CULLED') as judged,
                count(*) filter (where placed_as_cell_on is not null or caged_on is not null) as sound,
                count(*) filter (where emerged_seen_on is not null or stage = 'DUD') as checked,
                count(*) filter (where emerged_seen_on is not null) as emerged,
                count(*) filter (where emerged_seen_on is not null and (eggs_seen_on is not null
                    or drone_brood_seen_on is not null or ended_on is not null)) as settled,
                count(*) filter (where emerged_seen_on is not null and eggs_seen_on is not null
                    and drone_brood_seen_on is null) as mated
            from queen where graft_id is not null
            """;

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
}
