package gradino.server.exchange.table;

import org.jspecify.annotations.Nullable;

/**
 * A text cell that a spreadsheet would take for a formula is written behind an apostrophe, and read without it; one that begins with
 * an apostrophe gets a second one. Numbers stay numbers (OWASP, CSV injection, value from memory).
 */
public final class CellText {
    private static final String FORMULA = "=+-@\t\r'";

    private CellText() {}

    public static @Nullable Object written(@Nullable Object cell) {
        return cell instanceof String text && begins(text) ? "'" + text : cell;
    }

    static String read(String cell) {
        return cell.startsWith("'") && begins(cell.substring(1)) ? cell.substring(1) : cell;
    }

    private static boolean begins(String text) {
        return !text.isEmpty() && FORMULA.indexOf(text.charAt(0)) >= 0;
    }
}
