package gradino.server.prescribe.handout;

import gradino.core.body.Figure;
import gradino.core.body.Figure.Mark;
import java.awt.Color;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPageContentStream;

/** Puts a figure's marks on paper. Where everything stands was worked out in core. */
final class HandoutFigure {
    private static final int ROUND = 1;
    private static final int SECTOR_PARTS = 24;

    private final PDPageContentStream page;
    private final float left;
    private final float bottom;
    private final float scale;
    private final Figure.Box box;

    private HandoutFigure(PDPageContentStream page, Figure.Box box, float left, float bottom, float scale) {
        this.page = page;
        this.box = box;
        this.left = left;
        this.bottom = bottom;
        this.scale = scale;
    }

    static void draw(PDPageContentStream page, Figure figure, float x, float y, float width, float height)
            throws IOException {
        var box = figure.box();
        double scale = Math.min(width / (box.right() - box.left()), height / (box.top() - box.bottom()));
        var on = new HandoutFigure(page, box, x, y, (float) scale);
        page.saveGraphicsState();
        page.setLineCapStyle(ROUND);
        for (var mark : figure.marks()) {
            on.mark(mark);
        }
        page.restoreGraphicsState();
    }

    private float x(double units) {
        return left + (float) (units - box.left()) * scale;
    }

    private float y(double units) {
        return bottom + (float) (units - box.bottom()) * scale;
    }

    private void mark(Mark mark) throws IOException {
        var n = mark.numbers();
        var ink = ink(mark.role());
        page.setStrokingColor(ink);
        page.setNonStrokingColor(ink);
        page.setLineWidth(width(mark.role()) * scale);
        switch (mark.kind()) {
            case LINE -> line(n.get(0), n.get(1), n.get(2), n.get(3));
            case ARROW -> arrow(n);
            case CIRCLE -> sector(n.get(0), n.get(1), n.get(2), 0, 360, false);
            case RECTANGLE -> {
                page.addRect(
                        x(n.get(0)),
                        y(n.get(1)),
                        n.get(2).floatValue() * scale,
                        n.get(3).floatValue() * scale);
                page.fill();
            }
            case SECTOR -> sector(n.get(0), n.get(1), n.get(2), n.get(3), n.get(4), true);
        }
    }

    private void line(double x1, double y1, double x2, double y2) throws IOException {
        page.moveTo(x(x1), y(y1));
        page.lineTo(x(x2), y(y2));
        page.stroke();
    }

    private void arrow(List<Double> n) throws IOException {
        line(n.get(0), n.get(1), n.get(2), n.get(3));
        double angle = Math.atan2(n.get(3) - n.get(1), n.get(2) - n.get(0));
        page.moveTo(x(n.get(2)), y(n.get(3)));
        for (double turn : new double[] {0.5, -0.5}) {
            page.lineTo(x(n.get(2) - 5 * Math.cos(angle + turn)), y(n.get(3) - 5 * Math.sin(angle + turn)));
        }
        page.closePath();
        page.fill();
    }

    private void sector(double cx, double cy, double r, double from, double to, boolean pie) throws IOException {
        page.moveTo(x(pie ? cx : cx + r), y(cy));
        for (int i = pie ? 0 : 1; i <= SECTOR_PARTS; i++) {
            double a = Math.toRadians(from + (to - from) * i / SECTOR_PARTS);
            page.lineTo(x(cx + r * Math.cos(a)), y(cy + r * Math.sin(a)));
        }
        page.closePath();
        page.fill();
    }

    private static Color ink(Figure.Role role) {
        return switch (role) {
            case FLOOR -> new Color(0x999999);
            case PROP -> new Color(0xCDBFA6);
            case FAR -> new Color(0x8A8276);
            case NEAR, TRUNK, WORKING -> new Color(0x27221B);
            case SECTOR -> new Color(0x9FC6D4);
            case PRESS -> new Color(0xA33A17);
            case PULL -> new Color(0x14566F);
        };
    }

    private static float width(Figure.Role role) {
        return switch (role) {
            case FLOOR, PROP -> 1;
            case FAR -> 3.4f;
            case NEAR -> 4;
            case TRUNK, WORKING -> 5;
            case SECTOR -> 0;
            case PRESS, PULL -> 1.8f;
        };
    }
}
