package vividcrown.server.store;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import vividcrown.core.store.Store;
import vividcrown.core.store.StoreDeed;
import vividcrown.core.store.Thing;
import vividcrown.server.journal.DeedKind;
import vividcrown.server.journal.DeedKinds;
import vividcrown.server.operation.CurrentOperation;

/** What lies in the store. */
@RestController
class StoreController {

    /**
     * @param operation whose store it is: the thing that a count concerns
     * @param lots every thing there is to count, in the order of the shelves
     */
    record StorePage(UUID operation, List<LotView> lots) {
    }

    /**
     * @param count left out if nobody keeps count of it
     * @param countedOn the day of the last count
     */
    record LotView(Thing thing, String text, @Nullable Double count, @Nullable LocalDate countedOn) {
        static LotView of(Thing thing, Store store) {
            Optional<Store.Lot> lot = Optional.ofNullable(store.lots().get(thing));
            return new LotView(thing, thing.sentence().toString(), lot.map(Store.Lot::count).orElse(null),
                    lot.flatMap(Store.Lot::countedOn).orElse(null));
        }
    }

    /** The deeds of the store. */
    @Configuration
    static class StoreDeeds {
        @Bean
        DeedKinds storeDeedKinds() {
            return DeedKinds.of(DeedKind.of("STORE_COUNTED", StoreDeed.Counted.class),
                    DeedKind.of("STORE_CHANGED", StoreDeed.Changed.class));
        }
    }

    private final InStore store;

    StoreController(InStore store) {
        this.store = store;
    }

    @GetMapping("/api/v1/store")
    @Operation(operationId = "store", summary = "What lies in the store: counted, bought, used")
    @Transactional(readOnly = true)
    public StorePage current() {
        Store now = store.current();
        return new StorePage(CurrentOperation.require(),
                Stream.of(Thing.values()).map(thing -> LotView.of(thing, now)).toList());
    }
}
