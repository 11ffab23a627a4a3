package gradino.core.prescribe.method;

import gradino.core.because.Finding;
import gradino.core.because.Wording;
import gradino.core.body.Training;
import gradino.core.prescribe.block.Block;
import gradino.core.prescribe.block.Breathed;
import gradino.core.prescribe.block.Breathing;
import gradino.core.prescribe.block.Contraction;
import gradino.core.prescribe.block.EffortStep;
import gradino.core.prescribe.block.GradedSet;
import gradino.core.prescribe.block.Group;
import gradino.core.prescribe.block.Movement;
import gradino.core.prescribe.block.Quiet;
import gradino.core.prescribe.block.RampPattern;
import gradino.core.prescribe.method.BlockDraft.Tread;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Reads blocks as typed. What cannot be becomes a finding at its place, and the block is left out; reading goes on. */
public final class BlockReader {
    private static final int MOST_STEPS = 12;
    private static final int MOST_DEPTH = 3;

    private final BlockWorld world;
    private final List<Finding> findings;

    /**
     * What a block takes from its line.
     *
     * @param joint of the line's motion
     * @param press what is pressed against in the line's position
     * @param pull what is lifted off
     * @param lifts what a lift-off lifts
     */
    public record BlockWorld(String joint, String press, String pull, String lifts) {
        /** Of no line: a warm-up's. */
        public static final BlockWorld NONE = new BlockWorld("joint", "", "", Training.LIFTS);
    }

    public BlockReader(BlockWorld world, List<Finding> findings) {
        this.world = world;
        this.findings = findings;
    }

    public List<Block> all(List<BlockDraft> drafts, String path) {
        return all(drafts, path, 0);
    }

    private List<Block> all(List<BlockDraft> drafts, String path, int depth) {
        var blocks = new ArrayList<Block>();
        for (int i = 0; i < drafts.size(); i++) {
            read(drafts.get(i), path + "[" + i + "]", depth).ifPresent(blocks::add);
        }
        return blocks;
    }

    private Optional<Block> read(BlockDraft draft, String path, int depth) {
        int before = findings.size();
        known(draft, path);
        for (var parameter : BlockParameter.of(draft.form())) {
            bound(parameter, draft, path);
        }
        words(draft, path);
        var steps = steps(draft, path);
        var inside = inside(draft, path, depth);
        boolean readable = findings.subList(before, findings.size()).stream().noneMatch(Finding::blocks);
        return readable ? Optional.of(breathing(draft, block(draft, steps, inside))) : Optional.empty();
    }

    private void words(BlockDraft draft, String path) {
        for (var word : BlockWord.of(draft.form())) {
            if (!word.allows(draft.word(word.name(), ""))) {
                var choices =
                        word.choices().stream().map(BlockWord.Choice::value).collect(Collectors.joining(", "));
                say(path + ".words." + word.name(), "unknown-word", null, "", "One of: " + choices + ".");
            }
        }
        if (Breath.of(draft).isEmpty()) {
            var words = "In and out seconds, as 4:8, in at most 30, out at most 60; or free.";
            say(path + ".words." + Breath.WORD, "unknown-breath", null, "", words);
        }
    }

    private static Block breathing(BlockDraft draft, Block block) {
        return Breath.isNamed(draft) ? new Breathed(block, Breath.of(draft).orElseThrow()) : block;
    }

    private List<Block> inside(BlockDraft draft, String path, int depth) {
        if (draft.form() != BlockForm.GROUP) {
            return List.of();
        }
        if (depth >= MOST_DEPTH) {
            say(path, "too-deep", 3.0, "", "Rounds within rounds within rounds are enough: take one level out.");
            return List.of();
        }
        if (draft.blocks().isEmpty()) {
            findings.add(Finding.advice(path + ".blocks", "empty-group", null, "", "Nothing is in these rounds yet."));
        }
        return all(draft.blocks(), path + ".blocks", depth + 1);
    }

    private void known(BlockDraft draft, String path) {
        for (var name : new TreeSet<>(draft.numbers().keySet())) {
            if (BlockParameter.find(draft.form(), name).isEmpty()) {
                say(path + ".numbers." + name, "unknown-field", null, "", "This block has no '" + name + "'.");
            }
        }
    }

    private void bound(BlockParameter parameter, BlockDraft draft, String path) {
        double value = draft.number(parameter.name());
        if (!(value >= parameter.least() && value <= parameter.most())) {
            double bound = value > parameter.most() ? parameter.most() : parameter.least();
            say(
                    path + ".numbers." + parameter.name(),
                    "out-of-bounds",
                    bound,
                    parameter.unit(),
                    "%s: between %s and %s %s."
                            .formatted(
                                    Wording.capital(parameter.label()),
                                    plain(parameter.least()),
                                    plain(parameter.most()),
                                    parameter.unit())
                            .replace(" .", "."));
        }
    }

