package vividcrown.server.rearing;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import vividcrown.core.rearing.BuilderSchool;
import vividcrown.core.rearing.GraftPlan;
import vividcrown.core.rearing.GraftShare;
import vividcrown.core.rearing.LarvaAge;
import vividcrown.core.rearing.Placing;
import vividcrown.core.rearing.RearingDeed;
import vividcrown.core.rearing.StepKind;

/** A batch: larvae of one mother, grafted by one person on one day into one builder. */
public interface Graft {
    /** As core reckons with it; the school is the builder's. */
    GraftPlan plan(BuilderSchool school);

    /** The same graft, planned by hand for another hour, under an id of its own. */
    RearingDeed.Planned plannedAgain(UUID again, ZonedDateTime when);

    UUID id();

    String code();

    UUID motherId();

    UUID builderId();

    String grafter();

    Instant plannedFor();

    LocalDate graftDay();

    boolean grafted();

    boolean cancelled();

    LarvaAge larvaAge();

    Placing placing();

    int bars();

    int cupsPerBar();

    /** For whom it is, as the season's plan says; empty if for nobody yet. */
    List<GraftShare> shares();

    /** Planned or moved by hand: it stays when the season is planned again. */
    boolean fixed();

    Set<StepKind> stepsDone();
}
