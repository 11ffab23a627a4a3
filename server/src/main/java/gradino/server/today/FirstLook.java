package gradino.server.today;

import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.sql.init.dependency.DependsOnDatabaseInitialization;
import org.springframework.context.event.EventListener;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * Looks at everybody's day while the rest of the server starts. It says that it is ready once every line is known; what comes
 * before, as from phones that were cut off, is answered all the same.
 */
@Component
@DependsOnDatabaseInitialization
class FirstLook implements InitializingBean {
    private static final Logger LOG = LoggerFactory.getLogger(FirstLook.class);
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(20);

    private final TodayService today;
    private final Thread thread = new Thread(this::look, "first-look");

    FirstLook(TodayService today) {
        this.today = today;
    }

    @Override
    public void afterPropertiesSet() {
        thread.setDaemon(true);
        thread.start();
    }

    @EventListener
    @Order(Ordered.HIGHEST_PRECEDENCE)
    void ready(ApplicationReadyEvent event) throws InterruptedException {
        thread.join(LONGEST_WAIT.toMillis());
    }

    private void look() {
        try {
            today.lookAtAll();
        } catch (RuntimeException e) {
            // Whoever asks finds the same trouble and is told of it.
            LOG.debug("the first look ended early", e);
        }
    }
}
