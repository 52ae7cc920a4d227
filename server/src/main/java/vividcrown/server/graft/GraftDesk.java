package vividcrown.server.graft;

import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.reason.Sentence;
import vividcrown.server.clock.Today;
import vividcrown.server.journal.Detail;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Recorder;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;

/** Plans grafts and records that they were done. */
@Service
public class GraftDesk {
    private final Grafts grafts;
    private final Recorder recorder;
    private final Payloads payloads;
    private final Today today;

    GraftDesk(Grafts grafts, Recorder recorder, Payloads payloads, Today today) {
        this.grafts = grafts;
        this.recorder = recorder;
        this.payloads = payloads;
        this.today = today;
    }

    /** @param id of the graft, made by whoever plans it; planning the same id twice plans once */
    @Transactional
    public void plan(UUID id, GraftPlanned asked, boolean done) {
        recorder.takeTurn();
        if (grafts.existsById(id)) {
            return;
        }
        List<Refusal.Finding> findings = check(asked, done);
        if (!findings.isEmpty()) {
            throw Refusal.invalid(findings);
        }
        ZonedDateTime when = asked.plannedFor().withZoneSameInstant(today.zone());
        GraftPlanned planned = new GraftPlanned(nextCode(when.getYear()), asked.mother(), asked.builder(),
                asked.grafter().strip(), when, asked.larvaAge(), asked.placing(), asked.incubatorCelsius(),
                asked.bars(), asked.cupsPerBar(), asked.shares(), asked.fixed());
        List<JournalEntry> entries = new ArrayList<>();
        entries.add(entry(id, id, today.now(), EntryKind.GRAFT_PLANNED, payloads.write(planned)));
        if (done) {
            entries.add(entry(UUID.randomUUID(), id, when, EntryKind.GRAFTED, payloads.write(Detail.NONE)));
        }
        recorder.record(entries, true);
    }

    /** The planned graft was done at that hour. Saying so twice is saying it once. */
    @Transactional
    void grafted(Graft graft, ZonedDateTime when) {
        recorder.takeTurn();
        if (graft.grafted()) {
            return;
        }
        if (graft.cancelled()) {
            throw Refusal.invalid("", "Graft %s was cancelled. Plan a new one.".formatted(graft.code()));
        }
        ZonedDateTime happened = when.withZoneSameInstant(today.zone());
        if (happened.toLocalDate().isAfter(today.day())) {
            throw Refusal.invalid("graftedAt", ahead(happened));
        }
        recorder.record(List.of(entry(UUID.randomUUID(), graft.id(), happened, EntryKind.GRAFTED,
                payloads.write(Detail.NONE))), true);
    }

    @Transactional
    public void cancel(Graft graft) {
        if (graft.grafted()) {
            throw Refusal.invalid("",
                    "Graft %s was done, so it cannot be cancelled. Record what became of its cups."
                            .formatted(graft.code()));
        }
        recorder.record(List.of(entry(UUID.randomUUID(), graft.id(), today.now(), EntryKind.GRAFT_CANCELLED,
                payloads.write(Detail.NONE))), true);
    }

    /** For whom a planned graft is, from now on. */
    @Transactional
    public void meantFor(Graft graft, List<GraftShare> shares) {
        if (!graft.shares().equals(shares)) {
            recorder.record(List.of(entry(UUID.randomUUID(), graft.id(), today.now(), EntryKind.GRAFT_MEANT_FOR,
                    payloads.write(new MeantFor(shares)))), true);
        }
    }

    /** As recorded when a graft is given a purpose. */
    record MeantFor(List<GraftShare> shares) {
    }

    private List<Refusal.Finding> check(GraftPlanned asked, boolean done) {
        List<Refusal.Finding> findings = new ArrayList<>();
        if (asked.bars() < 1 || asked.bars() > 6) {
            findings.add(new Refusal.Finding("bars", "A frame holds 1 to 6 bars, but bars is %d. Change it."
                    .formatted(asked.bars())));
        }
        if (asked.cupsPerBar() < 1 || asked.cupsPerBar() > 30) {
            findings.add(new Refusal.Finding("cupsPerBar",
                    "A bar holds 1 to 30 cups, but cupsPerBar is %d. Change it.".formatted(asked.cupsPerBar())));
        }
        int cups = asked.bars() * asked.cupsPerBar();
        if (cups > BuilderSchool.EXCEPTIONAL_LOAD) {
            findings.add(new Refusal.Finding("cupsPerBar",
                    Sentence.of("load.tooHeavy", cups, BuilderSchool.EXCEPTIONAL_LOAD).toString()));
        }
        if (!recorder.exists(SubjectKind.QUEEN, asked.mother())) {
            findings.add(new Refusal.Finding("mother", "Choose the breeder queen from the list."));
        }
        if (!recorder.exists(SubjectKind.BUILDER, asked.builder())) {
            findings.add(new Refusal.Finding("builder", "Choose the builder from the list."));
        }
        ZonedDateTime when = asked.plannedFor().withZoneSameInstant(today.zone());
        if (done && when.toLocalDate().isAfter(today.day())) {
            findings.add(new Refusal.Finding("plannedFor", ahead(when)));
        }
        return findings;
    }

    private String ahead(ZonedDateTime when) {
        return "A graft on %s lies ahead; today is %s. Plan it instead, or change the day."
                .formatted(when.toLocalDate(), today.day());
    }

    private String nextCode(int year) {
        String prefix = String.format(Locale.ROOT, "%02d-", year % 100);
        int last = grafts.lastCode(prefix + "%").stream().findFirst()
                .map(code -> Integer.parseInt(code.substring(prefix.length()))).orElse(0);
        return String.format(Locale.ROOT, "%s%02d", prefix, last + 1);
    }

    private JournalEntry entry(UUID id, UUID graft, ZonedDateTime happened, EntryKind kind, String detail) {
        return new JournalEntry(id, happened, today.recordedAt(), SignedIn.require().id(), SubjectKind.GRAFT, graft,
                kind, detail, null);
    }
}
