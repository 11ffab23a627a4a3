package gradino.core.prescribe.block;

import gradino.core.quantity.OutOfBoundsException;

/** In and out seconds of one breath; both 0 where it is left free. */
public record Breathing(int inSeconds, int outSeconds) {
    /** Six seconds a breath where a block names none; split 2:4 (house rule: the exhale is the longer half). */
    public static final Breathing USUAL = new Breathing(2, 4);

    /** As it comes. */
    public static final Breathing FREE = new Breathing(0, 0);

    public Breathing {
        boolean free = inSeconds == 0 && outSeconds == 0;
        if (!free) {
            bound(inSeconds, outSeconds);
        }
    }

    private static void bound(int inSeconds, int outSeconds) {
        OutOfBoundsException.require("inSeconds", inSeconds, 1, 30, "s");
        OutOfBoundsException.require("outSeconds", outSeconds, 1, 60, "s");
    }

    /** Of one breath; a free one counts as usual. */
    public int seconds() {
        return isFree() ? USUAL.seconds() : inSeconds + outSeconds;
    }

    public boolean isFree() {
        return inSeconds + outSeconds == 0;
    }

    /** {@code wanted} seconds rounded to whole breaths, at least one. */
    public int wholeBreaths(int wanted) {
        return Math.max(1, Math.round((float) wanted / seconds())) * seconds();
    }

    public BreathPhase phaseAt(int secondOfBlock) {
        if (isFree()) {
            return BreathPhase.FREE;
        }
        return Math.floorMod(secondOfBlock, seconds()) < inSeconds ? BreathPhase.IN : BreathPhase.OUT;
    }

    /** in 4 s, out 8 s */
    @Override
    public String toString() {
        return isFree() ? "free" : "in %d s, out %d s".formatted(inSeconds, outSeconds);
    }
}
