package gradino.server.report.told;

import gradino.core.measure.noise.Mode;
import gradino.core.report.Better;
import gradino.core.report.Better.Family;
import gradino.core.report.Difference;
import gradino.core.report.GoalReach;
import gradino.core.report.Judged;
import gradino.core.report.Missing;
import gradino.core.report.MotionChange;
import gradino.core.report.MovementChange;
import gradino.core.report.Pair;
import gradino.server.report.read.ReportReader.Read;
import gradino.server.report.told.Told.ReportPart;
import gradino.server.report.told.Told.ReportPiece;
import gradino.server.report.told.Told.ReportSection;
import gradino.server.report.told.Told.ReportTable;
import gradino.server.report.told.Told.ToMeasure;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Is it better? */
final class BetterWords {
    private static final String NOTHING_TWICE =
            "Nothing was measured twice in this period, so this report cannot say whether it is better.";

    private final Audience audience;
    private final ZoneId zone;

    BetterWords(Audience audience, ZoneId zone) {
        this.audience = audience;
        this.zone = zone;
    }

    ReportSection of(Read read) {
        var better = read.report().better();
        var order = new BetterOrder(read.report());
        var charts = new BetterCharts(read, zone);
        var pieces = new ArrayList<ReportPiece>();
        var first = order.first();
        var maps = charts.map(audience.plain() && !first.isEmpty() ? first : order.all(), audience.plain());
        maps.forEach(map -> pieces.add(
                ReportPiece.of(map.equals(maps.get(0)) ? "Before and now" : "Before and now, more", List.of(), map)));
        first.forEach(motion -> pieces.add(piece(motion, charts)));
        rest(order.rest()).ifPresent(pieces::add);
        if (!audience.plain()) {
            charts.small(order.rest()).forEach(row -> pieces.add(ReportPiece.of("", List.of(), row)));
        }
        if (!better.movements().isEmpty()) {
            pieces.add(movements(better));
        }
        return new ReportSection(
                ReportPart.BETTER,
                "Is it better?",
                audience.plain() ? plain(better.family()) : answer(better.family()),
                pieces);
    }

    /** Ranges that nobody works on and that did not change, together. */
    private Optional<ReportPiece> rest(List<MotionChange> rest) {
        if (audience.plain()) {
            var same = BetterOrder.bySide(
                    rest.stream().filter(m -> m.tested() != null).toList());
            return same.isEmpty()
                    ? Optional.empty()
                    : Optional.of(
                            ReportPiece.of("About the same", List.of(Says.capital(String.join(", ", same)) + ".")));
        }
        var rows = new ArrayList<List<String>>();
        rest.forEach(m -> {
            inShort(m, "passive", m.passive(), rows);
            inShort(m, "active", m.active(), rows);
        });
        var missing = rest.stream().flatMap(m -> missing(m, true).stream()).toList();
        if (rows.isEmpty() && missing.isEmpty()) {
            return Optional.empty();
        }
        var table = rows.isEmpty()
                ? null
                : new ReportTable(List.of("Motion", "Range", "Before", "Now", "Change", "95 % interval", "p"), rows);
        return Optional.of(
                new ReportPiece("Within measurement noise, and not trained", List.of(), table, List.of(), missing));
    }

    private void inShort(MotionChange m, String range, @Nullable Pair pair, List<List<String>> rows) {
        if (pair != null) {
            var row = row(
                    range, Says.fine(pair.from().degrees()), Says.fine(pair.to().degrees()), pair.change(), "");
            rows.add(List.of(Says.side(m.of()), range, row.get(1), row.get(2), row.get(3), row.get(4), row.get(7)));
        }
    }

    private static String plain(Family family) {
        if (family.tested() == 0) {
            return NOTHING_TWICE;
        }
        if (family.changed() == 0) {
            return "So far nothing has changed by more than measuring can explain.";
        }
        long chance = Math.round(family.byChance());
        return "%s of the %s that were measured twice changed by more than measuring can explain.%s"
                .formatted(
                        Says.capital(words(family.changed())),
                        Says.count(family.tested(), "range"),
                        chance == 0
                                ? ""
                                : " Among so many, about %s would seem to by chance.".formatted(words((int) chance)));
    }

