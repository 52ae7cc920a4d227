package vividcrown.server.lineage;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.merit.Breeders;
import vividcrown.core.merit.Merit;
import vividcrown.core.merit.TestGroups;
import vividcrown.core.queen.QueenDeed;
import vividcrown.core.queen.Stage;
import vividcrown.core.reason.Sentence;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.lineage.LineageViews.BreedersView;
import vividcrown.server.lineage.Stocks.Bee;
import vividcrown.server.problem.Refusal;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Who is grafted from and who gives the drones next; which daughters are tested where. */
@RestController
@RequestMapping("/api/v1/lines")
class BreedersController {

    private static final double SECONDS = 1;
    private static final int MOST_CANDIDATES = 200;

    /**
     * @param found who is grafted from; left out where no choice keeps the bounds
     * @param drones who gives the drones: those of the best merit that are no nearer kin to the mothers than is bounded, none grafted from
     *     herself; left out where there are none
     * @param names by the ids in them
     * @param why nothing was found
     */
    record BreedersPage(@Nullable BreedersView found, @Nullable BreedersView drones, Map<String, String> names,
            @Nullable String why) {
    }

    /** @param daughters of hers that are to be tested */
    record TestedMother(@NotNull UUID queen, @Min(1) @Max(10_000) int daughters) {
    }

    /** @param places for colonies of the test */
    record TestYard(@NotNull UUID yard, @Min(0) @Max(10_000) int places) {
    }

    /** @param mothers whose daughters are compared, up to 50 @param yards up to 30 */
    record TestGroupsRequest(@NotEmpty @Size(max = 50) List<@Valid TestedMother> mothers,
            @NotEmpty @Size(max = 30) List<@Valid TestYard> yards) {
    }

    /** @param daughters by mother's id */
    record TestYardFilled(UUID yard, String name, Map<String, Integer> daughters) {
    }

    /** @param warnings what the test could not tell */
    record TestGroupsPage(List<TestYardFilled> yards, List<String> warnings) {
    }

    private final Lineages lineages;
    private final Yards yards;
    private final Today today;

    BreedersController(Lineages lineages, Yards yards, Today today) {
        this.lineages = lineages;
        this.yards = yards;
        this.today = today;
    }

    @GetMapping("/breeders")
    @Operation(operationId = "breedersFor", summary = "Who of the living mothers is grafted from, and how many daughters each")
    @Transactional(readOnly = true)
    public BreedersPage breeders(@RequestParam(defaultValue = "100") @Min(1) @Max(100_000) int daughters,
            @RequestParam(defaultValue = "0.25") @DecimalMin("0") @DecimalMax("1") double kinship,
            @RequestParam(defaultValue = "3") @Min(1) @Max(50) int lines,
            @RequestParam(defaultValue = "0.5") @DecimalMin("0.05") @DecimalMax("1") double mostOfOne,
            @RequestParam(defaultValue = "10") @Min(1) @Max(20) int droneMothers) {
        Lineages.Known known = lineages.known(today.day());
        List<Bee> may = known.stock().bees().values().stream().filter(Bee::alive)
                .filter(bee -> bee.breeder() || known.together(bee.id()).filter(one -> one.value() > 0).isPresent())
                .filter(bee -> bee.stage() == Stage.LAYING || bee.stage() == Stage.JUDGED)
                .sorted(bestFirst(known)).limit(MOST_CANDIDATES).toList();
        if (may.isEmpty()) {
            return new BreedersPage(null, null, Map.of(), Sentence.of("breeders.nobody").toString());
        }
        Map<String, String> names = new TreeMap<>();
        Optional<Breeders> found = choose(known, may, new Breeders.Wish(daughters, kinship, lines, mostOfOne), names);
        Optional<Breeders> drones = found.flatMap(one -> droneMothers(known, one, kinship, droneMothers, names));
        return new BreedersPage(found.map(one -> view(one, names)).orElse(null),
                drones.map(one -> view(one, names)).orElse(null), names,
                found.isPresent() ? null : Sentence.of("breeders.none", lines, kinship).toString());
    }

    private static BreedersView view(Breeders found, Map<String, String> names) {
        BreedersView one = BreedersView.of(found);
        return new BreedersView(one.chosen(), one.merit(), one.kinship(), one.gap(), one.lineMore(),
                one.warnings().stream().map(text -> named(text, names)).toList());
    }

    private static Comparator<Bee> bestFirst(Lineages.Known known) {
        return Comparator.comparingDouble(
                (Bee bee) -> known.together(bee.id()).map(Merit.Estimate::value).orElse(0.0)).reversed();
    }

