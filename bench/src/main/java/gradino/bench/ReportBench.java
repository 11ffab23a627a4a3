package gradino.bench;

import com.microsoft.playwright.Playwright;
import gradino.core.body.Catalogue;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.NoiseRules;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.measure.reading.RangeReading;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.Observer;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.House;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.EffortClass;
import gradino.core.quantity.Tenths;
import gradino.core.report.LineSession;
import gradino.core.report.Next;
import gradino.core.report.Period;
import gradino.core.report.Report;
import gradino.core.report.Report.Trained;
import gradino.core.report.Report.Troubled;
import gradino.core.report.Series;
import gradino.core.schedule.PlanAndDone;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** Half a year of one client over forty motions: worked out, drawn, on paper, and as FHIR; and a studio of two hundred. */
final class ReportBench {
    private static final int MOTIONS = 40;
    private static final int WEEKS = 26;
    private static final int SESSIONS = 150;
    private static final int BLOCKS = 16;
    private static final int RUNS = 25;
    private static final int WARM_UP = 15;
    private static final int FHIR_READINGS = 20_000;
    private static final String REPORT = "/api/clients/c/report";
    private static final String DATES = "?period=DATES&from=2015-06-01&to=2025-01-01";

    /** Waits for the last answer of the report, then for the frame that shows it; milliseconds since it was there. */
    private static final String DRAWN = """
            () => new Promise((done) => {
              const look = () => {
                const sections = document.querySelectorAll('article.report section').length;
                if (sections < 6) return requestAnimationFrame(look);
                requestAnimationFrame(() => setTimeout(() => {
                  const answers = performance.getEntriesByType('resource').filter((e) => e.name.includes('/report?'));
                  done(performance.now() - answers.at(-1).responseEnd);
                }));
              };
              look();
            })
            """;

    private static final Random RANDOM = new Random(7);

    private static final Next NEXT = new Next(List.of(), List.of(), null, null);

    private ReportBench() {}

    static List<Measured> report() throws Exception {
        var figures = new ArrayList<Measured>();
        figures.add(new Measured("report-computed", computed(), "ms", 60));
        try (var server = Running.start(Files.createTempDirectory("gradino-bench"))) {
            var visitor = server.visitor();
            visitor.signIn();
            ServerBench.upload(visitor, "clients.csv", ServerBench.clients());
            ServerBench.upload(visitor, "measurements.csv", measurements());
            ServerBench.upload(visitor, "lines.csv", ServerBench.lines());
            ServerBench.upload(visitor, "runs.csv", runs());
            ServerBench.upload(visitor, "blocks.csv", blocks());
            figures.add(new Measured("report-answered", median(visitor, REPORT), "ms", 200));
            figures.add(new Measured("overview-answered", median(visitor, "/api/clients/c/overview"), "ms", 100));
            figures.add(new Measured("report-pdf", median(visitor, "/api/clients/c/report.pdf") / 1000, "s", 1.5));
            figures.add(new Measured(
                    "report-pdf-size",
                    visitor.plain("/api/clients/c/report.pdf").body().length / 1000.0,
                    "kB",
                    600));
            figures.add(new Measured("report-drawn", drawn(server), "ms", 300));
        }
        try (var server = Running.start(Files.createTempDirectory("gradino-bench"))) {
            var visitor = server.visitor();
            visitor.signIn();
            ServerBench.upload(visitor, "clients.csv", ServerBench.clients());
            ServerBench.upload(visitor, "measurements.csv", RangeBench.measurements());
            var path = "/api/clients/c/report-fhir.json" + DATES.replace("2025-01-01", "2025-05-30");
            double seconds = median(visitor, path) / 1000;
            int readings = count(new String(visitor.plain(path).body(), StandardCharsets.UTF_8), "\"method\"");
            if (readings < FHIR_READINGS * 0.9) {
                throw new IllegalStateException("only " + readings + " readings");
            }
            figures.add(new Measured("fhir-of-%d".formatted(readings), seconds, "s", 2));
        }
        return figures;
    }

