package gradino.server.prescribe.handout;

import gradino.core.figure.Figure;
import gradino.core.prescribe.program.SessionReader;
import gradino.server.intake.ClientService;
import gradino.server.paper.Paper;
import gradino.server.platform.Problem;
import gradino.server.prescribe.compose.ComposeService;
import gradino.server.prescribe.handout.Handout.HandoutDoses;
import gradino.server.prescribe.handout.Handout.HandoutDrawing;
import gradino.server.prescribe.handout.Handout.HandoutLine;
import gradino.server.prescribe.program.SessionContexts;
import java.awt.Color;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The session on paper. */
@Service
class HandoutService {
    private static final float FIGURE = 130;
    private static final float DRAWN = 95;

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
        try (var pdf = new Paper(handout.title(), Paper.Size.A4)) {
            head(pdf, handout);
            for (var line : handout.lines()) {
                line(pdf, line);
            }
            pdf.together(List.of(pdf.text(handout.footer(), 9)), 0);
            return pdf.bytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void head(Paper pdf, Handout handout) throws IOException {
        var whom = "For " + handout.client() + ", about " + handout.minutes() + " minutes";
        pdf.together(List.of(pdf.heading(1, handout.title(), 22), pdf.text(whom, 12)), 8);
        if (!handout.lowered().isEmpty()) {
            var less = new ArrayList<Paper.Part>();
            for (var why : handout.lowered()) {
                less.add(pdf.strong(why, 12));
            }
            pdf.together(less, 8);
        }
        var stop = new ArrayList<Paper.Part>();
        stop.add(pdf.heading(2, "Stop at once for", 13));
        for (var sign : handout.stopSigns()) {
            stop.add(pdf.text("• " + sign, 11));
        }
        stop.add(pdf.text(handout.calm(), 11));
        pdf.together(stop, 14);
        if (!handout.warmUp().isEmpty()) {
            var warm = new ArrayList<Paper.Part>();
            warm.add(pdf.heading(2, "Warm up", 14));
            for (var block : handout.warmUp()) {
                warm.add(pdf.text("• " + block, 12));
            }
            pdf.together(warm, 14);
        }
    }

    /** A line's drawing, set-up and doses stay on one page. */
    private static void line(Paper pdf, HandoutLine line) throws IOException {
        var parts = new ArrayList<Paper.Part>();
        parts.add(pdf.heading(2, line.title(), 15));
        if (!line.rounds().isEmpty()) {
            parts.add(pdf.text(line.rounds(), 12));
        }
        figures(pdf, line).ifPresent(parts::add);
        parts.add(pdf.text(line.setUp(), 12));
        for (var doses : line.doses()) {
            doses(pdf, parts, doses);
        }
        if (!line.watch().isEmpty()) {
            parts.add(pdf.text("Watch: " + line.watch(), 11));
            parts.add(pdf.text("Stop here also for: " + line.stops(), 11));
        }
        pdf.together(parts, 16);
    }

    /** Side by side with a caption under each. */
    private static Optional<Paper.Part> figures(Paper pdf, HandoutLine line) {
        var drawn = line.figures().stream().filter(f -> f.figure() != null).toList();
        if (drawn.isEmpty()) {
            return Optional.empty();
        }
        var alt = drawn.stream().map(HandoutService::caption).collect(Collectors.joining("; "));
        float width = drawn.size() * (FIGURE + 20);
        return Optional.of(pdf.picture(width, DRAWN + 18, "Drawing: " + alt, (page, left, bottom) -> {
            for (int i = 0; i < drawn.size(); i++) {
                float x = left + i * (FIGURE + 20);
                var figure = Objects.requireNonNull(drawn.get(i).figure());
                HandoutFigure.draw(page, figure, x, bottom + 18, FIGURE, DRAWN);
                pdf.write(caption(drawn.get(i)), x, bottom + 6, 10, 0, Color.BLACK);
            }
        }));
    }

    private static String caption(HandoutDrawing drawing) {
        Figure figure = drawing.figure();
        var seen = figure == null || figure.seenFrom().isEmpty() ? "" : ", seen from " + figure.seenFrom();
        return drawing.caption() + seen;
    }

    private static void doses(Paper pdf, List<Paper.Part> parts, HandoutDoses doses) throws IOException {
        if (!doses.head().isEmpty()) {
            parts.add(pdf.strong(doses.head() + ":", 12));
        }
        int n = 1;
        for (var block : doses.blocks()) {
            parts.add(pdf.text(n++ + ". " + block, 12));
        }
    }
}
