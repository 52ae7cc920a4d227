package vividcrown.server.reckon;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.hive.Amount;
import vividcrown.core.lineage.BroodLoss;
import vividcrown.core.lineage.Kinship;
import vividcrown.core.lineage.Mating;
import vividcrown.core.lineage.MatingOutlook;
import vividcrown.core.lineage.Pedigree;
import vividcrown.core.lineage.StockForecast;
import vividcrown.core.merit.Breeders;
import vividcrown.core.merit.Merit;
import vividcrown.core.merit.Score;
import vividcrown.core.merit.Trait;
import vividcrown.core.reason.Sentence;
import vividcrown.server.lineage.LineageViews;
import vividcrown.server.lineage.LineageViews.BreedersView;
import vividcrown.server.lineage.LineageViews.MatingView;
import vividcrown.server.lineage.LineageViews.MeritView;
import vividcrown.server.problem.Refusal;

/** Who is akin to whom, what a mating would give, what queens are worth as mothers. Open to everybody, keeps nothing. */
@RestController
@RequestMapping("/api/v1/reckon")
class LineageReckonController {

    private static final int MOST_QUEENS = 20_000;
    private static final int MOST_ASKED = 200;
    private static final long SEED = 46;
    private static final int USUAL_RUNS = 300;
    private static final double SECONDS = 1;

    /** With whom a queen mates. */
    enum MatingKind {
        ONE_DRONE, STATION, OPEN
    }

    /**
     * @param kind one drone (instrumental), a group of sister drone mothers, or in the open
     * @param droneMother of one drone the queen he came from; of a station the mother of the sisters
     * @param sisters that give drones at a station; 8 if left out
     * @param drones she mates with; 12 if left out
     * @param shares in the open: share of her mates by the queen they come from, the rest are strangers
     */
    record MatingInput(@NotNull MatingKind kind, @Nullable @Size(max = 60) String droneMother,
            @Nullable @Min(1) @Max(500) Integer sisters, @Nullable @Min(1) @Max(40) Integer drones,
            @Nullable @Size(max = 100) Map<@NotBlank @Size(max = 60) String, @NotNull @DecimalMin("0") @DecimalMax("1") Double> shares) {

        private static final int USUAL_SISTERS = 8;

        Mating mating() {
            int many = drones == null ? Mating.USUAL_DRONES : drones;
            return switch (kind) {
                case ONE_DRONE -> new Mating.OneDrone(named());
                case STATION -> new Mating.Sisters(named(), sisters == null ? USUAL_SISTERS : sisters, many);
                case OPEN -> new Mating.Flying(shares == null ? Map.of() : shares, many);
            };
        }

        private String named() {
            if (droneMother == null) {
                throw Refusal.invalid("droneMother", Sentence.of("lineage.whoseDrones"));
            }
            return droneMother;
        }
    }

    /**
     * @param id by which others name her
     * @param mother left out if nobody knows
     * @param father of her: a drone has none, and a queen's father is told with her mother's mating; refused with the way out
     * @param born year, left out if nobody knows
     */
    record DescentInput(@NotBlank @Size(max = 60) String id, @Nullable @Size(max = 60) String mother,
            @Nullable @Size(max = 60) String father, @Nullable @Valid MatingInput mating,
            @Nullable @Min(1900) @Max(2200) Integer born) {
        Pedigree.Descent descent() {
            if (father != null) {
                throw Refusal.invalid("queens", Sentence.of("lineage.father", id));
            }
            return new Pedigree.Descent(id, Optional.ofNullable(mother),
                    mating == null ? Mating.UNKNOWN : mating.mating(), born == null ? 0 : born);
        }
    }

    private static Kinship kinship(List<DescentInput> queens) {
        return Refusal.checked(
                () -> new Kinship(Pedigree.of(queens.stream().map(DescentInput::descent).toList())), "queens");
    }

    private static List<String> flags(Kinship kinship) {
        return kinship.pedigree().flags().stream().map(Object::toString).toList();
    }

