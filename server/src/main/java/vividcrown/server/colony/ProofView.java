package vividcrown.server.colony;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import vividcrown.core.brood.BroodProof;
import vividcrown.core.brood.CellAge;
import vividcrown.core.brood.Clash;
import vividcrown.core.brood.Laying;
import vividcrown.core.brood.NextQueen;
import vividcrown.core.reading.CellLook;
import vividcrown.core.reading.CombPlace;
import vividcrown.core.reading.Fact;
import vividcrown.server.wire.ReasonView;
import vividcrown.server.wire.SpanView;
import vividcrown.server.wire.UntilView;

/**
 * What the brood proves, as of a day. A field that is left out is not proven.
 *
 * @param layings the times in which a queen laid, the oldest first
 * @param lastEgg when a queen laid last
 * @param queenlessSince first day without a laying queen, if none lays
 * @param noOpenBroodFrom first day with neither eggs nor larvae, if no more eggs are laid
 * @param lastWorkerEmerges when the last worker emerges: the first day without sealed brood
 * @param lastDroneEmerges the same where there is drone comb
 * @param noNewCellsFrom from when no queen cell can be begun
 * @param workersLay from when laying workers are likely, if no queen lays
 * @param secondCut when to search for cells once more
 * @param cells ages of the cells seen
 * @param emergency when the first virgin can come out of a cell begun because of the loss
 * @param nextQueen the queen on the way
 * @param broodless the days on which no brood is sealed
 * @param contradictions facts that cannot all be true
 */
public record ProofView(LocalDate asOf, List<LayingView> layings, @Nullable UntilView lastEgg,
        @Nullable UntilView queenlessSince, @Nullable UntilView noOpenBroodFrom,
        @Nullable UntilView lastWorkerEmerges, @Nullable UntilView lastDroneEmerges,
        @Nullable UntilView noNewCellsFrom, @Nullable SpanView workersLay, @Nullable SpanView secondCut,
        List<CellView> cells, @Nullable EmergencyView emergency,
        @Nullable NextQueenView nextQueen, @Nullable SpanView broodless, List<ClashView> contradictions,
        List<ReasonView> reasons) {

    public record LayingView(UntilView firstEgg, UntilView lastEgg, List<String> proofs) {
    }

    /** @param begun how the cell stands to the loss of the queen */
    public record CellView(int reading, CellLook look, CombPlace place, int count, SpanView eggLaid, SpanView sealed,
            SpanView emerges, CellAge.Begun begun, ReasonView reason) {
    }

    public record EmergencyView(SpanView fromOldestLarva, SpanView fromDayOldLarva, SpanView fromEgg) {
    }

    public record NextQueenView(NextQueen.Origin origin, SpanView emerges, SpanView matingFlights, SpanView firstEggs,
            SpanView flatSealedBrood, SpanView late, SpanView dronesOnly, ReasonView reason) {
        public static NextQueenView of(NextQueen next) {
            return new NextQueenView(next.origin(), SpanView.of(next.emerges()), SpanView.of(next.flights()),
                    SpanView.of(next.firstEggs()), SpanView.of(next.flatSealed()), SpanView.of(next.late()),
                    SpanView.of(next.dronesOnly()), ReasonView.of(next.reason()));
        }
    }

    /** @param facts the smallest set that clashes */
    public record ClashView(List<FactView> facts, List<ExplanationView> explanations) {
    }

    /**
     * @param reading its place among the readings, from 0, if it is part of one
     * @param event its place among the events, from 0, if it is one
     */
    public record FactView(LocalDate day, String text, @Nullable Integer reading, @Nullable Integer event) {
        static FactView of(Fact fact) {
            String text = fact.sentence().toString();
            return switch (fact) {
                case Fact.Seen(int reading, LocalDate day, var _) -> new FactView(day, text, reading, null);
                case Fact.Absent(int reading, LocalDate day, var _) -> new FactView(day, text, reading, null);
                case Fact.Happened(int event, LocalDate day, var _) -> new FactView(day, text, null, event);
            };
        }
    }

    public record ExplanationView(Clash.Explanation explanation, String text) {
    }

    public static ProofView of(BroodProof proof) {
        return new ProofView(proof.asOf(), each(proof.layings(), ProofView::laying),
                proof.lastEgg().map(UntilView::of).orElse(null),
                proof.queenlessSince().map(UntilView::of).orElse(null),
                proof.noOpenBroodFrom().map(UntilView::of).orElse(null),
                proof.lastWorkerEmerges().map(UntilView::of).orElse(null),
                proof.lastDroneEmerges().map(UntilView::of).orElse(null),
                proof.noNewCellsFrom().map(UntilView::of).orElse(null),
                proof.workersLay().map(SpanView::of).orElse(null), proof.secondCut().map(SpanView::of).orElse(null),
                each(proof.cells(), ProofView::cell),
                proof.emergency().map(one -> new EmergencyView(SpanView.of(one.fromOldestLarva()),
                        SpanView.of(one.fromDayOldLarva()), SpanView.of(one.fromEgg()))).orElse(null),
                proof.next().map(NextQueenView::of).orElse(null), proof.broodless().map(SpanView::of).orElse(null),
                each(proof.clashes(), ProofView::clash), ReasonView.of(proof.reasons()));
    }

    private static LayingView laying(Laying laying) {
        return new LayingView(UntilView.of(laying.firstEgg()), UntilView.of(laying.lastEgg()),
                each(laying.proofs(), fact -> fact.sentence().toString()));
    }

    private static CellView cell(CellAge cell) {
        return new CellView(cell.reading(), cell.cells().look(), cell.cells().place(), cell.cells().count(),
                SpanView.of(cell.laid()), SpanView.of(cell.sealed()), SpanView.of(cell.emerges()), cell.begun(),
                ReasonView.of(cell.reason()));
    }

    private static ClashView clash(Clash clash) {
        return new ClashView(each(clash.facts(), FactView::of),
                each(clash.explanations(), one -> new ExplanationView(one, one.sentence().toString())));
    }

    static <A, B> List<B> each(List<A> list, Function<A, B> of) {
        return list.stream().map(of).toList();
    }
}
