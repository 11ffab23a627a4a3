package gradino.bench;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.regex.Pattern;
import java.util.zip.GZIPOutputStream;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** The built application as a process of its own, with the flags that `run` uses. */
final class ServerBench {
    static final Path ROOT = Path.of(System.getProperty("gradino.root", "."));
    private static final Random RANDOM = new Random();
    private static final int ROWS = 50_000;
    private static final int BLOCKS_A_SESSION = 16;

    private ServerBench() {}

    /** What one sign-in costs: slow on purpose, against guessing. */
    static List<Measured> signIn() {
        var encoder = new BCryptPasswordEncoder(12);
        var hash = encoder.encode("a few plain words");
        var times = new ArrayList<Double>();
        for (int n = 0; n < 9; n++) {
            long before = System.nanoTime();
            encoder.matches("guess " + RANDOM.nextInt(), hash);
            times.add((System.nanoTime() - before) / 1e6);
        }
        return List.of(Measured.atLeast("sign-in", Bench.median(times), "ms", 100));
    }

    static List<Measured> start() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        Running.start(data).close();
        var starts = new ArrayList<Double>();
        var views = new ArrayList<Double>();
        for (int run = 0; run < 5; run++) {
            try (var server = Running.start(data)) {
                starts.add(server.secondsToAnswer());
                server.visitor().signIn();
                long before = System.nanoTime();
                firstView(server.visitor());
                views.add((System.nanoTime() - before) / 1e9);
            }
        }
        return List.of(
                new Measured("start", Bench.median(starts), "s", 7),
                new Measured("first-view", Bench.median(views), "s", 1.5));
    }

    /** What a browser asks for before Today stands: the page, its scripts and styles, the day. */
    private static long firstView(Visitor visitor) throws IOException, InterruptedException {
        long bytes = 0;
        var page = new String(visitor.get("/").body(), StandardCharsets.UTF_8);
        for (var asset : assets(page)) {
            bytes += visitor.get(asset).body().length;
        }
        visitor.get("/api/sign-in");
        visitor.get("/api/today");
        return bytes;
    }

    private static List<String> assets(String page) {
        return Pattern.compile("(?:src|href)=\"(/assets/[^\"]+)\"")
                .matcher(page)
                .results()
                .map(m -> m.group(1))
                .toList();
    }

    /** Scripts of the first view, with all they import at once, gzipped. */
    static List<Measured> bundle() throws IOException {
        var dist = ROOT.resolve("web/dist");
        var waiting = new ArrayList<>(assets(Files.readString(dist.resolve("index.html"))));
        var seen = new HashSet<String>();
        double bytes = 0;
        while (!waiting.isEmpty()) {
            var asset = waiting.remove(0);
            if (asset.endsWith(".js") && seen.add(asset)) {
                var script = Files.readString(dist.resolve(asset.substring(1)));
                bytes += gzipped(script);
                Pattern.compile("(?:from|import)\\s*[\"']\\./([^\"']+\\.js)[\"']")
                        .matcher(script)
                        .results()
                        .forEach(m -> waiting.add("/assets/" + m.group(1)));
            }
        }
        return List.of(
                new Measured("script-first-view", bytes / 1000, "kB", 130),
                new Measured("phone-bundle", phone(dist) / 1000, "kB", 150));
    }

    /** Pages, scripts and styles that the service worker keeps on a phone at home, gzipped. */
    private static double phone(Path dist) throws IOException {
        var worker = Files.readString(dist.resolve("sw.js"));
        var kept = Pattern.compile("\"home\":true,[^}]*\"url\":\"([^\"]+\\.(?:js|css|html))\"")
                .matcher(worker)
                .results()
                .map(m -> m.group(1))
                .toList();
        double bytes = 0;
        for (var file : kept) {
            bytes += gzipped(Files.readString(dist.resolve(file)));
        }
        return bytes;
    }

    private static int gzipped(String text) throws IOException {
        var out = new ByteArrayOutputStream();
        try (var gzip = new GZIPOutputStream(out)) {
            gzip.write(text.getBytes(StandardCharsets.UTF_8));
        }
        return out.size();
    }

    /** The range map's answer for one client with forty motions and 20,000 measurements. */
    static List<Measured> ranges() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        try (var server = Running.start(data)) {
            server.visitor().signIn();
            upload(server.visitor(), "clients.csv", clients());
            upload(server.visitor(), "measurements.csv", RangeBench.measurements());
            var times = new ArrayList<Double>();
            for (int run = 0; run < 30; run++) {
                long before = System.nanoTime();
                server.visitor().get("/api/clients/c/ranges");
                // The first ones warm the process up, as a morning's work would.
                if (run >= 9) {
                    times.add((System.nanoTime() - before) / 1e6);
                }
            }
            return List.of(new Measured("range-map-answer", Bench.median(times), "ms", 100));
        }
    }

    static List<Measured> imports() throws Exception {
        var data = Files.createTempDirectory("gradino-bench");
        try (var server = Running.start(data)) {
            server.visitor().signIn();
            upload(server.visitor(), "clients.csv", clients());
            upload(server.visitor(), "lines.csv", lines());
            upload(server.visitor(), "runs.csv", runs());
            var blocks = blocks();
            long before = System.nanoTime();
            upload(server.visitor(), "blocks.csv", blocks);
            return List.of(new Measured("import", (System.nanoTime() - before) / 1e9, "s", 10));
        }
    }

    private static final Instant START = Instant.parse("2025-01-01T08:00:00Z");
    private static final String BLOCKS = """
            [{"form":"GRADED_SET","numbers":{},"words":{},"steps":[{"effort":20,"seconds":5},{"effort":40,"seconds":5}],"blocks":[]}]\
            """;
    private static final String LINE = """
            {"id":"l","motion":"hip-internal-rotation","position":"prone-knee-bent","method":"ramp-both-ways",\
            "sides":"ONE_AFTER_OTHER","firstSide":"LEFT","angles":{"left":30,"right":30},"left":%1$s,"right":%1$s,\
            "setUpSeconds":20,"sideChangeSeconds":20,"sessionsPerWeek":3,"unequalReason":""}\
            """.formatted(BLOCKS);
    private static final String SESSION = """
            {"warmUp":[],"stations":[{"lines":[%s],"rounds":1,"restSeconds":0,"oneSetUp":false}]}\
            """.formatted(LINE);

    static final String RUN_HEADER = "run_id,client_id,session_id,name,session_json,started_at,recorded_at,ended_at,"
            + "close_recorded_at,observer,rating,stop_sign,stop_side,note\r\n";
    static final String BLOCK_HEADER = "record_id,run_id,block,side,kind,happened_at,recorded_at,phases,effort_rating,"
            + "faults,pains,cramps,effort_missed,skipped,note\r\n";

    /** A session of one line under another id. */
    static String session(String line) {
        return SESSION.replace("\"id\":\"l\"", "\"id\":\"" + line + "\"");
    }

    static String cell(String text) {
        return '"' + text.replace("\"", "\"\"") + '"';
    }

    static String clients() {
        return "client_id,name,birth_date,sex,goal,goal_degrees,history,minutes,days,equipment,stature_cm,mass_kg,shank_cm,leg_cm,"
                + "thigh_cm,hip_centres_cm,toe_to_ankle_cm,beighton,block_step_cm,recorded_at,archived_at\r\n"
                + "c,Invented Person,,,,,,,,,,,,,,,,,1,2024-12-01T00:00:00Z,\r\n";
    }

    static String lines() {
        var dose = cell("angle=30.0;blocks=" + BLOCKS);
        return "line_id,client_id,motion,position,line_happened_at,line_recorded_at,follows,ended_at,happened_at,recorded_at,"
                + "method,sides,first_side,set_up_s,side_change_s,sessions_per_week,unequal_reason,instrument,left_dose,right_dose\r\n"
                + "l,c,hip-internal-rotation,prone-knee-bent,2024-12-01T00:00:00Z,2024-12-01T00:00:00Z,,,2024-12-01T00:00:00Z,"
                + "2024-12-01T00:00:00Z,ramp-both-ways,one-after-other,left,20,20,3,,," + dose + "," + dose + "\r\n";
    }

    private static String runs() {
        var csv = new StringBuilder(RUN_HEADER);
        for (int n = 0; n <= ROWS / BLOCKS_A_SESSION; n++) {
            var at = START.plusSeconds(n * 7_200L);
            csv.append("s%d,c,,Hip,%s,%s,,%s,,coach,5,,,\r\n".formatted(n, cell(SESSION), at, at.plusSeconds(600)));
        }
        return csv.toString();
    }

    private static String blocks() {
        var csv = new StringBuilder(BLOCK_HEADER);
        for (int n = 0; n < ROWS; n++) {
            var side = n % 2 == 0 ? "left" : "right";
            int session = n / BLOCKS_A_SESSION;
            csv.append("b%d,s%d,l1-%s-%d-press,%s,press,%s,,STEP:5:%.2f;STEP:5:5;TOP_HOLD:10:%.2f,5,,,0,no,,\r\n"
                    .formatted(
                            n,
                            session,
                            side,
                            1 + n % BLOCKS_A_SESSION,
                            side,
                            START.plusSeconds(session * 7_200L),
                            5 - RANDOM.nextDouble(),
                            10 - RANDOM.nextDouble()));
        }
        return csv.toString();
    }

    static void upload(Visitor visitor, String name, String csv) throws IOException, InterruptedException {
        var boundary = "----gradino";
        var body = "--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"%s\"\r\n\r\n%s\r\n--%s--\r\n"
                .formatted(boundary, name, csv, boundary);
        visitor.post("/api/exchange/import", "multipart/form-data; boundary=" + boundary, body);
    }
}
