package gradino.server.platform;

import gradino.core.advance.state.Moment;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import org.springframework.boot.autoconfigure.condition.ConditionalOnMissingBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The server's clock is a bean; its zone is the studio's. Times are kept to the millisecond, as the database keeps them. */
@Configuration(proxyBeanMethods = false)
public class StudioClock {
    @Bean
    @ConditionalOnMissingBean
    Clock clock() {
        return Clock.system(ZoneId.systemDefault());
    }

    /** Now, as the database will give it back. */
    public static Instant now(Clock clock) {
        return Instant.ofEpochMilli(clock.millis());
    }

    public static Moment moment(Clock clock) {
        return new Moment(now(clock), clock.getZone());
    }
}
