package gradino.server.report.told;

import gradino.core.intake.Restriction;
import gradino.core.perform.PainKind;
import gradino.core.perform.StopSignText;
import gradino.core.report.Hard;
import gradino.core.report.Hard.PainFelt;
import gradino.core.report.Hard.StopSeen;
import gradino.core.report.Report;
import gradino.server.report.told.Told.ReportPart;
import gradino.server.report.told.Told.ReportPiece;
import gradino.server.report.told.Told.ReportSection;
import gradino.server.report.told.Told.ReportTable;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What was hard? Told to everybody. */
final class HardWords {
    private static final int MOST_ROWS = 40;

    private final Audience audience;
    private final ZoneId zone;

    HardWords(Audience audience, ZoneId zone) {
        this.audience = audience;
        this.zone = zone;
    }

    ReportSection of(Report report) {
        var hard = report.hard();
        var pieces = new ArrayList<ReportPiece>();
        if (!audience.plain() && !hard.pains().isEmpty()) {
            pieces.add(pains(hard));
        }
        if (!hard.stops().isEmpty()) {
            pieces.add(ReportPiece.of(
                    "Stop signs", hard.stops().stream().map(this::stop).toList()));
        }
        if (!hard.restrictions().isEmpty()) {
            pieces.add(ReportPiece.of(
                    "Restrictions",
                    hard.restrictions().stream().map(this::restriction).toList()));
        }
        if (!hard.clearances().isEmpty()) {
            pieces.add(ReportPiece.of(
                    "Cleared in writing",
                    hard.clearances().stream()
                            .map(c -> "%s, by %s.".formatted(Says.day(c.writtenOn()), c.by()))
                            .toList()));
        }
        return new ReportSection(ReportPart.HARD, "What was hard?", answer(report), pieces);
    }

    private String answer(Report report) {
        var hard = report.hard();
        int sessions = report.work().sessions();
        var worst = hard.pains().stream().map(PainFelt::score).max(Comparator.naturalOrder());
        var pain = sessions == 0
                ? "No session was recorded, so nothing was reported."
                : worst.map(score -> "Pain was reported in %d of %s, %d of 10 at worst."
                                .formatted(hard.painful(), Says.count(sessions, "session"), score.value()))
                        .orElse("No pain was reported in %s.".formatted(Says.count(sessions, "session")));
        var stops = hard.stops().isEmpty()
                ? "No stop sign."
                : Says.count(hard.stops().size(), "stop sign") + ".";
        return pain + " " + stops;
    }

    private ReportPiece pains(Hard hard) {
        var rows = hard.pains().stream()
                .skip(Math.max(0, hard.pains().size() - MOST_ROWS))
                .map(p -> List.of(
                        Says.day(p.at(), zone),
                        Says.side(p.motion(), p.side()),
                        p.score().value() + " of 10",
                        kind(p.kind()),
                        p.where()))
                .toList();
        var heading = hard.pains().size() > MOST_ROWS ? "Pain, the last %d times".formatted(MOST_ROWS) : "Pain";
        return ReportPiece.of(heading, new ReportTable(List.of("Day", "In", "Worst", "When", "Where"), rows));
    }

    private static String kind(PainKind kind) {
        return switch (kind) {
            case WHILE_CONTRACTING -> "while contracting";
            case AT_REST_IN_RANGE -> "at rest in the range";
            case PINCH_THAT_EASED -> "a pinch that eased";
            case WRONG_JOINT -> "in another joint";
        };
    }

    private String stop(StopSeen stop) {
        var words = StopSignText.all().stream()
                .filter(t -> t.sign() == stop.sign())
                .findFirst()
                .map(StopSignText::words)
                .orElse(Says.word(stop.sign()));
        var side = stop.side() == null ? "" : ", " + stop.side().word();
        return "%s, %s: %s%s.".formatted(Says.day(stop.at(), zone), stop.session(), words, side);
    }

    private String restriction(Restriction r) {
        var limit = r.limit() == null
                ? ""
                : " " + Says.number(r.limit(), 0) + r.kind().unitText();
        var where = r.scope().text().isEmpty() ? "" : " (" + r.scope().text() + ")";
        var until = r.until() == null ? "" : " until " + Says.day(r.until(), zone);
        return "%s%s%s since %s%s: %s"
                .formatted(
                        Says.capital(Says.word(r.kind())), limit, where, Says.day(r.since(), zone), until, r.reason());
    }
}
