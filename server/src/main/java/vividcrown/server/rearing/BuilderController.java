package vividcrown.server.rearing;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.rearing.BuilderRhythm;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Cell builders: which there are, how they are run, how much they bring up. */
@RestController
class BuilderController {

    /**
     * @param load cups that it brings up at a time
     * @param rhythm how often it can be loaded, by its school
     */
    record BuilderView(UUID id, String code, UUID yardId, String yard, int position, BuilderSchool school, int load,
            BuilderRhythm rhythm) {
    }

    private final CellBuilders builders;
    private final Yards yards;

    BuilderController(CellBuilders builders, Yards yards) {
        this.builders = builders;
        this.yards = yards;
    }

    @GetMapping("/api/v1/builders")
    @Operation(operationId = "builders", summary = "Hives that are kept as cell builders, by code")
    @Transactional(readOnly = true)
    public List<BuilderView> all() {
        Map<UUID, String> names = yards.findAll().stream().collect(Collectors.toMap(Yard::id, Yard::name));
        return builders.standing().stream()
                .map(one -> new BuilderView(one.id(), one.code(), one.yardId(), names.getOrDefault(one.yardId(), "?"),
                        one.position(), one.school(), one.load(), BuilderRhythm.of(one.school())))
                .toList();
    }
}
