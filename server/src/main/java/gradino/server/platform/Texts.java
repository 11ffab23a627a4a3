package gradino.server.platform;

import gradino.core.because.Finding;
import java.util.Optional;
import java.util.regex.Pattern;

/** What a text may hold, the same at every door. */
public final class Texts {
    private static final Pattern ID = Pattern.compile("[A-Za-z0-9-]{1,64}");
    /** Controls other than the breaks and tabs of a text in lines. */
    private static final Pattern CONTROL = Pattern.compile("[\\p{Cs}\\p{Cc}&&[^\\n\\r\\t]]");
    /** What nobody sees, turns the writing round or breaks the line: two names must not look alike by it. */
    private static final Pattern INVISIBLE =
            Pattern.compile("[\\p{Cc}\\p{Cf}\\p{Zl}\\p{Zp}\\x{115F}\\x{1160}\\x{3164}\\x{FFA0}\\x{2800}]");

    private Texts() {}

    public static boolean isId(String text) {
        return ID.matcher(text).matches();
    }

    public static Optional<Finding> wrongId(String path, String id) {
        return isId(id)
                ? Optional.empty()
                : Optional.of(Finding.blocking(path, "bad-id", 64.0, "", "1 to 64 letters, digits and dashes."));
    }

    /** A name stands on one line, and everything of it can be seen. */
    public static Optional<Finding> wrongName(String path, String name) {
        return INVISIBLE.matcher(name).find()
                ? Optional.of(Finding.blocking(
                        path, "invisible", null, "", "This contains an invisible character: type it again."))
                : Optional.empty();
    }

    public static Optional<Finding> wrongText(String path, String text, int most) {
        if (text.length() > most) {
            return Optional.of(Finding.blocking(path, "too-long", (double) most, "", "At most " + most + " letters."));
        }
        return CONTROL.matcher(text).find()
                ? Optional.of(Finding.blocking(path, "control", null, "", "This contains a control character."))
                : Optional.empty();
    }
}
