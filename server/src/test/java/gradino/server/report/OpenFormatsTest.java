package gradino.server.report;

import static org.assertj.core.api.Assertions.assertThat;

import ca.uhn.fhir.context.FhirContext;
import ca.uhn.fhir.context.support.DefaultProfileValidationSupport;
import ca.uhn.fhir.validation.FhirValidator;
import ca.uhn.fhir.validation.ResultSeverityEnum;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import gradino.server.TestServer;
import gradino.server.report.format.ReportFile;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.zip.ZipInputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.hl7.fhir.common.hapi.validation.support.CommonCodeSystemsTerminologyService;
import org.hl7.fhir.common.hapi.validation.support.InMemoryTerminologyServerValidationSupport;
import org.hl7.fhir.common.hapi.validation.support.ValidationSupportChain;
import org.hl7.fhir.common.hapi.validation.validator.FhirInstanceValidator;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import org.verapdf.pdfa.results.ValidationResult;
import tools.jackson.databind.JsonNode;

/** Files of a report, each read back by somebody else's reader or validator. */
public class OpenFormatsTest {
    private static final Path SCHEMA =
            Path.of(System.getProperty("gradino.web.dir"), "..", "docs", "schema", "report-1.json");
    private static final List<String> CLIENTS =
            List.of("demo-rower", "demo-bell-ringer", "demo-waller", "demo-puppeteer");

    private TestServer server;
    private FhirValidator fhir;

    @BeforeClass
    public void start() {
        server = TestServer.demo();
        var context = FhirContext.forR4();
        var support = new ValidationSupportChain(
                new DefaultProfileValidationSupport(context),
                new InMemoryTerminologyServerValidationSupport(context),
                new CommonCodeSystemsTerminologyService(context));
        fhir = context.newValidator();
        fhir.registerValidatorModule(new FhirInstanceValidator(support));
        VeraGreenfieldFoundryProvider.initialise();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    @DataProvider
    public Object[][] clients() {
        return CLIENTS.stream().map(c -> new Object[] {c}).toArray(Object[][]::new);
    }

    private byte[] file(String client, String name) {
        return server.bytes("/api/clients/" + client + "/" + name);
    }

    private String text(String client, String name) {
        return new String(file(client, name), StandardCharsets.UTF_8);
    }

    /** Published under docs; {@code ./gradino api} writes it anew. */
    @Test
    public void thePublishedSchemaIsTheRecords() throws IOException {
        var schema = RecordSchema.of(ReportFile.class, "urn:gradino:schema:report-1", "A client's report");
        RecordSchema.checkPublished(SCHEMA, schema, () -> server.bytes("/schema/report-1.json"));
    }

    private static Schema schema() throws IOException {
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(SCHEMA), InputFormat.JSON);
    }

    @Test(dataProvider = "clients")
    public void jsonIsByItsSchema(String client) throws IOException {
        for (var query :
                List.of("", "?audience=PROFESSIONAL", "?period=BLOCK", "?period=DATES&from=2020-01-01&to=2020-02-01")) {
            var json = text(client, "report.json" + query);
            var errors = schema().validate(
                            json, InputFormat.JSON, c -> c.executionConfig(e -> e.formatAssertionsEnabled(true)));
            assertThat(errors).as(client + query).isEmpty();
        }
        assertThat(schema().validate("{\"format\":\"gradino-report-1\"}", InputFormat.JSON))
                .isNotEmpty();
    }

    @Test(dataProvider = "clients")
    public void fhirIsValidWithoutASingleError(String client) {
        for (var query : List.of("", "?audience=PROFESSIONAL", "?period=DATES&from=2020-01-01&to=2020-02-01")) {
            var result = fhir.validateWithResult(text(client, "report-fhir.json" + query));
            assertThat(result.getMessages().stream()
                            .filter(m -> m.getSeverity() == ResultSeverityEnum.ERROR
                                    || m.getSeverity() == ResultSeverityEnum.FATAL)
                            .map(m -> m.getLocationString() + ": " + m.getMessage()))
                    .as(client + query)
                    .isEmpty();
        }
    }

    @Test
    public void theValidatorSeesWhatIsWrong() {
        var wrong = text("demo-rower", "report-fhir.json").replace("\"final\"", "\"finished\"");
        assertThat(fhir.validateWithResult(wrong).isSuccessful()).isFalse();
    }

    @Test
    public void aProfessionalIsNotToldTheName() {
        assertThat(text("demo-rower", "report-fhir.json")).contains("Tamsin Hale");
        for (var file : List.of("report-fhir.json", "report.json", "report.csv")) {
            assertThat(text("demo-rower", file + "?audience=PROFESSIONAL")).doesNotContain("Tamsin");
        }
        assertThat(text("demo-rower", "report-fhir.json?audience=PROFESSIONAL&named=true"))
                .contains("Tamsin Hale");
    }

    @Test
    public void changesSayWhichReadingsTheyAreOf() {
        var bundle = TestServer.json(text("demo-rower", "report-fhir.json"));
        var urls = new TreeSet<String>();
        bundle.path("entry").forEach(e -> urls.add(e.path("fullUrl").asString()));
        var derived = new ArrayList<String>();
        bundle.path("entry")
                .forEach(e -> e.path("resource")
                        .path("derivedFrom")
                        .forEach(d -> derived.add(d.path("reference").asString())));

        assertThat(derived).isNotEmpty();
        assertThat(urls).containsAll(derived);
    }

