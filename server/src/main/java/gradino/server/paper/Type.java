package gradino.server.paper;

import java.awt.Color;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;

/** Letters of one embedded font: measured, wrapped and written. */
final class Type {
    private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

    private final PDFont font;

    Type(PDDocument document) throws IOException {
        try (var in = Type.class.getResourceAsStream(FONT)) {
            if (in == null) {
                throw new IllegalStateException("no font to embed");
            }
            font = PDType0Font.load(document, in);
        }
    }

    float width(String words, float size) throws IOException {
        return font.getStringWidth(printable(words)) / 1000 * size;
    }

    void write(PDPageContentStream page, String line, float x, float at, float size, boolean bold) throws IOException {
        write(page, line, x, at, size, bold, Color.BLACK);
    }

    /** Bold by a fine outline: one font is enough. */
    void write(PDPageContentStream page, String line, float x, float at, float size, boolean bold, Color ink)
            throws IOException {
        page.beginText();
        page.setFont(font, size);
        page.setNonStrokingColor(ink);
        page.setStrokingColor(ink);
        page.setLineWidth(bold ? size / 40 : 0);
        page.setRenderingMode(bold ? RenderingMode.FILL_STROKE : RenderingMode.FILL);
        page.newLineAtOffset(x, at);
        page.showText(printable(line));
        page.endText();
    }

    List<String> wrapped(String words, float size, float width) throws IOException {
        var lines = new ArrayList<String>();
        for (var paragraph : words.split("\n", -1)) {
            wrap(printable(paragraph), size, width, lines);
        }
        return lines;
    }

    private void wrap(String words, float size, float width, List<String> lines) throws IOException {
        var line = new StringBuilder();
        for (var word : words.split(" ")) {
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
}
