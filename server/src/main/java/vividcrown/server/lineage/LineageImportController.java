package vividcrown.server.lineage;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.server.lineage.LineageFile.LineageRow;
import vividcrown.server.person.SignedIn;

/** Descent and marks from CSV: looked at first, taken in only when confirmed. The owner's alone. */
@RestController
class LineageImportController {

    /** @param csv the file's text: a header line, then a queen or a mark a line */
    record LineageCsv(@NotBlank String csv) {
    }

    /**
     * @param csv the file's text: a header line, then a queen or a mark a line
     * @param skipBadRows take the good rows and leave the bad ones; otherwise one bad row refuses all
     */
    record ConfirmedLineageCsv(@NotBlank String csv, boolean skipBadRows) {
    }

    /** The rows as they were understood, and how many of them can be taken in. */
    record LineagePreview(List<LineageRow> rows, int good, int bad) {
        static LineagePreview of(List<LineageRow> rows) {
            int bad = (int) rows.stream().filter(row -> !row.problems().isEmpty()).count();
            return new LineagePreview(rows, rows.size() - bad, bad);
        }
    }

    /** @param taken rows that were taken in */
    record LineageImported(int taken) {
    }

    private final LineageFile file;

    LineageImportController(LineageFile file) {
        this.file = file;
    }

    /** Shows each queen of the file and what is wrong with it. Keeps nothing. */
    @PostMapping("/api/v1/imports/pedigree/preview")
    LineagePreview previewPedigree(@Valid @RequestBody LineageCsv asked) {
        SignedIn.requireOwner();
        return LineagePreview.of(file.pedigreeRows(asked.csv()));
    }

    /** Takes the queens in, once for an id. */
    @PutMapping("/api/v1/imports/pedigree/{id}")
    LineageImported confirmPedigree(@PathVariable UUID id, @Valid @RequestBody ConfirmedLineageCsv asked) {
        SignedIn.requireOwner();
        return new LineageImported(file.takePedigree(id, asked.csv(), asked.skipBadRows()));
    }

    /** Shows each mark of the file and what is wrong with it. Keeps nothing. */
    @PostMapping("/api/v1/imports/scores/preview")
    LineagePreview previewScores(@Valid @RequestBody LineageCsv asked) {
        SignedIn.requireOwner();
        return LineagePreview.of(file.scoreRows(asked.csv()));
    }

    /** Takes the marks in, once for an id. */
    @PutMapping("/api/v1/imports/scores/{id}")
    LineageImported confirmScores(@PathVariable UUID id, @Valid @RequestBody ConfirmedLineageCsv asked) {
        SignedIn.requireOwner();
        return new LineageImported(file.takeScores(id, asked.csv(), asked.skipBadRows()));
    }
}