    private static void known(Kinship kinship, String field, List<String> ids) {
        ids.stream().filter(id -> !kinship.pedigree().knows(id)).findFirst().ifPresent(id -> {
            throw Refusal.invalid(field, Sentence.of("wrong.Pedigree.unknown", id));
        });
    }

    /** @param of whose kinship is asked */
    record KinshipRequest(@NotNull @Size(min = 1, max = MOST_QUEENS) List<@NotNull @Valid DescentInput> queens,
            @NotNull @Size(min = 1, max = MOST_ASKED) List<@NotBlank String> of) {
    }

    /**
     * @param of whose numbers these are, in the order of the rows
     * @param inbreeding of each, 0–1
     * @param kinship of each with each: the chance that an allele of the one and an allele of the other come from one
     * @param relatedness how much two share, 1 for twins: full sisters 0.75
     * @param flags what was put right
     */
    record KinshipAnswer(List<String> of, double[] inbreeding, double[][] kinship, double[][] relatedness,
            List<String> flags) {
    }

    @PostMapping("/kinship")
    @Operation(summary = "Inbreeding, kinship and relatedness of queens by their pedigree, exact for bees", description = """
            Example: {"queens": [{"id": "q", "mating": {"kind": "ONE_DRONE", "droneMother": "f"}}, {"id": "a", "mother": "q"},
            {"id": "b", "mother": "q"}], "of": ["a", "b"]}: full sisters, relatedness 0.75.""")
    KinshipAnswer kinship(@Valid @RequestBody KinshipRequest asked) {
        Kinship kinship = kinship(asked.queens());
        known(kinship, "of", asked.of());
        double[][] kin = kinship.among(asked.of());
        double[] inbreeding = asked.of().stream().mapToDouble(kinship::inbreeding).toArray();
        double[][] related = new double[kin.length][kin.length];
        for (int one = 0; one < kin.length; one++) {
            for (int other = 0; other < kin.length; other++) {
                related[one][other] = LineageViews
                        .thousandth(kin[one][other] / Math.sqrt(kin[one][one] * kin[other][other]));
            }
        }
        return new KinshipAnswer(asked.of(), Arrays.stream(inbreeding).map(LineageViews::thousandth).toArray(),
                Arrays.stream(kin).map(row -> Arrays.stream(row).map(LineageViews::thousandth).toArray())
                        .toArray(double[][]::new),
                related, flags(kinship));
    }

    /**
     * @param queen who is to mate
     * @param daughter a daughter of hers mates, who is yet to be raised
     * @param with whom
     * @param alleles sex alleles in the founders; 12 if left out
     */
    record MatingRequest(@NotNull @Size(min = 1, max = MOST_QUEENS) List<@NotNull @Valid DescentInput> queens,
            @NotBlank String queen, @Nullable Boolean daughter, @NotNull @Valid MatingInput with,
            @Nullable @Min(2) @Max(100) Integer alleles) {
    }

    /** @param mating what it would give @param flags what was put right */
    record MatingAnswer(MatingView mating, List<String> flags) {
    }

    @PostMapping("/mating")
    @Operation(summary = "What a planned mating would give: inbreeding, brood lost to equal sex alleles, relatedness of the workers", description = """
            Example: {"queens": [{"id": "q"}], "queen": "q", "daughter": true, "with": {"kind": "STATION", "droneMother": "q"}}:
            a daughter at a station of her sisters.""")
    MatingAnswer mating(@Valid @RequestBody MatingRequest asked) {
        Mating with = Refusal.checked(asked.with()::mating, "with");
        Kinship kinship = kinship(asked.queens());
        known(kinship, "queen", List.of(asked.queen()));
        known(kinship, "with", switch (with) {
            case Mating.OneDrone one -> List.of(one.droneMother());
            case Mating.Sisters group -> List.of(group.mother());
            case Mating.Flying flying -> List.copyOf(flying.shares().keySet());
        });
        return new MatingAnswer(MatingView.of(MatingOutlook.of(kinship, asked.queen(),
                Boolean.TRUE.equals(asked.daughter()) ? MatingOutlook.Who.HER_DAUGHTER : MatingOutlook.Who.SHE, with,
                asked.alleles() == null ? BroodLoss.USUAL_ALLELES : asked.alleles())), flags(kinship));
    }