    /** Without reading it, without words and drawings. */
    private static double computed() {
        var zone = ZoneId.of("Europe/Berlin");
        var today = LocalDate.now(zone);
        var period = new Period(today.minusWeeks(WEEKS), today);
        var measured = new Report.Measured(series(), Set.of(), List.of(), Map.of("motion-1", 50.0), NoiseRules.HOUSE);
        var trained = new Trained(
                new PlanAndDone(planned(today), planned(today), today),
                d -> false,
                sessions(),
                Map.of(),
                List.of(),
                List.of());
        var times = new ArrayList<Double>();
        for (int run = 0; run < 41; run++) {
            long before = System.nanoTime();
            var report =
                    Report.of(period, zone, measured, trained, new Troubled(List.of(), List.of(), List.of()), NEXT);
            times.add((System.nanoTime() - before) / 1e6);
            if (report.better().family().tested() != MOTIONS * 2
                    || report.work().sessions() < SESSIONS / 2) {
                throw new IllegalStateException("not the report that was meant");
            }
        }
        return Bench.median(times);
    }

    private static List<Series> series() {
        var all = new ArrayList<Series>();
        for (int m = 0; m < MOTIONS; m++) {
            for (var side : Side.PAIR) {
                for (var mode : List.of(Mode.PASSIVE, Mode.ACTIVE)) {
                    var readings = new ArrayList<RangeReading>();
                    for (int week = WEEKS; week >= 0; week--) {
                        readings.add(new RangeReading(
                                now().minus(week * 7L, ChronoUnit.DAYS), 40 + 3 * RANDOM.nextGaussian(), 9));
                    }
                    all.add(new Series(
                            new SeriesKey("motion-" + m, side, mode, "prone", Instrument.GONIOMETER),
                            readings,
                            readings,
                            0));
                }
            }
        }
        return all;
    }

    private static Map<LocalDate, Set<String>> planned(LocalDate today) {
        var days = new HashMap<LocalDate, Set<String>>();
        for (int d = 1; d < WEEKS * 7; d += 2) {
            days.put(today.minusDays(d), Set.of("l"));
        }
        return days;
    }

    private static List<LineSession> sessions() {
        var dose = House.dose(30, 60, 2, 50, 10);
        var all = new ArrayList<LineSession>();
        for (int r = 0; r < SESSIONS; r++) {
            var blocks = new ArrayList<BlockRecord>();
            for (int b = 0; b < BLOCKS; b++) {
                var side = b % 2 == 0 ? Side.LEFT : Side.RIGHT;
                blocks.add(new BlockRecord(
                        new BlockId(1, side, 1 + b / 2, BlockKind.PRESS, 1, BlockId.Way.PLANNED),
                        side,
                        BlockKind.PRESS,
                        List.of(new PhaseDone(PhaseKind.STEP, 5, 4.8), new PhaseDone(PhaseKind.TOP_HOLD, 10, 9.6)),
                        null,
                        List.of(),
                        List.of(),
                        0,
                        false,
                        null,
                        "",
                        null));
            }
            var record = new SessionRecord(
                    "r" + r,
                    at(r),
                    at(r).plusSeconds(600),
                    Observer.COACH,
                    Sided.both(dose),
                    blocks,
                    Tenths.of(5),
                    null,
                    null,
                    "",
                    List.of());
            all.add(new LineSession("l", "motion-1", record, Sided.both(EffortClass.HARD)));
        }
        return all;
    }

    private static int count(String text, String part) {
        return (text.length() - text.replace(part, "").length()) / part.length();
    }

