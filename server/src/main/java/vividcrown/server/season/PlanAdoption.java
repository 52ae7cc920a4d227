package vividcrown.server.season;

import com.fasterxml.uuid.Generators;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.clock.Today;
import vividcrown.server.colony.Colonies;
import vividcrown.server.colony.Colony;
import vividcrown.server.colony.DroneCombMeant;
import vividcrown.server.graft.Graft;
import vividcrown.server.graft.GraftDesk;
import vividcrown.server.graft.GraftPlanned;
import vividcrown.server.graft.GraftShare;
import vividcrown.server.graft.Grafts;
import vividcrown.server.journal.EntryKind;
import vividcrown.server.journal.JournalEntry;
import vividcrown.server.journal.Payloads;
import vividcrown.server.journal.Recorder;
import vividcrown.server.journal.SubjectKind;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;
import vividcrown.server.wire.SpanView;

/** Turns a plan into planned grafts: they land in the round when their day comes. */
@Service
class PlanAdoption {

    private static final LocalTime GRAFTING_HOUR = LocalTime.of(14, 0);
    private static final int CUPS_A_BAR = 15;

    private final SeasonBriefs briefs;
    private final GraftDesk desk;
    private final Grafts grafts;
    private final Recorder recorder;
    private final Today today;
    private final Colonies colonies;
    private final Payloads payloads;

    PlanAdoption(SeasonBriefs briefs, GraftDesk desk, Grafts grafts, Recorder recorder, Today today,
            Colonies colonies, Payloads payloads) {
        this.briefs = briefs;
        this.desk = desk;
        this.grafts = grafts;
        this.recorder = recorder;
        this.today = today;
        this.colonies = colonies;
        this.payloads = payloads;
    }

    /** How many grafts were planned anew, left as they were, and cancelled. */
    record Adopted(int planned, int kept, int cancelled) {
    }

    @Transactional
    public Adopted adopt(SeasonPlanView plan) {
        recorder.takeTurn();
        SeasonBriefs.Made made = briefs.make(SeasonBriefs.WhatIf.NOTHING);
        List<Graft> before = new ArrayList<>(made.planned());
        List<SeasonPlanView.BatchView> fresh = new ArrayList<>();
        int kept = 0;
        for (SeasonPlanView.BatchView batch : plan.batches()) {
            requireHere(batch, made);
            Optional<Graft> same = before.stream().filter(graft -> isSame(graft, batch, made)).findFirst();
            if (same.isPresent()) {
                before.remove(same.get());
                desk.meantFor(same.get(), sharesOf(batch));
                kept++;
            } else {
                fresh.add(batch);
            }
        }
        before.forEach(desk::cancel);
        fresh.forEach(batch -> plan(batch, made));
        droneCombs(plan.droneStarts());
        return new Adopted(fresh.size(), kept, before.size());
    }

    /** Colonies that the plan wants drones of are told so, those that it wants none of any more too. */
    private void droneCombs(List<SeasonPlanView.DroneStartView> starts) {
        Map<String, SpanView> wanted = starts.stream().collect(Collectors.toMap(
                SeasonPlanView.DroneStartView::colony, SeasonPlanView.DroneStartView::combIn));
        List<JournalEntry> entries = new ArrayList<>();
        for (Colony colony : colonies.findAllByOrderByYardIdAscPositionAsc()) {
            Optional<DatedSpan> before = colony.droneCombMeant();
            Optional<DatedSpan> now = Optional.ofNullable(wanted.get(colony.code()))
                    .map(days -> DatedSpan.ofClosed(days.earliest(), days.latest()));
            if (!now.equals(before)) {
                entries.add(new JournalEntry(Generators.timeBasedEpochGenerator().generate(), today.now(),
                        today.recordedAt(), SignedIn.require().id(), SubjectKind.COLONY, colony.id(),
                        EntryKind.DRONE_COMB_MEANT, payloads.write(new DroneCombMeant(
                                now.map(DatedSpan::earliest).orElse(null), now.map(DatedSpan::latest).orElse(null))),
                        null));
            }
        }
        if (!entries.isEmpty()) {
            recorder.record(entries, true);
        }
    }

    private static void requireHere(SeasonPlanView.BatchView batch, SeasonBriefs.Made made) {
        if (!made.builders().containsKey(batch.builder())) {
            throw Refusal.invalid("",
                    ("This plan loads the builder %s, which you do not have: it was a what-if. Set the "
                            + "builder up, then ask for a plan again.").formatted(batch.builder()));
        }
        if (!made.breeders().containsKey(batch.breeder())) {
            throw Refusal.invalid("", "%s is no breeder queen any more. Ask for a plan again."
                    .formatted(batch.breeder()));
        }
        if (batch.day().isBefore(made.brief().today())) {
            throw Refusal.invalid("", "This plan grafts on %s, which has passed. Ask for a plan again."
                    .formatted(batch.day()));
        }
    }

    private static boolean isSame(Graft graft, SeasonPlanView.BatchView batch, SeasonBriefs.Made made) {
        return graft.graftDay().equals(batch.day())
                && graft.builderId().equals(made.builders().get(batch.builder()))
                && made.mothers().get(graft.motherId()).line().equals(batch.line())
                && graft.bars() * graft.cupsPerBar() == roundedUp(batch.cups());
    }

    private void plan(SeasonPlanView.BatchView batch, SeasonBriefs.Made made) {
        int bars = bars(batch.cups());
        desk.plan(Generators.timeBasedEpochGenerator().generate(),
                new GraftPlanned("", made.breeders().get(batch.breeder()), made.builders().get(batch.builder()),
                        Objects.requireNonNullElse(batch.grafter(), SignedIn.require().firstName()),
                        batch.day().atTime(GRAFTING_HOUR).atZone(today.zone()),
                        LarvaAge.FROM_12_TO_24_H, Placing.CELLS_TO_NUCS, GraftPlan.PROPER_INCUBATOR_CELSIUS, bars,
                        Math.ceilDiv(batch.cups(), bars), sharesOf(batch), false),
                false);
    }

    private static List<GraftShare> sharesOf(SeasonPlanView.BatchView batch) {
        return batch.shares().stream().map(one -> new GraftShare(one.demand(), one.cups(), one.delivery())).toList();
    }

    private static int bars(int cups) {
        return Math.max(1, Math.ceilDiv(cups, CUPS_A_BAR));
    }

    /** Bars are filled evenly, so a graft may have a cup or two more than the plan. */
    private static int roundedUp(int cups) {
        return bars(cups) * Math.ceilDiv(cups, bars(cups));
    }

    /** The same graft on another day: the old is cancelled, a new one planned. */
    @Transactional
    public void move(UUID id, LocalDate day) {
        recorder.takeTurn();
        Graft graft = grafts.findById(id)
                .orElseThrow(() -> Refusal.notFound("There is no graft with this id. Reload the page."));
        if (graft.grafted() || graft.cancelled()) {
            throw Refusal.invalid("",
                    "Graft %s was done or cancelled meanwhile. Reload the page.".formatted(graft.code()));
        }
        if (day.isBefore(today.day())) {
            throw Refusal.invalid("day", "%s has passed; today is %s. Choose a day to come.".formatted(day,
                    today.day()));
        }
        desk.cancel(graft);
        desk.plan(Generators.timeBasedEpochGenerator().generate(), graft.plannedAgain(day.atTime(GRAFTING_HOUR)
                .atZone(today.zone())), false);
    }
}
