package gradino.core.prescribe.program;

import gradino.core.body.Position;
import gradino.core.body.Training;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Finds positions by words, motion and what the client owns; what trains a motion that is short comes first. */
public final class LibrarySearch {
    private LibrarySearch() {}

    /**
     * What is looked for.
     *
     * @param words any of name, tissue, set-up, faults, method; every word must be found
     * @param motion id; empty for any
     * @param equipment ids that are there; empty for any
     * @param method id; empty for any
     * @param wanted motions in the order of their priority
     */
    public record Query(String words, String motion, Set<String> equipment, String method, List<String> wanted) {}

    public static List<Position> find(List<Position> positions, Query query) {
        var words = words(query.words());
        return positions.stream()
                .filter(Position::trains)
                .filter(p -> query.motion().isEmpty() || p.allows(query.motion()))
                .filter(p -> query.equipment().isEmpty() || query.equipment().containsAll(p.equipment()))
                .filter(p -> query.method().isEmpty() || methods(p).contains(query.method()))
                .filter(p -> words.isEmpty() || containsAll(text(p), words))
                .sorted(Comparator.comparingInt((Position p) -> rank(p, query.wanted()))
                        .thenComparingInt(p -> containsAll(p.name().toLowerCase(Locale.ROOT), words) ? 0 : 1))
                .toList();
    }

    private static int rank(Position position, List<String> wanted) {
        for (int i = 0; i < wanted.size(); i++) {
            if (position.allows(wanted.get(i))) {
                return i;
            }
        }
        return wanted.size();
    }

    private static List<String> words(String query) {
        return Stream.of(query.toLowerCase(Locale.ROOT).split("[\\s,;]+"))
                .filter(w -> !w.isBlank())
                .toList();
    }

    private static boolean containsAll(String text, List<String> words) {
        return words.stream().allMatch(text::contains);
    }

    private static List<String> methods(Position position) {
        Training training = position.training();
        return training == null ? List.of() : training.methods();
    }

    private static String text(Position position) {
        Training training = position.training();
        var extra = training == null
                ? ""
                : String.join(
                        " ", training.tissue(), training.press(), training.pull(), String.join(" ", methods(position)));
        return Stream.of(
                        position.name(),
                        String.join(" ", position.motions()).replace('-', ' '),
                        position.setup(),
                        String.join(" ", position.faults()),
                        extra)
                .collect(Collectors.joining(" "))
                .toLowerCase(Locale.ROOT);
    }
}
