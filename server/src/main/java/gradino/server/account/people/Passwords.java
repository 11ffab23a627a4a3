package gradino.server.account.people;

import gradino.core.because.Finding;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What a password must be: long enough, and none that is tried first (OWASP ASVS 4, 2.1.1, 2.1.7, value from memory). */
final class Passwords {
    private static final int LEAST = 12;
    /** More than the hash looks at would be a false promise. */
    private static final int MOST_BYTES = 72;

    private static final int DIFFERENT_LETTERS = 5;
    private static final int SHORTEST_NAME = 4;
    private static final Set<String> COMMON = common();

    private Passwords() {}

    static Optional<Finding> wrong(String path, String password, String signIn) {
        if (password.length() < LEAST || password.getBytes(StandardCharsets.UTF_8).length > MOST_BYTES) {
            return Optional.of(Finding.blocking(
                    path, "password-length", (double) LEAST, "", "12 to 72 letters: a few plain words do."));
        }
        return isCommon(password, signIn)
                ? Optional.of(Finding.blocking(
                        path,
                        "password-common",
                        null,
                        "",
                        "This is among the first that are tried: take a few plain words."))
                : Optional.empty();
    }

    private static boolean isCommon(String password, String signIn) {
        var plain = plain(password);
        boolean few = password.chars().distinct().count() < DIFFERENT_LETTERS;
        boolean named = signIn.length() >= SHORTEST_NAME
                && plain.replace(plain(signIn), "").length() < LEAST / 2;
        return few
                || named
                || isRow(plain)
                || COMMON.contains(plain)
                || COMMON.contains(plain.replaceAll("[0-9]+$", ""));
    }

    /** Letters or digits in a row, as they stand in the alphabet, all the way. */
    private static boolean isRow(String plain) {
        int steps = 0;
        for (int i = 1; i < plain.length(); i++) {
            int step = plain.charAt(i) - plain.charAt(i - 1);
            steps += Math.abs(step) == 1 || Math.abs(step) == 9 ? 1 : 0;
        }
        return steps >= plain.length() - 2;
    }

    private static String plain(String password) {
        return password.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }

    private static Set<String> common() {
        var file = Objects.requireNonNull(Passwords.class.getResourceAsStream("/common-passwords.txt"));
        try (var lines = new BufferedReader(new InputStreamReader(file, StandardCharsets.UTF_8))) {
            return lines.lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(Passwords::plain)
                    .collect(Collectors.toUnmodifiableSet());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