    /**
     * @param mothers grafted from in each generation
     * @param droneMothers whose drones fly
     * @param drones each queen mates with; 12 if left out
     * @param alleles sex alleles in the founders; 12 if left out
     * @param generations that are lived
     * @param runs how often it is lived; 300 if left out
     */
    record StockForecastRequest(@NotNull @Min(1) @Max(200) Integer mothers,
            @NotNull @Min(1) @Max(200) Integer droneMothers, @Nullable @Min(1) @Max(40) Integer drones,
            @Nullable @Min(3) @Max(100) Integer alleles, @NotNull @Min(1) @Max(60) Integer generations,
            @Nullable @Min(20) @Max(1_000) Integer runs) {
    }

    /**
     * @param number from the founders (0) on
     * @param inbreeding of the workers, 0–1
     * @param alleles sex alleles left
     * @param solid share of eggs not lost to equal sex alleles
     */
    record GenerationView(int number, Amount inbreeding, Amount alleles, Amount solid) {
    }

    /** @param generations each with what nine in ten runs lie between */
    record StockForecastAnswer(List<GenerationView> generations) {
    }

    @PostMapping("/stock-forecast")
    @Operation(summary = "What becomes of a closed stock over generations: inbreeding, sex alleles left, solid brood", description = """
            Example: {"mothers": 3, "droneMothers": 4, "generations": 10}. Lived some hundred times with the same seed.""")
    StockForecastAnswer stock(@Valid @RequestBody StockForecastRequest asked) {
        StockForecast found = Refusal.checked(() -> StockForecast.of(
                new StockForecast.Stock(asked.mothers(), asked.droneMothers(),
                        asked.drones() == null ? Mating.USUAL_DRONES : asked.drones(),
                        asked.alleles() == null ? BroodLoss.USUAL_ALLELES : asked.alleles(), asked.generations()),
                asked.runs() == null ? USUAL_RUNS : asked.runs(), SEED), "");
        return new StockForecastAnswer(found.generations().stream().map(one -> new GenerationView(one.number(),
                one.inbreeding().map(LineageViews::thousandth), one.alleles().map(LineageViews::thousandth),
                one.solid().map(LineageViews::thousandth))).toList());
    }

    /** @param queen who was scored @param value on the scale @param yard where it stood */
    record ScoreInput(@NotBlank @Size(max = 60) String queen, @NotNull Double value,
            @Nullable @Size(max = 60) String yard,
            @NotNull @Min(1950) @Max(2200) Integer year) {
    }

    /** @param least worst mark @param most best mark @param step between two marks */
    record ScaleInput(double least, double most, double step) {
    }

    /**
     * @param trait that was scored
     * @param scale 1 to 4 by halves if left out
     * @param heritability share of the differences that is inherited; the trade's for the trait if left out
     */
    record MeritRequest(@NotNull @Size(min = 1, max = MOST_QUEENS) List<@NotNull @Valid DescentInput> queens,
            @NotNull Trait trait, @NotNull @Size(max = MOST_QUEENS) List<@NotNull @Valid ScoreInput> scores,
            @Nullable @Valid ScaleInput scale, @Nullable @DecimalMin("0.01") @DecimalMax("0.95") Double heritability) {
    }

    /** @param merit of each @param flags what was put right */
    record MeritAnswer(MeritView merit, List<String> flags) {
    }

