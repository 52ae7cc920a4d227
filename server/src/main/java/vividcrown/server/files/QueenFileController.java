package vividcrown.server.files;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Sentence;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/** Queens and mating nucs in from CSV: looked at first, imported only when confirmed. */
@RestController
@RequestMapping("/api/v1/imports")
class QueenFileController {

    /** @param csv the file's text: a header line, then one queen or mating nuc a line */
    record Csv(@NotBlank String csv) {
    }

    /** @param skipBadRows import the good rows and leave the bad ones; otherwise one bad row refuses all */
    record ConfirmedCsv(@NotBlank String csv, boolean skipBadRows) {
    }

    /**
     * @param line number in the file, the header is line 1
     * @param problems why it cannot be imported, empty if it can
     */
    record Row(long line, String code, String name, String yard, String hive, String stage, String year, String mark,
            List<String> problems) {
    }

    record Preview(List<Row> rows, int good, int bad) {
    }

    private final QueenImport rows;
    private final QueenImports imports;

    QueenFileController(QueenImport rows, QueenImports imports) {
        this.rows = rows;
        this.imports = imports;
    }

    /** Shows each row and what is wrong with it. Keeps nothing. */
    @PostMapping("/queens/preview")
    Preview preview(@Valid @RequestBody Csv file) {
        SignedIn.requireOwner();
        return rows.preview(file.csv());
    }

    /** Begins to import the rows, once for an id; how far it is tells the next. */
    @PutMapping("/queens/{id}")
    QueenImports.ImportProgress confirm(@PathVariable UUID id, @Valid @RequestBody ConfirmedCsv file) {
        SignedIn.requireOwner();
        return imports.begin(id, file.csv(), file.skipBadRows());
    }

    /** How far an import is. */
    @GetMapping("/queens/{id}")
    QueenImports.ImportProgress progress(@PathVariable UUID id) {
        return imports.progress(id).orElseThrow(() -> Refusal.notFound(Sentence.of("refusal.importGone")));
    }
}
