package vividcrown.server.lineage;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.lineage.LineageDeed;
import vividcrown.core.lineage.Mating;
import vividcrown.core.merit.Trait;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Stage;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.lineage.LineageViews.EstimateView;
import vividcrown.server.lineage.LineageViews.MatingView;
import vividcrown.server.lineage.Stocks.Bee;
import vividcrown.server.lineage.Stocks.Stock;
import vividcrown.server.problem.Refusal;

/** One queen's descent, what she is worth, and what became of her daughters. */
@RestController
class PedigreeController {

    private static final int GENERATIONS = 6;
    private static final int DAUGHTERS_SHOWN = 60;

    /** How near somebody is, by how much two share. */
    enum Nearness {
        SELF, PARENT_OR_SISTER, HALF_SISTER, FAR, STRANGER;

        private static Nearness of(double relatedness) {
            return relatedness >= 0.4
                    ? PARENT_OR_SISTER
                    : relatedness >= 0.15 ? HALF_SISTER : relatedness > 0.01 ? FAR : STRANGER;
        }
    }

    /**
     * Somebody she descends from.
     *
     * @param generation 1 for her mother
     * @param path M for a mother, D for the mother of drones, from her upwards: "MD" is the drone mother of her mother's side
     * @param again she stands in it before; those above her are not told again
     * @param relatedness how much the two share, 1 for twins
     */
    record Ancestor(String path, int generation, UUID id, String code, String name, String line, @Nullable Integer born,
            double relatedness, Nearness nearness, String nearnessText, boolean again) {
    }

    /**
     * With whom she mated.
     *
     * @param how it was said; left out where nobody said it
     * @param droneMother of one drone the queen he came from, of a station the mother of the sisters
     * @param text in words
     */
    record MatedView(LineageDeed.@Nullable How how, @Nullable UUID droneMother, String text) {
    }

    /** @param value on the scale */
    record MarkView(LocalDate day, Trait trait, String text, double value) {
    }

    /** @param merit over all traits, in marks; left out where nothing is known */
    record DaughterLine(UUID id, String code, @Nullable Integer born, String stageText, boolean alive,
            @Nullable Double merit, @Nullable Double reliability) {
    }

    /**
     * One queen's descent.
     *
     * @param inbreeding her own, 0–1
     * @param ancestors those she descends from, up to six generations
     * @param brood what her own brood is expected to lose; left out where nobody knows with whom she mated
     * @param marks that people gave her colony, the newest first
     * @param merit what she is expected to pass on, by trait
     * @param daughters of hers that came out, the newest first, at most sixty
     * @param allDaughters how many came out
     * @param laying how many of them laid
     */
    record PedigreePage(double inbreeding, List<Ancestor> ancestors, MatedView mated, @Nullable MatingView brood,
            List<MarkView> marks, List<EstimateView> merit, List<DaughterLine> daughters, int allDaughters,
            int laying) {
    }

    private final Lineages lineages;
    private final MatingTable matings;
    private final Marks marks;
    private final Today today;

    PedigreeController(Lineages lineages, MatingTable matings, Marks marks, Today today) {
        this.lineages = lineages;
        this.matings = matings;
        this.marks = marks;
        this.today = today;
    }

    @GetMapping("/api/v1/queens/{id}/pedigree")
    @Operation(operationId = "pedigree", summary = "One queen's descent up to six generations, her merit, marks and daughters")
    @Transactional(readOnly = true)
    public PedigreePage pedigree(@PathVariable UUID id) {
        Lineages.Known known = lineages.known(today.day());
        Stock stock = known.stock();
        if (!stock.knows(id)) {
            throw Refusal.notHere(QueenDeed.QUEEN, id);
        }
        Bee queen = stock.bee(id);
        List<Ancestor> ancestors = new ArrayList<>();
        climb(stock, queen, queen, "", new HashMap<>(), ancestors);
        List<Bee> daughters = stock.bees().values().stream().filter(bee -> id.equals(bee.mother())).toList();
        return new PedigreePage(LineageViews.thousandth(stock.kinship().inbreeding(id.toString())), ancestors,
                mated(stock, queen),
                stock.matings().containsKey(id) ? MatingView.of(known.own(queen)) : null,
                marks.given(id).stream().map(row -> new MarkView(row.scoredOn(), row.trait(),
                        row.trait().sentence().toString(), row.value())).toList(),
                known.of(id),
                daughters.reversed().stream().limit(DAUGHTERS_SHOWN).map(bee -> daughter(known, bee)).toList(),
                daughters.size(), (int) daughters.stream().filter(PedigreeController::laid).count());
    }