    @DataProvider
    public Object[][] papers() {
        var all = new ArrayList<Object[]>();
        for (var client : CLIENTS) {
            for (var audience : List.of("CLIENT", "COACH", "PROFESSIONAL")) {
                all.add(new Object[] {client, "report.pdf?audience=" + audience});
            }
        }
        all.add(new Object[] {"demo-rower", "report.pdf?paper=LETTER"});
        return all.toArray(Object[][]::new);
    }

    /** ISO 14289-1, by a validator of its own. */
    @Test(dataProvider = "papers")
    public void pdfIsAccessible(String client, String name) throws Exception {
        assertAccessible(file(client, name));
    }

    @Test
    public void aHandOutIsAccessibleToo() throws Exception {
        var sessions = server.get("/api/clients/demo-rower/sessions").body();
        var id = sessions.path(0).path("id").asString();
        assertAccessible(file("demo-rower", "sessions/" + id + "/handout.pdf"));
    }

    private static void assertAccessible(byte[] pdf) throws Exception {
        var result = isAccessible(pdf);
        assertThat(result.getTestAssertions().stream()
                        .map(a -> a.getRuleId().getClause() + " " + a.getMessage() + " "
                                + a.getLocation().getContext())
                        .distinct())
                .isEmpty();
        assertThat(result.isCompliant()).isTrue();
    }

    private static ValidationResult isAccessible(byte[] pdf) throws Exception {
        var flavour = PDFAFlavour.PDFUA_1;
        try (var parser = Foundries.defaultInstance().createParser(new ByteArrayInputStream(pdf), flavour);
                var validator = Foundries.defaultInstance().createValidator(flavour, false)) {
            return validator.validate(parser);
        }
    }

    @Test
    public void theAccessibilityOfAPlainPageIsDenied() throws Exception {
        var out = new ByteArrayOutputStream();
        try (var plain = new PDDocument()) {
            plain.addPage(new PDPage());
            plain.save(out);
        }
        assertThat(isAccessible(out.toByteArray()).isCompliant()).isFalse();
    }

    /** Text of the paper is the text of the page, word for word; it has a title and numbers its pages. */
    @Test
    public void pdfSaysWhatThePageSays() throws IOException {
        var told = server.get("/api/clients/demo-rower/report").body().path("told");
        try (var pdf = Loader.loadPDF(file("demo-rower", "report.pdf"))) {
            var words = new PDFTextStripper().getText(pdf).replaceAll("\\s+", "");
            for (var section : told.path("sections")) {
                assertThat(words).contains(squeezed(section.path("heading")));
                assertThat(words).contains(squeezed(section.path("answer")));
                section.path("pieces").forEach(piece -> {
                    assertThat(words).contains(squeezed(piece.path("heading")));
                    piece.path("sentences").forEach(s -> assertThat(words).contains(squeezed(s)));
                });
            }
            assertThat(words).contains("1of" + pdf.getNumberOfPages());
            assertThat(pdf.getDocumentInformation().getTitle()).startsWith("Progress report, Tamsin Hale");
        }
    }

    private static String squeezed(JsonNode words) {
        return words.asString().replaceAll("\\s+", "");
    }

    @Test
    public void csvIsReadBackAndEachOfItsColumnsIsExplained() throws IOException {
        try (var rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .get()
                .parse(new StringReader(text("demo-rower", "report.csv")))) {
            var kinds = new TreeSet<String>();
            rows.forEach(row -> kinds.add(row.get("kind")));
            assertThat(kinds).contains("reading", "change", "session", "load-week", "estimate", "step");
            var dictionary = new String(server.bytes("/api/report-dictionary.csv"), StandardCharsets.UTF_8);
            assertThat(rows.getHeaderNames())
                    .allSatisfy(name -> assertThat(dictionary).contains("\n" + name + ","));
        }
    }

    @Test
    public void theArchiveHoldsOneClientAndNobodyElse() throws IOException {
        var names = new TreeSet<String>();
        try (var zip = new ZipInputStream(new ByteArrayInputStream(file("demo-rower", "archive.zip")))) {
            for (var entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                names.add(entry.getName());
                var content = new String(zip.readAllBytes(), StandardCharsets.UTF_8);
                assertThat(content).as(entry.getName()).isNotEmpty().doesNotContain("demo-bell-ringer");
            }
        }
        assertThat(names)
                .contains("report.pdf", "report.json", "report-fhir.json", "calendar.ics", "data/measurements.csv")
                .contains("data/blocks.csv", "data/decisions.csv", "data/lines.csv");
    }

    @Test
    public void aStudiosOwnCodesAreUsedAndWrongOnesAreTold() throws IOException {
        var own = server.data().resolve("fhir-codes.csv");
        Files.writeString(
                own, "what,system,code,display,unit\r\nhip-internal-rotation-passive,urn:studio,X1,Inward,deg\r\n");
        try {
            assertThat(text("demo-rower", "report-fhir.json")).contains("\"urn:studio\"");
            Files.writeString(own, "what,system,code,display,unit\r\npain,urn:studio,X1,Pain,degr\r\n");
            var refused = server.get("/api/clients/demo-rower/report-fhir.json");
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.body().toString()).contains("line 2", "degr");
        } finally {
            Files.delete(own);
        }
    }
}
