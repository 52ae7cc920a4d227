package vividcrown.core.merit;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vividcrown.core.journal.Faults;
import vividcrown.core.lineage.Kinship;
import vividcrown.core.lineage.Pedigree;
import vividcrown.core.reason.Reason;
import vividcrown.core.reason.Source;
import vividcrown.core.reason.Source.Published;

/**
 * What queens are expected to pass on in one trait, with how sure that is. Never a number without the other.
 *
 * @param way how it was reckoned
 * @param of by queen: all that were scored, and everybody they descend from or who has such daughters
 * @param scores how many it rests on
 */
public record Merit(Trait trait, Way way, Map<String, Estimate> of, int scores, List<Reason> reasons) {

    /** How it was reckoned. */
    public enum Way {
        /** All kin at once. */
        ANIMAL_MODEL,
        /** Each by her own scores and those of her daughters alone: there is too little for more. */
        SISTER_GROUPS,
        /** Nothing can be told apart from luck, yard and year. */
        TOO_LITTLE
    }

    /**
     * @param value above (or below) the mean of those it is compared with, in marks
     * @param reliability squared correlation of it with the truth, 0–1
     * @param own scores of her own colony
     * @param daughters of hers that were scored
     */
    public record Estimate(double value, double reliability, int own, int daughters) {
    }

    private static final Source HENDERSON = new Published(
            "Henderson 1975, Biometrics 31:423 (BLUP); Brascamp & Bijma 2014, Genet. Sel. Evol. 46:53", true);
    private static final Source INDEX = new Published(
            "Falconer & Mackay 1996, selection index for own records and half-sisters",
            true);
    /** With fewer the lines cannot be told from the yards. Common practice. */
    private static final int LEAST_QUEENS = 20;
    private static final int LEAST_MOTHERS = 3;
    private static final int LEAST_TO_TELL = 3;

    public Merit {
        of = Map.copyOf(of);
        reasons = List.copyOf(reasons);
    }

    /**
     * @param scores of this trait; others are left aside
     * @param heritability 0.01–0.95
     * @throws IllegalArgumentException if a queen was scored who is not in the pedigree
     */
    public static Merit of(Kinship kinship, Trait trait, Collection<Score> scores, double heritability) {
        new Faults().within("heritability", heritability, 0.01, 0.95).refuse();
        List<Score> those = scores.stream().filter(score -> score.trait() == trait).toList();
        Pedigree pedigree = kinship.pedigree();
        Map<String, Integer> own = new HashMap<>();
        those.forEach(score -> own.merge(pedigree.queen(score.queen()).id(), 1, Integer::sum));
        Map<String, Integer> daughters = new HashMap<>();
        own.keySet().forEach(queen -> pedigree.queen(queen).mother()
                .ifPresent(mother -> daughters.merge(mother, 1, Integer::sum)));
        if (own.size() < LEAST_TO_TELL) {
            return new Merit(trait, Way.TOO_LITTLE, Map.of(), those.size(),
                    List.of(Reason.of(INDEX, "merit.reason.tooLittle", own.size(), LEAST_TO_TELL)));
        }
        long mothers = daughters.values().stream().filter(many -> many >= 2).count();
        if (own.size() < LEAST_QUEENS || mothers < LEAST_MOTHERS) {
            return new Merit(trait, Way.SISTER_GROUPS, sisterGroups(pedigree, those, own, daughters, heritability),
                    those.size(),
                    List.of(Reason.of(INDEX, "merit.reason.sisters", own.size(), LEAST_QUEENS, mothers, LEAST_MOTHERS,
                            Math.round(100 * heritability))));
        }
        AnimalModel.Solved solved = new AnimalModel(kinship, those, heritability).solve();
        Set<String> told = new HashSet<>(own.keySet());
        told.addAll(daughters.keySet());
        pedigree.queens().stream().filter(queen -> queen.mother().filter(told::contains).isPresent())
                .forEach(queen -> told.add(queen.id()));
        Map<String, Estimate> of = new LinkedHashMap<>();
        told.forEach(queen -> of.put(queen, new Estimate(solved.value(queen), solved.reliability(queen),
                own.getOrDefault(queen, 0), daughters.getOrDefault(queen, 0))));
        return new Merit(trait, Way.ANIMAL_MODEL, of, those.size(),
                List.of(Reason.of(HENDERSON, solved.exact() ? "merit.reason.blup" : "merit.reason.blupLarge",
                        own.size(),
                        those.size(), Math.round(100 * heritability))));
    }

    private static Map<String, Estimate> sisterGroups(Pedigree pedigree, List<Score> scores, Map<String, Integer> own,
            Map<String, Integer> daughters, double heritability) {
        Map<String, Double> above = aboveTheirSide(scores);
        double noise = (1 - heritability) / heritability;
        Map<String, Estimate> of = new HashMap<>();
        own.forEach((queen, times) -> {
            double sure = times / (times + noise);
            of.put(queen, new Estimate(sure * above.getOrDefault(queen, 0.0), sure, times, 0));
        });
        Map<String, List<Double>> ofDaughters = new HashMap<>();
        above.forEach((queen, value) -> pedigree.queen(queen).mother()
                .ifPresent(mother -> ofDaughters.computeIfAbsent(mother, _ -> new ArrayList<>()).add(value)));
        // what a mother passes on is twice what her daughters are above the mean: half of theirs is hers
        double sisters = (4 - heritability) / heritability;
        ofDaughters.forEach((mother, values) -> {
            double sure = values.size() / (values.size() + sisters);
            double mean = values.stream().mapToDouble(Double::doubleValue).average().orElse(0);
            Estimate alone = of.getOrDefault(mother, new Estimate(0, 0, 0, 0));
            double both = 1 - (1 - sure) * (1 - alone.reliability());
            double weight = sure + alone.reliability();
            double value = both * (sure * 2 * mean + alone.reliability() * aboveAlone(alone)) / weight;
            of.put(mother, new Estimate(value, both, alone.own(), daughters.getOrDefault(mother, 0)));
        });
        return of;
    }

    private static double aboveAlone(Estimate alone) {
        return alone.reliability() == 0 ? 0 : alone.value() / alone.reliability();
    }

    /** Mean of each queen's scores above those that stood beside her; where she stood alone, above all. */
    private static Map<String, Double> aboveTheirSide(List<Score> scores) {
        Map<Score.Side, List<Score>> sides = new HashMap<>();
        scores.forEach(score -> sides.computeIfAbsent(score.side(), _ -> new ArrayList<>()).add(score));
        double all = scores.stream().mapToDouble(Score::value).average().orElse(0);
        Map<String, List<Double>> above = new HashMap<>();
        sides.values().forEach(beside -> {
            double mean = beside.size() < 2 ? all : beside.stream().mapToDouble(Score::value).average().orElse(0);
            beside.forEach(score -> above.computeIfAbsent(score.queen(), _ -> new ArrayList<>())
                    .add(score.value() - mean));
        });
        Map<String, Double> means = new HashMap<>();
        above.forEach((queen, values) -> means.put(queen,
                values.stream().mapToDouble(Double::doubleValue).average().orElse(0)));
        return means;
    }
}