    private static boolean laid(Bee bee) {
        return bee.stage() == Stage.LAYING || bee.stage() == Stage.JUDGED;
    }

    private static DaughterLine daughter(Lineages.Known known, Bee bee) {
        return new DaughterLine(bee.id(), bee.said(), bee.born() == 0 ? null : bee.born(),
                Sentence.of("stage." + bee.stage().name()).toString(), bee.alive(),
                known.together(bee.id()).map(one -> LineageViews.thousandth(one.value())).orElse(null),
                known.together(bee.id()).map(one -> LineageViews.thousandth(one.reliability())).orElse(null));
    }

    private static void climb(Stock stock, Bee from, Bee root, String path, Map<UUID, String> seen,
            List<Ancestor> ancestors) {
        if (path.length() >= GENERATIONS) {
            return;
        }
        from.motherId().filter(stock::knows).map(stock::bee).ifPresent(mother -> {
            step(stock, mother, root, path + "M", seen, ancestors);
            droneMother(stock.matings().get(mother.id())).filter(stock::knows).map(stock::bee)
                    .ifPresent(drones -> step(stock, drones, root, path + "D", seen, ancestors));
        });
    }

    private static void step(Stock stock, Bee bee, Bee root, String path, Map<UUID, String> seen,
            List<Ancestor> ancestors) {
        boolean again = seen.putIfAbsent(bee.id(), path) != null;
        double related = stock.kinship().relatedness(root.id().toString(), bee.id().toString());
        Nearness nearness = Nearness.of(related);
        ancestors.add(new Ancestor(path, path.length(), bee.id(), bee.code(), bee.name(), bee.line(),
                bee.born() == 0 ? null : bee.born(), LineageViews.thousandth(related), nearness,
                Sentence.of("nearness." + nearness.name()).toString(), again));
        if (!again) {
            climb(stock, bee, root, path, seen, ancestors);
        }
    }

    /** Of a station the mother of the sisters; of what flies nobody in particular. */
    static Optional<UUID> droneMother(@Nullable Mating mating) {
        return switch (mating) {
            case Mating.OneDrone one -> Optional.of(UUID.fromString(one.droneMother()));
            case Mating.Sisters group -> Optional.of(UUID.fromString(group.mother()));
            case Mating.Flying _ -> Optional.empty();
            case null -> Optional.empty();
        };
    }

    private MatedView mated(Stock stock, Bee queen) {
        Optional<MatingRow> said = matings.findById(queen.id());
        Mating mating = stock.matings().get(queen.id());
        Optional<UUID> drones = droneMother(mating);
        String whose = drones.filter(stock::knows).map(stock::bee).map(Bee::said).orElse("?");
        Sentence text = switch (mating) {
            case Mating.OneDrone _ -> Sentence.of("mated.ONE_DRONE", whose);
            case Mating.Sisters group -> Sentence.of("mated.STATION", whose, group.sisters());
            case Mating.Flying flying -> flying.shares().isEmpty()
                    ? Sentence.of("mated.OPEN")
                    : Sentence.of("mated.OWN", Math.round(100
                            * flying.shares().values().stream().mapToDouble(Double::doubleValue).sum()));
            case null -> Sentence.of("mated.UNKNOWN");
        };
        return new MatedView(said.map(MatingRow::how).orElse(null), drones.orElse(null), text.toString());
    }
}
