package gradino.core.prescribe.method;

import gradino.core.prescribe.block.Breathing;
import java.util.Optional;
import java.util.regex.Pattern;

/** The breath that a block names: {@code 4:8}, or free. */
public final class Breath {
    public static final String WORD = "breath";

    private static final Pattern IN_OUT = Pattern.compile("(\\d{1,2}):(\\d{1,2})");
    private static final Pattern SAID = Pattern.compile("(?i)\\b(breathe|breath|inhale|exhale)\\b");

    private Breath() {}

    /** Six seconds where it names none; empty where what it names cannot be. */
    public static Optional<Breathing> of(BlockDraft block) {
        var said = block.word(WORD, "").strip();
        if (said.isEmpty()) {
            return Optional.of(Breathing.USUAL);
        } else if (said.equals("free")) {
            return Optional.of(Breathing.FREE);
        }
        var found = IN_OUT.matcher(said);
        if (!found.matches()) {
            return Optional.empty();
        }
        int in = Integer.parseInt(found.group(1));
        int out = Integer.parseInt(found.group(2));
        return in >= 1 && in <= 30 && out >= 1 && out <= 60 ? Optional.of(new Breathing(in, out)) : Optional.empty();
    }

    /** How long a supported hold lasts: its breaths, or its seconds. */
    public static double heldSeconds(BlockDraft hold) {
        double breaths = hold.number("breaths");
        return breaths > 0 ? breaths * of(hold).orElse(Breathing.USUAL).seconds() : hold.number("seconds");
    }

    static boolean isNamed(BlockDraft block) {
        return !block.word(WORD, "").isBlank();
    }

    /** Whether a cue tells how to breathe, beside a pacer that does. */
    public static boolean isToldTwice(BlockDraft block) {
        return SAID.matcher(block.word("cue", "")).find()
                && of(block).filter(b -> !b.isFree()).isPresent();
    }
}
