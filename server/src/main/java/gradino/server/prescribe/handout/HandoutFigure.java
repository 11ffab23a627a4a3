package gradino.server.prescribe.handout;

import gradino.core.figure.Figure;
import gradino.core.figure.Figure.Mark;
import java.awt.Color;
import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDPageContentStream;

/** Puts a figure's marks on paper. Where everything stands was worked out in core. */
final class HandoutFigure {
    private static final int ROUND = 1;
    private static final double ARC_STEP = 12;

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
            case POLYGON -> polygon(n);
            case OUTLINE -> outline(n);
            case DOT -> throw new IllegalStateException("a hand-out marks no landmarks");
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

    private void polygon(List<Double> n) throws IOException {
        page.moveTo(x(n.get(0)), y(n.get(1)));
        for (int i = 2; i + 1 < n.size(); i += 2) {
            page.lineTo(x(n.get(i)), y(n.get(i + 1)));
        }
        page.closePath();
        page.fill();
    }

    /** Limbs are parted by a thin white edge. */
    private void outline(List<Double> n) throws IOException {
        boolean begun = false;
        for (int i = 0; i + 4 < n.size(); i += 5) {
            int steps = (int) Math.max(1, Math.ceil((n.get(i + 4) - n.get(i + 3)) / ARC_STEP));
            for (int k = 0; k <= steps; k++) {
                double a = Math.toRadians(n.get(i + 3) + (n.get(i + 4) - n.get(i + 3)) * k / steps);
                float x = x(n.get(i) + n.get(i + 2) * Math.cos(a));
                float y = y(n.get(i + 1) + n.get(i + 2) * Math.sin(a));
                if (begun) {
                    page.lineTo(x, y);
                } else {
                    page.moveTo(x, y);
                    begun = true;
                }
            }
        }
        page.closePath();
        page.setStrokingColor(Color.WHITE);
        page.fillAndStroke();
    }

    private static Color ink(Figure.Role role) {
        return switch (role) {
            case FLOOR -> new Color(0xF1EBDF);
            case PROP -> new Color(0xCDBFA6);
            case PROP_TOP -> new Color(0xDDD2BC);
            case FAR -> new Color(0xC9BDA8);
            case NEAR -> new Color(0x9C8F7A);
            case TRUNK -> new Color(0xB3A690);
            case WORKING -> new Color(0x27221B);
            case SECTOR -> new Color(0x9FC6D4);
            case PRESS -> new Color(0xA33A17);
            case PULL -> new Color(0x14566F);
            case LANDMARK -> Color.BLACK;
        };
    }

    private static float width(Figure.Role role) {
        return role == Figure.Role.PRESS || role == Figure.Role.PULL ? 1.8f : role == Figure.Role.PROP ? 1 : 0.6f;
    }
}
