package vividcrown.server.files;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.reason.Sentence;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/** A whole apiary as CSV, out, and in: looked at first, imported only when confirmed. */
@RestController
class ApiaryFileController {

    /** @param csv the file's text: a header line, then one yard, hive or queen a line */
    record Csv(@NotBlank String csv) {
    }

    /** @param skipBadRows import the good rows and leave the bad ones; otherwise one bad row refuses all */
    record ConfirmedCsv(@NotBlank String csv, boolean skipBadRows) {
    }

    /**
     * @param line number in the file, the header is line 1
     * @param cells what stands in it, by the column
     * @param problems why it cannot be imported, empty if it can
     */
    record ApiaryLine(long line, Map<String, String> cells, List<String> problems) {
    }

    record Preview(List<ApiaryLine> rows, int good, int bad) {
    }

    private final ApiarySheet sheet;
    private final ApiaryImport rows;
    private final ApiaryImports imports;

    ApiaryFileController(ApiarySheet sheet, ApiaryImport rows, ApiaryImports imports) {
        this.sheet = sheet;
        this.rows = rows;
        this.imports = imports;
    }

    /** Every yard, hive and queen that is there, as a file that can be read back. */
    @GetMapping("/api/v1/exports/apiary.csv")
    ResponseEntity<String> out() {
        return ResponseEntity.ok().contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename("vivid-crown-apiary.csv").build().toString())
                .body(sheet.write());
    }

    /** Shows each row and what is wrong with it. Keeps nothing. */
    @PostMapping("/api/v1/imports/apiary/preview")
    Preview preview(@Valid @RequestBody Csv file) {
        SignedIn.requireOwner();
        return rows.preview(file.csv());
    }

    /** Begins to import the rows, once for an id; how far it is tells the next. */
    @PutMapping("/api/v1/imports/apiary/{id}")
    ApiaryImports.ImportProgress confirm(@PathVariable UUID id, @Valid @RequestBody ConfirmedCsv file) {
        SignedIn.requireOwner();
        return imports.begin(id, file.csv(), file.skipBadRows());
    }

    /** How far an import is. */
    @GetMapping("/api/v1/imports/apiary/{id}")
    ApiaryImports.ImportProgress progress(@PathVariable UUID id) {
        return imports.progress(id).orElseThrow(() -> Refusal.notFound(Sentence.of("refusal.importGone")));
    }
}
