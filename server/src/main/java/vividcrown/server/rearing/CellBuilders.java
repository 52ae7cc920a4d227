package vividcrown.server.rearing;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividcrown.core.hive.Purpose;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;

/** Hives that are, or were, run as cell builders. */
@Component
public class CellBuilders {

    /** Where nobody said how it is run. */
    static final BuilderSchool USUAL_SCHOOL = BuilderSchool.STARTER_THEN_FINISHER;
    /** Cups that a strong one brings up at a time. Common practice. */
    private static final int USUAL_LOAD = 20;

    private final Hives hives;
    private final Builders builders;

    CellBuilders(Hives hives, Builders builders) {
        this.hives = hives;
        this.builders = builders;
    }

    /** @param load cups that it brings up at a time */
    public record CellBuilder(UUID id, String code, UUID yardId, int position, BuilderSchool school, int load) {
    }

    /** Those that are kept as builders now, by code. */
    public List<CellBuilder> standing() {
        List<Hive> kept = hives.keptFor(Purpose.BUILDER);
        Map<UUID, Builder> run = run(kept.stream().map(Hive::id).toList());
        return kept.stream().map(hive -> of(hive, run)).sorted(Comparator.comparing(CellBuilder::code)).toList();
    }

    /** Those that grafts were put into, whatever they are kept for now. */
    public Map<UUID, CellBuilder> of(Collection<UUID> ids) {
        Map<UUID, Builder> run = run(ids);
        return hives.findAllById(ids).stream().map(hive -> of(hive, run))
                .collect(Collectors.toMap(CellBuilder::id, Function.identity()));
    }

    /** How those of them are run of which somebody said it. */
    Map<UUID, BuilderSchool> schools(Collection<UUID> ids) {
        return builders.findAllById(ids).stream().collect(Collectors.toMap(Builder::hiveId, Builder::school));
    }

    private Map<UUID, Builder> run(Collection<UUID> ids) {
        return builders.findAllById(ids).stream().collect(Collectors.toMap(Builder::hiveId, Function.identity()));
    }

    private static CellBuilder of(Hive hive, Map<UUID, Builder> run) {
        Builder builder = run.get(hive.id());
        return new CellBuilder(hive.id(), hive.code(), hive.yardId(), hive.position(),
                builder == null ? USUAL_SCHOOL : builder.school(), builder == null ? USUAL_LOAD : builder.load());
    }
}
