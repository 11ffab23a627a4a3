package gradino.server.schedule.plan;

import gradino.server.intake.Client;
import gradino.server.intake.ClientRepository;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionExecution;
import org.springframework.transaction.TransactionExecutionListener;

/** Plans ahead: after every change, and when a day has passed, the weeks of whom it concerns. Whoever looks then need not wait. */
@Component
class Replanner implements TransactionExecutionListener, DisposableBean, Runnable {
    private static final Logger LOG = LoggerFactory.getLogger(Replanner.class);
    private static final Duration LONGEST_SLEEP = Duration.ofMinutes(1);

    private final WeekPlans plans;
    private final ClientRepository clients;
    private final Thread thread = new Thread(this, "replanner");
    private final boolean wanted;
    private final BlockingQueue<Boolean> changes = new ArrayBlockingQueue<>(1);

    Replanner(WeekPlans plans, ClientRepository clients, @Value("${gradino.plan-ahead}") boolean wanted) {
        this.plans = plans;
        this.clients = clients;
        this.wanted = wanted;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (wanted) {
            thread.setDaemon(true);
            thread.start();
        }
    }

    @Override
    public void afterCommit(TransactionExecution transaction, @Nullable Throwable failure) {
        if (!transaction.isReadOnly()) {
            changes.offer(true);
        }
    }

    @Override
    public void run() {
        try {
            while (true) {
                all();
                changes.poll(LONGEST_SLEEP.toSeconds(), TimeUnit.SECONDS);
            }
        } catch (InterruptedException end) {
            LOG.debug("planning ahead ends");
        }
    }

    /** One client whose weeks cannot be planned keeps nobody else waiting; their own page says what is wrong. */
    private void all() throws InterruptedException {
        for (var id : stale()) {
            if (Thread.interrupted()) {
                throw new InterruptedException();
            }
            try {
                plans.fresh(id);
            } catch (RuntimeException e) {
                LOG.warn("the weeks of a client cannot be planned", e);
            }
        }
    }

    private List<String> stale() {
        try {
            return plans.stale(clients.all().stream()
                    .filter(c -> c.archivedAt() == null)
                    .map(Client::id)
                    .toList());
        } catch (RuntimeException e) {
            LOG.debug("nobody can be looked at now", e);
            return List.of();
        }
    }

    @Override
    public void destroy() throws InterruptedException {
        thread.interrupt();
        thread.join(Duration.ofSeconds(5).toMillis());
    }
}
