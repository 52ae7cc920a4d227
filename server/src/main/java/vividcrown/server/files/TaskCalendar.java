package vividcrown.server.files;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.List;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.Uid;
import org.springframework.stereotype.Component;
import vividcrown.core.reason.Reason;
import vividcrown.core.round.Stop;
import vividcrown.server.clock.Today;
import vividcrown.server.round.Jobs;

/** Every open job as an all-day entry of a calendar (RFC 5545), on the days on which to do it. */
@Component
class TaskCalendar {
    /** RFC 5545 wants lines of at most 75 octets; the library counts characters, and ours take up to three octets. */
    private static final int FOLD_CHARACTERS = 60;
    private final Jobs jobs;
    private final Today today;

    TaskCalendar(Jobs jobs, Today today) {
        this.jobs = jobs;
        this.today = today;
    }

    public String write() {
        Calendar calendar = new Calendar().withProdId("-//Vivid Crown//tasks//EN").withDefaults().getFluentTarget();
        for (Stop stop : jobs.all(today.day()).stops()) {
            calendar.add(event(stop));
        }
        StringWriter text = new StringWriter();
        try {
            new CalendarOutputter(false, FOLD_CHARACTERS).output(calendar, text);
        } catch (IOException impossible) {
            throw new UncheckedIOException("Impossible state: writing to memory failed", impossible);
        }
        return text.toString();
    }

    private static VEvent event(Stop stop) {
        LocalDate first = stop.window().earliest();
        LocalDate afterLast = stop.window().latest().plusDays(1);
        VEvent event = new VEvent(first, afterLast, stop.box().code() + ": " + stop.toDo());
        event.add(new Uid(stop.subject() + "-" + stop.job() + "@vividcrown.invalid"));
        event.add(new Location(stop.box().yardName()));
        List<String> reasons = stop.reasons().stream().map(Reason::fact).map(Object::toString).toList();
        event.add(new Description(String.join("\n", reasons)));
        return event;
    }
}