    private static Optional<Breeders> choose(Lineages.Known known, List<Bee> may, Breeders.Wish wish,
            Map<String, String> names) {
        List<Breeders.Candidate> candidates = may.stream().map(bee -> {
            Optional<Merit.Estimate> merit = known.together(bee.id());
            names.put(bee.id().toString(), bee.said());
            return new Breeders.Candidate(bee.id().toString(), bee.line(),
                    merit.map(Merit.Estimate::value).orElse(0.0), merit.map(Merit.Estimate::reliability).orElse(0.0));
        }).toList();
        return Breeders.choose(candidates, known.stock().kinship().among(ids(may)), wish, SECONDS);
    }

    private static List<String> ids(List<Bee> bees) {
        return bees.stream().map(bee -> bee.id().toString()).toList();
    }

    /** Living queens that head colonies and wintered, none of them nearer kin to the mothers together than two drawn may be. */
    private Optional<Breeders> droneMothers(Lineages.Known known, Breeders mothers, double kinship, int many,
            Map<String, String> names) {
        List<String> chosen = mothers.chosen().stream().map(Breeders.Chosen::queen).toList();
        double sum = mothers.chosen().stream().mapToInt(Breeders.Chosen::daughters).sum();
        List<Bee> headed = known.stock().bees().values().stream().filter(Bee::alive)
                .filter(bee -> bee.stage() == Stage.LAYING || bee.stage() == Stage.JUDGED)
                .filter(bee -> bee.hive() != null && !chosen.contains(bee.id().toString()))
                .filter(bee -> bee.born() != today.day().getYear())
                .sorted(bestFirst(known)).limit(MOST_CANDIDATES).toList();
        double[][] kin = known.stock().kinship().among(Stream.concat(chosen.stream(), ids(headed).stream()).toList());
        List<Bee> far = IntStream.range(0, headed.size()).filter(at -> {
            double near = 0;
            for (int mother = 0; mother < chosen.size(); mother++) {
                near += kin[chosen.size() + at][mother] * mothers.chosen().get(mother).daughters() / sum;
            }
            return near <= kinship;
        }).mapToObj(headed::get).toList();
        if (far.isEmpty()) {
            return Optional.empty();
        }
        int wanted = Math.min(many, far.size());
        int lines = (int) Math.min(2, far.stream().map(Bee::line).distinct().count());
        return choose(known, far, new Breeders.Wish(wanted, 1, lines, Math.max(0.05, 1.0 / wanted)), names);
    }

    private static String named(String text, Map<String, String> names) {
        String said = text;
        for (Map.Entry<String, String> one : names.entrySet()) {
            said = said.replace(one.getKey(), one.getValue());
        }
        return said;
    }

    @PostMapping("/test-groups")
    @Operation(operationId = "testGroups", summary = "Which daughters go to which yards, so that their mothers can be compared")
    @Transactional(readOnly = true)
    public TestGroupsPage testGroups(@Valid @RequestBody TestGroupsRequest asked) {
        Stocks.Stock stock = lineages.stock(today.day());
        Map<String, Integer> daughters = new LinkedHashMap<>();
        asked.mothers().forEach(one -> {
            if (!stock.knows(one.queen())) {
                throw Refusal.notHere(QueenDeed.QUEEN, one.queen());
            }
            daughters.merge(one.queen().toString(), one.daughters(), Integer::sum);
        });
        Map<UUID, Yard> known = yards.byId();
        Map<String, Integer> places = new LinkedHashMap<>();
        asked.yards().forEach(one -> {
            if (!known.containsKey(one.yard())) {
                throw Refusal.notHere(YardDeed.YARD, one.yard());
            }
            places.merge(one.yard().toString(), one.places(), Integer::sum);
        });
        TestGroups groups = Refusal.checked(() -> TestGroups.of(daughters, places), "yards");
        Map<String, String> names = new TreeMap<>();
        daughters.keySet().forEach(id -> names.put(id, stock.bee(UUID.fromString(id)).said()));
        known.forEach((id, yard) -> names.put(id.toString(), yard.name()));
        return new TestGroupsPage(places.keySet().stream().map(UUID::fromString)
                .map(id -> new TestYardFilled(id, Objects.requireNonNull(known.get(id)).name(),
                        Objects.requireNonNull(groups.byYard().get(id.toString()))))
                .toList(), groups.warnings().stream().map(text -> named(text.toString(), names)).toList());
    }
}
