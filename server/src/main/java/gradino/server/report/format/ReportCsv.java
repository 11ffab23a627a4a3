package gradino.server.report.format;

import gradino.core.measure.noise.Mode;
import gradino.core.report.Difference;
import gradino.core.report.MotionSide;
import gradino.core.report.MovementChange;
import gradino.core.report.Pair;
import gradino.core.report.Report;
import gradino.server.measure.Measurement;
import gradino.server.report.read.ReportReader.Read;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;

/** A report as CSV (RFC 4180) in long form: a row a reading, change, session and so on. Units are UCUM. */
public final class ReportCsv {
    /** Each column with what it holds. */
    enum Column {
        KIND(
                "what the row is: reading, change, gap-change, estimate, movement, retention, session, load-week, tension, step, pain, stop-sign, restriction"),
        ID("id of the reading or session; empty otherwise"),
        FROM("day or moment that it begins with, ISO 8601"),
        TO("day or moment that it ends with, ISO 8601"),
        MOTION("id of the motion"),
        SIDE("left, right or midline"),
        MODE("passive, active or hands-off"),
        WARMTH("cold or warm"),
        POSITION("id of the position"),
        INSTRUMENT("goniometer, inclinometer, tape or typed"),
        TESTER("coach, assistant or client"),
        N("trials of a reading, sessions of a retention or a week"),
        VALUE("the number"),
        UNIT("its unit, UCUM"),
        LOWER("lower bound of the 95 % interval"),
        UPPER("upper bound of the 95 % interval"),
        P("two-sided p of a change; empty otherwise"),
        WORDS("what it comes to, or what was said");

        private final String meaning;

        Column(String meaning) {
            this.meaning = meaning;
        }

        String title() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    private static final String DEGREES = "deg";

    private final CSVPrinter out;
    private final ZoneId zone;

    private ReportCsv(CSVPrinter out, ZoneId zone) {
        this.out = out;
        this.zone = zone;
    }

