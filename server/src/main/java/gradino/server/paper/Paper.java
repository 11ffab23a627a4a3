package gradino.server.paper;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDPageContentStream.AppendMode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.StandardStructureTypes;

/**
 * Sets text, tables and pictures on pages, top to bottom, each tagged as what it is (PDF/UA-1). What belongs together is never split
 * over two pages, unless it is longer than one.
 */
public final class Paper implements AutoCloseable {
    private static final float MARGIN = 48;
    private static final float LEADING = 1.35f;
    private static final float FOOTER = 8;

    /** Sheets that offices have. */
    public enum Size {
        A4,
        LETTER;

        private PDRectangle sheet() {
            return this == A4 ? PDRectangle.A4 : PDRectangle.LETTER;
        }
    }

    private final PDDocument document = new PDDocument();
    private final PDRectangle sheet;
    private final float width;
    private final Type type;
    private final Tags tags;
    private PDPageContentStream page;
    private float y;

    public Paper(String title, Size size) throws IOException {
        sheet = size.sheet();
        width = sheet.getWidth() - 2 * MARGIN;
        type = new Type(document);
        tags = new Tags(document, title);
        page = newPage();
    }

    public float width() {
        return width;
    }

    /** Something that knows its height before it is drawn. */
    public interface Part {
        float height();

        void draw(float x, float top) throws IOException;

        /** Smaller ones in their order, for what is longer than a page. */
        default List<Part> split() {
            return List.of(this);
        }
    }

    /** Draws within a box whose lower left corner is given. */
    public interface Painter {
        void paint(PDPageContentStream page, float left, float bottom) throws IOException;
    }

    private PDPageContentStream newPage() throws IOException {
        var next = new PDPage(sheet);
        document.addPage(next);
        tags.begin(next);
        y = sheet.getHeight() - MARGIN;
        return new PDPageContentStream(document, next);
    }

    /** Keeps the parts on one page, one under the other. */
    public void together(List<Part> parts, float gapAfter) throws IOException {
        float height = 0;
        for (var part : parts) {
            height += part.height();
        }
        if (height > sheet.getHeight() - 2 * MARGIN) {
            for (var part : parts) {
                for (var piece : part.split()) {
                    place(List.of(piece), piece.height());
                }
            }
        } else {
            place(parts, height);
        }
        y -= gapAfter;
    }

    private void place(List<Part> parts, float height) throws IOException {
        boolean fresh = y >= sheet.getHeight() - MARGIN - 1;
        if (y - height < MARGIN && !fresh) {
            page.close();
            page = newPage();
        }
        for (var part : parts) {
            part.draw(MARGIN, y);
            y -= part.height();
        }
    }

    /** @param level 1 to 6 */
    public Part heading(int level, String words, float size) throws IOException {
        return heading(level, words, size, width);
    }

    /** @param room in which it is wrapped */
    public Part heading(int level, String words, float size, float room) throws IOException {
        return set(words, size, true, "H" + level, room);
    }

    public Part text(String words, float size) throws IOException {
        return text(words, size, width);
    }

    /** @param room in which it is wrapped */
    public Part text(String words, float size, float room) throws IOException {
        return set(words, size, false, StandardStructureTypes.P, room);
    }

    /** Parts one under the other, and one to the right of them. */
    public Part beside(List<Part> left, Part right, float rightWidth) {
        float tall = (float) left.stream().mapToDouble(Part::height).sum();
        return new Part() {
            @Override
            public float height() {
                return Math.max(tall, right.height());
            }

            @Override
            public void draw(float x, float top) throws IOException {
                float at = top;
                for (var part : left) {
                    part.draw(x, at);
                    at -= part.height();
                }
                right.draw(x + width - rightWidth, top);
            }
        };
    }

    /** A line that weighs more than the text around it. */
    public Part strong(String words, float size) throws IOException {
        return set(words, size, true, StandardStructureTypes.P, width);
    }

