package gradino.server.report;

import gradino.core.report.Period;
import gradino.server.account.link.HomeLinkService;
import gradino.server.account.link.HomeLinkService.MadeLink;
import gradino.server.account.people.SignedIn;
import gradino.server.account.people.Tokens;
import gradino.server.intake.Client;
import gradino.server.intake.ClientNoteRepository;
import gradino.server.intake.ClientNoteRepository.ClientNote;
import gradino.server.intake.ClientNoteRepository.NoteKind;
import gradino.server.intake.ClientService;
import gradino.server.platform.Json;
import gradino.server.platform.Problem;
import gradino.server.platform.StudioClock;
import gradino.server.report.read.Periods;
import gradino.server.report.read.ReportReader;
import gradino.server.report.read.ReportReader.Read;
import gradino.server.report.told.ComparisonWords;
import gradino.server.report.told.Teller;
import gradino.server.report.told.Told;
import gradino.server.report.told.Told.ReportSection;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What weeks of work came to, for whoever asks. */
@Service
public class ReportService {
    private final ClientService clients;
    private final ReportReader reader;
    private final Periods periods;
    private final ClientNoteRepository notes;
    private final HomeLinkService links;
    private final SignedIn signedIn;
    private final Json json;
    private final Clock clock;

    ReportService(
            ClientService clients,
            ReportReader reader,
            Periods periods,
            ClientNoteRepository notes,
            HomeLinkService links,
            SignedIn signedIn,
            Json json,
            Clock clock) {
        this.clients = clients;
        this.reader = reader;
        this.periods = periods;
        this.notes = notes;
        this.links = links;
        this.signedIn = signedIn;
        this.json = json;
        this.clock = clock;
    }

    /**
     * A report with what else its page needs.
     *
     * @param blocks of weeks that have begun, the oldest first
     * @param noteAt when the note was saved; null for none
     */
    record ReportView(
            Told told,
            Period days,
            List<Period> blocks,
            String note,
            @Nullable Instant noteAt) {}

    @Transactional(readOnly = true)
    ReportView view(String clientId, ReportAsk ask) {
        var read = read(clientId, ask);
        var note = notes.newestOfReport(clientId);
        var told = told(read, ask);
        return new ReportView(
                told,
                read.report().period(),
                read.blocks(),
                told.note(),
                note.map(ClientNote::recordedAt).orElse(null));
    }

    @Transactional(readOnly = true)
    public Read read(String clientId, ReportAsk ask) {
        var client = clients.get(clientId);
        return reader.of(client, periods.of(client, ask.days()));
    }

    @Transactional(readOnly = true)
    Told told(Read read, ReportAsk ask) {
        var name = ask.isNamed() ? read.client().details().name() : "";
        var note =
                notes.newestOfReport(read.client().id()).map(ClientNote::text).orElse("");
        return new Teller(ask.whom(), ask.without(), clock.getZone()).tell(read, name, note);
    }

    /** Two periods beside each other. */
    @Transactional(readOnly = true)
    ReportSection comparison(String clientId, Period first, Period second) {
        var client = clients.get(clientId);
        return new ComparisonWords(clock.getZone()).of(reader.of(client, first), reader.of(client, second));
    }

    @Transactional
    void note(String clientId, String text) {
        var client = clients.get(clientId);
        if (text.length() > ClientNoteRepository.LONGEST) {
            throw Problem.invalid("text", "too-long", "Up to %d letters.".formatted(ClientNoteRepository.LONGEST));
        }
        notes.add(new ClientNote(
                Tokens.fresh(),
                client.id(),
                signedIn.required().id(),
                NoteKind.REPORT,
                null,
                StudioClock.now(clock),
                text.strip()));
    }

    /** A link that opens the client's own report of some days, and nothing else. */
    @Transactional
    MadeLink link(String clientId, String id, int days, @Nullable String pin, ReportAsk ask) {
        Client client = clients.get(clientId);
        periods.of(client, ask.days());
        return links.make(clientId, id, days, pin, json.write(ask.forClient()));
    }

    /** As it is told now. */
    @Transactional(readOnly = true)
    Told told(String clientId, ReportAsk ask) {
        return told(read(clientId, ask), ask);
    }
}
