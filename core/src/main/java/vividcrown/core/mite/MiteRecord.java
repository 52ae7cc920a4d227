package vividcrown.core.mite;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Entry;
import vividcrown.core.mite.MiteDeed.MitesCounted;
import vividcrown.core.reading.EventKind;

/**
 * What is known of a hive's mites.
 *
 * @param counts the oldest first
 * @param treatment that is in it
 * @param honeyUntil until then no honey of it is taken
 * @param planned a treatment without brood on that day
 * @param stop a queen caged as a brood stop; empty if none is
 */
public record MiteRecord(List<Counted> counts, Optional<Treatment> treatment, Optional<LocalDate> honeyUntil,
        Optional<LocalDate> planned, Optional<Stop> stop) {

    public static final MiteRecord NOTHING = new MiteRecord(List.of(), Optional.empty(), Optional.empty(),
            Optional.empty(), Optional.empty());

    public MiteRecord {
        counts = List.copyOf(counts);
    }

    /** @param entry by which it can be corrected */
    public record Counted(UUID entry, LocalDate day, MitesCounted as) {
        public MiteCount count() {
            return as.on(day);
        }
    }

    /** @param since the day it was put in */
    public record Treatment(String what, LocalDate since) {
    }

    /** @param since the day she was caged @param release the day on which she is to be let out */
    public record Stop(LocalDate since, LocalDate release) {
    }

    /** The day on which a queen caged as a brood stop is to be let out; empty if none is caged. */
    public Optional<LocalDate> release() {
        return stop.map(Stop::release);
    }

    /** @param record of the hive, as it happened */
    public static MiteRecord fold(List<Entry> record) {
        List<Counted> counts = new ArrayList<>();
        Optional<Treatment> treatment = Optional.empty();
        Optional<LocalDate> honey = Optional.empty();
        Optional<LocalDate> planned = Optional.empty();
        Optional<Stop> caged = Optional.empty();
        for (Entry entry : record) {
            switch (entry.deed()) {
                case MitesCounted counted -> counts.add(new Counted(entry.id(), entry.day(), counted));
                case MiteDeed.TreatmentIn in -> {
                    treatment = Optional.of(new Treatment(in.what(), entry.day()));
                    honey = later(honey, in.honeyUntil());
                    planned = Optional.empty();
                }
                case MiteDeed.TreatmentOut _ -> treatment = Optional.empty();
                case MiteDeed.TreatmentPlanned plan -> planned = Optional.of(plan.day());
                case MiteDeed.TreatmentNotPlanned _ -> planned = Optional.empty();
                case MiteDeed.BroodStopped stop -> caged = Optional.of(new Stop(entry.day(), stop.release()));
                case HiveDeed.Happened happened when endsTheStop(happened.event()) -> caged = Optional.empty();
                default -> {
                    // of something else
                }
            }
        }
        return new MiteRecord(counts, treatment, honey, planned, caged);
    }

    /** Let out, or no longer there. */
    private static boolean endsTheStop(EventKind event) {
        return event == EventKind.QUEEN_RELEASED || event == EventKind.QUEEN_REMOVED;
    }

    private static Optional<LocalDate> later(Optional<LocalDate> one, Optional<LocalDate> other) {
        return one.isEmpty() || other.isPresent() && other.get().isAfter(one.get()) ? other : one;
    }

    public Optional<Counted> newest() {
        return counts.isEmpty() ? Optional.empty() : Optional.of(counts.getLast());
    }

    /** Whether more is tolerated for a treatment to come: only until its day. */
    public boolean waitsForTreatment(LocalDate today) {
        return planned.filter(day -> !day.isBefore(today)).isPresent();
    }

    /** Whether combs of it may go to another hive: a treatment in it, or its honey, holds them back. */
    public boolean holdsCombsBack(LocalDate today) {
        return treatment.isPresent() || honeyUntil.filter(day -> !day.isBefore(today)).isPresent();
    }
}
