package gradino.core.prescribe.method;

import gradino.core.because.Finding;
import java.util.List;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** Tells where a block leaves what its method usually does. Advice only: every number is the coach's. */
public final class MethodCheck {
    private final Method method;
    private final List<Finding> findings;

    public MethodCheck(Method method, List<Finding> findings) {
        this.method = method;
        this.findings = findings;
    }

    public void check(List<BlockDraft> blocks, String path) {
        for (int i = 0; i < blocks.size(); i++) {
            block(blocks.get(i), path + "[" + i + "]");
        }
    }

    private void block(BlockDraft block, String path) {
        stretching(block, path);
        breath(block, path);
        new TreeMap<>(block.numbers())
                .forEach((name, value) -> number(block.form(), name, value, path + ".numbers." + name));
        check(block.blocks(), path + ".blocks");
    }

    private void stretching(BlockDraft block, String path) {
        if (block.form() != BlockForm.SUPPORTED_HOLD) {
            return;
        }
        switch (method.rules().stretching()) {
            case HELD -> {}
            case NONE ->
                advise(
                        path,
                        "no-stretching",
                        null,
                        "",
                        "This school holds no stretch: take it out, or pick another method.");
            case SHORT -> {
                if (Breath.heldSeconds(block) > Stretching.SHORT_SECONDS) {
                    var words = "This school holds a stretch for %d s at most.".formatted(Stretching.SHORT_SECONDS);
                    advise(path + ".numbers.seconds", "long-stretching", (double) Stretching.SHORT_SECONDS, "s", words);
                }
            }
            case NOT_TO_THE_LAST -> {
                if (block.number("sensation") > Stretching.BEFORE_THE_LAST) {
                    var words = "This school never goes to the last of the stretch.";
                    double most = Stretching.BEFORE_THE_LAST;
                    advise(path + ".numbers.sensation", "last-of-the-stretch", most, "of 10", words);
                }
            }
        }
    }

    private void breath(BlockDraft block, String path) {
        double peak = RoleNumber.peak(block);
        if (!method.rules().breath().allows(peak)) {
            double most = BreathRule.FLOWS_UP_TO_PERCENT;
            advise(
                    path,
                    "breath-cannot-flow",
                    most,
                    "%",
                    "Above 50 % the breath no longer flows, and this school goes by it.");
        }
    }

    private void advise(String path, String code, @Nullable Double bound, String unit, String message) {
        if (findings.stream().noneMatch(f -> f.path().equals(path))) {
            findings.add(Finding.advice(path, code, bound, unit, message));
        }
    }

    /** A method may have several blocks of a form: it is enough that one of them would do so. */
    private void number(BlockForm form, String name, double value, String path) {
        var ranges = method.ranges(form, name).toList();
        boolean said = findings.stream().anyMatch(f -> f.path().equals(path));
        if (ranges.isEmpty() || said || ranges.stream().anyMatch(r -> r.holds(value) || r.first() == value)) {
            return;
        }
        var nearest = ranges.stream()
                .min((a, b) -> Double.compare(away(a, value), away(b, value)))
                .orElseThrow();
        double bound = value < nearest.least() ? nearest.least() : nearest.most();
        var unit = BlockParameter.find(form, name).map(BlockParameter::unit).orElse("");
        var words = "This method usually stays within %s to %s %s."
                .formatted(plain(nearest.least()), plain(nearest.most()), unit)
                .replace(" .", ".");
        findings.add(Finding.advice(path, "outside-method", bound, unit, words));
    }

    private static double away(MethodBlock.Range range, double value) {
        return Math.max(range.least() - value, value - range.most());
    }

    private static String plain(double bound) {
        return bound == Math.rint(bound) ? String.valueOf((long) bound) : String.valueOf(bound);
    }
}