    private static String words(int n) {
        var small = List.of("none", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine");
        return n < small.size() ? small.get(n) : String.valueOf(n);
    }

    private static String answer(Family family) {
        if (family.tested() == 0) {
            return NOTHING_TWICE;
        }
        return ("%d of %s changed beyond measurement noise; about %s would seem to by chance alone. With all looked at"
                        + " together %s (Benjamini and Hochberg 1995, 5 %%).")
                .formatted(
                        family.changed(),
                        family.tested() == 1 ? "1 motion and side" : family.tested() + " motions and sides",
                        Says.number(family.byChance(), 1),
                        family.hold() == 1 ? "1 holds" : family.hold() + " hold");
    }

    private ReportPiece piece(MotionChange motion, BetterCharts charts) {
        var sentences = new ArrayList<String>();
        if (audience.plain()) {
            plain(motion, sentences);
        } else {
            if (motion.holds()) {
                sentences.add("Still counts as changed with all motions looked at together.");
            }
            goal(motion, sentences);
        }
        return new ReportPiece(
                heading(motion),
                sentences,
                audience.plain() ? null : table(motion),
                charts.of(motion).map(List::of).orElse(List.of()),
                audience.plain() ? List.of() : missing(motion, false));
    }

    private String heading(MotionChange motion) {
        var of = motion.of();
        return audience.plain()
                ? Says.side(of)
                : "%s · %s, %s"
                        .formatted(Says.side(of), Says.position(of.position()), Says.instrument(of.instrument()));
    }

    /** Three numbers at most. */
    private static void plain(MotionChange motion, List<String> sentences) {
        var pair = motion.tested() == Mode.PASSIVE ? motion.passive() : motion.active();
        if (pair == null) {
            return;
        }
        var change = pair.change();
        var from = Says.degrees(pair.from().degrees());
        var to = Says.degrees(pair.to().degrees());
        if (change.judged() == Judged.WITHIN_NOISE) {
            sentences.add("About the same; a change of %s or more would show."
                    .formatted(Says.degrees(Math.ceil(change.bound()))));
        } else {
            sentences.add("From %s to %s: %s than before, by more than measuring can explain."
                    .formatted(from, to, Says.word(change.judged())));
        }
        var goal = motion.goal();
        if (goal != null) {
            sentences.add(
                    switch (goal.reached()) {
                        case YES -> "Your goal is reached.";
                        case NOT_TOLD_APART -> "You are at your goal, as far as measuring can tell.";
                        case NO -> "Your goal is %s away.".formatted(Says.degrees(goal.shortOf()));
                    });
        }
    }

    private static void goal(MotionChange motion, List<String> sentences) {
        GoalReach goal = motion.goal();
        var now = motion.now();
        if (goal == null || now == null) {
            return;
        }
        var band = "now %s (95 %% band %s)"
                .formatted(Says.fine(now.degrees()), Says.interval(now.lower(), now.upper(), 1, "°"));
        sentences.add(
                switch (goal.reached()) {
                    case YES -> "Goal %s: reached, %s.".formatted(Says.degrees(goal.needed()), band);
                    case NOT_TOLD_APART -> "Goal %s: within the band, %s.".formatted(Says.degrees(goal.needed()), band);
                    case NO ->
                        "Goal %s: %s to go, %s."
                                .formatted(Says.degrees(goal.needed()), Says.fine(goal.shortOf()), band);
                });
    }

    private @Nullable ReportTable table(MotionChange motion) {
        var rows = new ArrayList<List<String>>();
        row("Passive", motion.passive(), rows);
        row("Active", motion.active(), rows);
        row("Hands-off", motion.handsOff(), rows);
        var gap = motion.gap();
        if (gap != null) {
            rows.add(row("Control gap", Says.fine(gap.from()), Says.fine(gap.to()), gap.change(), ""));
        }
        var head = List.of("Range", "Before", "Now", "Change", "95 % interval", "In words", "Trials", "p");
        return rows.isEmpty() ? null : new ReportTable(head, rows);
    }

    private void row(String name, @Nullable Pair pair, List<List<String>> rows) {
        if (pair != null) {
            rows.add(row(
                    name,
                    "%s, %s"
                            .formatted(
                                    Says.fine(pair.from().degrees()),
                                    Says.day(pair.from().at(), zone)),
                    "%s, %s"
                            .formatted(
                                    Says.fine(pair.to().degrees()),
                                    Says.day(pair.to().at(), zone)),
                    pair.change(),
                    "%d, %d".formatted(pair.from().trials(), pair.to().trials())));
        }
    }

    private static List<String> row(String name, String before, String now, Difference change, String trials) {
        return List.of(
                name,
                before,
                now,
                (change.degrees() > 0 ? "+" : "") + Says.fine(change.degrees()),
                Says.interval(change.lower(), change.upper(), 1, "°"),
                Says.judged(change.judged()),
                trials,
                change.p() < 0.001 ? "< 0.001" : Says.number(change.p(), 3));
    }

    private static List<ToMeasure> missing(MotionChange motion, boolean named) {
        return motion.missing().stream()
                .map(m -> new ToMeasure(
                        (named ? Says.side(motion.of()) + ". " : "") + words(m),
                        motion.of().motion(),
                        motion.of().side(),
                        m.mode(),
                        motion.of().position(),
                        motion.of().instrument()))
                .toList();
    }

    private static String words(Missing missing) {
        var range = Says.capital(Says.word(missing.mode())).replace("Hands off", "Hands-off") + " range: ";
        return range
                + switch (missing.why()) {
                    case NEVER_MEASURED -> "not measured in this period.";
                    case ONE_DAY -> "measured on one day only.";
                    case OTHER_INSTRUMENT -> "the other reading is by another instrument, so the two are not compared.";
                    case OTHER_POSITION -> "the other reading is in another position, so the two are not compared.";
                };
    }

    private ReportPiece movements(Better better) {
        if (audience.plain()) {
            return ReportPiece.of(
                    "Movements",
                    better.movements().stream().flatMap(m -> plain(m).stream()).toList());
        }
        var rows = better.movements().stream().map(this::row).toList();
        return ReportPiece.of(
                "Movements, cold with cold",
                new ReportTable(List.of("Movement", "Before", "Now", "Change", "In words"), rows));
    }

    private static Optional<String> plain(MovementChange m) {
        var from = m.from();
        var to = m.to();
        var judged = m.judged();
        if (from == null || to == null || judged == null) {
            return Optional.empty();
        }
        var words = switch (judged) {
            case MORE -> "better";
            case LESS -> "not as good";
            case WITHIN_NOISE -> "about the same";
        };
        return Optional.of("%s: %s then, %s now: %s."
                .formatted(Says.capital(m.name()), amount(m, from.value()), amount(m, to.value()), words));
    }

    private static String amount(MovementChange m, double value) {
        return Says.number(value, value == Math.rint(value) ? 0 : 1)
                + (m.unit() == MovementChange.Unit.CENTIMETRE ? " cm" : " of 10");
    }

    private List<String> row(MovementChange m) {
        var from = m.from();
        var to = m.to();
        var judged = m.judged();
        if (from == null || to == null || judged == null) {
            return List.of(
                    Says.capital(m.name()),
                    from == null ? "not tested" : amount(m, from.value()),
                    "not tested again",
                    "",
                    "");
        }
        var noise = m.bound() == null ? " (noise of grades is not known)" : "";
        var words = switch (judged) {
            case MORE -> "better";
            case LESS -> "worse";
            case WITHIN_NOISE -> m.bound() == null ? "the same" : "within measurement noise";
        };
        return List.of(
                Says.capital(m.name()),
                "%s, %s".formatted(amount(m, from.value()), Says.day(from.at(), zone)),
                "%s, %s".formatted(amount(m, to.value()), Says.day(to.at(), zone)),
                Says.number(to.value() - from.value(), 1),
                words + noise);
    }
}
