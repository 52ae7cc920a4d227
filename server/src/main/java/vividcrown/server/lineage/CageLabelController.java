package vividcrown.server.lineage;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Sentence;
import vividcrown.server.lineage.QueenListController.Kept;
import vividcrown.server.lineage.QueenListController.ListedQueen;
import vividcrown.server.lineage.QueenListController.QueenList;
import vividcrown.server.print.PaperSheet;
import vividcrown.server.print.PaperSheet.Label;
import vividcrown.server.print.PaperSheet.Paper;

/** Labels for cages: one for each queen of the list as it is narrowed. */
@RestController
class CageLabelController {

    /** What whoever gets her may read on it, besides her code. */
    enum OnLabel {
        LINE, MOTHER, BORN, MARK
    }

    private final QueenListController list;

    CageLabelController(QueenListController list) {
        this.list = list;
    }

    @GetMapping(path = "/api/v1/queens/labels.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(operationId = "cageLabels", summary = "Labels for the cages of the queens in the list, 200 at a time; what they show is chosen")
    @Transactional(readOnly = true)
    public ResponseEntity<byte[]> labels(@RequestParam(defaultValue = "FOR_SALE") Kept kept,
            @RequestParam(required = false) @Nullable @Size(max = 60) String line,
            @RequestParam(required = false) @Nullable UUID yard,
            @RequestParam(required = false) @Nullable Integer year,
            @RequestParam(required = false) @Nullable UUID mother,
            @RequestParam(defaultValue = "LINE,BORN,MARK") Set<OnLabel> show,
            @RequestParam(defaultValue = "A4") Paper paper) {
        QueenList queens = list.list(kept, line, yard, year, mother, null, null, null, false, 0);
        PaperSheet page = new PaperSheet(paper, Sentence.of("print.labels", queens.queens().size()).toString(),
                "Vivid Crown");
        page.labels(queens.queens().stream().map(queen -> label(queen, show)).toList());
        if (queens.all() > queens.queens().size()) {
            page.text(Sentence.of("print.labels.more", queens.all() - queens.queens().size()).toString());
        }
        return page.answer("cage-labels.pdf");
    }

    private static Label label(ListedQueen queen, Set<OnLabel> show) {
        List<String> lines = new ArrayList<>();
        if (show.contains(OnLabel.LINE)) {
            lines.add(Sentence.of("print.certificate.line", queen.line()).toString());
        }
        if (show.contains(OnLabel.MOTHER) && queen.mother() != null) {
            lines.add(Sentence.of("print.labels.mother", Objects.requireNonNull(queen.mother())).toString());
        }
        if (show.contains(OnLabel.BORN) && queen.born() != null) {
            lines.add(Sentence.of("print.certificate.born", String.valueOf(queen.born())).toString());
        }
        if (show.contains(OnLabel.MARK) && !queen.mark().isEmpty()) {
            lines.add(Sentence.of("print.labels.mark", queen.mark().toLowerCase(Locale.ROOT)).toString());
        }
        return new Label(queen.code(), lines, PaperSheet.address("/queens/" + queen.id()));
    }
}
