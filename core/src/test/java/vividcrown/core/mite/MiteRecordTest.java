package vividcrown.core.mite;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividcrown.core.hive.Amount;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.journal.Entry;
import vividcrown.core.journal.Faults;
import vividcrown.core.mite.MiteDeed.MitesCounted;
import vividcrown.core.mite.MiteDeed.Way;
import vividcrown.core.reading.EventKind;

class MiteRecordTest {

    private static final LocalDate AUG_10 = LocalDate.of(2026, 8, 10);
    private static final UUID HIVE = new UUID(0, 1);

    private static MiteRecord after(Deed... deeds) {
        List<Entry> record = new ArrayList<>();
        for (Deed deed : deeds) {
            record.add(new Entry(new UUID(9, record.size()), AUG_10.plusDays(record.size()), record.size(), deed));
        }
        return MiteRecord.fold(record);
    }

    private static MitesCounted wash(int mites, int bees) {
        return new MitesCounted(HIVE, Way.WASH, mites, Optional.of(0), Optional.of(bees), false, Optional.empty(),
                true, true);
    }

    @Test
    void a_treatment_and_its_honey_hold_combs_back_until_the_label_lets_them_go() {
        MiteRecord in = after(wash(9, 300),
                new MiteDeed.TreatmentIn(HIVE, "strips", Optional.of(AUG_10.plusDays(40))));
        assertThat(in.treatment()).map(MiteRecord.Treatment::since).contains(AUG_10.plusDays(1));
        assertThat(in.holdsCombsBack(AUG_10.plusDays(5))).isTrue();
        MiteRecord out = after(new MiteDeed.TreatmentIn(HIVE, "strips", Optional.of(AUG_10.plusDays(40))),
                new MiteDeed.TreatmentOut(HIVE));
        assertThat(out.treatment()).isEmpty();
        assertThat(out.holdsCombsBack(AUG_10.plusDays(40))).isTrue();
        assertThat(out.holdsCombsBack(AUG_10.plusDays(41))).isFalse();
    }

    /** What autumn tolerates for a broodless treatment ends with that plan (common practice). */
    @Test
    void more_is_tolerated_only_while_the_treatment_is_planned_and_not_past_its_day() {
        LocalDate day = LocalDate.of(2026, 12, 20);
        MiteRecord waits = after(new MiteDeed.TreatmentPlanned(HIVE, day));
        assertThat(waits.waitsForTreatment(day)).isTrue();
        assertThat(waits.waitsForTreatment(day.plusDays(1))).isFalse();
        assertThat(after(new MiteDeed.TreatmentPlanned(HIVE, day), new MiteDeed.TreatmentNotPlanned(HIVE))
                .waitsForTreatment(AUG_10)).isFalse();
        assertThat(after(new MiteDeed.TreatmentPlanned(HIVE, day),
                new MiteDeed.TreatmentIn(HIVE, "drip", Optional.empty())).waitsForTreatment(AUG_10)).isFalse();
    }

    @Test
    void a_caged_queen_is_to_be_let_out_until_she_is_or_is_gone() {
        MiteDeed stop = new MiteDeed.BroodStopped(HIVE, AUG_10.plusDays(25));
        assertThat(after(stop).release()).contains(AUG_10.plusDays(25));
        for (EventKind end : List.of(EventKind.QUEEN_RELEASED, EventKind.QUEEN_REMOVED)) {
            assertThat(after(stop, new HiveDeed.Happened(HIVE, end)).release()).isEmpty();
        }
        assertThat(after(stop, new HiveDeed.Happened(HIVE, EventKind.BROOD_GIVEN)).release()).isPresent();
    }

    @Test
    void mites_in_no_bees_are_refused_and_a_board_wants_its_days() {
        assertThatThrownBy(() -> wash(10, 0)).isInstanceOf(Faults.Found.class).hasMessageContaining("bees");
        assertThatThrownBy(
                () -> new MitesCounted(HIVE, Way.NATURAL_FALL, 12, Optional.empty(), Optional.empty(), false,
                        Optional.empty(), true, true))
                .isInstanceOf(Faults.Found.class).hasMessageContaining("days");
    }

    /** Two of 300 and seven of 300 are nine of 600: 1.5 %, exact interval 0.7–2.8 % (Clopper & Pearson 1934). */
    @Test
    void hives_of_a_yard_are_put_together_sample_by_sample() {
        Optional<Amount> yard = Infestation
                .pooled(List.of(wash(2, 300).on(AUG_10), wash(7, 300).on(AUG_10)));
        assertThat(yard.orElseThrow().likely()).isCloseTo(1.5, within(1e-9));
        assertThat(yard.orElseThrow().least()).isCloseTo(0.688, within(0.005));
        assertThat(yard.orElseThrow().most()).isCloseTo(2.829, within(0.005));
        assertThat(Infestation.pooled(List.of(new MiteCount.NaturalFall(AUG_10, 12, 3)))).isEmpty();
    }
}
