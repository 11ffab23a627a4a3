package gradino.server.report.told;

import gradino.core.report.Comparison;
import gradino.core.report.Comparison.Both;
import gradino.core.report.Difference;
import gradino.core.report.Judged;
import gradino.core.report.LineClimb;
import gradino.core.report.Period;
import gradino.core.report.Report;
import gradino.core.report.Work;
import gradino.server.report.read.ReportReader.Read;
import gradino.server.report.told.Told.ReportPart;
import gradino.server.report.told.Told.ReportPiece;
import gradino.server.report.told.Told.ReportSection;
import gradino.server.report.told.Told.ReportTable;
import java.time.ZoneId;
import java.util.List;
import java.util.function.Function;

/** Two periods beside each other. */
public final class ComparisonWords {
    private final ZoneId zone;

    public ComparisonWords(ZoneId zone) {
        this.zone = zone;
    }

    public ReportSection of(Read first, Read second) {
        Period one = first.report().period();
        Period other = second.report().period();
        var both = Comparison.of(first.measured().series(), one, other, zone).both();
        var answer = both.isEmpty()
                ? "No range was measured at the beginning and the end of both, so their changes are not compared."
                : "%s changed differently in the second, beyond measurement noise."
                        .formatted(Says.capital(words(both)));
        return new ReportSection(
                ReportPart.BETTER,
                "%s, and %s".formatted(Teller.days(one), Teller.days(other)),
                answer,
                both.isEmpty()
                        ? List.of(ReportPiece.of("Work", work(first.report(), second.report())))
                        : List.of(
                                ReportPiece.of("Ranges", ranges(both)),
                                ReportPiece.of("Work", work(first.report(), second.report()))));
    }

    private static String words(List<Both> both) {
        long differ = both.stream()
                .filter(b -> b.difference().judged() != Judged.WITHIN_NOISE)
                .count();
        return "%d of %s".formatted(differ, Says.count(both.size(), "range"));
    }

    private static ReportTable ranges(List<Both> both) {
        return new ReportTable(
                List.of("Motion", "Range", "First", "Second", "Second − first", "95 % interval", "In words"),
                both.stream()
                        .map(b -> List.of(
                                Says.side(b.of()),
                                Says.word(b.mode()),
                                change(b.inFirst().change()),
                                change(b.inSecond().change()),
                                Says.fine(b.difference().degrees()),
                                Says.interval(
                                        b.difference().lower(), b.difference().upper(), 1, "°"),
                                Says.judged(b.difference().judged())))
                        .toList());
    }

    private static String change(Difference change) {
        return "%s%s, %s"
                .formatted(change.degrees() > 0 ? "+" : "", Says.fine(change.degrees()), Says.judged(change.judged()));
    }

    private static ReportTable work(Report first, Report second) {
        return new ReportTable(
                List.of("", "First", "Second"),
                List.of(
                        row(
                                "Sessions",
                                first,
                                second,
                                r -> String.valueOf(r.work().sessions())),
                        row(
                                "Days done of planned",
                                first,
                                second,
                                r -> "%d of %d"
                                        .formatted(
                                                r.work().attendance().done()
                                                        + r.work().attendance().moved(),
                                                r.work().attendance().planned())),
                        row("Minutes", first, second, r -> Says.number(r.work().minutes(), 0)),
                        row("Load a week", first, second, r -> Says.number(load(r.work()), 0)),
                        row(
                                "Steps up, down",
                                first,
                                second,
                                r -> "%d, %d"
                                        .formatted(
                                                r.climb().stream()
                                                        .mapToInt(LineClimb::up)
                                                        .sum(),
                                                r.climb().stream()
                                                        .mapToInt(LineClimb::down)
                                                        .sum())),
                        row(
                                "Sessions with pain",
                                first,
                                second,
                                r -> String.valueOf(r.hard().painful())),
                        row(
                                "Stop signs",
                                first,
                                second,
                                r -> String.valueOf(r.hard().stops().size()))));
    }

    private static double load(Work work) {
        return work.weeks().stream()
                .filter(Work.LoadWeek::whole)
                .mapToDouble(Work.LoadWeek::points)
                .average()
                .orElse(0);
    }

    private static List<String> row(String name, Report first, Report second, Function<Report, String> value) {
        return List.of(name, value.apply(first), value.apply(second));
    }
}
