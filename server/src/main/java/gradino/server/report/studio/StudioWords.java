package gradino.server.report.studio;

import gradino.core.advance.look.Flight.Turned;
import gradino.core.prescribe.method.Method;
import gradino.core.report.studio.LikeWithLike;
import gradino.core.report.studio.Mean;
import gradino.core.report.studio.Share;
import gradino.core.report.studio.StudioGroup;
import gradino.core.report.studio.StudioReport;
import gradino.server.report.told.Says;
import gradino.server.report.told.Told;
import gradino.server.report.told.Told.ReportPart;
import gradino.server.report.told.Told.ReportPiece;
import gradino.server.report.told.Told.ReportSection;
import gradino.server.report.told.Told.ReportTable;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;

/** Puts what a studio's work came to into words. */
final class StudioWords {
    private static final String FOOTER =
            "Who gets which method is a coach's choice and no draw of lots, so nothing here shows what caused a change.";
    private static final String SMALL = "fewer than " + Mean.LEAST + " people";

    private final Map<String, String> ownMethods;

    /** @param ownMethods names of the studio's own methods, by id */
    StudioWords(Map<String, String> ownMethods) {
        this.ownMethods = ownMethods;
    }

    Told tell(StudioReport report) {
        var days = Says.day(report.period().from()) + " to "
                + Says.day(report.period().to());
        var sections = report.clients() == 0
                ? List.of(new ReportSection(
                        ReportPart.DONE, "What was done?", "Nobody was trained in this period.", List.of()))
                : List.of(done(report), better(report), climbed(report), hard(report), methods(report));
        return new Told(
                "What the work came to",
                "%s · %s".formatted(days, Says.count(report.clients(), "client")),
                "",
                sections,
                FOOTER);
    }

    private String method(String id) {
        return Method.byId(id).map(Method::name).orElse(ownMethods.getOrDefault(id, "a method of the studio"));
    }

    private interface Row {
        List<String> of(StudioGroup group);
    }

    /** The same columns by motion and by method. */
    private List<ReportPiece> both(StudioReport report, List<String> head, Row row) {
        return List.of(
                piece("By motion", "Motion", report.motions(), Says::motion, head, row),
                piece("By method", "Method", report.methods(), this::method, head, row));
    }

    private static ReportPiece piece(
            String heading,
            String what,
            List<StudioGroup> groups,
            Function<String, String> name,
            List<String> head,
            Row row) {
        var rows = groups.stream()
                .map(g -> Stream.concat(
                                Stream.of(Says.capital(name.apply(g.key())), String.valueOf(g.clients())),
                                row.of(g).stream())
                        .toList())
                .toList();
        var all = Stream.concat(Stream.of(what, "People"), head.stream()).toList();
        return ReportPiece.of(heading, new ReportTable(all, rows));
    }

    private ReportSection done(StudioReport report) {
        var all = report.all();
        return new ReportSection(
                ReportPart.DONE,
                "What was done?",
                "%s of %s on %s of lines."
                        .formatted(
                                Says.count(all.sessions(), "session"),
                                Says.count(all.clients(), "client"),
                                Says.count(all.sides(), "side")),
                both(
                        report,
                        List.of("Sides", "Sessions"),
                        g -> List.of(String.valueOf(g.sides()), String.valueOf(g.sessions()))));
    }

    private ReportSection better(StudioReport report) {
        var all = report.all();
        return new ReportSection(
                ReportPart.BETTER,
                "What changed?",
                all.real().of() == 0
                        ? "Nothing was measured twice."
                        : "Of %s measured twice %s more, beyond measurement noise, %s less. One in twenty would seem to change by noise alone."
                                .formatted(Says.count(all.real().of(), "side"), share(all.real()), share(all.lost())),
                both(
                        report,
                        List.of("More, beyond noise", "Less", "Mean change a person", "Kept of what sessions gained"),
                        g -> List.of(
                                share(g.real()),
                                share(g.lost()),
                                mean(g.change(), 1, "°", 1),
                                mean(g.kept(), 0, " %", 100))));
    }