    private static double median(Visitor visitor, String path) throws IOException, InterruptedException {
        var times = new ArrayList<Double>();
        for (int run = 0; run < RUNS; run++) {
            long before = System.nanoTime();
            var answer = visitor.get(path);
            // The first ones warm the process up, as a morning's work would.
            if (run >= WARM_UP) {
                times.add((System.nanoTime() - before) / 1e6);
            }
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(path + " answered " + answer.statusCode());
            }
        }
        return Bench.median(times);
    }

    private static double drawn(Running server) {
        var times = new ArrayList<Double>();
        try (var playwright = Playwright.create();
                var browser = DrawBench.chromium(playwright)) {
            var page = DrawBench.page(browser, server);
            for (int run = 0; run < 9; run++) {
                page.navigate("http://localhost:" + server.port() + "/clients/c/report");
                times.add(((Number) page.evaluate(DRAWN)).doubleValue());
            }
        }
        return Bench.median(times);
    }

    /** Each motion, side and mode once a week. */
    private static String measurements() {
        var csv = new StringBuilder(RangeBench.HEADER);
        int n = 0;
        for (int week = WEEKS; week > 0; week--) {
            for (var motion : Catalogue.motions().subList(0, MOTIONS)) {
                for (var side : Side.of(motion)) {
                    for (var mode : List.of("passive", "active")) {
                        var at = now().minus(week * 7L - 1, ChronoUnit.DAYS);
                        csv.append(RangeBench.row(
                                n++, motion.id(), side.word(), mode, at, 40 + 3 * RANDOM.nextGaussian()));
                    }
                }
            }
        }
        return csv.toString();
    }

    private static Instant now() {
        return Instant.now().truncatedTo(ChronoUnit.HOURS);
    }

    private static Instant at(int session) {
        return now().minus(WEEKS * 7L, ChronoUnit.DAYS).plus(session * (WEEKS * 168L / SESSIONS), ChronoUnit.HOURS);
    }

    private static String runs() {
        var csv = new StringBuilder(ServerBench.RUN_HEADER);
        var session = ServerBench.cell(ServerBench.session("l"));
        for (int r = 0; r < SESSIONS; r++) {
            csv.append("r%d,c,,Hip,%s,%s,,%s,,coach,5,,,\r\n".formatted(r, session, at(r), at(r).plusSeconds(600)));
        }
        return csv.toString();
    }

    private static String blocks() {
        var csv = new StringBuilder(ServerBench.BLOCK_HEADER);
        for (int r = 0; r < SESSIONS; r++) {
            for (int b = 0; b < BLOCKS; b++) {
                var side = b % 2 == 0 ? "left" : "right";
                csv.append("b%d-%d,r%d,l1-%s-%d-press,%s,press,%s,,STEP:5:4.8;STEP:5:5;TOP_HOLD:10:9.6,5,,,0,no,,\r\n"
                        .formatted(r, b, r, side, 1 + b / 2, side, at(r)));
            }
        }
        return csv.toString();
    }

    /** Both sides of each client once a month. */
    private static String monthly() {
        var csv = new StringBuilder(RangeBench.HEADER);
        int n = 0;
        for (int client = 0; client < 200; client++) {
            for (int month = 0; month < 24; month++) {
                for (var side : Side.PAIR) {
                    var at = Instant.parse("2024-10-02T08:00:00Z").plus(month * 30L, ChronoUnit.DAYS);
                    double truth = 40 + 3 * RANDOM.nextGaussian();
                    csv.append(RangeBench.row(n++, "hip-internal-rotation", side.word(), "passive", at, truth)
                            .replaceFirst(",c,", ",c" + client + ","));
                }
            }
        }
        return csv.toString();
    }

    /** Two hundred clients over two years, three sessions a week. */
    static List<Measured> studio() throws Exception {
        var zip = new StudioBench(200, 312).archive();
        try (var server = Running.start(Files.createTempDirectory("gradino-bench"))) {
            var visitor = server.visitor();
            visitor.signIn();
            visitor.uploadFile("gradino.zip", zip);
            ServerBench.upload(visitor, "measurements.csv", monthly());
            var path = "/api/studio-report?from=2024-10-01&to=2026-10-01";
            long before = System.nanoTime();
            visitor.get(path);
            double first = (System.nanoTime() - before) / 1e9;
            return List.of(
                    new Measured("studio-report-first", first, "s", 60),
                    new Measured("studio-report", median(visitor, path) / 1000, "s", 1));
        } finally {
            Files.deleteIfExists(zip);
        }
    }
}
