package gradino.server.exchange;

import gradino.server.intake.ClientService;
import gradino.server.intake.ErasedClients;
import gradino.server.platform.Problem;
import gradino.server.platform.Sql;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.util.List;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Takes all that is a client's out of the database for good. What stays is that an account saw or changed something of that id.
 * At each start whoever was erased before is erased again: the database may have been put back from a copy.
 */
@Service
public class Erasure implements SmartInitializingSingleton {
    private static final String OWN_SESSIONS = "(SELECT id FROM session WHERE client_id = ?1)";
    private static final String OWN_LINES = "(SELECT id FROM line WHERE client_id = ?1)";

    /** What refers to others before what is referred to. */
    private static final List<String> TABLES = List.of(
            "home_visit WHERE link_id IN (SELECT id FROM home_link WHERE client_id = ?1)",
            "home_link WHERE client_id = ?1",
            "home_note WHERE client_id = ?1",
            "reference_contraction WHERE client_id = ?1",
            "trace WHERE session_id IN " + OWN_SESSIONS,
            "morning WHERE session_id IN " + OWN_SESSIONS,
            "session_close WHERE session_id IN " + OWN_SESSIONS,
            "session_block WHERE session_id IN " + OWN_SESSIONS,
            "session WHERE client_id = ?1",
            "decision WHERE line_id IN " + OWN_LINES,
            "plan WHERE line_id IN " + OWN_LINES,
            "line WHERE client_id = ?1",
            "composition WHERE client_id = ?1",
            "movement_result WHERE client_id = ?1",
            "assessment WHERE client_id = ?1",
            "battery WHERE client_id = ?1",
            "measurement WHERE client_id = ?1",
            "clearance WHERE client_id = ?1",
            "coach_restriction WHERE client_id = ?1",
            "screening WHERE client_id = ?1",
            "restriction WHERE client_id = ?1",
            "client_goal WHERE details_id IN (SELECT id FROM client_details WHERE client_id = ?1)",
            "client_details WHERE client_id = ?1",
            "client_access WHERE client_id = ?1",
            "client WHERE id = ?1");

    private final Sql sql;
    private final ClientService clients;
    private final ErasedClients erased;
    private final Clock clock;
    private final TransactionTemplate whole;

    Erasure(
            Sql sql,
            ClientService clients,
            ErasedClients erased,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.sql = sql;
        this.clients = clients;
        this.erased = erased;
        this.clock = clock;
        this.whole = new TransactionTemplate(transactions);
    }

    /**
     * @param name as the file says it, typed once more
     * @throws Problem when the name is another
     */
    @Transactional
    public void erase(String clientId, String name) {
        if (!clients.get(clientId).details().name().equals(name.strip())) {
            throw Problem.invalid("name", "other-name", "This is not the name in the file.");
        }
        // Noted first: should the power go now, the next start does it.
        erased.add(clientId, StudioClock.now(clock));
        delete(clientId);
    }

    @Override
    public void afterSingletonsInstantiated() {
        whole.executeWithoutResult(transaction -> erased.all().forEach(this::delete));
    }

    private void delete(String clientId) {
        TABLES.forEach(table -> sql.update("DELETE FROM " + table, clientId));
    }
}