    @PostMapping("/merit")
    @Operation(summary = "What queens are expected to pass on, by their scores and their daughters', yard and year taken out", description = """
            Example: {"trait": "TEMPER", "queens": [{"id": "m"}, {"id": "a", "mother": "m"}], "scores": [{"queen": "a", "value": 3.5,
            "yard": "north", "year": 2026}]}. With too little it says so instead of a number.""")
    MeritAnswer merit(@Valid @RequestBody MeritRequest asked) {
        Kinship kinship = kinship(asked.queens());
        ScaleInput own = asked.scale();
        Score.Scale scale = own == null
                ? Score.Scale.USUAL
                : Refusal.checked(() -> new Score.Scale(own.least(), own.most(), own.step()), "scale");
        List<Score> scores = asked.scores().stream().map(one -> Refusal.checked(() -> {
            scale.check(one.value());
            return new Score(one.queen(), asked.trait(), one.value(), one.yard() == null ? "" : one.yard(), one.year());
        }, "scores")).toList();
        known(kinship, "scores", scores.stream().map(Score::queen).toList());
        return new MeritAnswer(MeritView.of(Merit.of(kinship, asked.trait(), scores,
                asked.heritability() == null ? asked.trait().heritability() : asked.heritability())), flags(kinship));
    }

    /** @param line she is of; one of her own if left out @param reliability of the merit, 0–1; 0 if left out */
    record CandidateInput(@NotBlank @Size(max = 60) String queen, @Nullable @Size(max = 60) String line,
            @NotNull Double merit, @Nullable @DecimalMin("0") @DecimalMax("1") Double reliability) {
    }

    /**
     * @param candidates who may be grafted from
     * @param daughters wanted of all together
     * @param kinship of two drawn among what they pass on, at most
     * @param lines that go on at least; 3 if left out
     * @param mostOfOne share that one mother may have at most; 0.5 if left out
     */
    record BreedersRequest(@NotNull @Size(min = 1, max = MOST_QUEENS) List<@NotNull @Valid DescentInput> queens,
            @NotNull @Size(min = 1, max = 200) List<@NotNull @Valid CandidateInput> candidates,
            @NotNull @Min(1) @Max(100_000) Integer daughters, @NotNull @DecimalMin("0") @DecimalMax("1") Double kinship,
            @Nullable @Min(1) @Max(50) Integer lines, @Nullable @DecimalMin("0.05") @DecimalMax("1") Double mostOfOne) {
    }

    /** @param found who, and how many each; left out where no choice keeps the bounds @param why nothing was found */
    record BreedersAnswer(@Nullable BreedersView found, @Nullable String why, List<String> flags) {
    }

    @PostMapping("/breeders")
    @Operation(summary = "Who is grafted from, and how many daughters each: the most merit that keeps kinship bounded and lines going", description = """
            Example: {"queens": [{"id": "a"}, {"id": "b"}], "candidates": [{"queen": "a", "merit": 1}, {"queen": "b", "merit": 0.5}],
            "daughters": 60, "kinship": 0.3, "lines": 2}.""")
    BreedersAnswer breeders(@Valid @RequestBody BreedersRequest asked) {
        Kinship kinship = kinship(asked.queens());
        List<Breeders.Candidate> candidates = asked.candidates().stream()
                .map(one -> Refusal
                        .checked(() -> new Breeders.Candidate(one.queen(), one.line() == null ? "" : one.line(),
                                one.merit(), one.reliability() == null ? 0 : one.reliability()), "candidates"))
                .toList();
        List<String> ids = candidates.stream().map(Breeders.Candidate::queen).toList();
        known(kinship, "candidates", ids);
        if (ids.stream().distinct().count() < ids.size()) {
            throw Refusal.invalid("candidates", Sentence.of("lineage.candidateTwice"));
        }
        int lines = asked.lines() == null ? 3 : asked.lines();
        Optional<Breeders> found = Breeders.choose(candidates, kinship.among(ids),
                new Breeders.Wish(asked.daughters(), asked.kinship(), lines,
                        asked.mostOfOne() == null ? 0.5 : asked.mostOfOne()),
                SECONDS);
        return new BreedersAnswer(found.map(BreedersView::of).orElse(null), found.isPresent()
                ? null
                : Sentence.of("breeders.none", lines, asked.kinship()).toString(), flags(kinship));
    }
}
