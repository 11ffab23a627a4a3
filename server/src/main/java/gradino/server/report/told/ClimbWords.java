package gradino.server.report.told;

import gradino.core.advance.Change;
import gradino.core.advance.state.Event.Answer;
import gradino.core.because.Term;
import gradino.core.prescribe.method.Method;
import gradino.core.report.LineClimb;
import gradino.core.report.LineClimb.Step;
import gradino.core.report.Report;
import gradino.server.report.draw.FlightChart;
import gradino.server.report.draw.FlightChart.Climber;
import gradino.server.report.draw.FlightChart.Rise;
import gradino.server.report.told.Told.ReportPart;
import gradino.server.report.told.Told.ReportPiece;
import gradino.server.report.told.Told.ReportSection;
import gradino.server.report.told.Told.ReportTable;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** How did it climb? */
final class ClimbWords {
    private final Audience audience;
    private final ZoneId zone;

    ClimbWords(Audience audience, ZoneId zone) {
        this.audience = audience;
        this.zone = zone;
    }

    ReportSection of(Report report) {
        int up = report.climb().stream().mapToInt(LineClimb::up).sum();
        int down = report.climb().stream().mapToInt(LineClimb::down).sum();
        var byLine = report.climb().stream()
                .collect(Collectors.groupingBy(LineClimb::line, LinkedHashMap::new, Collectors.toList()));
        var pieces = new ArrayList<ReportPiece>();
        byLine.values().forEach(sides -> pieces.add(piece(sides, report)));
        var answer = report.climb().isEmpty()
                ? "Nothing is prescribed."
                : up + down == 0
                        ? "No dose was changed in this period."
                        : "%s up, %s down.".formatted(Says.count(up, "step"), down);
        return new ReportSection(ReportPart.CLIMBED, "How did it climb?", answer, pieces);
    }

    private ReportPiece piece(List<LineClimb> sides, Report report) {
        var first = sides.get(0);
        var sentences = new ArrayList<String>();
        for (var side : sides) {
            sentences.add(sentence(side));
        }
        var from = report.period().from().atStartOfDay(zone).toInstant();
        var to = report.period().to().plusDays(1).atStartOfDay(zone).toInstant();
        var climbers = sides.stream()
                .map(s -> new Climber(
                        s.side().isPaired() && sides.size() > 1 ? s.side().word() : "",
                        s.started(),
                        s.steps().stream()
                                .map(step -> new Rise(step.at(), step.level()))
                                .toList()))
                .toList();
        var chart = FlightChart.of(
                climbers,
                from,
                to,
                Says.day(report.period().from()),
                Says.day(report.period().to()));
        return new ReportPiece(
                heading(first), sentences, audience.plain() ? null : table(sides), List.of(chart), List.of());
    }

    private String heading(LineClimb line) {
        var name = Says.capital(Says.motion(line.motion()));
        return audience.plain()
                ? name
                : "%s · %s, %s"
                        .formatted(
                                name,
                                Says.position(line.position()),
                                Method.byId(line.method()).map(Method::name).orElse("a method of the studio"));
    }

    private String sentence(LineClimb side) {
        var words = "%s: %s up, %s down"
                .formatted(Says.capital(side.side().word()), Says.count(side.up(), "step"), side.down());
        var more = new StringBuilder(words);
        if (!audience.plain()) {
            more.append(", from level %d to %d".formatted(side.started(), side.ended()));
            if (side.plateau()) {
                more.append("; on a plateau");
            }
            var since = side.methodSince();
            if (since != null) {
                more.append("; method changed on ").append(Says.day(since, zone));
            }
        }
        return more.append('.').toString();
    }

    private @Nullable ReportTable table(List<LineClimb> sides) {
        var rows = new ArrayList<List<String>>();
        for (var side : sides) {
            side.steps()
                    .forEach(step -> rows.add(List.of(
                            Says.day(step.at(), zone),
                            Says.capital(side.side().word()),
                            proposed(step),
                            answer(step),
                            changes(step.changes()),
                            Says.turned(step.turned()))));
        }
        return rows.isEmpty()
                ? null
                : new ReportTable(
                        List.of("Day", "Side", "Proposed", "Answer", "What changed", "How it turned out"), rows);
    }

    private static String proposed(Step step) {
        var verdict = step.proposed();
        return verdict == null || step.answer() == Answer.EDITED ? "" : Says.word(verdict);
    }

    private static String answer(Step step) {
        var answer = step.answer();
        return answer == null ? "" : answer == Answer.EDITED ? "set by the coach" : Says.word(answer);
    }

    private static String changes(List<Change> changes) {
        return changes.isEmpty()
                ? "nothing"
                : changes.stream()
                        .map(c -> "%s %s → %s"
                                .formatted(
                                        c.what(),
                                        Term.of(c.from(), c.unit()).text(),
                                        Term.of(c.to(), c.unit()).text()))
                        .collect(Collectors.joining("; "));
    }
}
