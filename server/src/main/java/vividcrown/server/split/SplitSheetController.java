package vividcrown.server.split;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Sentence;
import vividcrown.core.round.Caution;
import vividcrown.core.split.making.Making;
import vividcrown.core.split.making.MakingStep;
import vividcrown.core.split.making.SplitDeed;
import vividcrown.core.split.making.SplitSheet;
import vividcrown.core.split.moving.MoveSheet;
import vividcrown.core.split.moving.MoveStep;
import vividcrown.core.split.moving.Moving;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.print.PaperSheet;
import vividcrown.server.print.PaperSheet.Paper;
import vividcrown.server.problem.Refusal;
import vividcrown.server.yard.Yard;
import vividcrown.server.yard.Yards;

/** Splits and yards on paper. */
@RestController
class SplitSheetController {

    private static final int LINES_FOR_NOTES = 3;

    private final Makings makings;
    private final Hives hives;
    private final Yards yards;
    private final HiveUnits units;
    private final Today today;

    SplitSheetController(Makings makings, Hives hives, Yards yards, HiveUnits units, Today today) {
        this.makings = makings;
        this.hives = hives;
        this.yards = yards;
        this.units = units;
        this.today = today;
    }

    @GetMapping(path = "/api/v1/splits/making/{id}/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(operationId = "splitSheet", summary = "A split on paper: kit, steps to tick, cautions, a code at each hive")
    ResponseEntity<byte[]> split(@PathVariable UUID id, @RequestParam(defaultValue = "A4") Paper paper) {
        Optional<Moving> moving = makings.movesOf(id);
        if (moving.isPresent()) {
            return moves(moving.get(), paper);
        }
        Making making = makings.of(id).orElseThrow(() -> Refusal.notHere(SplitDeed.SPLIT, id));
        SplitSheet sheet = making.sheet();
        PaperSheet page = new PaperSheet(paper,
                Sentence.of("print.split", sheet.recipe().sentence(), sheet.day()).toString(), "Vivid Crown");
        page.text(Sentence.of("print.place", yards.findById(sheet.yard()).map(Yard::name).orElse(""),
                Sentence.of("print.places." + sheet.place().name())).toString());
        page.heading(Sentence.of("print.kit").toString());
        page.text(sheet.needs().entrySet().stream()
                .map(need -> Sentence.of("print.need", need.getKey().sentence(), ForecastView.tenth(need.getValue()))
                        .toString())
                .collect(Collectors.joining(" · ")));
        cautions(page);
        page.heading(Sentence.of("print.steps").toString());
        MakingStep.of(sheet).forEach(step -> page.toTick(MakingController.text(step, making).toString()));
        page.heading(Sentence.of("print.hives").toString());
        sheet.givers().forEach(
                giver -> page.hive(giver.code(), PaperSheet.address("/colonies/" + giver.hive()), List.of(), 1));
        for (SplitSheet.NewHive unit : sheet.units()) {
            List<String> dated = unit.due().stream().filter(due -> !due.work().isAtOnce())
                    .map(due -> Sentence.of("print.dated", due.when(), due.words()).toString()).toList();
            // until its box stands there is no page of its own
            String opens = making.stands(unit) ? "/colonies/" + unit.hive() : "/splits/making/" + id;
            page.hive(unit.code(), PaperSheet.address(opens), dated, 1);
        }
        return page.answer("split-" + sheet.day() + ".pdf");
    }

    private static ResponseEntity<byte[]> moves(Moving moving, Paper paper) {
        MoveSheet sheet = moving.sheet();
        PaperSheet page = new PaperSheet(paper,
                Sentence.of("print.moves", sheet.act().sentence(), sheet.day()).toString(), "Vivid Crown");
        cautions(page);
        page.heading(Sentence.of("print.steps").toString());
        MoveStep.of(sheet).forEach(step -> page.toTick(MovingViews.text(step).toString()));
        page.heading(Sentence.of("print.hives").toString());
        sheet.hives().forEach(
                stand -> page.hive(stand.code(), PaperSheet.address("/colonies/" + stand.hive()), List.of(), 1));
        return page.answer("moves-" + sheet.day() + ".pdf");
    }

    private static void cautions(PaperSheet page) {
        page.heading(Sentence.of("print.cautions").toString());
        List.of(Caution.STINGS, Caution.SMOKE_AND_FIRE, Caution.DISEASE)
                .forEach(caution -> page.text(caution.sentence().toString()));
    }

    @GetMapping(path = "/api/v1/yards/{id}/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(operationId = "yardSheet", summary = "A yard on paper: each hive with its code, what is known of it, and room to write")
    ResponseEntity<byte[]> yard(@PathVariable UUID id, @RequestParam(defaultValue = "A4") Paper paper) {
        Yard yard = yards.findById(id).orElseThrow(() -> Refusal.notHere(YardDeed.YARD, id));
        LocalDate day = today.day();
        PaperSheet page = new PaperSheet(paper, Sentence.of("print.yard", yard.name(), day).toString(),
                "Vivid Crown");
        if (!yard.caution().isEmpty()) {
            page.text(yard.caution());
        }
        List<Hive> row = hives.findByYardIdAndEndedOnIsNullOrderByPosition(id);
        List<Hive> colonies = row.stream().filter(hive -> !hive.purpose().isForMating()).toList();
        units.of(colonies, yards.byId(), day).forEach(one -> page.hive(one.hive().code(),
                PaperSheet.address("/colonies/" + one.hive().id()), known(one), LINES_FOR_NOTES));
        row.stream().filter(hive -> hive.purpose().isForMating()).forEach(hive -> page.hive(hive.code(),
                PaperSheet.address("/colonies/" + hive.id()), List.of(hive.purpose().sentence().toString()), 1));
        return page.answer("yard-" + day + ".pdf");
    }

    private static List<String> known(HiveUnits.HiveUnit one) {
        List<String> lines = new ArrayList<>();
        lines.add(one.hive().purpose().sentence().toString());
        one.unit().ifPresentOrElse(
                unit -> lines.add(Sentence.of("print.read", unit.readOn(), unit.broodFrames(),
                        ForecastView.tenth(unit.framesOfBees())).toString()),
                () -> lines.add(one.hive().lastReadOn().map(day -> Sentence.of("print.lastRead", day))
                        .orElse(Sentence.of("print.neverRead")).toString()));
        return lines;
    }
}