    private List<EffortStep> steps(BlockDraft draft, String path) {
        if (!draft.form().isRamp()) {
            return List.of();
        }
        var steps = new ArrayList<EffortStep>();
        int count = draft.steps().size();
        if (count < 1 || count > MOST_STEPS) {
            say(path + ".steps", "number-of-steps", 12.0, "", "A ramp has one to twelve steps.");
        }
        for (int i = 0; i < Math.min(count, MOST_STEPS); i++) {
            step(draft.steps().get(i), path + ".steps[" + i + "]").ifPresent(steps::add);
        }
        rising(steps, path);
        return steps;
    }

    private Optional<EffortStep> step(Tread tread, String path) {
        boolean effort = tread.effort() >= 1 && tread.effort() <= 100;
        boolean seconds = tread.seconds() >= 1 && tread.seconds() <= 600;
        if (!effort) {
            say(path + ".effort", "out-of-bounds", tread.effort() > 100 ? 100.0 : 1.0, "%", "Between 1 and 100 %.");
        }
        if (!seconds) {
            say(path + ".seconds", "out-of-bounds", tread.seconds() > 600 ? 600.0 : 1.0, "s", "Between 1 and 600 s.");
        }
        return effort && seconds
                ? Optional.of(
                        new EffortStep(EffortPercent.of((int) Math.round(tread.effort())), whole(tread.seconds())))
                : Optional.empty();
    }

    private void rising(List<EffortStep> steps, String path) {
        for (int i = 1; i < steps.size(); i++) {
            if (steps.get(i).effort().compareTo(steps.get(i - 1).effort()) <= 0) {
                var message = "Step %d must lie above step %d: raise it or take it out.".formatted(i + 1, i);
                double before = steps.get(i - 1).effort().value();
                say(path + ".steps[" + i + "].effort", "ramp-not-rising", before, "%", message);
                return;
            }
        }
    }

    private Block block(BlockDraft d, List<EffortStep> steps, List<Block> inside) {
        return switch (d.form()) {
            case PRESS_RAMP, PULL_RAMP, GRADED_SET, CONTRACT_RELAX, HANDS_OFF_HOLD -> contraction(d, steps);
            case CONTROLLED_ROTATION, PULSES, SIDESTEP_ROUNDS, TRANSITION -> free(d);
            case LIFT_OFF, ECCENTRIC, LOADED_STRETCH -> loaded(d);
            case RELEASE, SUPPORTED_HOLD, SETTLE, REST, PROP, RE_MEASURE, MOVEMENT_RETEST -> quiet(d);
            case GROUP -> new Group(inside, whole(d, "rounds"), whole(d, "rest"), d.number("rise"));
        };
    }

    private Block contraction(BlockDraft d, List<EffortStep> steps) {
        return switch (d.form()) {
            case PRESS_RAMP, PULL_RAMP -> ramp(d, steps);
            case GRADED_SET -> graded(d, steps);
            case CONTRACT_RELAX ->
                new Contraction.ContractRelax(
                        whole(d, "contract"),
                        effort(d),
                        whole(d, "relax"),
                        whole(d, "cycles"),
                        d.word("contact", world.press()));
            case HANDS_OFF_HOLD ->
                new Contraction.HandsOffHold(
                        whole(d, "repetitions"),
                        whole(d, "re-stretch"),
                        whole(d, "hold"),
                        whole(d, "sets"),
                        whole(d, "rest"),
                        effort(d));
            default -> throw new IllegalStateException(d.form() + " is no contraction");
        };
    }

    private Block free(BlockDraft d) {
        return switch (d.form()) {
            case CONTROLLED_ROTATION ->
                new Movement.ControlledRotation(
                        d.word("joint", world.joint()),
                        whole(d, "repetitions"),
                        whole(d, "seconds"),
                        whole(d, "tension"),
                        d.word("waypoints", ""));
            case PULSES ->
                new Movement.Pulses(
                        whole(d, "repetitions"), whole(d, "in"), whole(d, "out"), d.word("contact", ""), effort(d));
            case SIDESTEP_ROUNDS ->
                new Movement.SidestepRounds(
                        whole(d, "rounds"),
                        whole(d, "away"),
                        whole(d, "into"),
                        whole(d, "attempts"),
                        whole(d, "rest"),
                        d.word("contact", ""),
                        effort(d));
            case TRANSITION ->
                new Movement.Transition(
                        d.word("cue", "Move slowly from end to end"),
                        whole(d, "repetitions"),
                        whole(d, "seconds"),
                        whole(d, "pause"),
                        isDeep(d));
            default -> throw new IllegalStateException(d.form() + " is no free movement");
        };
    }

