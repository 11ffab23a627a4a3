package gradino.server.report.format;

import gradino.server.paper.Paper;
import gradino.server.report.told.Told;
import gradino.server.report.told.Told.ReportPiece;
import gradino.server.report.told.Told.ReportSection;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;

/** A report on paper: the same words and drawings as on its page. */
public final class ReportPdf {
    private static final float TEXT = 10.5f;
    private static final float TABLE = 8.5f;
    /** Drawings up to that wide stand beside their words, this wide. */
    private static final double NARROW = 340;

    private static final float BESIDE = 225;

    private ReportPdf() {}

    public static byte[] of(Told told, Paper.Size size) {
        try (var paper = new Paper(told.title() + ", " + told.about(), size)) {
            var head = new ArrayList<Paper.Part>();
            head.add(paper.heading(1, told.title(), 20));
            head.add(paper.text(told.about(), TEXT));
            if (!told.note().isEmpty()) {
                head.add(paper.text(told.note(), 12));
            }
            paper.together(head, 12);
            for (var section : told.sections()) {
                section(paper, section);
            }
            paper.together(List.of(paper.text(told.footer(), 8)), 0);
            return paper.bytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A heading never stands alone at the foot of a page. */
    private static void section(Paper paper, ReportSection section) throws IOException {
        var head = new ArrayList<Paper.Part>();
        head.add(paper.heading(2, section.heading(), 15));
        head.add(paper.text(section.answer(), 11.5f));
        boolean first = true;
        for (var piece : section.pieces()) {
            var parts = first ? head : new ArrayList<Paper.Part>();
            piece(paper, piece, parts);
            paper.together(parts, 9);
            first = false;
        }
        if (first) {
            paper.together(head, 9);
        }
    }

    private static void piece(Paper paper, ReportPiece piece, List<Paper.Part> parts) throws IOException {
        boolean beside = piece.table() == null
                && piece.drawings().size() == 1
                && piece.drawings().get(0).width() <= NARROW;
        float room = beside ? paper.width() - BESIDE - 14 : paper.width();
        var words = new ArrayList<Paper.Part>();
        if (!piece.heading().isEmpty()) {
            words.add(paper.heading(3, piece.heading(), 11, room));
        }
        for (var sentence : piece.sentences()) {
            words.add(paper.text(sentence, TEXT, room));
        }
        if (beside) {
            parts.add(paper.beside(words, Inked.part(paper, piece.drawings().get(0), BESIDE), BESIDE));
        } else {
            parts.addAll(words);
            rest(paper, piece, parts);
        }
        for (var missing : piece.toMeasure()) {
            parts.add(paper.text(missing.words(), 9));
        }
    }

    private static void rest(Paper paper, ReportPiece piece, List<Paper.Part> parts) throws IOException {
        var table = piece.table();
        if (table != null) {
            parts.add(paper.table(table.head(), table.rows(), TABLE));
        }
        for (var drawing : piece.drawings()) {
            parts.add(Inked.part(paper, drawing, paper.width()));
        }
    }
}
