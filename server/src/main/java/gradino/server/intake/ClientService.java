package gradino.server.intake;

import gradino.core.because.Finding;
import gradino.server.account.link.HomeLinkService;
import gradino.server.account.people.AccountService;
import gradino.server.account.people.SignedIn;
import gradino.server.intake.Client.Details;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes clients in and keeps their files. */
@Service
public class ClientService {
    private final ClientRepository clients;
    private final AccountService accounts;
    private final ErasedClients erased;
    private final HomeLinkService links;
    private final SignedIn signedIn;
    private final Flags flags;
    private final Clock clock;

    ClientService(
            ClientRepository clients,
            ErasedClients erased,
            AccountService accounts,
            HomeLinkService links,
            SignedIn signedIn,
            Flags flags,
            Clock clock) {
        this.clients = clients;
        this.erased = erased;
        this.accounts = accounts;
        this.links = links;
        this.signedIn = signedIn;
        this.flags = flags;
        this.clock = clock;
    }

    /** Those that whoever asks may see; those that left as well. */
    @Transactional(readOnly = true)
    public List<Client> mine() {
        return clients.of(myIds());
    }

    /** Of these, those that still come. */
    @Transactional(readOnly = true)
    public List<Client> present() {
        return mine().stream().filter(c -> c.archivedAt() == null).toList();
    }

    /** Enough to find them by. */
    @Transactional(readOnly = true)
    List<ClientEntry> entries() {
        return clients.entries(myIds());
    }

    private Collection<String> myIds() {
        var me = signedIn.account().orElseThrow(Problem::nothingHere);
        return me.isOwner() ? clients.ids() : accounts.clientsOf(me);
    }

    /** Who left is found under Clients, with all that was recorded; nobody is asked about them, and their links end. */
    @Transactional
    ClientFile archive(String id, boolean archived) {
        if ((get(id).archivedAt() != null) != archived) {
            clients.archive(id, archived ? StudioClock.now(clock) : null);
            if (archived) {
                links.endAll(id);
            }
        }
        return file(id);
    }

    /** @throws Problem when there is no such client */
    @Transactional(readOnly = true)
    public Client get(String id) {
        return clients.find(id).orElseThrow(() -> Problem.notFound("client"));
    }

    /** The file as it reads today. */
    @Transactional(readOnly = true)
    public ClientFile file(String id) {
        return file(get(id));
    }

    private ClientFile file(Client client) {
        return files(List.of(client)).get(0);
    }

    /** In the order of the clients. */
    @Transactional(readOnly = true)
    public List<ClientFile> files(List<Client> clients) {
        var now = StudioClock.now(clock);
        var flagged = flags.lastFlags(clients.stream().map(Client::id).toList());
        return clients.stream()
                .map(c -> ClientFile.of(c, now, clock.getZone(), flagged.get(c.id())))
                .toList();
    }

    @Transactional
    public ClientFile create(String id, Details details) {
        var me = signedIn.account().orElseThrow(Problem::nothingHere);
        if (clients.find(id).isEmpty()) {
            erased.requireNot(id);
            Problem.throwIfBlocking(check(details, LocalDate.now(clock)));
            clients.insert(id, details, StudioClock.now(clock));
            accounts.own(id, me);
        } else if (!accounts.maySee(me, id)) {
            throw Problem.nothingHere();
        }
        return file(id);
    }

    @Transactional
    public ClientFile change(String id, Details details) {
        get(id);
        Problem.throwIfBlocking(check(details, LocalDate.now(clock)));
        clients.addDetails(id, details, StudioClock.now(clock));
        return file(id);
    }

    /**
     * As the calendar has it, so that the file says nothing else.
     *
     * @param days with time
     * @param longest minutes of any of them
     */
    @Transactional
    public void keepTime(String id, List<DayOfWeek> days, int longest) {
        var before = get(id).details();
        var details = before.withTime(days, longest);
        if (!details.equals(before)) {
            clients.addDetails(id, details, StudioClock.now(clock));
        }
    }

    /** What cannot be right in a client's file; the import uses it as well. */
    public static List<Finding> check(Details details, LocalDate today) {
        return DetailsCheck.check(details, today);
    }
}
