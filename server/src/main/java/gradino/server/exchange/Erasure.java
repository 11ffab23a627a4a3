package gradino.server.exchange;

import gradino.server.intake.ClientService;
import gradino.server.intake.ErasedClients;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.io.IOException;
import java.time.Clock;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes all that is a client's out of the database for good. What stays is that an account saw or changed something of that id.
 * At each start whoever was erased before is erased again: the database may have been put back from a copy.
 */
@Service
public class Erasure implements SmartInitializingSingleton {
    private static final Logger LOG = LoggerFactory.getLogger(Erasure.class);
    private static final int TRIES = 3;

    private final ErasureRepository rows;
    private final ClientService clients;
    private final ErasedClients erased;
    private final SetAside aside;
    private final Clock clock;
    private final TransactionTemplate whole;

    Erasure(
            ErasureRepository rows,
            ClientService clients,
            ErasedClients erased,
            SetAside aside,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.rows = rows;
        this.clients = clients;
        this.erased = erased;
        this.aside = aside;
        this.clock = clock;
        this.whole = new TransactionTemplate(transactions);
    }

    /**
     * @param name as the file says it, typed once more
     * @throws Problem when the name is another, or a database that was set aside cannot be changed
     */
    public void erase(String clientId, String name) {
        if (!clients.get(clientId).details().name().equals(name.strip())) {
            throw Problem.invalid("name", "other-name", "This is not the name in the file.");
        }
        try {
            // Before the database in use: whatever cuts this short, they are still there to be erased again.
            aside.erase(clientId);
        } catch (IOException e) {
            throw Problem.conflict(
                    "set-aside",
                    "Not erased: a database that was replaced by a backup holds them, and %s. Remove it by hand and try again."
                            .formatted(e.getMessage()));
        }
        whole.executeWithoutResult(transaction -> delete(clientId));
        emptyLog();
    }

    private void emptyLog() {
        for (int n = 0; n < TRIES; n++) {
            if (rows.emptyLog()) {
                return;
            }
        }
        LOG.warn(
                "somebody reads for long: what was erased leaves the log beside the database later, at the next start at the latest");
    }

    private void delete(String clientId) {
        // Noted first: should the power go now, the next start does it.
        erased.add(clientId, StudioClock.now(clock));
        rows.delete(clientId);
    }

    @Override
    public void afterSingletonsInstantiated() {
        whole.executeWithoutResult(
                transaction -> erased.all().stream().filter(rows::has).forEach(rows::delete));
        emptyLog();
    }
}
