package gradino.core.prescribe.program;

import gradino.core.because.Finding;
import gradino.core.prescribe.method.Apparatuses;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.Breath;
import gradino.core.prescribe.program.SessionContext.LineFacts;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What the order and the size of a side's blocks say: common practice, no source, but for a newcomer's limits (house rule). */
final class BlockCheck {
    static final int LONGEST_SUPPORTED_HOLD = 120;

    private final LineFacts facts;
    private final String at;
    private final boolean liftsLater;
    private final List<Finding> findings;

    /** @param liftsLater whether another line of the same motion brings lift-offs after this one */
    BlockCheck(LineFacts facts, String at, boolean liftsLater, List<Finding> findings) {
        this.facts = facts;
        this.at = at;
        this.liftsLater = liftsLater;
        this.findings = findings;
    }

    void check(List<BlockDraft> blocks) {
        if (blocks.isEmpty()) {
            return;
        }
        boolean lifted = facts.liftOffsMastered();
        for (int i = 0; i < blocks.size(); i++) {
            var block = blocks.get(i);
            var path = at + "[" + i + "]";
            if (block.form() == BlockForm.RELEASE && !isActivated(blocks, i)) {
                advise(path, "release-alone", null, "", "A release is followed by activating the same area: add it.");
            }
            lifted |= contains(block, BlockForm.LIFT_OFF);
            if (block.form() == BlockForm.TRANSITION && !lifted && (liftsLater || liftsAfter(blocks, i))) {
                advise(
                        path,
                        "transition-early",
                        null,
                        "",
                        "Lift-offs come before transitions: put this one after them.");
            }
            sizes(block, path);
        }
    }

    private void sizes(BlockDraft block, String path) {
        if (Breath.isToldTwice(block)) {
            var words = "The pacer says when to breathe: leave it out of the cue, or set the breath free.";
            advise(path + ".words.cue", "breath-told-twice", null, "", words);
        }
        if (Apparatuses.lacksLine(block)) {
            var words = "Read the band at two lengths first: without its line nobody knows how hard it pulls.";
            advise(path + ".numbers.band-length", "band-without-line", null, "", words);
        }
        switch (block.form()) {
            case SUPPORTED_HOLD -> hold(block, path);
            case GRADED_SET, PRESS_RAMP, PULL_RAMP -> effort(block, path);
            case ECCENTRIC, LOADED_STRETCH, LIFT_OFF -> load(block, path);
            case GROUP -> {
                for (int i = 0; i < block.blocks().size(); i++) {
                    sizes(block.blocks().get(i), path + ".blocks[" + i + "]");
                }
            }
            default -> {}
        }
    }

    private void hold(BlockDraft block, String path) {
        double breaths = block.number("breaths");
        double seconds = Breath.heldSeconds(block);
        var place = path + ".numbers." + (breaths > 0 ? "breaths" : "seconds");
        if (seconds > LONGEST_SUPPORTED_HOLD) {
            stop(place, "hold-too-long", LONGEST_SUPPORTED_HOLD, "s", "Supported holds end at 120 s: shorten it.");
        } else if (facts.newcomer() && seconds > FirstDose.NEWCOMER_HOLD) {
            advise(
                    place,
                    "newcomer-hold",
                    (double) FirstDose.NEWCOMER_HOLD,
                    "s",
                    "A newcomer begins with at most %d s.".formatted(FirstDose.NEWCOMER_HOLD));
        }
    }

    private void effort(BlockDraft block, String path) {
        double top = block.steps().stream()
                .mapToDouble(BlockDraft.Tread::effort)
                .max()
                .orElse(0);
        boolean graded = block.form() == BlockForm.GRADED_SET;
        double peak = graded ? block.number("ceiling") : top;
        if (facts.newcomer() && peak > FirstDose.NEWCOMER_CEILING) {
            advise(
                    graded ? path + ".numbers.ceiling" : path + ".steps",
                    "newcomer-ceiling",
                    (double) FirstDose.NEWCOMER_CEILING,
                    "%",
                    "A newcomer begins with at most %d %%.".formatted(FirstDose.NEWCOMER_CEILING));
        }
    }

    private void load(BlockDraft block, String path) {
        if (block.number("load") > 0 && !facts.unloadedMastered()) {
            advise(
                    path + ".numbers.load",
                    "load-early",
                    0.0,
                    "kg",
                    "First without weight, at top repetitions twice; then the smallest load.");
        }
    }

    private static boolean liftsAfter(List<BlockDraft> blocks, int transition) {
        return blocks.subList(transition + 1, blocks.size()).stream().anyMatch(b -> contains(b, BlockForm.LIFT_OFF));
    }

    static boolean hasLifts(LineDraft line) {
        return Stream.concat(line.left().stream(), line.right().stream())
                .anyMatch(b -> contains(b, BlockForm.LIFT_OFF));
    }

    private static boolean isActivated(List<BlockDraft> blocks, int release) {
        return blocks.subList(release + 1, blocks.size()).stream().anyMatch(BlockCheck::activates);
    }

    private static boolean activates(BlockDraft block) {
        return block.form().activates() || block.blocks().stream().anyMatch(BlockCheck::activates);
    }

    private static boolean contains(BlockDraft block, BlockForm form) {
        return block.form() == form || block.blocks().stream().anyMatch(b -> contains(b, form));
    }

    private void advise(String path, String code, @Nullable Double bound, String unit, String message) {
        findings.add(Finding.advice(path, code, bound, unit, message));
    }

    private void stop(String path, String code, double bound, String unit, String message) {
        boolean said = findings.stream().anyMatch(f -> f.path().equals(path) && f.blocks());
        Optional.of(Finding.blocking(path, code, bound, unit, message))
                .filter(f -> !said)
                .ifPresent(findings::add);
    }
}
