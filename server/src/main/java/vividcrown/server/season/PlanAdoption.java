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
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.journal.Deed;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.GraftShare;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.core.reason.Sentence;
import vividcrown.core.time.DatedSpan;
import vividcrown.server.clock.Today;
import vividcrown.server.hive.Hive;
import vividcrown.server.hive.Hives;
import vividcrown.server.journal.Desk;
import vividcrown.server.journal.Turns;
import vividcrown.server.person.SignedIn;
import vividcrown.server.problem.Refusal;
import vividcrown.server.rearing.Graft;
import vividcrown.server.rearing.Grafts;
import vividcrown.server.wire.SpanView;

/** Turns a plan into planned grafts: they land in the round when their day comes. */
@Service
class PlanAdoption {

    private static final LocalTime GRAFTING_HOUR = LocalTime.of(14, 0);
    private static final int CUPS_A_BAR = 15;

    private final SeasonBriefs briefs;
    private final Desk desk;
    private final Turns turns;
    private final Grafts grafts;
    private final Hives hives;
    private final Today today;

    PlanAdoption(SeasonBriefs briefs, Desk desk, Turns turns, Grafts grafts, Hives hives, Today today) {
        this.briefs = briefs;
        this.desk = desk;
        this.turns = turns;
        this.grafts = grafts;
        this.hives = hives;
        this.today = today;
    }

    /** How many grafts were planned anew, left as they were, and cancelled. */
    record Adopted(int planned, int kept, int cancelled) {
    }

    /** @param search whose plan it is: taking the same plan twice takes it once */
    @Transactional
    public Adopted adopt(UUID search, SeasonPlanView plan) {
        turns.take();
        SeasonBriefs.Made made = briefs.make(SeasonBriefs.WhatIf.NOTHING);
        List<Graft> before = new ArrayList<>(made.planned());
        List<Deed> deeds = new ArrayList<>();
        int kept = 0;
        int fresh = 0;
        for (SeasonPlanView.BatchView batch : plan.batches()) {
            requireHere(batch, made);
            Optional<Graft> same = before.stream().filter(graft -> isSame(graft, batch, made)).findFirst();
            if (same.isPresent()) {
                before.remove(same.get());
                kept++;
                if (!same.get().shares().equals(sharesOf(batch))) {
                    deeds.add(new RearingDeed.MeantFor(same.get().id(), sharesOf(batch)));
                }
            } else {
                deeds.add(planned(graftId(search, fresh++), batch, made));
            }
        }
        before.forEach(graft -> deeds.add(new RearingDeed.Cancelled(graft.id())));
        deeds.addAll(droneCombs(plan.droneStarts()));
        desk.take(deeds.stream().map(desk::now).toList(), true);
        return new Adopted(fresh, kept, before.size());
    }

    private static UUID graftId(UUID search, int index) {
        return Generators.nameBasedGenerator(search).generate("graft " + index);
    }

    /** Colonies that the plan wants drones of are told so, those that it wants none of any more too. */
    private List<Deed> droneCombs(List<SeasonPlanView.DroneStartView> starts) {
        Map<String, SpanView> wanted = starts.stream().collect(Collectors.toMap(
                SeasonPlanView.DroneStartView::colony, SeasonPlanView.DroneStartView::combIn));
        List<Deed> deeds = new ArrayList<>();
        for (Hive hive : hives.colonies()) {
            Optional<DatedSpan> now = Optional.ofNullable(wanted.get(hive.code()))
                    .map(days -> DatedSpan.ofClosed(days.earliest(), days.latest()));
            if (!now.equals(hive.droneCombMeant())) {
                deeds.add(now.<Deed>map(days -> new HiveDeed.DroneCombMeant(hive.id(), days))
                        .orElseGet(() -> new HiveDeed.DroneCombNotMeant(hive.id())));
            }
        }
        return deeds;
    }

    private static void requireHere(SeasonPlanView.BatchView batch, SeasonBriefs.Made made) {
        if (!made.builders().containsKey(batch.builder())) {
            throw Refusal.invalid("", Sentence.of("refusal.planOfAbsentBuilder", batch.builder()));
        }
        if (made.brief().means().breeders().stream().noneMatch(one -> one.id().equals(batch.breeder()))) {
            throw Refusal.invalid("", Sentence.of("refusal.planOfAbsentMother",
                    made.names().getOrDefault(batch.breeder(), batch.breeder())));
        }
        if (batch.day().isBefore(made.brief().today())) {
            throw Refusal.invalid("", Sentence.of("refusal.planHasPassed", batch.day().toString()));
        }
    }

    private static boolean isSame(Graft graft, SeasonPlanView.BatchView batch, SeasonBriefs.Made made) {
        return graft.graftDay().equals(batch.day())
                && graft.builderId().equals(made.builders().get(batch.builder()))
                && Objects.requireNonNull(made.mothers().get(graft.motherId())).line().equals(batch.line())
                && graft.bars() * graft.cupsPerBar() == roundedUp(batch.cups());
    }

    private RearingDeed.Planned planned(UUID graft, SeasonPlanView.BatchView batch, SeasonBriefs.Made made) {
        int bars = bars(batch.cups());
        return new RearingDeed.Planned(graft, "", UUID.fromString(batch.breeder()),
                Objects.requireNonNull(made.builders().get(batch.builder())),
                Objects.requireNonNullElse(batch.grafter(), SignedIn.require().firstName()),
                batch.day().atTime(GRAFTING_HOUR).atZone(today.zone()), LarvaAge.FROM_12_TO_24_H, Placing.CELLS_TO_NUCS,
                GraftPlan.PROPER_INCUBATOR_CELSIUS, bars, Math.ceilDiv(batch.cups(), bars), sharesOf(batch), false);
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

    /**
     * The same graft on another day: the old is cancelled, a new one planned.
     *
     * @param request of whoever moves it: the same request twice moves it once
     */
    @Transactional
    public void move(UUID request, UUID id, LocalDate day) {
        turns.take();
        UUID again = Generators.nameBasedGenerator(request).generate("graft");
        if (grafts.existsById(again)) {
            return;
        }
        Graft graft = grafts.findById(id).orElseThrow(() -> Refusal.notHere(RearingDeed.GRAFT, id));
        if (graft.grafted() || graft.cancelled()) {
            throw Refusal.invalid("", Sentence.of("refusal.graftIsOver", graft.code()));
        }
        if (day.isBefore(today.day())) {
            throw Refusal.invalid("day", Sentence.of("refusal.hasPassed", day.toString(), today.day().toString()));
        }
        desk.take(List.of(
                desk.now(Generators.nameBasedGenerator(request).generate("cancelled"), new RearingDeed.Cancelled(id)),
                desk.now(request, graft.plannedAgain(again, day.atTime(GRAFTING_HOUR).atZone(today.zone())))), true);
    }
}
