package gradino.server.report.format;

import gradino.core.body.Catalogue;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.Warmth;
import gradino.core.measure.reading.RangeReading;
import gradino.core.report.Hard.PainFelt;
import gradino.core.report.MotionChange;
import gradino.core.report.Pair;
import gradino.core.report.Report;
import gradino.server.measure.Measurement;
import gradino.server.report.read.ReportReader.Read;
import gradino.server.report.told.Says;
import java.io.OutputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/**
 * A report as a FHIR R4 Bundle of kind collection: readings as Observations, changes derived from them, one panel over all, sessions as
 * Procedures. Written as it goes, however many readings there are.
 */
public final class ReportFhir {
    private static final String CATEGORY = "http://terminology.hl7.org/CodeSystem/observation-category";
    private static final String LOCAL = "urn:gradino:code";
    private static final String DEGREES = "deg";

    private final Read read;
    private final Report report;
    private final ZoneId zone;
    private final Codes codes;
    private final FhirJson json;
    private final String patient;
    private final Map<String, String> ofReading = new HashMap<>();
    private final List<String> members = new ArrayList<>();

    private ReportFhir(Read read, ZoneId zone, Codes codes, FhirJson json) {
        this.read = read;
        this.report = read.report();
        this.zone = zone;
        this.codes = codes;
        this.json = json;
        this.patient = "patient " + read.client().id();
    }

    /**
     * @param beside directory with a studio's own codes
     * @param name of the client; null where it is not told
     */
    public static Writer of(Read read, ZoneId zone, Path beside, JsonMapper mapper, @Nullable String name) {
        var codes = Codes.read(beside);
        return (out, now) -> {
            try (var json = new FhirJson(mapper, out)) {
                new ReportFhir(read, zone, codes, json).bundle(now, name);
            }
        };
    }

    /** Codes were read, so that what is wrong with them is told before the first byte. */
    public interface Writer {
        void write(OutputStream out, Instant now);
    }

    private void bundle(Instant now, @Nullable String name) {
        json.object(() -> {
            json.put("resourceType", "Bundle");
            json.put("type", "collection");
            json.put("timestamp", now);
            json.list("entry", () -> {
                patient(name);
                read.measurements().stream()
                        .filter(m -> report.period().contains(m.happenedAt(), zone))
                        .forEach(this::reading);
                report.better().motions().forEach(this::changes);
                report.hard().pains().forEach(this::pain);
                sessions();
                if (!members.isEmpty()) {
                    panel(now);
                }
            });
        });
    }

    private void patient(@Nullable String name) {
        json.entry(patient, "Patient", () -> {
            if (name != null) {
                json.list("name", () -> json.object(() -> json.put("text", name)));
            }
        });
    }

