package gradino.core.prescribe.block;

import java.util.List;
import java.util.stream.Collectors;

/** Efforts and loads in the client's words. */
final class Efforts {
    private Efforts() {}

    /** 20 % · 40 % · 50 %, 5 s each. */
    static String inWords(List<EffortStep> steps) {
        var efforts = steps.stream().map(s -> s.effort().toString()).collect(Collectors.joining(" · "));
        boolean even = steps.stream().mapToInt(EffortStep::seconds).distinct().count() == 1;
        return even
                ? efforts + ", " + steps.get(0).seconds() + " s" + (steps.size() > 1 ? " each" : "")
                : steps.stream()
                        .map(s -> s.effort() + " for " + s.seconds() + " s")
                        .collect(Collectors.joining(", "));
    }

    static String load(double kg) {
        return kg > 0 ? ", with %s kg".formatted(plain(kg)) : "";
    }

    static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }
}
