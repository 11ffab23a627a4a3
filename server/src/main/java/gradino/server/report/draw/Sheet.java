package gradino.server.report.draw;

import gradino.server.report.draw.Drawing.Ink;
import gradino.server.report.draw.Drawing.Shape;
import gradino.server.report.draw.Drawing.Stroke;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Takes marks one by one. */
final class Sheet {
    static final double SMALL = 10;
    static final double START = 0;
    static final double MIDDLE = 0.5;
    static final double END = 1;

    private final List<Stroke> strokes = new ArrayList<>();

    private void add(Shape shape, Ink ink, String text, double... at) {
        strokes.add(new Stroke(
                shape,
                ink,
                DoubleStream.of(at)
                        .map(n -> Math.round(n * 100) / 100.0)
                        .boxed()
                        .toList(),
                text));
    }

    void path(Ink ink, double... points) {
        add(Shape.PATH, ink, "", points);
    }

    void dashed(Ink ink, double... points) {
        add(Shape.DASHED, ink, "", points);
    }

    void area(Ink ink, double... points) {
        add(Shape.AREA, ink, "", points);
    }

    void dot(Ink ink, double x, double y, double radius) {
        add(Shape.DOT, ink, "", x, y, radius);
    }

    void ring(Ink ink, double x, double y, double radius) {
        add(Shape.RING, ink, "", x, y, radius);
    }

    void bar(Ink ink, double x, double y, double width, double height) {
        add(Shape.BAR, ink, "", Math.min(x, x + width), y, Math.abs(width), height);
    }

    void frame(Ink ink, double x, double y, double width, double height) {
        add(Shape.FRAME, ink, "", Math.min(x, x + width), y, Math.abs(width), height);
    }

    void text(Ink ink, double x, double y, double anchor, String text) {
        add(Shape.TEXT, ink, text, x, y, SMALL, anchor);
    }

    /** Parts of a list that are no longer than a page takes. */
    static <T> Stream<List<T>> parts(List<T> all, int most) {
        return IntStream.iterate(0, from -> from < all.size(), from -> from + most)
                .mapToObj(from -> all.subList(from, Math.min(all.size(), from + most)));
    }

    Drawing drawing(double width, double height, String words) {
        return new Drawing(width, height, words, strokes);
    }
}
