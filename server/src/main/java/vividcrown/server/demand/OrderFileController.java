package vividcrown.server.demand;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
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
import vividcrown.server.person.SignedIn;

/** Orders out as CSV, and in: looked at first, taken only when confirmed. */
@RestController
class OrderFileController {

    /** @param csv the file's text: a header line, then one order a line */
    record OrderCsv(@NotBlank String csv) {
    }

    /** @param skipBadRows take the good rows and leave the bad ones; otherwise one bad row refuses all */
    record ConfirmedOrderCsv(@NotBlank String csv, boolean skipBadRows) {
    }

    record OrderPreview(List<OrderFile.OrderCsvLine> rows, int good, int bad) {
    }

    /** @param alreadyImported this very import was confirmed before; nothing was added now */
    record OrdersImported(int orders, boolean alreadyImported) {
    }

    private final OrderFile file;

    OrderFileController(OrderFile file) {
        this.file = file;
    }

    /** Every order as CSV (RFC 4180). */
    @GetMapping("/api/v1/exports/orders.csv")
    ResponseEntity<String> out() {
        SignedIn.requireOwner();
        return ResponseEntity.ok().contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename("vivid-crown-orders.csv").build().toString())
                .body(file.write());
    }

    /** Shows each row and what is wrong with it. Keeps nothing. */
    @PostMapping("/api/v1/imports/orders/preview")
    OrderPreview preview(@Valid @RequestBody OrderCsv asked) {
        SignedIn.requireOwner();
        List<OrderFile.OrderCsvLine> rows = file.read(asked.csv()).stream().map(OrderFile.Read::row).toList();
        int bad = (int) rows.stream().filter(row -> !row.problems().isEmpty()).count();
        return new OrderPreview(rows, rows.size() - bad, bad);
    }

    /** Takes the orders, once for an id. */
    @PutMapping("/api/v1/imports/orders/{id}")
    OrdersImported confirm(@PathVariable UUID id, @Valid @RequestBody ConfirmedOrderCsv asked) {
        SignedIn.requireOwner();
        Optional<Integer> taken = file.confirm(id, asked.csv(), asked.skipBadRows());
        return new OrdersImported(taken.orElse(0), taken.isEmpty());
    }
}