    private ReportSection climbed(StudioReport report) {
        var all = report.all();
        return new ReportSection(
                ReportPart.CLIMBED,
                "How did it climb?",
                "%s up, %d down; %s by the coach's own judgement."
                        .formatted(Says.count(all.up(), "step"), all.down(), Says.count(overrides(all), "decision")),
                both(
                        report,
                        List.of("Steps up", "Steps down", "Decided otherwise", "How these turned out"),
                        g -> List.of(
                                String.valueOf(g.up()),
                                String.valueOf(g.down()),
                                String.valueOf(overrides(g)),
                                turned(g))));
    }

    private static int overrides(StudioGroup group) {
        return group.overrides().values().stream().mapToInt(n -> n).sum();
    }

    private static String turned(StudioGroup group) {
        var words = new ArrayList<String>();
        for (var turned : Turned.values()) {
            int n = group.overrides().getOrDefault(turned, 0);
            if (n > 0) {
                words.add(n + " " + Says.turned(turned));
            }
        }
        return String.join(", ", words);
    }

    private ReportSection hard(StudioReport report) {
        var all = report.all();
        return new ReportSection(
                ReportPart.HARD,
                "What was hard?",
                "Pain in %s of the sessions; %s.".formatted(share(all.painful()), Says.count(all.stops(), "stop sign")),
                both(
                        report,
                        List.of("Sessions with pain", "Stop signs"),
                        g -> List.of(share(g.painful()), String.valueOf(g.stops()))));
    }

    private ReportSection methods(StudioReport report) {
        var rows = report.alike().stream().map(this::row).toList();
        return new ReportSection(
                ReportPart.METHODS,
                "Does this method work here?",
                rows.isEmpty()
                        ? "No two methods were used for the same motion in the same position, so none are held against each other."
                        : "Held against each other only where motion, position and instrument are the same and each person followed one of the two alone. This is no trial.",
                rows.isEmpty()
                        ? List.of()
                        : List.of(ReportPiece.of(
                                "Change of range, like with like",
                                new ReportTable(
                                        List.of("Motion", "One method", "Another", "People", "Means", "One − another"),
                                        rows))));
    }

    private List<String> row(LikeWithLike like) {
        var between = like.difference();
        return List.of(
                "%s, %s".formatted(Says.capital(Says.motion(like.motion())), Says.word(like.instrument())),
                method(like.first()),
                method(like.second()),
                "%d, %d".formatted(like.firstChange().n(), like.secondChange().n()),
                "%s; %s".formatted(mean(like.firstChange(), 1, "°", 1), mean(like.secondChange(), 1, "°", 1)),
                between == null
                        ? "not compared: " + SMALL
                        : "%s (%s), %s"
                                .formatted(
                                        Says.fine(between.degrees()),
                                        Says.interval(between.lower(), between.upper(), 1, "°"),
                                        between.judged() == gradino.core.report.Judged.WITHIN_NOISE
                                                ? "not told apart"
                                                : Says.word(between.judged())));
    }

    private static String share(Share share) {
        return share.of() == 0
                ? "–"
                : "%d of %d (%s)"
                        .formatted(
                                share.count(),
                                share.of(),
                                Says.interval(share.lower() * 100, share.upper() * 100, 0, " %"));
    }

    private static String mean(Mean mean, int decimals, String unit, double scale) {
        var value = mean.value();
        var lower = mean.lower();
        var upper = mean.upper();
        if (value == null || lower == null || upper == null) {
            return mean.n() == 0 ? "–" : SMALL;
        }
        return "%s%s (%s)"
                .formatted(
                        Says.number(value * scale, decimals),
                        unit,
                        Says.interval(lower * scale, upper * scale, decimals, unit));
    }
}
