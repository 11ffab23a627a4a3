package gradino.server.paper;

import java.io.IOException;
import java.util.List;

/**
 * Widths of a table's columns: as wide as their widest cell while all fit, else in proportion to it, none below its longest word.
 *
 * @param lefts where each begins
 * @param widths of each, without the gap to the next
 */
record Columns(List<Float> lefts, List<Float> widths) {
    private static final float GAP = 8;

    float left(int column) {
        return lefts.get(column);
    }

    float width(int column) {
        return widths.get(column);
    }

    static Columns of(List<String> head, List<List<String>> rows, Type type, float size, float width)
            throws IOException {
        int n = head.size();
        var wanted = new float[n];
        var least = new float[n];
        for (int i = 0; i < n; i++) {
            measure(head.get(i), i, type, size, wanted, least);
            for (var row : rows) {
                measure(row.get(i), i, type, size, wanted, least);
            }
        }
        float room = width - GAP * (n - 1);
        return placed(fitted(wanted, least, room));
    }

    private static void measure(String cell, int i, Type type, float size, float[] wanted, float[] least)
            throws IOException {
        wanted[i] = Math.max(wanted[i], type.width(cell, size) + 1);
        for (var word : cell.split(" ")) {
            least[i] = Math.max(least[i], type.width(word, size) + 1);
        }
    }

    private static float[] fitted(float[] wanted, float[] least, float room) {
        float all = sum(wanted);
        float must = sum(least);
        if (all <= room || all == must) {
            return wanted;
        }
        float share = Math.max(0, room - must) / (all - must);
        var widths = new float[wanted.length];
        for (int i = 0; i < widths.length; i++) {
            widths[i] = least[i] + share * (wanted[i] - least[i]);
        }
        return widths;
    }

    private static float sum(float[] of) {
        float sum = 0;
        for (float one : of) {
            sum += one;
        }
        return sum;
    }

    private static Columns placed(float[] widths) {
        var lefts = new java.util.ArrayList<Float>();
        var all = new java.util.ArrayList<Float>();
        float left = 0;
        for (float width : widths) {
            lefts.add(left);
            all.add(width);
            left += width + GAP;
        }
        return new Columns(lefts, all);
    }
}
