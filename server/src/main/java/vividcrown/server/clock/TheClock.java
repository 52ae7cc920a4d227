package vividcrown.server.clock;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock of the application. */
@Configuration
class TheClock {

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
