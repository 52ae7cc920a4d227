package vividcrown.server.journal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.journal.Deed;
import vividcrown.core.reason.Sentence;
import vividcrown.server.problem.Refusal;

/** A deed on its way into the record: what a door may know of it, and where it says what is wrong. */
public final class Admission {

    private final UUID entry;
    private final LocalDate day;
    private final LocalDate today;
    private final Optional<UUID> corrects;
    private final List<Deed> before;
    private final List<Refusal.Finding> findings = new ArrayList<>();

    Admission(UUID entry, LocalDate day, LocalDate today, Optional<UUID> corrects, List<Deed> before) {
        this.entry = entry;
        this.day = day;
        this.today = today;
        this.corrects = corrects;
        this.before = List.copyOf(before);
    }

    /** The day it happened. */
    public LocalDate day() {
        return day;
    }

    public LocalDate today() {
        return today;
    }

    /** The entry in whose place it stands; it is not in the record any more once this one is. */
    public Optional<UUID> corrects() {
        return corrects;
    }

    /** How many new deeds of a kind come before it in the same request: their rows are not there yet. */
    public int before(Class<? extends Deed> kind) {
        return (int) before.stream().filter(kind::isInstance).count();
    }

    /**
     * It cannot go in so.
     *
     * @param field which part of the deed, empty for the whole
     * @param key what is wrong and what to change, in the catalogue
     */
    public void refuse(String field, String key, Object... arguments) {
        String path = "entries." + entry + (field.isEmpty() ? "" : "." + field);
        findings.add(new Refusal.Finding(path, Sentence.of(key, arguments).toString()));
    }

    List<Refusal.Finding> findings() {
        return findings;
    }
}