    private Block loaded(BlockDraft d) {
        return switch (d.form()) {
            case LIFT_OFF ->
                new Movement.LiftOff(
                        d.word("part", world.lifts()),
                        whole(d, "repetitions"),
                        whole(d, "hold"),
                        whole(d, "rest"),
                        d.number("height"),
                        d.number("load"),
                        effort(d));
            case ECCENTRIC ->
                new Movement.Eccentric(
                        whole(d, "repetitions"),
                        whole(d, "lowering"),
                        whole(d, "return"),
                        d.number("load"),
                        Movement.Mover.valueOf(constant(d.word("moves", "self"))),
                        d.word("contact", world.press()),
                        effort(d));
            case LOADED_STRETCH ->
                new Movement.LoadedStretch(
                        d.number("load"),
                        whole(d, "repetitions"),
                        whole(d, "down"),
                        whole(d, "pause"),
                        whole(d, "up"),
                        isDeep(d),
                        effort(d));
            default -> throw new IllegalStateException(d.form() + " is no loaded movement");
        };
    }

    private static boolean isDeep(BlockDraft d) {
        return d.number(RoleNumber.ZONE) >= RoleNumber.DEEP;
    }

    private static Block quiet(BlockDraft d) {
        return switch (d.form()) {
            case RELEASE ->
                new Quiet.Release(d.word("area", "the area"), d.word("tool", "a ball"), whole(d, "seconds"));
            case SUPPORTED_HOLD -> new Quiet.SupportedHold(held(d), whole(d, "sensation"), d.word("cue", ""));
            case SETTLE -> new Quiet.Settle(whole(d, "seconds"), new Breathing(whole(d, "in"), whole(d, "out")));
            case REST -> new Quiet.Rest(whole(d, "seconds"));
            case PROP -> new Quiet.Prop(Apparatuses.of(d), d.word(Apparatuses.WITH, ""), whole(d, "seconds"));
            case RE_MEASURE -> new Quiet.ReMeasure(d.word("what", "the range"), whole(d, "seconds"));
            case MOVEMENT_RETEST ->
                new Quiet.MovementRetest(
                        d.word("movement", "deep squat"),
                        d.word("told", "grade").equals("grade"),
                        whole(d, "seconds"));
            default -> throw new IllegalStateException(d.form() + " is no quiet block");
        };
    }

    /** Seconds, or breaths of the block's own length where breaths are named. */
    private static int held(BlockDraft d) {
        return whole(Breath.heldSeconds(d));
    }

    private Block ramp(BlockDraft d, List<EffortStep> steps) {
        boolean press = d.form() == BlockForm.PRESS_RAMP;
        var contact = d.word("contact", press ? world.press() : world.pull());
        return new Contraction.Ramp(press, contact, steps, whole(d, "top-hold"), whole(d, "down"));
    }

    private Block graded(BlockDraft d, List<EffortStep> steps) {
        int settle = whole(d, "settle");
        return new GradedSet(
                GradedSet.Order.valueOf(constant(d.word("order", "press-pull"))),
                new RampPattern(steps),
                EffortPercent.of(whole(d, "ceiling")),
                whole(d, "top-hold"),
                whole(d, "pull"),
                whole(d, "sets"),
                settle == 0 ? null : new Quiet.Settle(settle, new Breathing(whole(d, "in"), whole(d, "out"))),
                whole(d, "rest"),
                new GradedSet.Contacts(d.word("contact", world.press()), d.word("pull-contact", world.pull())));
    }

    private static String constant(String word) {
        return word.toUpperCase(Locale.ROOT).replace('-', '_');
    }

    private static EffortPercent effort(BlockDraft d) {
        return EffortPercent.of(whole(d, "effort"));
    }

    private static int whole(BlockDraft d, String name) {
        return whole(d.number(name));
    }

    private static int whole(double value) {
        return (int) Math.round(value);
    }

    private void say(String path, String code, @Nullable Double bound, String unit, String message) {
        findings.add(Finding.blocking(path, code, bound, unit, message));
    }

    private static String plain(double bound) {
        return bound == Math.rint(bound) ? String.valueOf((long) bound) : String.valueOf(bound);
    }
}
