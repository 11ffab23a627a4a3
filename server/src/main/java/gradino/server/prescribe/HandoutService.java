package gradino.server.prescribe;

import gradino.core.body.Catalogue;
import gradino.core.body.Figure;
import gradino.core.body.Side;
import gradino.core.body.Training;
import gradino.core.perform.StopSignText;
import gradino.core.prescribe.Block;
import gradino.core.prescribe.Compiler;
import gradino.core.prescribe.Protocol;
import gradino.core.prescribe.SessionPlan;
import gradino.core.prescribe.SessionReader;
import gradino.server.intake.Client;
import gradino.server.intake.ClientService;
import gradino.server.platform.Problem;
import gradino.server.prescribe.CompositionRepository.Composition;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The session on paper, in the client's words. */
@Service
class HandoutService {
    private static final String DISCLAIMER =
            "Gradino supports a coach. It does not diagnose or treat; licensed practice and local rules come first.";
    private static final int SECONDS_PER_MINUTE = 60;

    private final ComposeService compose;
    private final ClientService clients;

    HandoutService(ComposeService compose, ClientService clients) {
        this.compose = compose;
        this.clients = clients;
    }

    @Transactional(readOnly = true)
    byte[] pdf(String clientId, String compositionId) {
        var composition = compose.get(clientId, compositionId);
        var plan = SessionReader.read(composition.draft())
                .plan()
                .orElseThrow(() -> Problem.invalid("stations", "empty", "Nothing is in this session."));
        try (var pdf = new HandoutPdf(composition.name())) {
            head(pdf, clients.get(clientId), composition, plan);
            var sets = LineSets.of(clients.get(clientId), composition.draft());
            for (var station : plan.stations()) {
                for (var line : station.lines()) {
                    line(pdf, line, sets, station.rounds());
                }
            }
            pdf.together(List.of(pdf.text(DISCLAIMER, 9, false)), 0);
            return pdf.bytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void head(HandoutPdf pdf, Client client, Composition composition, SessionPlan plan)
            throws IOException {
        int seconds = Compiler.compile(plan).seconds();
        var minutes = (seconds + SECONDS_PER_MINUTE - 1) / SECONDS_PER_MINUTE;
        pdf.together(
                List.of(
                        pdf.text(composition.name(), 22, true),
                        pdf.text("For " + client.details().name() + ", about " + minutes + " minutes", 12, false)),
                8);
        var stop = new ArrayList<HandoutPdf.Part>();
        stop.add(pdf.text("Stop at once for", 13, true));
        for (var sign : StopSignText.all()) {
            stop.add(pdf.text("• " + sign.words(), 11, false));
        }
        stop.add(pdf.text(
                "Shaking, a cramp that eases, and muscle soreness up to two days are not stop signs by themselves.",
                11,
                false));
        pdf.together(stop, 14);
        if (!plan.warmUp().isEmpty()) {
            var warm = new ArrayList<HandoutPdf.Part>();
            warm.add(pdf.text("Warm up", 14, true));
            for (var block : plan.warmUp()) {
                warm.add(pdf.text("• " + block.inWords(), 12, false));
            }
            pdf.together(warm, 14);
        }
    }

    /** A line's drawing, set-up and doses stay on one page. */
    private static void line(HandoutPdf pdf, Protocol line, List<LineSet> sets, int rounds) throws IOException {
        var position = Catalogue.position(line.position()).orElseThrow();
        var mine = sets.stream().filter(s -> s.line().equals(line.line())).toList();
        var parts = new ArrayList<HandoutPdf.Part>();
        parts.add(pdf.text(position.name() + (rounds > 1 ? ", " + rounds + " rounds" : ""), 15, true));
        List<Figure> figures =
                mine.stream().map(LineSet::figure).filter(Objects::nonNull).toList();
        parts.add(
                pdf.figures(figures, mine.stream().map(HandoutService::caption).toList()));
        parts.add(pdf.text(position.setup(), 12, false));
        boolean same =
                line.on(Side.LEFT).equals(line.on(Side.RIGHT)) || !line.sides().both();
        if (same) {
            var each = line.sides().both() ? "Each side, the " + line.begins().word() + " first:" : "";
            doses(pdf, parts, each, line.on(line.begins()));
        } else {
            doses(pdf, parts, "First the " + line.begins().word() + " side:", line.on(line.begins()));
            doses(pdf, parts, "Then the other side:", line.on(line.begins().other()));
        }
        Training training = position.training();
        if (training != null) {
            parts.add(pdf.text("Watch: " + watch(training), 11, false));
            parts.add(pdf.text("Stop here also for: " + String.join("; ", training.stops()) + ".", 11, false));
        }
        pdf.together(parts, 16);
    }

    private static void doses(HandoutPdf pdf, List<HandoutPdf.Part> parts, String head, List<Block> blocks)
            throws IOException {
        if (!head.isEmpty()) {
            parts.add(pdf.text(head, 12, true));
        }
        int n = 1;
        for (var block : blocks) {
            parts.add(pdf.text(n++ + ". " + block.inWords(), 12, false));
        }
    }

    private static String watch(Training training) {
        return training.fixes().stream()
                        .map(f -> f.what() + " (" + f.then() + ")")
                        .collect(Collectors.joining("; "))
                + ".";
    }

    private static String caption(LineSet set) {
        var side = set.side() == Side.MIDLINE ? "" : set.side().word() + ": ";
        var stack = set.stackCm() == null ? "" : ", stack %.0f cm".formatted(set.stackCm());
        return "%s%.0f°%s".formatted(side, set.reachedDegrees(), stack);
    }
}