    public static void write(Read read, ZoneId zone, Appendable to) throws IOException {
        var printer = new CSVPrinter(to, CSVFormat.RFC4180);
        printer.printRecord(Arrays.stream(Column.values()).map(Column::title));
        try {
            new ReportCsv(printer, zone).all(read);
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        printer.flush();
    }

    /** What each column holds. */
    public static void dictionary(Appendable to) throws IOException {
        var printer = new CSVPrinter(to, CSVFormat.RFC4180);
        printer.printRecord("column", "meaning");
        for (var column : Column.values()) {
            printer.printRecord(column.title(), column.meaning);
        }
        printer.flush();
    }

    /** A row that is being filled. */
    private final class Row {
        private final EnumMap<Column, Object> cells = new EnumMap<>(Column.class);

        Row(String kind) {
            set(Column.KIND, kind);
        }

        Row set(Column column, @Nullable Object value) {
            if (value != null) {
                cells.put(column, value instanceof Enum<?> word ? word(word) : value);
            }
            return this;
        }

        Row of(MotionSide of) {
            return set(Column.MOTION, of.motion())
                    .set(Column.SIDE, of.side())
                    .set(Column.POSITION, of.position())
                    .set(Column.INSTRUMENT, of.instrument());
        }

        Row is(double value, String unit) {
            return set(Column.VALUE, rounded(value)).set(Column.UNIT, unit);
        }

        Row within(double lower, double upper) {
            return set(Column.LOWER, rounded(lower)).set(Column.UPPER, rounded(upper));
        }

        Row on(Instant from, Instant to) {
            return set(Column.FROM, from).set(Column.TO, to);
        }

        Row on(LocalDate from, LocalDate to) {
            return set(Column.FROM, from).set(Column.TO, to);
        }

        void print() {
            try {
                out.printRecord(Arrays.stream(Column.values()).map(c -> cells.getOrDefault(c, "")));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static double rounded(double value) {
        return Math.round(value * 10_000) / 10_000.0;
    }

    private void all(Read read) {
        var report = read.report();
        read.measurements().stream()
                .filter(m -> report.period().contains(m.happenedAt(), zone))
                .forEach(this::reading);
        better(report);
        work(read);
        report.stayed().kept().forEach(k -> {
            var lower = k.retention().lower95();
            var upper = k.retention().upper95();
            var row = new Row("retention")
                    .of(k.of())
                    .on(k.weeks().from(), k.weeks().to())
                    .set(Column.N, k.retention().sessions())
                    .is(k.retention().ratio(), "1")
                    .set(Column.WORDS, k.retention().borrowed() ? "borrowed" : "");
            (lower == null || upper == null ? row : row.within(lower, upper)).print();
        });
        hard(report);
    }

    private void reading(Measurement m) {
        new Row("reading")
                .set(Column.ID, m.id())
                .on(m.happenedAt(), m.happenedAt())
                .set(Column.MOTION, m.motion())
                .set(Column.SIDE, m.side())
                .set(Column.MODE, m.mode())
                .set(Column.WARMTH, m.warmth())
                .set(Column.POSITION, m.position())
                .set(Column.INSTRUMENT, m.instrument())
                .set(Column.TESTER, m.tester())
                .set(Column.N, m.trials().angles().size())
                .is(m.trials().median().value(), DEGREES)
                .set(Column.WORDS, m.note())
                .print();
    }

    private void better(Report report) {
        for (var m : report.better().motions()) {
            change(m.of(), Mode.PASSIVE, m.passive());
            change(m.of(), Mode.ACTIVE, m.active());
            change(m.of(), Mode.HANDS_OFF, m.handsOff());
            var gap = m.gap();
            if (gap != null) {
                difference(new Row("gap-change").of(m.of()), gap.change()).print();
            }
            var now = m.now();
            if (now != null) {
                new Row("estimate")
                        .of(m.of())
                        .on(report.period().to(), report.period().to())
                        .set(Column.MODE, now.mode())
                        .is(now.degrees(), DEGREES)
                        .within(now.lower(), now.upper())
                        .print();
            }
        }
        report.better().movements().forEach(this::movement);
    }

    private void change(MotionSide of, Mode mode, @Nullable Pair pair) {
        if (pair != null) {
            difference(
                            new Row("change")
                                    .of(of)
                                    .on(pair.from().at(), pair.to().at())
                                    .set(Column.MODE, mode)
                                    .set(Column.WARMTH, "cold"),
                            pair.change())
                    .print();
        }
    }

    private Row difference(Row row, Difference change) {
        return row.is(change.degrees(), DEGREES)
                .within(change.lower(), change.upper())
                .set(Column.P, change.p())
                .set(Column.WORDS, change.judged());
    }

    private void movement(MovementChange m) {
        for (var tested : Arrays.asList(m.from(), m.to())) {
            if (tested != null) {
                new Row("movement")
                        .on(tested.at(), tested.at())
                        .set(Column.WARMTH, "cold")
                        .is(tested.value(), m.unit() == MovementChange.Unit.CENTIMETRE ? "cm" : "{score}")
                        .set(Column.WORDS, m.name())
                        .print();
            }
        }
    }

    private void work(Read read) {
        var report = read.report();
        read.sessions().stream()
                .filter(s -> report.period().contains(s.record().endedAt(), zone))
                .forEach(s -> new Row("session")
                        .set(Column.ID, s.record().id())
                        .on(s.record().startedAt(), s.record().endedAt())
                        .set(Column.MOTION, s.motion())
                        .is(
                                s.record().blocks().stream()
                                        .flatMap(b -> b.phases().stream())
                                        .mapToDouble(p -> p.doneSeconds())
                                        .sum(),
                                "s")
                        .set(Column.WORDS, s.record().note())
                        .print());
        report.work()
                .weeks()
                .forEach(w -> new Row("load-week")
                        .on(w.monday(), w.monday().plusDays(6))
                        .set(Column.N, w.sessions())
                        .is(w.points(), "{score}.min")
                        .print());
        report.work()
                .tension()
                .forEach(t -> new Row("tension")
                        .on(report.period().from(), report.period().to())
                        .set(Column.MOTION, t.motion())
                        .set(Column.SIDE, t.side())
                        .is(t.seconds(), "s")
                        .set(Column.WORDS, t.direction())
                        .print());
        report.climb()
                .forEach(line -> line.steps()
                        .forEach(step -> new Row("step")
                                .on(step.at(), step.at())
                                .set(Column.MOTION, line.motion())
                                .set(Column.SIDE, line.side())
                                .is(step.level(), "1")
                                .set(Column.WORDS, step.turned())
                                .print()));
    }

    private void hard(Report report) {
        report.hard()
                .pains()
                .forEach(p -> new Row("pain")
                        .set(Column.ID, p.session())
                        .on(p.at(), p.at())
                        .set(Column.MOTION, p.motion())
                        .set(Column.SIDE, p.side())
                        .is(p.score().value(), "{score}")
                        .set(Column.WORDS, p.kind())
                        .print());
        report.hard()
                .stops()
                .forEach(s -> new Row("stop-sign")
                        .on(s.at(), s.at())
                        .set(Column.SIDE, s.side())
                        .set(Column.WORDS, s.sign())
                        .print());
        report.hard()
                .restrictions()
                .forEach(r -> new Row("restriction")
                        .set(Column.FROM, r.since())
                        .set(Column.TO, r.until())
                        .set(Column.VALUE, r.limit())
                        .set(Column.WORDS, r.reason())
                        .print());
    }
}
