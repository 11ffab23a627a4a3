package gradino.server.prescribe.handout;

import gradino.core.body.Figure;
import gradino.core.prescribe.program.SessionReader;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.prescribe.compose.ComposeService;
import gradino.server.prescribe.handout.Handout.HandoutDoses;
import gradino.server.prescribe.handout.Handout.HandoutDrawing;
import gradino.server.prescribe.handout.Handout.HandoutLine;
import gradino.server.prescribe.program.SessionContexts;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The session on paper. */
@Service
class HandoutService {
    private final SessionContexts contexts;
    private final ComposeService compose;
    private final ClientService clients;

    HandoutService(SessionContexts contexts, ComposeService compose, ClientService clients) {
        this.contexts = contexts;
        this.compose = compose;
        this.clients = clients;
    }

    @Transactional(readOnly = true)
    Handout of(String clientId, String sessionId) {
        var session = compose.atHome(clientId, sessionId);
        var plan = SessionReader.read(session.draft())
                .plan()
                .orElseThrow(() -> Problem.invalid("stations", "empty", "Nothing is in this session."));
        return Handout.of(clients.get(clientId), session, plan, contexts.policy());
    }

    @Transactional(readOnly = true)
    byte[] pdf(String clientId, String sessionId) {
        var handout = of(clientId, sessionId);
        try (var pdf = new HandoutPdf(handout.title())) {
            head(pdf, handout);
            for (var line : handout.lines()) {
                line(pdf, line);
            }
            pdf.together(List.of(pdf.text(handout.footer(), 9, false)), 0);
            return pdf.bytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void head(HandoutPdf pdf, Handout handout) throws IOException {
        var whom = "For " + handout.client() + ", about " + handout.minutes() + " minutes";
        pdf.together(List.of(pdf.text(handout.title(), 22, true), pdf.text(whom, 12, false)), 8);
        if (!handout.lowered().isEmpty()) {
            var less = new ArrayList<HandoutPdf.Part>();
            for (var why : handout.lowered()) {
                less.add(pdf.text(why, 12, true));
            }
            pdf.together(less, 8);
        }
        var stop = new ArrayList<HandoutPdf.Part>();
        stop.add(pdf.text("Stop at once for", 13, true));
        for (var sign : handout.stopSigns()) {
            stop.add(pdf.text("• " + sign, 11, false));
        }
        stop.add(pdf.text(handout.calm(), 11, false));
        pdf.together(stop, 14);
        if (!handout.warmUp().isEmpty()) {
            var warm = new ArrayList<HandoutPdf.Part>();
            warm.add(pdf.text("Warm up", 14, true));
            for (var block : handout.warmUp()) {
                warm.add(pdf.text("• " + block, 12, false));
            }
            pdf.together(warm, 14);
        }
    }

    /** A line's drawing, set-up and doses stay on one page. */
    private static void line(HandoutPdf pdf, HandoutLine line) throws IOException {
        var parts = new ArrayList<HandoutPdf.Part>();
        parts.add(pdf.text(line.title(), 15, true));
        if (!line.rounds().isEmpty()) {
            parts.add(pdf.text(line.rounds(), 12, false));
        }
        var drawn = line.figures().stream().filter(f -> f.figure() != null).toList();
        List<Figure> figures = drawn.stream()
                .map(HandoutDrawing::figure)
                .filter(Objects::nonNull)
                .toList();
        parts.add(
                pdf.figures(figures, drawn.stream().map(HandoutService::caption).toList()));
        parts.add(pdf.text(line.setUp(), 12, false));
        for (var doses : line.doses()) {
            doses(pdf, parts, doses);
        }
        if (!line.watch().isEmpty()) {
            parts.add(pdf.text("Watch: " + line.watch(), 11, false));
            parts.add(pdf.text("Stop here also for: " + line.stops(), 11, false));
        }
        pdf.together(parts, 16);
    }

    private static String caption(HandoutDrawing drawing) {
        Figure figure = drawing.figure();
        var seen = figure == null || figure.seenFrom().isEmpty() ? "" : ", seen from " + figure.seenFrom();
        return drawing.caption() + seen;
    }

    private static void doses(HandoutPdf pdf, List<HandoutPdf.Part> parts, HandoutDoses doses) throws IOException {
        if (!doses.head().isEmpty()) {
            parts.add(pdf.text(doses.head() + ":", 12, true));
        }
        int n = 1;
        for (var block : doses.blocks()) {
            parts.add(pdf.text(n++ + ". " + block, 12, false));
        }
    }
}
