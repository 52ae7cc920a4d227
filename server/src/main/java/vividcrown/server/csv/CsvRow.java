package vividcrown.server.csv;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import vividcrown.core.journal.Faults;
import vividcrown.core.reason.Sentence;

/** One row on its way in: gives its cells, and collects everything that is wrong with it. */
public final class CsvRow {

    private final CSVRecord cells;
    private final List<String> problems = new ArrayList<>();

    public CsvRow(CSVRecord cells) {
        this.cells = cells;
    }

    /** As it stands in the file; the header is line 1. */
    public long line() {
        return CsvTable.line(cells);
    }

    /** Empty where the row is short or the column is not there. */
    public String cell(String column) {
        return CsvTable.cell(cells, column);
    }

    public Optional<String> text(String column) {
        return cell(column).isEmpty() ? Optional.empty() : Optional.of(cell(column));
    }

    public Optional<Integer> count(String column) {
        return value(column, Integer::valueOf, "import.like.number");
    }

    public Optional<Double> number(String column) {
        return value(column, Double::valueOf, "import.like.figure");
    }

    public Optional<LocalDate> day(String column) {
        return value(column, LocalDate::parse, "import.like.day");
    }

    /** @param like what it should be like, in the catalogue */
    public <T> Optional<T> value(String column, Function<String, T> parse, String like) {
        if (cell(column).isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(parse.apply(cell(column)));
        } catch (NumberFormatException | DateTimeParseException unreadable) {
            say("import.notLike", column, cell(column), Sentence.of(like));
            return Optional.empty();
        }
    }

    /** A word for one of these, in any case, with blanks for underscores. */
    @SafeVarargs
    public final <E extends Enum<E>> Optional<E> choice(String column, E... all) {
        if (cell(column).isEmpty()) {
            return Optional.empty();
        }
        Optional<E> found = Arrays.stream(all)
                .filter(one -> one.name().equalsIgnoreCase(cell(column).replace(' ', '_'))).findFirst();
        if (found.isEmpty()) {
            say("import.notOneOf", column, cell(column), words(all));
        }
        return found;
    }

    /** The same where there must be one. */
    @SafeVarargs
    public final <E extends Enum<E>> Optional<E> needed(String column, E... all) {
        if (cell(column).isEmpty()) {
            say("import.missing", column, words(all));
        }
        return choice(column, all);
    }

    private static String words(Enum<?>[] all) {
        return Arrays.stream(all).map(one -> one.name().toLowerCase(Locale.ROOT)).collect(Collectors.joining(", "));
    }

    public boolean isYes(String column) {
        return List.of("yes", "true", "1").contains(cell(column).toLowerCase(Locale.ROOT));
    }

    /** What is made of it, unless core finds faults with that. */
    public <T> Optional<T> made(Supplier<T> maker) {
        try {
            return Optional.of(maker.get());
        } catch (Faults.Found wrong) {
            wrong.all().forEach(fault -> problems.add(fault + "."));
        } catch (IllegalArgumentException wrong) {
            problems.add(wrong.getMessage() + ".");
        }
        return Optional.empty();
    }

    /** @param key what is wrong and what to change, in the catalogue */
    public void say(String key, Object... arguments) {
        problems.add(Sentence.of(key, arguments).toString());
    }

    public boolean isGood() {
        return problems.isEmpty();
    }

    public List<String> problems() {
        return List.copyOf(problems);
    }
}
