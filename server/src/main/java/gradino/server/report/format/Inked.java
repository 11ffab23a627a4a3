package gradino.server.report.format;

import gradino.server.paper.Paper;
import gradino.server.report.draw.Drawing;
import gradino.server.report.draw.Drawing.Ink;
import gradino.server.report.draw.Drawing.Shape;
import gradino.server.report.draw.Drawing.Stroke;
import java.awt.Color;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPageContentStream;

/** Puts a chart's marks on paper. Shades are told apart in black and white too. */
final class Inked {
    private static final float CIRCLE = 0.5523f;

    private final Paper paper;
    private final PDPageContentStream page;
    private final float left;
    private final float top;
    private final float scale;

    private Inked(Paper paper, PDPageContentStream page, float left, float top, float scale) {
        this.paper = paper;
        this.page = page;
        this.left = left;
        this.top = top;
        this.scale = scale;
    }

    /** @param room that it may take at most */
    static Paper.Part part(Paper paper, Drawing drawing, float room) {
        float scale = (float) Math.min(1, room / drawing.width());
        float height = (float) drawing.height() * scale;
        return paper.picture(
                (float) drawing.width() * scale,
                height,
                drawing.words(),
                (page, x, bottom) -> new Inked(paper, page, x, bottom + height, scale).all(drawing));
    }

    private void all(Drawing drawing) throws IOException {
        for (var stroke : drawing.strokes()) {
            mark(stroke);
        }
        page.setLineDashPattern(new float[0], 0);
    }

    private float x(List<Double> at, int n) {
        return left + at.get(n).floatValue() * scale;
    }

    private float y(List<Double> at, int n) {
        return top - at.get(n).floatValue() * scale;
    }

    private void mark(Stroke stroke) throws IOException {
        var at = stroke.at();
        var ink = color(stroke.ink());
        if (stroke.shape() == Shape.TEXT) {
            float size = at.get(2).floatValue() * scale;
            paper.write(stroke.text(), x(at, 0), y(at, 1), size, at.get(3).floatValue(), ink);
            return;
        }
        page.setStrokingColor(ink);
        page.setNonStrokingColor(ink);
        page.setLineWidth(stroke.ink() == Ink.FAINT ? 0.5f : 1.1f * scale);
        page.setLineDashPattern(stroke.shape() == Shape.DASHED ? new float[] {4, 2.5f} : new float[0], 0);
        switch (stroke.shape()) {
            case PATH, DASHED -> {
                points(at);
                page.stroke();
            }
            case AREA -> {
                points(at);
                page.closePath();
                page.fill();
            }
            case DOT -> {
                circle(at);
                page.fill();
            }
            case RING -> {
                circle(at);
                page.stroke();
            }
            case BAR -> {
                box(at);
                page.fill();
            }
            case FRAME -> {
                box(at);
                page.stroke();
            }
            case TEXT -> {}
        }
    }

    private void points(List<Double> at) throws IOException {
        page.moveTo(x(at, 0), y(at, 1));
        for (int i = 2; i < at.size(); i += 2) {
            page.lineTo(x(at, i), y(at, i + 1));
        }
    }

    private void box(List<Double> at) throws IOException {
        float height = at.get(3).floatValue() * scale;
        page.addRect(x(at, 0), y(at, 1) - height, at.get(2).floatValue() * scale, height);
    }

    private void circle(List<Double> at) throws IOException {
        float x = x(at, 0);
        float y = y(at, 1);
        float r = at.get(2).floatValue() * scale;
        float k = r * CIRCLE;
        page.moveTo(x + r, y);
        page.curveTo(x + r, y + k, x + k, y + r, x, y + r);
        page.curveTo(x - k, y + r, x - r, y + k, x - r, y);
        page.curveTo(x - r, y - k, x - k, y - r, x, y - r);
        page.curveTo(x + k, y - r, x + r, y - k, x + r, y);
        page.closePath();
    }

    private static Color color(Ink ink) {
        return switch (ink) {
            case INK, BEFORE -> new Color(0x27221B);
            case SOFT -> new Color(0x5A5248);
            case FAINT -> new Color(0xCFC6B6);
            case BAND -> new Color(0xE6DDCB);
            case NOW -> new Color(0x14566F);
            case GOAL, WARN -> new Color(0xA33A17);
            case PRESS -> new Color(0xD9825F);
            case PULL -> new Color(0x4A8AA3);
        };
    }
}
