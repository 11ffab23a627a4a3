package gradino.server.platform;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Texts in one cell, separated by semicolons. A semicolon or backslash of their own has a backslash before it, and a text without
 * letters is written {@code \e}: whatever goes in comes out.
 */
public final class Joined {
    private static final String EMPTY = "\\e";

    private Joined() {}

    public static String join(List<String> texts) {
        return texts.stream().map(Joined::written).collect(Collectors.joining(";"));
    }

    private static String written(String text) {
        return text.isEmpty() ? EMPTY : text.replace("\\", "\\\\").replace(";", "\\;");
    }

    public static List<String> split(String cell) {
        var texts = new ArrayList<String>();
        if (cell.isEmpty()) {
            return texts;
        }
        var text = new StringBuilder();
        for (int i = 0; i < cell.length(); i++) {
            char letter = cell.charAt(i);
            if (letter == '\\' && i + 1 < cell.length()) {
                char next = cell.charAt(++i);
                text.append(next == 'e' ? "" : next);
            } else if (letter == ';') {
                texts.add(text.toString());
                text.setLength(0);
            } else {
                text.append(letter);
            }
        }
        texts.add(text.toString());
        return texts;
    }
}
