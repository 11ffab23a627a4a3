package gradino.server.report.told;

import gradino.core.body.Side;
import gradino.core.measure.noise.Instrument;
import gradino.core.measure.noise.Mode;
import gradino.server.report.draw.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A report in words, for one audience: the same for page, phone and paper.
 *
 * @param about whom and which days
 * @param note of the coach; empty for none
 * @param footer what it does not do
 */
public record Told(String title, String about, String note, List<ReportSection> sections, String footer) {
    public Told {
        sections = List.copyOf(sections);
    }

    /** What is answered, in the order in which people ask. */
    public enum ReportPart {
        BETTER,
        STAYED,
        DONE,
        CLIMBED,
        HARD,
        NEXT,
        /** Over many clients only. */
        METHODS
    }

    /**
     * One answer.
     *
     * @param answer in a sentence or two
     */
    public record ReportSection(ReportPart part, String heading, String answer, List<ReportPiece> pieces) {
        public ReportSection {
            pieces = List.copyOf(pieces);
        }
    }

    /**
     * What stays together on one page.
     *
     * @param heading empty for none
     * @param table null for none
     * @param toMeasure what is missing
     */
    public record ReportPiece(
            String heading,
            List<String> sentences,
            @Nullable ReportTable table,
            List<Drawing> drawings,
            List<ToMeasure> toMeasure) {
        public ReportPiece {
            sentences = List.copyOf(sentences);
            drawings = List.copyOf(drawings);
            toMeasure = List.copyOf(toMeasure);
        }

        public static ReportPiece of(String heading, List<String> sentences) {
            return new ReportPiece(heading, sentences, null, List.of(), List.of());
        }

        public static ReportPiece of(String heading, List<String> sentences, Drawing drawing) {
            return new ReportPiece(heading, sentences, null, List.of(drawing), List.of());
        }

        public static ReportPiece of(String heading, ReportTable table) {
            return new ReportPiece(heading, List.of(), table, List.of(), List.of());
        }
    }

    /** The first cell of a row names it. */
    public record ReportTable(List<String> head, List<List<String>> rows) {
        public ReportTable {
            head = List.copyOf(head);
            rows = List.copyOf(rows);
        }
    }

    /** A reading that is missing, and how it is to be taken. */
    public record ToMeasure(
            String words, String motion, Side side, Mode mode, String position, Instrument instrument) {}
}
