package gradino.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Files as other people's programs write them: taken as they are meant, or refused with row and column. */
public class CsvDoorTest {
    private static final String HEADER =
            "measurement_id,client_id,motion,side,mode,warmth,position,instrument,tester,happened_at,recorded_at,trials_deg,"
                    + "tape_lengths_cm,tape_start_cm,tape_body_cm,end_feel,pain,control_grade,note,measured_by,bench,incline_deg,"
                    + "assessment_id\r\n";
    private TestServer server;
    private int before;

    @BeforeClass
    public void start() {
        server = TestServer.empty();
        new Scene(server).client();
    }

    @BeforeMethod
    public void count() {
        before = all();
    }

    @AfterClass(alwaysRun = true)
    public void stop() {
        server.close();
    }

    private static String row(String id, String trials, String note) {
        return id + "," + Scene.CLIENT + ",hip-internal-rotation,left,passive,cold,prone-knee-bent,goniometer,coach,"
                + "2026-01-05T08:00:00Z,," + trials + ",,,,stretch,0,," + note + ",,,,\r\n";
    }

    private TestServer.Answer upload(String text) {
        return upload(text, StandardCharsets.UTF_8);
    }

    private TestServer.Answer upload(String text, Charset charset) {
        return server.upload("theirs.csv", text.getBytes(charset));
    }

    private int stored() {
        return all() - before;
    }

    private int all() {
        return server.get("/api/clients/" + Scene.CLIENT + "/measurements")
                .body()
                .size();
    }

    @Test
    public void aByteOrderMarkAndBareLineEndsAreTaken() {
        var text = "\uFEFF" + (HEADER + row("bom", "30;31", "fine")).replace("\r\n", "\n");
        assertThat(upload(text).status()).isEqualTo(200);
        assertThat(stored()).isEqualTo(1);
    }

    @Test
    public void bytesThatAreNoUtf8AreRefusedRatherThanReplaced() {
        var answer = upload(HEADER + row("a", "30", "très raide"), StandardCharsets.ISO_8859_1);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.codes()).containsExactly("not-utf-8");
        assertThat(stored()).isZero();
    }

    /** A quote that closes too early, in the first row or a later one. */
    @Test
    public void whatIsNoCsvIsSaidSo() {
        for (var text : new String[] {"\"measurement_id\"x,client_id\r\n", HEADER + "\"a\"b,c\r\n"}) {
            var answer = upload(text);
            assertThat(answer.status()).as(answer.body().toString()).isEqualTo(422);
            assertThat(answer.codes()).containsExactly("not-csv");
        }
        assertThat(stored()).isZero();
    }

    @Test
    public void lettersOfEveryAlphabetComeBackAsTheyWere() {
        upload(HEADER + row("letters", "30", "\"très raide, ψ\r\nsecond line\""));
        assertThat(server.get("/api/clients/" + Scene.CLIENT + "/measurements")
                        .body()
                        .valueStream()
                        .filter(m -> m.path("id").asString().equals("letters"))
                        .findFirst()
                        .orElseThrow()
                        .path("note")
                        .asString())
                .isEqualTo("très raide, ψ\r\nsecond line");
    }

    @Test
    public void oneIdWithTwoContentsIsRefusedAndTwiceTheSameIsOne() {
        var answer = upload(HEADER + row("twice", "30", "") + row("twice", "45", ""));
        assertThat(answer.paths()).containsExactly("theirs.csv, row 3, measurement_id");
        assertThat(answer.codes()).containsExactly("twice");
        assertThat(stored()).isZero();
        assertThat(upload(HEADER + row("twice", "30", "") + row("twice", "30", ""))
                        .status())
                .isEqualTo(200);
        assertThat(stored()).isEqualTo(1);
    }

    @Test
    public void rowsWithoutAnIdAreStoredOnceHoweverOftenTheyAreSent() {
        for (int n = 0; n < 3; n++) {
            assertThat(upload(HEADER + row("", "30;31", "")).status()).isEqualTo(200);
        }
        assertThat(stored()).isEqualTo(1);
    }

    @Test
    public void twoFilesOfTheSameKindAreBothTaken() throws IOException {
        var bytes = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(bytes)) {
            for (var name : new String[] {"january", "february"}) {
                zip.putNextEntry(new ZipEntry(name + ".csv"));
                zip.write((HEADER + row(name, "30", "")).getBytes(StandardCharsets.UTF_8));
            }
        }
        var answer = server.upload("both.zip", bytes.toByteArray());
        assertThat(answer.body().valueStream().mapToInt(t -> t.path("added").asInt()))
                .containsExactly(1, 1);
        assertThat(stored()).isEqualTo(2);
    }

    @DataProvider
    public Object[][] broken() {
        return new Object[][] {
            {row("a", "30", "").replace(",left,", ",sideways,"), "side"},
            {row("a", "", ""), "trials_deg"},
            {row("a", "30;x", ""), "trials_deg"},
            {row("a", "400", ""), "trials_deg"},
            {row("a", "1;2;3;4;5;6;7", ""), "trials_deg"},
            {row("a", "30", "").replace("2026-01-05T08:00:00Z", "5/1/26"), "happened_at"},
            {row("a", "30", "").replace("2026-01-05T08:00:00Z", "2026-02-30T08:00:00Z"), "happened_at"},
            {row("a", "30", "").replace("stretch,0", "stretch,11"), "pain"},
            {row("a", "30", "").replace("hip-internal-rotation", "wing-flap"), "motion"},
            {row("a", "30", "").replace("prone-knee-bent", "upside-down"), "position"},
            {row("a", "30", "").replace(Scene.CLIENT, "nobody"), "client_id"},
        };
    }

    @Test(dataProvider = "broken")
    public void aWrongCellIsNamedByRowAndColumnAndNothingIsStored(String wrong, String column) {
        var answer = upload(HEADER + row("good", "30", "") + wrong);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.paths()).containsExactly("theirs.csv, row 3, " + column);
        assertThat(answer.body().at("/findings/0/message").asString())
                .startsWith("theirs.csv, row 3, column " + column + ": ")
                .endsWith(".");
        assertThat(stored()).isZero();
    }
}
