package yellowrail.web;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The time, as one thing that tests can turn. */
@Configuration
class Clocks {

    @Bean
    Clock clock() {
        return Clock.systemDefaultZone();
    }
}
