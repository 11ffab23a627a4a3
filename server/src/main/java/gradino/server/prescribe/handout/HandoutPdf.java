package gradino.server.prescribe.handout;

import gradino.core.body.Figure;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;

/** Sets text and figures on A4 pages, top to bottom. What belongs together is never split over two pages. */
final class HandoutPdf implements AutoCloseable {
    private static final float MARGIN = 48;
    private static final float WIDTH = PDRectangle.A4.getWidth() - 2 * MARGIN;
    private static final float LEADING = 1.35f;
    private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

    private final PDDocument document = new PDDocument();
    private final PDFont font;
    private PDPageContentStream page;
    private float y;

    HandoutPdf(String title) throws IOException {
        try (var in = HandoutPdf.class.getResourceAsStream(FONT)) {
            if (in == null) {
                throw new IllegalStateException("no font to embed");
            }
            font = PDType0Font.load(document, in);
        }
        document.getDocumentInformation().setTitle(title);
        page = newPage();
    }

    /** Something that knows its height before it is drawn. */
    interface Part {
        float height() throws IOException;

        void draw(float x, float top) throws IOException;
    }

    private PDPageContentStream newPage() throws IOException {
        var sheet = new PDPage(PDRectangle.A4);
        document.addPage(sheet);
        y = PDRectangle.A4.getHeight() - MARGIN;
        return new PDPageContentStream(document, sheet);
    }

    /** Keeps the parts on one page, one under the other. */
    void together(List<Part> parts, float gapAfter) throws IOException {
        float height = 0;
        for (var part : parts) {
            height += part.height();
        }
        boolean isFresh = y >= PDRectangle.A4.getHeight() - MARGIN - 1;
        if (y - height < MARGIN && !isFresh) {
            page.close();
            page = newPage();
        }
        for (var part : parts) {
            part.draw(MARGIN, y);
            y -= part.height();
        }
        y -= gapAfter;
    }

    Part text(String words, float size, boolean bold) throws IOException {
        var lines = wrapped(words, size, WIDTH);
        return new Part() {
            @Override
            public float height() {
                return lines.size() * size * LEADING;
            }

            @Override
            public void draw(float x, float top) throws IOException {
                float at = top - size;
                for (var line : lines) {
                    write(line, x, at, size, bold);
                    at -= size * LEADING;
                }
            }
        };
    }

    /** Figures side by side with a caption under each. */
    Part figures(List<Figure> figures, List<String> captions) {
        float each = 130;
        float drawn = 95;
        return new Part() {
            @Override
            public float height() {
                return figures.isEmpty() ? 0 : drawn + 22;
            }

            @Override
            public void draw(float x, float top) throws IOException {
                for (int i = 0; i < figures.size(); i++) {
                    HandoutFigure.draw(page, figures.get(i), x + i * (each + 20), top - drawn, each, drawn);
                    write(captions.get(i), x + i * (each + 20), top - drawn - 12, 10, false);
                }
            }
        };
    }

    private void write(String line, float x, float at, float size, boolean bold) throws IOException {
        page.beginText();
        page.setFont(font, size);
        page.setNonStrokingColor(Color.BLACK);
        page.setStrokingColor(Color.BLACK);
        page.setLineWidth(bold ? size / 40 : 0);
        page.setRenderingMode(bold ? RenderingMode.FILL_STROKE : RenderingMode.FILL);
        page.newLineAtOffset(x, at);
        page.showText(line);
        page.endText();
    }

    private List<String> wrapped(String words, float size, float width) throws IOException {
        var lines = new ArrayList<String>();
        var line = new StringBuilder();
        for (var word : printable(words).split(" ")) {
            var longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && font.getStringWidth(longer) / 1000 * size > width) {
                lines.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        lines.add(line.toString());
        return lines;
    }

    /** A sign that the font lacks becomes a question mark instead of an error. */
    private String printable(String words) {
        var text = new StringBuilder();
        words.codePoints().forEach(c -> text.appendCodePoint(Character.isISOControl(c) ? ' ' : has(c) ? c : '?'));
        return text.toString();
    }

    private boolean has(int codePoint) {
        try {
            font.encode(new String(Character.toChars(codePoint)));
            return true;
        } catch (IllegalArgumentException e) {
            return false;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    byte[] bytes() throws IOException {
        page.close();
        var out = new ByteArrayOutputStream();
        document.save(out);
        return out.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
