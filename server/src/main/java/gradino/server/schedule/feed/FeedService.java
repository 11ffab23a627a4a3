package gradino.server.schedule.feed;

import gradino.server.account.people.Account;
import gradino.server.account.people.AccountRepository;
import gradino.server.account.people.AccountService;
import gradino.server.account.people.SignedIn;
import gradino.server.account.people.Tokens;
import gradino.server.intake.Client;
import gradino.server.intake.ClientRepository;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.schedule.calendar.IcsFile;
import gradino.server.schedule.feed.FeedRepository.Link;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Weeks and appointments for calendar programs: as a file, and under secret addresses that end with their maker's right. */
@Service
public class FeedService {
    private static final int MOST_LINKS = 20;

    private final FeedRepository links;
    private final FeedEvents events;
    private final ClientService clients;
    private final ClientRepository rows;
    private final AccountService accounts;
    private final AccountRepository people;
    private final SignedIn signedIn;
    private final Clock clock;

    FeedService(
            FeedRepository links,
            FeedEvents events,
            ClientService clients,
            ClientRepository rows,
            AccountService accounts,
            AccountRepository people,
            SignedIn signedIn,
            Clock clock) {
        this.links = links;
        this.events = events;
        this.clients = clients;
        this.rows = rows;
        this.accounts = accounts;
        this.people = people;
        this.signedIn = signedIn;
        this.clock = clock;
    }

    /** A link as it is listed. */
    record FeedLink(String id, Instant madeAt) {}

    /** @param address within the studio's own; told once */
    record MadeFeed(FeedLink link, String address) {}

    @Transactional(readOnly = true)
    public String file(String clientId) {
        return calendar(clients.get(clientId));
    }

    private String calendar(Client client) {
        var all = new ArrayList<>(events.days(client));
        all.addAll(events.appointments(client, "Appointment at the studio"));
        return IcsFile.write("Training", all, clock.getZone());
    }

    @Transactional
    MadeFeed make(@Nullable String clientId, String id) {
        var me = signedIn.required();
        if (links.find(id).isPresent()) {
            throw Problem.conflict("made-already", "This link was made already; its address is shown only once.");
        }
        if (of(clientId).size() >= MOST_LINKS) {
            throw Problem.conflict("too-many", "There are %d links already: end one first.".formatted(MOST_LINKS));
        }
        var token = Tokens.fresh();
        var link = new Link(id, clientId, me.id(), StudioClock.now(clock), null);
        links.add(link, Tokens.digest(token));
        return new MadeFeed(new FeedLink(id, link.madeAt()), "/api/feeds/" + token + ".ics");
    }

    @Transactional(readOnly = true)
    List<FeedLink> of(@Nullable String clientId) {
        var all = clientId == null
                ? links.ofAccount(signedIn.required().id())
                : links.ofClient(clients.get(clientId).id());
        return all.stream().map(l -> new FeedLink(l.id(), l.madeAt())).toList();
    }

    @Transactional
    void end(@Nullable String clientId, String id) {
        boolean mine = of(clientId).stream().anyMatch(l -> l.id().equals(id));
        if (!mine) {
            throw Problem.nothingHere();
        }
        links.revoke(id, StudioClock.now(clock));
    }

    /** What a calendar program fetches; nothing, in the same words, for a link that never was or is no more. */
    @Transactional(readOnly = true)
    String fetched(String token) {
        var link = links.byDigest(Tokens.digest(token)).orElseThrow(Problem::nothingHere);
        var maker = people.find(link.accountId()).filter(a -> !a.disabled()).orElseThrow(Problem::nothingHere);
        return link.clientId() == null ? appointments(maker) : client(maker, link.clientId());
    }

    private String client(Account maker, String clientId) {
        if (!accounts.maySee(maker, clientId)) {
            throw Problem.nothingHere();
        }
        return calendar(rows.find(clientId).orElseThrow(Problem::nothingHere));
    }

    private String appointments(Account maker) {
        var all = rows.all().stream()
                .filter(c -> c.archivedAt() == null && accounts.maySee(maker, c.id()))
                .flatMap(c -> events.appointments(c, c.details().name()).stream())
                .toList();
        return IcsFile.write("Appointments", all, clock.getZone());
    }
}
