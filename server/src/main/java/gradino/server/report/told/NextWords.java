package gradino.server.report.told;

import gradino.core.because.Verdict;
import gradino.core.measure.limit.Limiter;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.report.Next;
import gradino.core.report.Next.Limits;
import gradino.core.report.Next.Proposes;
import gradino.core.report.Report;
import gradino.server.report.told.Told.ReportPart;
import gradino.server.report.told.Told.ReportPiece;
import gradino.server.report.told.Told.ReportSection;
import gradino.server.report.told.Told.ReportTable;
import java.util.ArrayList;
import java.util.List;

/** What next? */
final class NextWords {
    private final Audience audience;

    NextWords(Audience audience) {
        this.audience = audience;
    }

    ReportSection of(Report report, NoiseRules noise) {
        var next = report.next();
        var pieces = new ArrayList<ReportPiece>();
        var limits = next.limits().stream()
                .filter(l -> l.limiter() != Limiter.UNKNOWN && l.limiter() != Limiter.NEITHER)
                .toList();
        int free = (int) next.limits().stream()
                .filter(l -> l.limiter() == Limiter.NEITHER)
                .count();
        if (!limits.isEmpty()) {
            pieces.add(
                    audience.plain()
                            ? ReportPiece.of("", plain(limits))
                            : ReportPiece.of("What limits now", limits(limits)));
        }
        if (!audience.plain() && free > 0) {
            pieces.add(
                    ReportPiece.of("", List.of("Nothing limits %s: maintain.".formatted(Says.count(free, "range")))));
        }
        if (!audience.plain() && !next.proposals().isEmpty()) {
            pieces.add(ReportPiece.of("What is proposed", proposals(next.proposals())));
        }
        if (audience == Audience.PROFESSIONAL) {
            pieces.add(ReportPiece.of("How this was worked out", workedOut(report, noise)));
        }
        return new ReportSection(ReportPart.NEXT, "What next?", answer(next), pieces);
    }

    private static List<String> workedOut(Report report, NoiseRules noise) {
        var sentences = new ArrayList<String>();
        sentences.add(
                "Cold readings only. Standard error of a day's reading: %s by a coach or assistant, %s by the client, or what the tester's own repeatability study gave."
                        .formatted(Says.fine(noise.semCoachDegrees()), Says.fine(noise.semSelfDegrees())));
        report.sources().forEach(source -> sentences.add(Says.capital(source.text()) + "."));
        return sentences;
    }

    private static String answer(Next next) {
        var weeks = next.weeks();
        var retest = next.retest();
        var block = weeks == null
                ? "No weeks are planned."
                : "The planned weeks run from %s to %s.".formatted(Says.day(weeks.from()), Says.day(weeks.to()));
        var again = retest == null
                ? " No re-test is planned."
                : " Everything is measured again in the week of %s.".formatted(Says.day(retest));
        return block + again;
    }

    private static List<String> plain(List<Limits> limits) {
        return limits.stream()
                .map(l -> "%s: %s.".formatted(Says.side(l.of()), plain(l.limiter())))
                .distinct()
                .toList();
    }

    private static String plain(Limiter limiter) {
        return switch (limiter) {
            case RANGE -> "what is next is more range";
            case CONTROL -> "you can be moved further than you move yourself, so what is next is strength there";
            case BOTH -> "what is next is strength in the range you have, then more range";
            case STRUCTURE -> "no further this way for now; your coach decides what comes next";
            case NEITHER, UNKNOWN -> "maintain";
        };
    }

    private static ReportTable limits(List<Limits> limits) {
        return new ReportTable(
                List.of("Motion", "Position", "What limits it"),
                limits.stream()
                        .map(l -> List.of(Says.side(l.of()), Says.position(l.of().position()), words(l.limiter())))
                        .toList());
    }

    private static String words(Limiter limiter) {
        return switch (limiter) {
            case RANGE -> "range";
            case CONTROL -> "control";
            case BOTH -> "range and control, control first";
            case NEITHER -> "nothing: maintain";
            case STRUCTURE -> "a hard block or a pinch at the end: the angle is not pushed";
            case UNKNOWN -> "not known";
        };
    }

    private static ReportTable proposals(List<Proposes> proposals) {
        return new ReportTable(
                List.of("Line", "Proposed", "Why"),
                proposals.stream()
                        .map(p -> List.of(
                                Says.side(p.motion(), p.side()),
                                verdict(p.verdict()),
                                p.why().text()))
                        .toList());
    }

    private static String verdict(Verdict verdict) {
        return Says.word(verdict);
    }
}
