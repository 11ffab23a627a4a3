package gradino.server.report.told;

import gradino.core.measure.reading.Retention;
import gradino.core.report.Judged;
import gradino.core.report.MotionChange;
import gradino.core.report.Report;
import gradino.core.report.Stayed;
import gradino.core.report.Stayed.Kept;
import gradino.server.report.told.Told.ReportPart;
import gradino.server.report.told.Told.ReportPiece;
import gradino.server.report.told.Told.ReportSection;
import gradino.server.report.told.Told.ReportTable;
import java.util.ArrayList;
import java.util.List;

/** Did it stay? */
final class StayedWords {
    private final Audience audience;

    StayedWords(Audience audience) {
        this.audience = audience;
    }

    ReportSection of(Report report) {
        var stayed = report.stayed();
        var pieces = new ArrayList<ReportPiece>();
        if (!stayed.kept().isEmpty()) {
            if (audience.plain()) {
                pieces.add(ReportPiece.of(
                        "",
                        stayed.kept().stream()
                                .filter(k -> k.weeks().equals(report.period()))
                                .map(StayedWords::plain)
                                .toList()));
            } else {
                pieces.add(ReportPiece.of("", table(stayed, report)));
            }
        }
        var borrowed = stayed.kept().stream()
                .filter(k -> isBorrowed(k, report))
                .map(k -> Says.side(k.of()))
                .distinct()
                .toList();
        if (!borrowed.isEmpty()) {
            pieces.add(ReportPiece.of(
                    "",
                    List.of(
                            "%s: gained in most sessions, while the cold range did not change over the weeks. Work with own"
                                            .formatted(String.join(", ", borrowed))
                                    + " strength at the end of the range is what makes it stay.")));
        }
        return new ReportSection(ReportPart.STAYED, "Did it stay?", answer(stayed), pieces);
    }

    private static String answer(Stayed stayed) {
        if (stayed.kept().isEmpty()) {
            return stayed.untold() == 0
                    ? "Not told: this needs a cold reading before and a warm one after each session, at four sessions over two weeks."
                    : "Not told yet: the readings before and after sessions are too few, or span less than two weeks.";
        }
        int told = (int) stayed.kept().stream().map(Kept::of).distinct().count();
        return "How much of what each session gained was still there the next time, of %s."
                .formatted(Says.count(told, "range"));
    }

    private static String plain(Kept kept) {
        var name = Says.side(kept.of());
        double ratio = kept.retention().ratio();
        if (kept.retention().lower95() == null) {
            return name + ": sessions change too little to say how much of it stays.";
        }
        var share = ratio < 0.2
                ? "little of it was"
                : ratio < 0.4
                        ? "about a third of it was"
                        : ratio < 0.6
                                ? "about half of it was"
                                : ratio < 0.85 ? "most of it was" : "nearly all of it was";
        return "%s: of what a session gained, %s still there the next time.".formatted(name, share);
    }

    /** Where the cold range is more than at the beginning of the period, nothing was borrowed. */
    private static boolean isBorrowed(Kept kept, Report report) {
        boolean more = report.better().motions().stream()
                .filter(m -> m.of().equals(kept.of()))
                .map(MotionChange::passive)
                .anyMatch(pair -> pair != null && pair.change().judged() == Judged.MORE);
        return kept.retention().borrowed() && !more;
    }

    private static ReportTable table(Stayed stayed, Report report) {
        var rows = stayed.kept().stream()
                .map(k -> List.of(
                        Says.side(k.of()),
                        k.weeks().equals(report.period()) ? "all" : Teller.days(k.weeks()),
                        String.valueOf(k.retention().sessions()),
                        Says.fine(k.retention().acuteDegrees()),
                        Says.fine(k.retention().keptDegrees()),
                        Says.percent(k.retention().ratio()),
                        interval(k.retention()),
                        isBorrowed(k, report) ? "borrowed" : ""))
                .toList();
        return new ReportTable(
                List.of("Motion", "Weeks", "Sessions", "Gained", "Kept", "Share kept", "95 % interval", ""), rows);
    }

    private static String interval(Retention r) {
        var lower = r.lower95();
        var upper = r.upper95();
        return lower == null || upper == null
                ? "has no end: the gain is within noise"
                : Says.interval(lower * 100, upper * 100, 0, " %");
    }
}
