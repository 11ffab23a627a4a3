package gradino.server.exchange;

import gradino.core.body.Sided;
import gradino.core.prescribe.BlockDraft;
import gradino.core.prescribe.Dose;
import gradino.core.prescribe.EffortStep;
import gradino.core.prescribe.RampPattern;
import gradino.core.quantity.Degrees;
import gradino.core.quantity.EffortPercent;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A dose in one cell: {@code angle=30;hold=60;sets=2;ceiling=50;top=10;handsoff=3x10}, a composed one with its blocks as JSON
 * behind it, which alone count when it is read. Steps: {@code 20:5;40:5}.
 */
final class DoseText {
    private static final List<String> KEYS = List.of("angle", "hold", "sets", "ceiling", "top", "handsoff");

    private static final String BLOCKS = ";blocks=";

    /** Stands in for a dose that could not be read, so that the reading of the row goes on. */
    static final Dose NONE = new Dose(Degrees.of(0), 0, 1, EffortPercent.of(1), 0, 0, 0);

    private DoseText() {}

    static String of(Dose d) {
        return "angle=%s;hold=%d;sets=%d;ceiling=%d;top=%d;handsoff=%dx%d"
                        .formatted(
                                d.angle().value(),
                                d.supportedHoldSeconds(),
                                d.sets(),
                                d.ceiling().value(),
                                d.topHoldSeconds(),
                                d.handsOffRepetitions(),
                                d.handsOffSeconds())
                + (d.hasBlocks() ? BLOCKS + CellJson.write(d.blocks()) : "");
    }

    static Dose parse(String whole) {
        int at = whole.indexOf(BLOCKS);
        if (at < 0) {
            return numbers(whole);
        }
        var blocks = CellJson.read(whole.substring(at + BLOCKS.length()), BlockDraft[].class);
        return Dose.composed(numbers(whole.substring(0, at)).angle(), List.of(blocks));
    }

    private static Dose numbers(String text) {
        var parts = text.split(";");
        if (parts.length != KEYS.size()) {
            throw new IllegalArgumentException("a dose is angle=…;hold=…;sets=…;ceiling=…;top=…;handsoff=…x…");
        }
        var values = new String[parts.length];
        for (int i = 0; i < parts.length; i++) {
            var key = KEYS.get(i) + "=";
            if (!parts[i].startsWith(key)) {
                throw new IllegalArgumentException("expected " + key + " where '" + parts[i] + "' stands");
            }
            values[i] = parts[i].substring(key.length());
        }
        var handsOff = values[5].split("x");
        if (handsOff.length != 2) {
            throw new IllegalArgumentException("hands-off is repetitions x seconds, as 3x10");
        }
        return new Dose(
                Degrees.of(Double.parseDouble(values[0])),
                Integer.parseInt(values[1]),
                Integer.parseInt(values[2]),
                EffortPercent.of(Integer.parseInt(values[3])),
                Integer.parseInt(values[4]),
                Integer.parseInt(handsOff[1]),
                Integer.parseInt(handsOff[0]));
    }

    /** The columns {@code left_dose} and {@code right_dose}. */
    static Sided<Dose> sides(CsvRow r) {
        return new Sided<>(r.read("left_dose", NONE, DoseText::parse), r.read("right_dose", NONE, DoseText::parse));
    }

    static String steps(RampPattern pattern) {
        return pattern.steps().stream()
                .map(s -> s.effort().value() + ":" + s.seconds())
                .collect(Collectors.joining(";"));
    }

    static RampPattern steps(String text) {
        return new RampPattern(
                Arrays.stream(text.split(";")).map(DoseText::step).toList());
    }

    private static EffortStep step(String text) {
        var parts = text.split(":");
        if (parts.length != 2) {
            throw new IllegalArgumentException("a step is effort:seconds, as 20:5");
        }
        return new EffortStep(EffortPercent.of(Integer.parseInt(parts[0])), Integer.parseInt(parts[1]));
    }
}
