package gradino.server.report.told;

import gradino.core.body.Side;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.report.AttendanceDays;
import gradino.core.report.Judged;
import gradino.core.report.Report;
import gradino.core.report.Work;
import gradino.core.report.Work.Direction;
import gradino.core.report.Work.Tension;
import gradino.server.report.draw.WorkCharts;
import gradino.server.report.draw.WorkCharts.Sides;
import gradino.server.report.told.Told.ReportPart;
import gradino.server.report.told.Told.ReportPiece;
import gradino.server.report.told.Told.ReportSection;
import gradino.server.report.told.Told.ReportTable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/** What was done? */
final class WorkWords {
    private final Audience audience;

    WorkWords(Audience audience) {
        this.audience = audience;
    }

    ReportSection of(Report report) {
        var work = report.work();
        var pieces = new ArrayList<ReportPiece>();
        if (!work.attendance().days().isEmpty()) {
            pieces.add(ReportPiece.of(
                    "Planned and done",
                    List.of(),
                    WorkCharts.strip(work.attendance().days(), report.period())));
        }
        if (work.sessions() > 0) {
            load(work, pieces);
            balance(work, pieces);
            if (!audience.plain()) {
                pieces.add(ReportPiece.of("Effort", efforts(work)));
            }
        }
        return new ReportSection(ReportPart.DONE, "What was done?", answer(work), pieces);
    }

    private String answer(Work work) {
        if (work.sessions() == 0) {
            return "No session was recorded in this period."
                    + (work.attendance().planned() == 0
                            ? ""
                            : " %s had been planned."
                                    .formatted(Says.count(work.attendance().planned(), "day")));
        }
        var who = audience.plain() ? "You did" : "Done:";
        return "%s %s, %s. %s"
                .formatted(
                        who,
                        Says.count(work.sessions(), "session"),
                        Says.count((int) Math.round(work.minutes()), "minute"),
                        planned(work.attendance()));
    }

    static String planned(AttendanceDays days) {
        return days.planned() == 0
                ? "No week was planned."
                : "Of %s %s done%s%s%s."
                        .formatted(
                                Says.count(days.planned(), "planned day"),
                                days.done() == 1 ? "1 was" : days.done() + " were",
                                more(days.partly(), "done in part"),
                                more(days.moved(), "moved to another day of the week"),
                                more(days.missed(), "missed"));
    }

    private static String more(int n, String how) {
        return n == 0 ? "" : ", " + n + " " + how;
    }

    private void load(Work work, List<ReportPiece> pieces) {
        var sentences = new ArrayList<String>();
        var trend = work.trend();
        if (audience.plain()) {
            if (trend != null && trend.judged() != Judged.WITHIN_NOISE) {
                sentences.add(
                        trend.judged() == Judged.MORE
                                ? "It became more week by week."
                                : "It became less week by week.");
            }
        } else {
            sentences.add(
                    trend == null
                            ? "Fewer than four whole weeks: no trend is told."
                            : "Trend over whole weeks: %s points a week (95 %% interval %s), %s."
                                    .formatted(
                                            Says.number(trend.perWeek(), 1),
                                            Says.interval(trend.lower(), trend.upper(), 1, ""),
                                            trend.judged() == Judged.WITHIN_NOISE
                                                    ? "not told from level"
                                                    : trend.judged() == Judged.MORE ? "rising" : "falling"));
            if (work.unrated() > 0) {
                sentences.add("%s without a rating, which %s for nothing here."
                        .formatted(Says.count(work.unrated(), "session"), work.unrated() == 1 ? "counts" : "count"));
            }
        }
        pieces.add(ReportPiece.of("Load of each week: rating × minutes", sentences, WorkCharts.load(work.weeks())));
    }

    private void balance(Work work, List<ReportPiece> pieces) {
        var motions = work.tension().stream()
                .filter(t -> t.side().isPaired())
                .map(Tension::motion)
                .distinct()
                .map(motion -> new Sides(
                        Says.motion(motion),
                        seconds(work, motion, Side.LEFT, false),
                        seconds(work, motion, Side.LEFT, true),
                        seconds(work, motion, Side.RIGHT, false),
                        seconds(work, motion, Side.RIGHT, true)))
                .toList();
        WorkCharts.balance(motions).forEach(chart -> pieces.add(ReportPiece.of("Left and right", List.of(), chart)));
        if (!audience.plain() && !work.tension().isEmpty()) {
            var rows = work.tension().stream()
                    .map(t -> List.of(Says.side(t.motion(), t.side()), Says.word(t.direction()), time(t.seconds())))
                    .toList();
            pieces.add(ReportPiece.of(
                    "Time under tension", new ReportTable(List.of("Motion", "Direction", "Time"), rows)));
        }
    }

    private static double seconds(Work work, String motion, Side side, boolean pull) {
        return work.tension().stream()
                .filter(t -> t.motion().equals(motion) && t.side() == side)
                .filter(t -> pull == (t.direction() == Direction.PULL))
                .mapToDouble(Tension::seconds)
                .sum();
    }

    private static String time(double seconds) {
        long whole = Math.round(seconds);
        return whole < 60 ? whole + " s" : "%d min %02d s".formatted(whole / 60, whole % 60);
    }

    private static List<String> efforts(Work work) {
        var sentences = new ArrayList<String>();
        sentences.add("Sides trained: "
                + Arrays.stream(EffortClass.values())
                        .filter(work.classes()::containsKey)
                        .map(c -> Says.word(c) + " " + work.classes().get(c))
                        .collect(Collectors.joining(", "))
                + ".");
        var heard = work.efforts();
        if (heard.blocks() == 0) {
            sentences.add("No gauge was used, so how true the efforts were is not told.");
        } else {
            var within = heard.within();
            var peak = heard.peak();
            sentences.add("A gauge heard %s%s%s."
                    .formatted(
                            Says.count(heard.blocks(), "block"),
                            within == null
                                    ? ""
                                    : ": within 10 points of the target for %s of the time in the median"
                                            .formatted(Says.percent(within)),
                            peak == null
                                    ? ""
                                    : "; weakest best second near maximum %s %%".formatted(Says.number(peak, 0))));
        }
        return sentences;
    }
}
