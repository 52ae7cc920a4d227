package vividcrown.server.lineage;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.Amount;
import vividcrown.core.lineage.Breadth;
import vividcrown.core.lineage.LineageDeed;
import vividcrown.core.lineage.Mating;
import vividcrown.core.lineage.MatingOutlook;
import vividcrown.core.merit.Merit;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Stage;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.lineage.LineageViews.EstimateView;
import vividcrown.server.lineage.LineageViews.MatingView;
import vividcrown.server.lineage.Stocks.Bee;
import vividcrown.server.problem.Refusal;

/** Lines: which mothers earn their place, how broad the stock stands, what a mating would give. */
@RestController
@RequestMapping("/api/v1/lines")
class LinesController {

    /** As akin as half-sisters of half-sisters: two lines nearer than that are told. */
    private static final double NEAR = 0.1;
    private static final int MOST_SHOWN = 300;

    /**
     * A mother, and what became of her daughters.
     *
     * @param daughters that came out
     * @param laying of them
     * @param merit over all traits, in marks; left out where nothing is known
     * @param spread of her daughters' merit, least, mean and most; left out under two
     */
    record MotherLine(UUID id, String code, String line, boolean alive, boolean breeder, @Nullable Integer born,
            int daughters, int laying, @Nullable Double merit, @Nullable Double reliability,
            @Nullable Amount spread, List<EstimateView> traits) {
    }

    /** @param queens living queens and virgins of it */
    record LineOf(String line, int queens) {
    }

    /** @param share of the alleles of the living, 0–1 */
    record FounderShare(UUID id, String code, double share) {
    }

    /** @param kinship mean of those of the one with those of the other */
    record NearLines(String one, String other, double kinship) {
    }

    /**
     * @param founders as many equal founders would give as much variety
     * @param strangers share of alleles that came with drones nobody knows
     * @param effectiveLines as many equal lines would be as mixed
     * @param kinship of two drawn from the living
     * @param near pairs of lines to be kept apart, the nearest first
     * @param mothers the best first
     * @param ways how merit was reckoned, and on how much, by trait
     * @param flags what is not known, or was left out
     */
    record LinesPage(List<LineOf> lines, double founders, double strangers, double effectiveLines, double kinship,
            List<FounderShare> byFounder, List<NearLines> near, List<MotherLine> mothers, List<String> ways,
            List<String> flags) {
    }

    private final Lineages lineages;
    private final Today today;

    LinesController(Lineages lineages, Today today) {
        this.lineages = lineages;
        this.today = today;
    }

    @GetMapping
    @Operation(operationId = "lines", summary = "Lines, mothers with their daughters' results, how broad the stock stands")
    @Transactional(readOnly = true)
    public LinesPage lines() {
        Lineages.Known known = lineages.known(today.day());
        Map<String, List<String>> living = new TreeMap<>();
        known.stock().bees().values().stream().filter(Bee::alive).forEach(
                bee -> living.computeIfAbsent(bee.line(), _ -> new ArrayList<>()).add(bee.id().toString()));
        List<LineOf> lines = living.entrySet().stream().map(one -> new LineOf(one.getKey(), one.getValue().size()))
                .sorted(Comparator.comparingInt(LineOf::queens).reversed().thenComparing(LineOf::line)).toList();
        List<String> ways = known.merits().values().stream()
                .map(merit -> Sentence.of("lines.way", merit.trait().sentence(), merit.reasons().getFirst().fact())
                        .toString())
                .toList();
        List<String> flags = known.stock().flags().stream().map(Object::toString).toList();
        if (living.isEmpty()) {
            return new LinesPage(lines, 0, 0, 0, 0, List.of(), List.of(), List.of(), ways, flags);
        }
        Breadth breadth = Breadth.of(known.stock().kinship(), living, NEAR);
        return new LinesPage(lines, LineageViews.thousandth(breadth.founders()),
                LineageViews.thousandth(breadth.strangers()), LineageViews.thousandth(breadth.lines()),
                LineageViews.thousandth(breadth.kinship()),
                breadth.byFounder().stream().map(share -> {
                    Bee founder = known.stock().bee(UUID.fromString(share.id()));
                    return new FounderShare(founder.id(), founder.said(), LineageViews.thousandth(share.share()));
                }).toList(),
                breadth.apart().stream().map(
                        pair -> new NearLines(pair.one(), pair.other(), LineageViews.thousandth(pair.kinship())))
                        .toList(),
                mothers(known), ways, flags);
    }

