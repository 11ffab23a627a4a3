package gradino.server.paper;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.text.PDFTextStripper;
import org.testng.annotations.Test;

/** Pages of a PDF: what belongs together stays together, what is too long goes on. */
public class PaperTest {
    private interface Content {
        void on(Paper paper) throws IOException;
    }

    private static PDDocument printed(Paper.Size size, Content content) throws IOException {
        try (var paper = new Paper("A title", size)) {
            content.on(paper);
            return Loader.loadPDF(paper.bytes());
        }
    }

    private static String text(PDDocument pdf, int page) throws IOException {
        var stripper = new PDFTextStripper();
        stripper.setStartPage(page);
        stripper.setEndPage(page);
        return stripper.getText(pdf);
    }

    @Test
    public void whatBelongsTogetherGoesToTheNextPageTogether() throws IOException {
        try (var pdf = printed(Paper.Size.A4, paper -> {
            for (int i = 0; i < 9; i++) {
                paper.together(
                        List.of(
                                paper.heading(2, "Head " + i, 20),
                                paper.picture(100, 120, "a square", (p, x, y) -> {})),
                        10);
            }
        })) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(3);
            assertThat(text(pdf, 1)).contains("Head 3", "1 of 3").doesNotContain("Head 4");
            assertThat(text(pdf, 2)).contains("Head 4", "Head 7", "2 of 3");
        }
    }

    @Test
    public void aTableLongerThanAPageGoesOnRowByRow() throws IOException {
        var rows = new ArrayList<List<String>>();
        for (int i = 0; i < 200; i++) {
            rows.add(List.of("Row " + i, "a few words that take their room", "1.5 to 3.2°"));
        }
        try (var pdf = printed(
                Paper.Size.LETTER,
                paper -> paper.together(
                        List.of(paper.heading(2, "Long", 14), paper.table(List.of("Name", "What", "How far"), rows, 9)),
                        0))) {
            assertThat(pdf.getNumberOfPages()).isGreaterThan(3);
            var all = new StringBuilder();
            for (int page = 1; page <= pdf.getNumberOfPages(); page++) {
                all.append(text(pdf, page));
            }
            for (int i = 0; i < 200; i++) {
                assertThat(all).contains("Row " + i);
            }
            assertThat(pdf.getPage(0).getMediaBox().getWidth()).isEqualTo(PDRectangle.LETTER.getWidth());
        }
    }

    @Test
    public void wideCellsAreWrappedAndNothingIsLost() throws IOException {
        var wide = "word ".repeat(60).strip();
        try (var pdf = printed(
                Paper.Size.A4,
                paper -> paper.together(
                        List.of(paper.table(List.of("a", "b", "c"), List.of(List.of(wide, wide, "end")), 9)), 0))) {
            assertThat(text(pdf, 1).split("word", -1)).hasSize(121);
            assertThat(text(pdf, 1)).contains("end");
        }
    }

    @Test
    public void aSignThatTheFontLacksIsAQuestionMarkAndNoError() throws IOException {
        try (var pdf = printed(
                Paper.Size.A4,
                paper -> paper.together(List.of(paper.text("Ärgernis, 23° − 5 \uD83E\uDD38\nnext line", 11)), 0))) {
            assertThat(text(pdf, 1)).contains("Ärgernis, 23° − 5 ?", "next line");
        }
    }

    @Test
    public void saysItsTitleItsLanguageAndWhatEachMarkIs() throws IOException {
        try (var pdf = printed(
                Paper.Size.A4, paper -> paper.together(List.of(paper.heading(1, "Head", 20), paper.text("x", 9)), 0))) {
            var catalog = pdf.getDocumentCatalog();
            assertThat(pdf.getDocumentInformation().getTitle()).isEqualTo("A title");
            assertThat(catalog.getLanguage()).isEqualTo("en");
            assertThat(catalog.getMarkInfo().isMarked()).isTrue();
            assertThat(catalog.getStructureTreeRoot().getKids()).hasSize(1);
            assertThat(new String(catalog.getMetadata().toByteArray(), java.nio.charset.StandardCharsets.UTF_8))
                    .contains("<pdfuaid:part>1</pdfuaid:part>", "A title");
        }
    }
}
