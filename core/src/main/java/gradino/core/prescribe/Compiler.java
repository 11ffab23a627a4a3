package gradino.core.prescribe;

import gradino.core.body.Catalogue;
import gradino.core.body.Position;
import gradino.core.body.Side;
import gradino.core.prescribe.Timeline.BreathMark;
import gradino.core.prescribe.Timeline.Phase;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Unfolds a {@link Plan} into its {@link Timeline}: the first side whole, then the side change, then the other side. */
public final class Compiler {
    private static final EffortPercent SHALLOW_ABOVE = EffortPercent.of(50);
    private static final int RE_STRETCH_SECONDS = 5;

    private final Plan plan;
    private final Position position;
    private final String joint;
    private final List<Phase> phases = new ArrayList<>();
    private int now;

    private Compiler(Plan plan) {
        this.plan = plan;
        this.position = Catalogue.position(plan.position())
                .orElseThrow(() -> new IllegalArgumentException("unknown position " + plan.position()));
        this.joint = Catalogue.motion(plan.motion())
                .orElseThrow(() -> new IllegalArgumentException("unknown motion " + plan.motion()))
                .joint();
    }

    /** @throws IllegalArgumentException for a motion or position outside the catalogue */
    public static Timeline compile(Plan plan) {
        var compiler = new Compiler(plan);
        var first = plan.firstSide();
        compiler.add(first, 0, new Block.SetUp(plan.setUpSeconds(), compiler.setUpCue(first)));
        compiler.side(first);
        var second = first.other();
        compiler.add(second, 0, new Block.SideChange(plan.sideChangeSeconds(), compiler.setUpCue(second)));
        compiler.side(second);
        return new Timeline(compiler.phases);
    }

    /** How long the compiled timeline would be, without making it. */
    public static int secondsOf(Plan plan) {
        var compiler = new Compiler(plan);
        int seconds = plan.setUpSeconds() + plan.sideChangeSeconds();
        for (var side : Side.PAIR) {
            var dose = plan.dose(side);
            seconds += length(compiler.opening(dose)) + dose.sets() * length(compiler.set(dose));
            seconds += length(closing(dose));
        }
        return seconds;
    }

    private static int length(List<Block> blocks) {
        int seconds = 0;
        for (var block : blocks) {
            seconds += block.seconds();
        }
        return seconds;
    }

    private String setUpCue(Side side) {
        var which = Character.toUpperCase(side.word().charAt(0)) + side.word().substring(1);
        return which + " side: " + position.name();
    }

    private void side(Side side) {
        var dose = plan.dose(side);
        opening(dose).forEach(block -> add(side, 0, block));
        for (int set = 1; set <= dose.sets(); set++) {
            for (var block : set(dose)) {
                add(side, set, block);
            }
        }
        closing(dose).forEach(block -> add(side, 0, block));
    }

    private List<Block> opening(Dose dose) {
        return List.of(
                new Block.ControlledRotation(joint, plan.rotationsEachWay(), plan.secondsPerCircle()),
                new Block.SupportedHold(dose.supportedHoldSeconds()));
    }

    private List<Block> set(Dose dose) {
        var blocks = new ArrayList<Block>();
        var press = plan.press().cappedAt(dose.ceiling());
        blocks.add(new Block.Ramp(true, position.press(), press, dose.topHoldSeconds()));
        if (plan.pullSeconds() > 0) {
            var pull = List.of(new EffortStep(dose.ceiling(), plan.pullSeconds()));
            blocks.add(new Block.Ramp(false, position.pull(), pull, 0));
        }
        if (plan.settleSeconds() > 0) {
            blocks.add(new Block.Settle(plan.settleSeconds(), plan.settleBreathing()));
        }
        return blocks;
    }

    private static List<Block> closing(Dose dose) {
        return dose.hasHandsOff()
                ? List.of(new Block.HandsOffHold(
                        dose.handsOffRepetitions(), RE_STRETCH_SECONDS, dose.handsOffSeconds(), dose.ceiling()))
                : List.of();
    }

    private void add(Side side, int set, Block block) {
        var name = block.kind().name().toLowerCase(Locale.ROOT).replace('_', '-');
        var id = set == 0 ? side.word() + "-" + name : side.word() + "-" + set + "-" + name;
        int blockStart = now;
        for (var draft : block.phases()) {
            if (draft.seconds() > 0) {
                phases.add(phase(side, set, id, block, draft, blockStart));
                now += draft.seconds();
            }
        }
    }

    private Phase phase(Side side, int set, String id, Block block, Block.Draft draft, int blockStart) {
        return new Phase(
                now,
                now + draft.seconds(),
                side,
                id,
                block.kind(),
                draft.kind(),
                draft.from(),
                draft.to(),
                draft.cue(),
                draft.contact(),
                set,
                set == 0 ? 0 : plan.dose(side).sets(),
                draft.count(),
                draft.counts(),
                breaths(draft, block.breathing(), blockStart));
    }

    private List<BreathMark> breaths(Block.Draft draft, Breathing breathing, int blockStart) {
        if (draft.to().compareTo(SHALLOW_ABOVE) > 0) {
            return List.of(new BreathMark(now, BreathPhase.SHALLOW));
        }
        var marks = new ArrayList<BreathMark>();
        for (int t = now; t < now + draft.seconds(); t++) {
            var phase = breathing.phaseAt(t - blockStart);
            if (marks.isEmpty() || marks.get(marks.size() - 1).phase() != phase) {
                marks.add(new BreathMark(t, phase));
            }
        }
        return List.copyOf(marks);
    }
}