    private static List<MotherLine> mothers(Lineages.Known known) {
        Map<UUID, List<Bee>> daughters = new HashMap<>();
        known.stock().bees().values().forEach(bee -> bee.motherId().ifPresent(
                mother -> daughters.computeIfAbsent(mother, _ -> new ArrayList<>()).add(bee)));
        return known.stock().bees().values().stream()
                .filter(bee -> bee.breeder() && bee.alive() || daughters.containsKey(bee.id()))
                .map(bee -> mother(known, bee, daughters.getOrDefault(bee.id(), List.of())))
                .sorted(Comparator.comparing((MotherLine one) -> one.alive() && one.breeder()).reversed()
                        .thenComparing(one -> one.merit() == null ? Double.MAX_VALUE : -one.merit())
                        .thenComparing(MotherLine::code))
                .limit(MOST_SHOWN).toList();
    }

    private static MotherLine mother(Lineages.Known known, Bee bee, List<Bee> daughters) {
        Optional<Merit.Estimate> merit = known.together(bee.id());
        double[] theirs = daughters.stream().flatMap(one -> known.together(one.id()).stream())
                .mapToDouble(Merit.Estimate::value).sorted().toArray();
        return new MotherLine(bee.id(), bee.said(), bee.line(), bee.alive(), bee.breeder(),
                bee.born() == 0 ? null : bee.born(), daughters.size(),
                (int) daughters.stream().filter(one -> one.stage() == Stage.LAYING || one.stage() == Stage.JUDGED)
                        .count(),
                merit.map(one -> LineageViews.thousandth(one.value())).orElse(null),
                merit.map(one -> LineageViews.thousandth(one.reliability())).orElse(null),
                theirs.length < 2
                        ? null
                        : new Amount(theirs[0],
                                Arrays.stream(theirs).average().orElse(0), theirs[theirs.length - 1])
                                .map(LineageViews::thousandth),
                known.of(bee.id()));
    }

    /** @param queenCode who is to mate @param mating what it would give */
    record PlannedMating(String queenCode, String withText, MatingView mating) {
    }

    @GetMapping("/mating")
    @Operation(operationId = "plannedMating", summary = "What a daughter of a queen, mated in some way, would give")
    @Transactional(readOnly = true)
    public PlannedMating mating(@RequestParam UUID mother, @RequestParam LineageDeed.How how,
            @RequestParam(required = false) @Nullable UUID droneMother,
            @RequestParam(defaultValue = "8") @Min(1) @Max(500) int sisters,
            @RequestParam(defaultValue = "12") @Min(1) @Max(40) int drones,
            @RequestParam(defaultValue = "12") @Min(2) @Max(100) int alleles) {
        Stocks.Stock stock = lineages.stock(today.day());
        if (!stock.knows(mother)) {
            throw Refusal.notHere(QueenDeed.QUEEN, mother);
        }
        Optional<Bee> drone = Optional.ofNullable(droneMother).filter(_ -> how != LineageDeed.How.OPEN)
                .filter(stock::knows).map(stock::bee);
        if (how != LineageDeed.How.OPEN && drone.isEmpty()) {
            throw Refusal.invalid("droneMother", Sentence.of("lineage.whoseDrones"));
        }
        Mating with = new LineageDeed.Mated(mother, how, drone.map(Bee::id), sisters,
                how == LineageDeed.How.ONE_DRONE ? 1 : drones).mating();
        Sentence text = drone.map(bee -> how == LineageDeed.How.ONE_DRONE
                ? Sentence.of("mated.ONE_DRONE", bee.said())
                : Sentence.of("mated.STATION", bee.said(), sisters)).orElse(Sentence.of("mated.OPEN"));
        return new PlannedMating(stock.bee(mother).said(), text.toString(),
                MatingView.of(MatingOutlook.of(stock.kinship(),
                        mother.toString(), MatingOutlook.Who.HER_DAUGHTER, with, alleles)));
    }
}
