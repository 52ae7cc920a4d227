package vividcrown.server.files;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The weather of past days from CSV: looked at first, noted only when confirmed. */
@RestController
class WeatherFileController {

    /**
     * @param csv the file's text: a header line, then a day a line
     * @param yard whose weather it is where a line names none
     */
    record WeatherCsv(@NotBlank String csv, @Nullable UUID yard) {
    }

    /**
     * @param csv the file's text: a header line, then a day a line
     * @param yard whose weather it is where a line names none
     * @param skipBadRows note the good rows and leave the bad ones; otherwise one bad row refuses all
     */
    record ConfirmedWeatherCsv(@NotBlank String csv, @Nullable UUID yard, boolean skipBadRows) {
    }

    record WeatherPreview(List<WeatherFile.WeatherRow> rows, int good, int bad) {
    }

    /** @param days that are noted now */
    record WeatherImported(int days) {
    }

    private final WeatherFile file;

    WeatherFileController(WeatherFile file) {
        this.file = file;
    }

    /** Shows each row and what is wrong with it. Keeps nothing. */
    @PostMapping("/api/v1/imports/weather/preview")
    WeatherPreview preview(@Valid @RequestBody WeatherCsv asked) {
        List<WeatherFile.WeatherRow> rows = file.rows(asked.yard(), asked.csv());
        int bad = (int) rows.stream().filter(row -> !row.problems().isEmpty()).count();
        return new WeatherPreview(rows, rows.size() - bad, bad);
    }

    /** Notes the days, once for an id; of one day the last to speak is right. */
    @PutMapping("/api/v1/imports/weather/{id}")
    WeatherImported confirm(@PathVariable UUID id, @Valid @RequestBody ConfirmedWeatherCsv asked) {
        return new WeatherImported(file.note(id, asked.yard(), asked.csv(), asked.skipBadRows()));
    }
}
