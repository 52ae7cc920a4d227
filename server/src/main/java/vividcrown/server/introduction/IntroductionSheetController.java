package vividcrown.server.introduction;

import io.swagger.v3.oas.annotations.Operation;
import java.util.ArrayList;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Sentence;
import vividcrown.core.round.Caution;
import vividcrown.server.clock.Today;
import vividcrown.server.introduction.BankController.CagedQueen;
import vividcrown.server.print.PaperSheet;
import vividcrown.server.print.PaperSheet.Paper;

/** Queens on their way and in cages, on paper. */
@RestController
class IntroductionSheetController {

    private static final int LINES_FOR_NOTES = 1;
    private static final List<String> TRAVEL = List.of("bank.card.cool", "bank.card.dry", "bank.card.company",
            "bank.card.soon", "bank.card.sun");

    private final IntroductionController introductions;
    private final BankController bank;
    private final Today today;

    IntroductionSheetController(IntroductionController introductions, BankController bank, Today today) {
        this.introductions = introductions;
        this.bank = bank;
        this.today = today;
    }

    @GetMapping(path = "/api/v1/introductions/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(operationId = "introductionSheet", summary = "Queens on their way on paper: what to do at each hive, a code to scan, room to note what the bees do")
    ResponseEntity<byte[]> board(@RequestParam(defaultValue = "A4") Paper paper) {
        PaperSheet page = new PaperSheet(paper, Sentence.of("print.introductions", today.day()).toString(),
                "Vivid Crown");
        page.text(Sentence.of("print.introductions.signs").toString());
        page.text(Caution.STINGS.sentence().toString());
        List<IntroductionView> open = introductions.all().open();
        if (open.isEmpty()) {
            page.text(Sentence.of("print.introductions.none").toString());
        }
        open.forEach(one -> {
            List<String> lines = new ArrayList<>();
            lines.add(Sentence.of("print.introductions.queen", one.code(), one.methodText(), one.since(), one.opens())
                    .toString());
            one.next().forEach(next -> lines.add(
                    Sentence.of("print.introductions.next", next.when().earliest(), next.when().latest(), next.text())
                            .toString()));
            page.hive("%s · %s".formatted(one.hiveCode(), one.yardName()),
                    PaperSheet.address("/introductions/" + one.id()), lines,
                    LINES_FOR_NOTES);
        });
        return page.answer("introductions.pdf");
    }

    @GetMapping(path = "/api/v1/bank/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(operationId = "bankSheet", summary = "Queens in cages on paper: which cage, since when, the latest day; how they travel")
    ResponseEntity<byte[]> bank(@RequestParam(defaultValue = "A4") Paper paper) {
        PaperSheet page = new PaperSheet(paper, Sentence.of("print.bank", today.day()).toString(), "Vivid Crown");
        List<CagedQueen> caged = bank.bank();
        if (caged.isEmpty()) {
            page.text(Sentence.of("print.bank.none").toString());
        }
        caged.forEach(one -> {
            List<String> lines = new ArrayList<>();
            lines.add(Sentence.of("print.bank.stage", one.stageText(), one.line(), one.since()).toString());
            if (one.bank() != null) {
                lines.add(Sentence.of("print.bank.hive", one.bank()).toString());
            }
            lines.add(Sentence.of(one.over() ? "print.bank.over" : "print.bank.latest", one.latest()).toString());
            if (one.caution() != null) {
                lines.add(one.caution());
            }
            page.hive(one.cage() == null
                    ? one.code()
                    : Sentence.of("print.bank.cage", one.cage(), one.code()).toString(),
                    PaperSheet.address("/queens/" + one.id()),
                    lines, 0);
        });
        page.heading(Sentence.of("print.bank.travel").toString());
        TRAVEL.forEach(line -> page.text(Sentence.of(line).toString()));
        return page.answer("bank.pdf");
    }
}
