package vividcrown.server.reckon;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import vividcrown.core.hive.Comb;
import vividcrown.core.hive.FrameFormat;
import vividcrown.core.hive.FrameKind;
import vividcrown.core.hive.FrameSeen;
import vividcrown.core.hive.Purpose;
import vividcrown.core.hive.Strength;
import vividcrown.core.hive.Unit;
import vividcrown.core.hive.UnitQueen;
import vividcrown.core.hive.UnitTrait;
import vividcrown.core.reading.Sign;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.problem.Refusal;

/**
 * A hive as it was last read: its frames by kind, or side by side.
 *
 * @param yard where it stands; all of one yard if left out
 * @param purpose PRODUCTION if left out, NUC with up to six places
 * @param readOn the day on which it looked like this; the day asked for if left out
 * @param format name of a usual frame format; Langstroth deep if left out
 * @param slots places for frames in its brood boxes; as many as there are frames, at least five, if left out
 * @param frames its frames, by kind or side by side
 * @param framesOfBees frames densely covered on both sides; reckoned from the frames if left out
 * @param queen UNKNOWN if left out
 * @param queenLays when she began or will begin to lay; for one who has laid for long leave it out
 * @param queenWinters winters behind her
 * @param queenChance that it is so, 0–1; 1 if left out, 0.9 for NONE, who may be a virgin that was missed
 * @param traits what decides what it may give and get; cells on a frame are taken to be for a swarm
 * @param signs seen at the whole hive; those of disease stop it, DEFENSIVE and ROBBING count as such
 * @param lastEggOn when the last egg was laid, if laying stopped
 * @param floorBrood frames of brood it must keep, in place of the usual
 * @param floorBees frames of bees it must keep, in place of the usual
 */
