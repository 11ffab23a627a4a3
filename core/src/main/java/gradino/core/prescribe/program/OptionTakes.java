package gradino.core.prescribe.program;

import gradino.core.because.Unit;
import gradino.core.body.Hint.Take;
import gradino.core.prescribe.method.Apparatuses;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockNumbers;
import gradino.core.prescribe.method.BlockParameter;
import gradino.core.prescribe.method.Dose;
import gradino.core.quantity.Degrees;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** What an easier or harder option moves in one side's dose: by which name its number goes in each kind of block. */
final class OptionTakes {
    private static final double LEAST_DEGREES = -90;
    private static final double MOST_DEGREES = 200;

    /** Names of the numbers that an option moves, whatever block has them. */
    private static final Map<Take, List<String>> NAMES = Map.of(
            Take.BENCH, List.of(Apparatuses.BENCH),
            Take.STRAP, List.of(Apparatuses.STRAP),
            Take.BAND, List.of(Apparatuses.BAND),
            Take.EFFORT, List.of("ceiling", "effort"),
            Take.HOLD, List.of("top-hold", "hold"),
            Take.TEMPO, List.of("lowering", "down", "in", "out", "seconds"),
            Take.PAUSE, List.of("pause"),
            Take.LOAD, List.of("load"));

    private static final List<BlockForm> MOVED = List.of(
            BlockForm.CONTROLLED_ROTATION,
            BlockForm.TRANSITION,
            BlockForm.ECCENTRIC,
            BlockForm.LOADED_STRETCH,
            BlockForm.PULSES);

    private OptionTakes() {}

    /** A number of a block. */
    private record Found(BlockNumbers.Place place, BlockParameter parameter) {
        double value() {
            return place.block().number(parameter.name());
        }
    }

    private static List<Found> found(Dose dose, Take take) {
        var all = new ArrayList<Found>();
        for (var form : BlockForm.values()) {
            if (take == Take.TEMPO && !MOVED.contains(form)) {
                continue;
            }
            for (var name : NAMES.getOrDefault(take, List.of())) {
                BlockParameter.find(form, name)
                        .ifPresent(parameter -> BlockNumbers.of(dose.blocks(), form)
                                .forEach(place -> all.add(new Found(place, parameter))));
            }
        }
        // A bench, a strap or a band at 0 is not there.
        all.removeIf(f -> f.parameter().form() == BlockForm.PROP && f.value() <= 0);
        return all;
    }

    static boolean has(Dose dose, Take take) {
        return take == Take.ANGLE
                ? dose.angle().value() != 0
                : !found(dose, take).isEmpty();
    }

    /** As it is now: of several the first; 0 without one. */
    static double value(Dose dose, Take take) {
        return take == Take.ANGLE
                ? dose.angle().value()
                : found(dose, take).stream().findFirst().map(Found::value).orElse(0.0);
    }

    /** Every number of the kind moved, each within what it can be at all. */
    static Dose number(Dose dose, Take take, double by) {
        if (take == Take.ANGLE) {
            double to =
                    Math.max(LEAST_DEGREES, Math.min(MOST_DEGREES, dose.angle().value() + by));
            return dose.withAngle(Degrees.of(to));
        }
        var moved = dose;
        for (var f : found(dose, take)) {
            double to = Math.max(f.parameter().least(), Math.min(f.parameter().most(), f.value() + by));
            moved = moved.withNumber(f.place(), f.parameter().name(), to);
        }
        return moved;
    }

    static boolean says(Dose dose, String words) {
        return Apparatuses.place(dose.blocks())
                .filter(p -> said(p.block()).contains(words))
                .isPresent();
    }

    private static List<String> said(BlockDraft block) {
        return Arrays.asList(block.word(Apparatuses.WITH, "").split("; "));
    }

    /** Said in the block that names the props, or in a new one before all others. */
    static Dose setUp(Dose dose, String words, List<String> without) {
        var place = Apparatuses.place(dose.blocks());
        if (place.isEmpty()) {
            var blocks = new ArrayList<BlockDraft>();
            blocks.add(BlockDraft.usual(BlockForm.PROP).withWord(Apparatuses.WITH, words));
            blocks.addAll(dose.blocks());
            return dose.withBlocks(blocks);
        }
        var said = new ArrayList<>(said(place.get().block()));
        said.removeIf(w -> w.isBlank() || w.equals(words) || without.contains(w));
        said.add(words);
        return dose.withBlocks(BlockNumbers.with(
                dose.blocks(), place.get().path(), b -> b.withWord(Apparatuses.WITH, String.join("; ", said))));
    }

    static Unit unit(Take take) {
        return switch (take) {
            case ANGLE -> Unit.DEGREE;
            case BENCH, BAND -> Unit.CENTIMETRE;
            case EFFORT -> Unit.PERCENT;
            case HOLD, TEMPO, PAUSE -> Unit.SECOND;
            case LOAD -> Unit.KILOGRAM;
            case STRAP, POSITION, SET_UP, DEEPER -> Unit.COUNT;
        };
    }

    static String label(Take take) {
        return switch (take) {
            case ANGLE -> "Angle";
            case BENCH -> "Bench";
            case BAND -> "Band stretched to";
            case STRAP -> "Strap mark";
            case EFFORT -> "Effort";
            case HOLD -> "Hold";
            case TEMPO -> "Each movement";
            case PAUSE -> "Pause at the end";
            case LOAD -> "Load";
            case POSITION, SET_UP, DEEPER -> "Set-up";
        };
    }
}
