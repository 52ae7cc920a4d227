package vividcrown.server.operation;

import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The database was brought up to date by a newer version of the application than this one, which would not understand it. */
final class NewerDatabase extends RuntimeException {

    private NewerDatabase(String theirs, String known) {
        super("The tables of this database are of version %s; this application knows them up to %s.".formatted(theirs,
                known));
    }

    /** Nothing is changed in a database that is newer. */
    @Configuration
    static class Refused {

        @Bean
        FlywayMigrationStrategy unlessItIsNewer() {
            return flyway -> {
                refuseNewer(flyway);
                flyway.migrate();
            };
        }

        private static void refuseNewer(Flyway flyway) {
            MigrationInfo[] all = flyway.info().all();
            Stream.of(all).filter(one -> one.getState().isApplied() && !one.getState().isResolved())
                    .filter(one -> one.getVersion() != null).reduce((_, last) -> last).ifPresent(newer -> {
                        throw new NewerDatabase(newer.getVersion().toString(), Stream.of(all)
                                .filter(one -> one.getState().isResolved() && one.getVersion() != null)
                                .reduce((_, last) -> last).map(last -> last.getVersion().toString()).orElse("none"));
                    });
        }
    }

    /** Says it without a page of stack. */
    static final class Analyzer extends AbstractFailureAnalyzer<NewerDatabase> {
        @Override
        protected @Nullable FailureAnalysis analyze(Throwable whole, NewerDatabase newer) {
            return new FailureAnalysis(newer.getMessage() + " Nothing was changed.",
                    "Start the newer application again. To go back to this one, restore what was put away before the change "
                            + "(./crown restore .data/backups/before-….dump --over); what was recorded since is not in it.",
                    newer);
        }
    }
}