record HiveInput(@NotBlank @Size(max = 20) String code, @Nullable @Size(max = 60) String yard,
        @Nullable Purpose purpose, @Nullable LocalDate readOn, @Nullable @Size(max = 60) String format,
        @Nullable @Min(1) @Max(96) Integer slots, @Nullable @Size(max = 100) List<@Valid FrameInput> frames,
        @Nullable @Min(0) @Max(40) Double framesOfBees, UnitQueen.@Nullable Is queen, @Nullable LaysInput queenLays,
        @Nullable @Min(0) @Max(8) Integer queenWinters, @Nullable @Min(0) @Max(1) Double queenChance,
        @Nullable @Size(max = 12) List<UnitTrait> traits, @Nullable @Size(max = 100) List<Sign> signs,
        @Nullable LocalDate lastEggOn, @Nullable @Min(0) @Max(40) Integer floorBrood,
        @Nullable @Min(0) @Max(40) Double floorBees) {

    /** First possible, likely and last possible day; one day may stand alone as earliest. */
    record LaysInput(LocalDate earliest, @Nullable LocalDate likely, @Nullable LocalDate latest) {
        private DatedSpan span() {
            LocalDate mid = likely == null
                    ? latest == null ? earliest : DatedSpan.ofClosed(earliest, latest).likely()
                    : likely;
            return new DatedSpan(earliest, mid, latest == null ? mid : latest);
        }
    }

    /**
     * One frame, or several alike.
     *
     * @param box from 1 at the bottom; 1 if left out
     * @param slot from 1, as seen from the entrance; the next free one if left out
     * @param count so many alike, in this slot and the next; 1 if left out
     * @param kind what it mostly is; shares or sides say it more exactly
     * @param eggs share of both sides, 0–1
     * @param larvae share of both sides, 0–1
     * @param sealed sealed worker brood, share of both sides, 0–1
     * @param drone drone brood, share of both sides, 0–1
     * @param pollen share of both sides, 0–1
     * @param honey honey and nectar, share of both sides, 0–1
     * @param drawn empty drawn comb, share of both sides, 0–1
     * @param foundation share of both sides, 0–1
     * @param near what stands on the side towards slot 1, the largest part first
     * @param far what stands on the other side, the largest part first
     * @param bees share of it that bees cover densely, both sides, 0–1.5
     * @param queenSeen she was seen on it
     * @param searched both its sides were searched for her
     * @param cells queen cells stand on it
     */
    record FrameInput(@Nullable @Min(1) @Max(12) Integer box, @Nullable @Min(1) @Max(24) Integer slot,
            @Nullable @Min(1) @Max(24) Integer count, @Nullable FrameKind kind, @Nullable Double eggs,
            @Nullable Double larvae, @Nullable Double sealed, @Nullable Double drone, @Nullable Double pollen,
            @Nullable Double honey, @Nullable Double drawn, @Nullable Double foundation,
            @Nullable @Size(max = 20) List<Sign> near, @Nullable @Size(max = 20) List<Sign> far,
            @Nullable Double bees, @Nullable Boolean queenSeen, @Nullable Boolean searched, @Nullable Boolean cells) {

        private Optional<Comb> comb() {
            boolean shares = eggs != null || larvae != null || sealed != null || drone != null || pollen != null
                    || honey != null || drawn != null || foundation != null;
            if (shares) {
                return Optional.of(new Comb(share(eggs), share(larvae), share(sealed), share(drone), share(pollen),
                        share(honey), share(drawn), share(foundation)));
            }
            if (near != null || far != null) {
                return Optional.of(Comb.ofSides(orNone(near), orNone(far)));
            }
            return Optional.ofNullable(kind).map(FrameKind::usual);
        }

        private Set<Sign> signs() {
            Set<Sign> all = EnumSet.noneOf(Sign.class);
            orNone(near).forEach(sign -> all.addAll(sign.upwards()));
            orNone(far).forEach(sign -> all.addAll(sign.upwards()));
            return all;
        }

        private static double share(@Nullable Double share) {
            return share == null ? 0 : share;
        }
    }

    /** Who finds none may have missed a virgin. */
    private static final double NONE_SEEN = 0.9;
    private static final int SMALL_BOX = 6;

    /**
     * @param field where it stands in the request
     * @param findings receives what is wrong with it
     * @param assumed receives what was taken for granted
     * @return empty if something is wrong
     */
    Optional<Unit> unit(String field, LocalDate day, List<Refusal.Finding> findings, List<String> assumed) {
        int before = findings.size();
        LocalDate read = readOn == null ? day : readOn;
        if (read.isAfter(day)) {
            findings.add(new Refusal.Finding(field + ".readOn",
                    Sentence.of("refusal.hiveReadLater", read.toString(), day.toString()).toString()));
        }
        Set<UnitTrait> all = EnumSet.noneOf(UnitTrait.class);
        all.addAll(orNone(traits));
        byWhole(all);
        List<FrameSeen> hang = new ArrayList<>();
        boolean beesNoted = framesOfBees != null;
        Set<FrameSeen.FrameAt> taken = new HashSet<>();
        for (int at = 0; at < orNone(frames).size(); at++) {
            FrameInput input = orNone(frames).get(at);
            beesNoted |= input.bees() != null;
            try {
                hang(input, hang, taken, all, field + ".frames[" + at + "]", findings);
            } catch (IllegalArgumentException wrong) {
                findings.add(new Refusal.Finding(field + ".frames[" + at + "]", String.valueOf(wrong.getMessage())));
            }
        }
        if (findings.size() > before) {
            return Optional.empty();
        }
        if (!beesNoted) {
            assumed.add(Sentence.of("split.assumed.bees", code).toString());
        }
        try {
            return Optional.of(unit(read, hang, all));
        } catch (IllegalArgumentException wrong) {
            findings.add(new Refusal.Finding(field, String.valueOf(wrong.getMessage())));
            return Optional.empty();
        }
    }

    private Unit unit(LocalDate read, List<FrameSeen> hang, Set<UnitTrait> all) {
        int places = slots == null ? Math.max(5, hang.size()) : slots;
        Purpose kept = purpose == null ? places <= SMALL_BOX ? Purpose.NUC : Purpose.PRODUCTION : purpose;
        UnitQueen of = new UnitQueen(queen == null ? UnitQueen.Is.UNKNOWN : queen,
                Optional.ofNullable(queenLays).map(LaysInput::span), Optional.ofNullable(queenWinters),
                queenChance != null ? queenChance : queen == UnitQueen.Is.NONE ? NONE_SEEN : 1);
        return new Unit(code.strip(), yard == null ? "" : yard.strip(), kept, read, side(), places, hang,
                Optional.ofNullable(framesOfBees), of, all, Optional.ofNullable(lastEggOn).map(DatedSpan::on),
                Optional.empty());
    }

    private Strength side() {
        Double area = format == null ? null : FrameFormat.sides().get(format);
        if (format != null && area == null) {
            throw new IllegalArgumentException(Sentence.of("refusal.format", format,
                    String.join(", ", FrameFormat.sides().keySet())).toString());
        }
        return new Strength(area == null ? FrameFormat.DEEP_LANGSTROTH.sideSquareDecimetres() : area);
    }

    private void byWhole(Set<UnitTrait> all) {
        for (Sign sign : orNone(signs)) {
            if (sign.stopsTheWork()) {
                all.add(UnitTrait.SUSPECT);
            } else if (sign == Sign.DEFENSIVE) {
                all.add(UnitTrait.DEFENSIVE);
            } else if (sign == Sign.ROBBING || sign == Sign.FIGHTING) {
                all.add(UnitTrait.ROBBED);
            }
        }
    }

    private static void hang(FrameInput input, List<FrameSeen> hang, Set<FrameSeen.FrameAt> taken, Set<UnitTrait> all,
            String field, List<Refusal.Finding> findings) {
        Optional<Comb> comb = input.comb();
        if (comb.isEmpty()) {
            findings.add(new Refusal.Finding(field, Sentence.of("refusal.hiveFrames").toString()));
            return;
        }
        Set<Sign> seen = input.signs();
        if (seen.stream().anyMatch(Sign::stopsTheWork)) {
            all.add(UnitTrait.SUSPECT);
        }
        int box = input.box() == null ? 1 : input.box();
        int count = input.count() == null ? 1 : input.count();
        int slot = input.slot() == null ? 1 : input.slot();
        boolean queen = Boolean.TRUE.equals(input.queenSeen()) || seen.contains(Sign.QUEEN);
        boolean cells = Boolean.TRUE.equals(input.cells()) || seen.contains(Sign.QUEEN_CELLS);
        if (cells) {
            all.add(UnitTrait.SWARM_CELLS);
        }
        for (int nth = 0; nth < count; nth++) {
            if (input.slot() == null) {
                while (taken.contains(new FrameSeen.FrameAt(box, slot))) {
                    slot++;
                }
            }
            FrameSeen one = new FrameSeen(box, slot, comb.get(),
                    input.bees() == null ? comb.get().usuallyCovered() : input.bees(),
                    queen && nth == 0, Boolean.TRUE.equals(input.searched()), cells && nth == 0);
            taken.add(one.at());
            hang.add(one);
            slot++;
        }
    }

    static <T> List<T> orNone(@Nullable List<T> list) {
        return list == null ? List.of() : list;
    }
}