    private static String word(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private void observation(String of, String code, String words, Runnable more) {
        json.entry(of, "Observation", () -> {
            json.put("status", "final");
            json.list(
                    "category",
                    () -> json.object(() -> json.list("coding", () -> json.coding(CATEGORY, "exam", "Exam"))));
            json.object(
                    "code",
                    () -> json.concept(words, () -> {
                        codes.of(code).ifPresent(c -> json.coding(c.system(), c.code(), c.display()));
                        json.coding(LOCAL, code, words);
                    }));
            json.reference("subject", patient);
            more.run();
        });
        members.add(of);
    }

    private void reading(Measurement m) {
        var of = "reading " + m.id();
        ofReading.put(key(m.series().toString(), m.happenedAt()), of);
        var words = "%s, %s range".formatted(Says.motion(m.motion()), word(m.mode()));
        observation(of, m.motion() + "-" + word(m.mode()), words, () -> {
            json.put("effectiveDateTime", m.happenedAt());
            json.quantity("valueQuantity", m.trials().median().value(), DEGREES);
            json.note(note(m));
            json.object("bodySite", () -> json.put("text", Says.side(m.motion(), m.side())));
            json.object(
                    "method",
                    () -> json.put(
                            "text", "%s, %s, %s".formatted(word(m.warmth()), m.position(), word(m.instrument()))));
            table(m);
        });
    }

    private static String key(String series, Instant at) {
        return series + " " + at;
    }

    private static String note(Measurement m) {
        return "Median of %d, by %s with %s.%s"
                .formatted(
                        m.trials().angles().size(),
                        word(m.tester()),
                        word(m.instrument()),
                        m.note().isBlank() ? "" : " " + m.note());
    }

    /** The table that the range is held against, where one was taken in this position. */
    private void table(Measurement m) {
        if (m.warmth() != Warmth.COLD) {
            return;
        }
        var person = read.client().person(report.period().to());
        Catalogue.usual(m.motion(), m.mode().tableMode(), m.position(), person)
                .ifPresent(norm -> json.list(
                        "referenceRange",
                        () -> json.object(() -> {
                            json.quantity("low", norm.lowerEdge(), DEGREES);
                            json.quantity("high", norm.upperEdge(), DEGREES);
                            json.put(
                                    "text",
                                    norm.population() + ": " + norm.source().text());
                        })));
    }

    private void changes(MotionChange m) {
        change(m, Mode.PASSIVE, m.passive());
        change(m, Mode.ACTIVE, m.active());
        change(m, Mode.HANDS_OFF, m.handsOff());
    }

    private void change(MotionChange m, Mode mode, @Nullable Pair pair) {
        if (pair == null) {
            return;
        }
        var series = m.of().series(mode).toString();
        var words = "%s, change of %s range".formatted(Says.motion(m.of().motion()), word(mode));
        observation("change " + series, m.of().motion() + "-" + word(mode) + "-change", words, () -> {
            json.object("effectivePeriod", () -> {
                json.put("start", pair.from().at());
                json.put("end", pair.to().at());
            });
            json.quantity("valueQuantity", pair.change().degrees(), DEGREES);
            json.list(
                    "interpretation",
                    () -> json.object(() -> json.put("text", word(pair.change().judged()))));
            json.object("bodySite", () -> json.put("text", Says.side(m.of().motion(), m.of().side())));
            derived(series, pair);
            json.list("component", () -> {
                bound("lower bound of the 95 % interval", pair.change().lower());
                bound("upper bound of the 95 % interval", pair.change().upper());
            });
        });
    }

    /** A reading of before the period is not in the bundle. */
    private void derived(String series, Pair pair) {
        var known = List.of(pair.from(), pair.to()).stream()
                .map(RangeReading::at)
                .map(at -> ofReading.get(key(series, at)))
                .filter(java.util.Objects::nonNull)
                .toList();
        if (!known.isEmpty()) {
            json.list("derivedFrom", () -> known.forEach(json::referred));
        }
    }

    private void bound(String words, double degrees) {
        json.object(() -> {
            json.object("code", () -> json.put("text", words));
            json.quantity("valueQuantity", degrees, DEGREES);
        });
    }

    private void pain(PainFelt p) {
        var of = "pain %s %s %s".formatted(p.session(), p.motion(), p.side());
        observation(of, "pain", "Pain, 0 to 10", () -> {
            json.put("effectiveDateTime", p.at());
            json.quantity("valueQuantity", p.score().value(), "{score}");
            json.object("bodySite", () -> json.put("text", Says.side(p.motion(), p.side())));
        });
    }

    private void sessions() {
        var all = new LinkedHashMap<String, List<String>>();
        var first = new HashMap<String, gradino.core.perform.SessionRecord>();
        read.sessions().stream()
                .filter(s -> report.period().contains(s.record().endedAt(), zone))
                .forEach(s -> {
                    first.putIfAbsent(s.record().id(), s.record());
                    all.computeIfAbsent(s.record().id(), id -> new ArrayList<>())
                            .add(Says.motion(s.motion()));
                });
        all.forEach((id, motions) -> {
            var record = java.util.Objects.requireNonNull(first.get(id));
            json.entry("session " + id, "Procedure", () -> {
                json.put("status", "completed");
                json.object("code", () -> json.put("text", "Mobility session: " + String.join(", ", motions)));
                json.reference("subject", patient);
                json.object("performedPeriod", () -> {
                    json.put("start", record.startedAt());
                    json.put("end", record.endedAt());
                });
                json.note(record.note());
            });
        });
    }

    private void panel(Instant now) {
        var of = List.copyOf(members);
        observation("panel " + read.client().id(), "report", "Range of motion, report", () -> {
            json.object("effectivePeriod", () -> {
                json.put("start", report.period().from().toString());
                json.put("end", report.period().to().toString());
            });
            json.put("issued", now);
            json.list("hasMember", () -> of.forEach(json::referred));
        });
    }
}