    private Part set(String words, float size, boolean bold, String tag, float room) throws IOException {
        var lines = type.wrapped(words, size, room);
        return new Part() {
            @Override
            public float height() {
                return lines.size() * size * LEADING;
            }

            @Override
            public void draw(float x, float top) throws IOException {
                tags.mark(page, tags.element(tag), () -> lines(lines, x, top, size, bold));
            }
        };
    }

    private void lines(List<String> lines, float x, float top, float size, boolean bold) throws IOException {
        float at = top - size;
        for (var line : lines) {
            type.write(page, line, x, at, size, bold);
            at -= size * LEADING;
        }
    }

    /** @param alt what it shows, for whoever does not see it */
    public Part picture(float pictureWidth, float pictureHeight, String alt, Painter painter) {
        return new Part() {
            @Override
            public float height() {
                return pictureHeight + 4;
            }

            @Override
            public void draw(float x, float top) throws IOException {
                var box = new PDRectangle(x, top - pictureHeight, pictureWidth, pictureHeight);
                tags.mark(page, tags.figure(alt, box), () -> painter.paint(page, x, top - pictureHeight));
            }
        };
    }

    /** Writes within a picture. */
    public void write(String words, float x, float baseline, float size, float anchor, Color ink) throws IOException {
        type.write(page, words, x - anchor * type.width(words, size), baseline, size, false, ink);
    }

    /** Text beside each other under its heads; the first cell of a row names it. */
    public Part table(List<String> head, List<List<String>> rows, float size) throws IOException {
        var columns = Columns.of(head, rows, type, size, width);
        var all = new ArrayList<Part>();
        var table = new PDStructureElement[1];
        all.add(row(columns, head, size, table, true));
        for (var row : rows) {
            all.add(row(columns, row, size, table, false));
        }
        return new Part() {
            @Override
            public float height() {
                return (float) all.stream().mapToDouble(Part::height).sum();
            }

            @Override
            public void draw(float x, float top) throws IOException {
                float at = top;
                for (var row : all) {
                    row.draw(x, at);
                    at -= row.height();
                }
            }

            @Override
            public List<Part> split() {
                return List.copyOf(all);
            }
        };
    }

    private Part row(Columns columns, List<String> cells, float size, PDStructureElement[] table, boolean head)
            throws IOException {
        var wrapped = new ArrayList<List<String>>();
        int most = 1;
        for (int i = 0; i < cells.size(); i++) {
            var lines = type.wrapped(cells.get(i), size, columns.width(i));
            wrapped.add(lines);
            most = Math.max(most, lines.size());
        }
        float height = most * size * LEADING + 3;
        return new Part() {
            @Override
            public float height() {
                return height;
            }

            @Override
            public void draw(float x, float top) throws IOException {
                table[0] = table[0] == null ? tags.element(StandardStructureTypes.TABLE) : table[0];
                var row = tags.element(table[0], StandardStructureTypes.TR);
                tags.artifact(page, () -> rule(x, top));
                for (int i = 0; i < wrapped.size(); i++) {
                    int cell = i;
                    var element = tags.cell(row, head, i == 0);
                    tags.mark(
                            page,
                            element,
                            () -> lines(wrapped.get(cell), x + columns.left(cell), top - 2, size, head || cell == 0));
                }
            }
        };
    }

    private void rule(float x, float top) throws IOException {
        page.setStrokingColor(Color.LIGHT_GRAY);
        page.setLineWidth(0.5f);
        page.moveTo(x, top);
        page.lineTo(x + width, top);
        page.stroke();
    }

    /** Numbers the pages and closes them. */
    public byte[] bytes() throws IOException {
        page.close();
        int n = document.getNumberOfPages();
        for (int i = 0; i < n; i++) {
            try (var stream = new PDPageContentStream(document, document.getPage(i), AppendMode.APPEND, true, true)) {
                var words = "%d of %d".formatted(i + 1, n);
                float x = sheet.getWidth() - MARGIN - type.width(words, FOOTER);
                tags.artifact(stream, () -> type.write(stream, words, x, MARGIN / 2, FOOTER, false));
            }
        }
        tags.close();
        var out = new ByteArrayOutputStream();
        document.save(out);
        return out.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
