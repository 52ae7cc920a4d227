package vividcrown.server.csv;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Function;
import java.util.function.ToLongFunction;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Refusal;

/** A table as text: a header line, then a row a line. */
public final class CsvTable {

    private static final int MOST_ROWS = 5000;
    private static final String FORMULA_BEGINS = "=+-@\t\r'";
    private static final Pattern FIGURE = Pattern.compile("[+-]?\\d+([.,]\\d+)?");

    private CsvTable() {
    }

    /** @param rows their cells in the order of the columns */
    public static String write(List<String> columns, List<List<Object>> rows) {
        StringWriter text = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
            printer.printRecord(columns);
            for (List<Object> row : rows) {
                printer.printRecord(row.stream().map(CsvTable::harmless).toList());
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("Impossible state: writing to memory failed", impossible);
        }
        return text.toString();
    }

    /**
     * A sheet reckons what begins like a formula, and a formula can send the sheet away: an apostrophe before it makes it text
     * (OWASP, CSV injection). Figures are no text and stay as they are.
     */
    private static Object harmless(Object cell) {
        return cell instanceof CharSequence text && looksLikeFormula(text) ? "'" + text : cell;
    }

    private static boolean looksLikeFormula(CharSequence text) {
        return !text.isEmpty() && FORMULA_BEGINS.indexOf(text.charAt(0)) >= 0
                && !FIGURE.matcher(text).matches();
    }

    /**
     * @param columns all that are understood
     * @param needed of these, those that must be there
     * @throws Refusal if it is no readable CSV, lacks a column, or has no rows or too many
     */
    public static List<CSVRecord> read(String csv, List<String> columns, List<String> needed) {
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).setTrim(true)
                .setIgnoreHeaderCase(true).setIgnoreEmptyLines(true).get();
        String text = csv.startsWith("\uFEFF") ? csv.substring(1) : csv;
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            List<String> missing = needed.stream().filter(column -> !parser.getHeaderMap().containsKey(column))
                    .toList();
            if (!missing.isEmpty()) {
                throw Refusal.invalid("csv", Sentence.of("refusal.csvColumns", String.join(", ", columns),
                        String.join(", ", missing)));
            }
            List<CSVRecord> records = parser.getRecords();
            if (records.isEmpty() || records.size() > MOST_ROWS) {
                throw Refusal.invalid("csv", Sentence.of("refusal.csvRows", records.size(), MOST_ROWS));
            }
            return records;
        } catch (IOException | UncheckedIOException | IllegalArgumentException unreadable) {
            throw Refusal.invalid("csv",
                    Sentence.of("refusal.csvUnreadable", String.valueOf(unreadable.getMessage())));
        }
    }

    /**
     * One bad row refuses all, unless bad rows are to be left out and some are good.
     *
     * @param line of a row in the file
     * @param problems of a row, none if it is good
     * @throws Refusal that says of each bad row what is wrong with it
     */
    public static <R> void refuseBad(List<R> rows, ToLongFunction<R> line, Function<R, List<String>> problems,
            boolean skipBadRows) {
        List<Refusal.Finding> findings = rows.stream().filter(row -> !problems.apply(row).isEmpty())
                .map(row -> new Refusal.Finding("line " + line.applyAsLong(row),
                        String.join(" ", problems.apply(row))))
                .toList();
        if (!findings.isEmpty() && (findings.size() == rows.size() || !skipBadRows)) {
            throw Refusal.invalid(findings);
        }
    }

    /** Empty where the row is short or the column is not there; without the apostrophe that was put before it on the way out. */
    public static String cell(CSVRecord row, String column) {
        String cell = row.isSet(column) ? row.get(column) : "";
        return cell.startsWith("'") && looksLikeFormula(cell.substring(1)) ? cell.substring(1) : cell;
    }

    /** As it stands in the file; the header is line 1. */
    public static long line(CSVRecord row) {
        return row.getRecordNumber() + 1;
    }
}
