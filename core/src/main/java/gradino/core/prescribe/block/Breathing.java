package gradino.core.prescribe.block;

import gradino.core.quantity.OutOfBoundsException;

/** In and out seconds of one breath. */
public record Breathing(int inSeconds, int outSeconds) {
    /** Six seconds a breath where a block names none; split 2:4 (house rule: the exhale is the longer half). */
    public static final Breathing USUAL = new Breathing(2, 4);

    public Breathing {
        OutOfBoundsException.require("inSeconds", inSeconds, 1, 30, "s");
        OutOfBoundsException.require("outSeconds", outSeconds, 1, 60, "s");
    }

    public int seconds() {
        return inSeconds + outSeconds;
    }

    /** {@code wanted} seconds rounded to whole breaths, at least one. */
    public int wholeBreaths(int wanted) {
        return Math.max(1, Math.round((float) wanted / seconds())) * seconds();
    }

    public BreathPhase phaseAt(int secondOfBlock) {
        return Math.floorMod(secondOfBlock, seconds()) < inSeconds ? BreathPhase.IN : BreathPhase.OUT;
    }
}
