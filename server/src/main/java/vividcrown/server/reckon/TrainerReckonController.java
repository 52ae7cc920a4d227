package vividcrown.server.reckon;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.server.trainer.ExerciseAsked;
import vividcrown.server.trainer.ExerciseView;
import vividcrown.server.trainer.SearchDone;
import vividcrown.server.trainer.SearchScoreView;
import vividcrown.server.trainer.TrainerLook;

/** Exercises of the trainer. Open to everybody, keeps nothing. */
@RestController
@RequestMapping("/api/v1/reckon/trainer")
class TrainerReckonController {

    @PostMapping("/exercise")
    @Operation(summary = "An exercise as it is set: a made-up hive to search, or a picture to read", description = """
            Example: {"skill": "SHOT_BROOD", "level": 2, "seed": 7} is a comb cell by cell, the answers to choose from, and the same in words.
            {"skill": "FIND_LAYING", "level": 2, "season": "SUMMER", "seed": 7} is a hive of ten combs as it was read a week ago.""")
    ExerciseView exercise(@Valid @RequestBody ExerciseAsked asked) {
        return ExerciseView.of(asked);
    }

    @PostMapping("/look")
    @Operation(summary = "What is seen at the last place that was looked at in a made-up hive", description = """
            Example: {"exercise": {"skill": "FIND_LAYING", "level": 1, "seed": 7}, "acts": [{"place": {"slot": 1, "side": "NEAR"}}]}""")
    TrainerLook look(@Valid @RequestBody SearchDone asked) {
        return TrainerLook.of(asked);
    }

    @PostMapping("/score")
    @Operation(summary = "What a search in a made-up hive was worth, step by step, against the exact odds and the best search", description = """
            Example: {"exercise": {"skill": "FIND_LAYING", "level": 1, "seed": 7}, "acts": [{"place": {"slot": 1, "side": "NEAR"}},
            {"place": {"slot": 1, "side": "FAR"}}, {"place": {"slot": 3, "side": "NEAR"}}]}""")
    SearchScoreView score(@Valid @RequestBody SearchDone asked) {
        return SearchScoreView.of(asked);
    }
}
