package gradino.server.prescribe.handout;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.figure.FigureMaker;
import gradino.core.figure.FigureMaker.Asked;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts.FontName;

/** {@code figures FILE.pdf [POSITION…]}: every position as it is drawn, to look at; those that are named fill a page each. */
public final class FiguresCommand {
    /** 160 px on a screen. */
    private static final float SMALL = 120;

    private static final float LARGE = 360;
    private static final float MARGIN = 30;
    private static final float WORDS = 16;

    private final PDDocument document = new PDDocument();
    private final float size;

    private FiguresCommand(float size) {
        this.size = size;
    }

    public static void main(String[] args) throws IOException {
        if (args.length == 0) {
            System.err.println("figures FILE.pdf [POSITION…]");
            System.exit(2);
        }
        var named = List.of(args).subList(1, args.length);
        var chosen = Catalogue.positions().stream()
                .filter(p -> named.isEmpty() || named.contains(p.id()))
                .toList();
        new FiguresCommand(named.isEmpty() ? SMALL : LARGE).write(chosen, Path.of(args[0]));
        System.out.println(chosen.size() + " positions in " + args[0]);
    }

    private void write(List<Position> positions, Path file) throws IOException {
        var paper = PDRectangle.A4;
        int across = (int) ((paper.getWidth() - 2 * MARGIN) / size);
        int down = (int) ((paper.getHeight() - 2 * MARGIN) / (size + WORDS));
        for (int first = 0; first < positions.size(); first += across * down) {
            var page = new PDPage(paper);
            document.addPage(page);
            try (var ink = new PDPageContentStream(document, page)) {
                for (int n = first; n < Math.min(positions.size(), first + across * down); n++) {
                    int at = n - first;
                    float y = paper.getHeight() - MARGIN - (at / across + 1) * (size + WORDS);
                    draw(ink, positions.get(n), MARGIN + at % across * size, y);
                }
            }
        }
        document.save(file.toFile());
        document.close();
    }

    private void draw(PDPageContentStream ink, Position position, float x, float y) throws IOException {
        var asked = Asked.of(position, position.motions().get(0));
        if (asked.isPresent()) {
            HandoutFigure.draw(ink, FigureMaker.draw(asked.get()), x, y + WORDS, size - 6, size - 6);
        }
        ink.beginText();
        ink.setFont(new PDType1Font(FontName.HELVETICA), 6);
        ink.newLineAtOffset(x, y + 6);
        ink.showText(position.id());
        ink.endText();
    }
}
