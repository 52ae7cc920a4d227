package vividcrown.server.hive;

import java.util.List;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.hive.Box;
import vividcrown.core.hive.HiveDeed;
import vividcrown.core.yard.YardDeed;
import vividcrown.server.journal.Admission;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;
import vividcrown.server.settings.SettingsInForce;
import vividcrown.server.yard.Yards;

/** The deeds of hives, boxes and frames. */
@Configuration
class HiveDeeds {

    private static final int MOST_NAMED = 6;

    private final SettingsInForce settings;
    private final Hives hives;
    private final Yards yards;

    HiveDeeds(SettingsInForce settings, Hives hives, Yards yards) {
        this.settings = settings;
        this.hives = hives;
        this.yards = yards;
    }

    @Bean
    DeedKinds hiveDeedKinds() {
        return DeedKinds.of(
                DeedKind.of("HIVE_SET_UP", HiveDeed.SetUp.class)
                        .bringing(HiveDeed.HIVE, HiveDeed.BOX, HiveDeed.FRAME).through(this::setUp),
                DeedKind.of("HIVE_MOVED", HiveDeed.Moved.class).through(this::moved),
                DeedKind.of("HIVE_RENAMED", HiveDeed.Renamed.class),
                DeedKind.of("HIVE_REPURPOSED", HiveDeed.Repurposed.class),
                DeedKind.of("HIVE_ENDED", HiveDeed.Ended.class),
                DeedKind.of("BOX_PUT_ON", HiveDeed.BoxPutOn.class).bringing(HiveDeed.BOX, HiveDeed.FRAME)
                        .through(this::putOn),
                DeedKind.of("BOX_TAKEN_OFF", HiveDeed.BoxTakenOff.class),
                DeedKind.of("FRAMES_ADDED", HiveDeed.FramesAdded.class).bringing(HiveDeed.FRAME),
                DeedKind.of("FRAMES_MOVED", HiveDeed.FramesMoved.class), DeedKind.of("HIVE_READ", HiveDeed.Read.class),
                DeedKind.of("HAPPENED", HiveDeed.Happened.class),
                DeedKind.of("BEES_SHAKEN", HiveDeed.BeesShaken.class),
                DeedKind.of("HIVE_NOTED", HiveDeed.Noted.class),
                DeedKind.of("HIVE_RESERVED", HiveDeed.Reserved.class),
                DeedKind.of("DRONE_COMB_IN", HiveDeed.DroneCombIn.class),
                DeedKind.of("DRONE_COMB_OUT", HiveDeed.DroneCombOut.class),
                DeedKind.of("DRONE_COMB_MEANT", HiveDeed.DroneCombMeant.class),
                DeedKind.of("DRONE_COMB_NOT_MEANT", HiveDeed.DroneCombNotMeant.class),
                DeedKind.of("YARD_CLOSED", YardDeed.Closed.class).ofOwner().through(this::closed));
    }

    /** Only hives know whether any stands there. */
    private YardDeed.Closed closed(YardDeed.Closed asked, Admission admission) {
        List<String> standing = hives.findByYardIdAndEndedOnIsNullOrderByPosition(asked.yard()).stream().map(Hive::code)
                .toList();
        if (!standing.isEmpty()) {
            admission.refuse("yard", "refusal.hivesStandThere", standing.size(),
                    String.join(", ", standing.subList(0, Math.min(MOST_NAMED, standing.size()))));
        }
        return asked;
    }

    private HiveDeed.SetUp setUp(HiveDeed.SetUp asked, Admission admission) {
        asked.stack().forEach(box -> checkFormat(box, admission));
        checkOpen(asked.yard(), admission);
        return asked;
    }

    private HiveDeed.Moved moved(HiveDeed.Moved asked, Admission admission) {
        checkOpen(asked.yard(), admission);
        return asked;
    }

    private void checkOpen(UUID yard, Admission admission) {
        yards.findById(yard).filter(place -> place.closedOn().isPresent())
                .ifPresent(place -> admission.refuse("yard", "refusal.yardClosed", place.name()));
    }

    private HiveDeed.BoxPutOn putOn(HiveDeed.BoxPutOn asked, Admission admission) {
        checkFormat(asked.box(), admission);
        return asked;
    }

    private void checkFormat(Box box, Admission admission) {
        var formats = settings.current().frameFormats().keySet();
        if (box.kind().hasFrames() && !formats.contains(box.format())) {
            admission.refuse("stack", "refusal.noSuchFormat", box.format(), String.join(", ", formats));
        }
    }
}
