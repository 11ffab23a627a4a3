package gradino.core.prescribe.method;

import gradino.core.prescribe.block.Apparatus;
import java.util.List;
import java.util.Optional;

/** What a dose says of bench, incline, strap and band: the first block that names them counts. */
public final class Apparatuses {
    public static final String BENCH = "bench";
    public static final String INCLINE = "incline";
    public static final String STRAP = "strap";
    public static final String BAND = "band-length";
    public static final String BAND_SLACK = "band-slack";
    public static final String BAND_FORCE = "band-force";

    /** What else is set up, in words. */
    public static final String WITH = "with";

    private Apparatuses() {}

    public static Optional<BlockNumbers.Place> place(List<BlockDraft> blocks) {
        return BlockNumbers.of(blocks, BlockForm.PROP).stream().findFirst();
    }

    /** None where nothing is named. */
    public static Apparatus of(List<BlockDraft> blocks) {
        return place(blocks).map(p -> of(p.block())).orElse(Apparatus.NONE);
    }

    static Apparatus of(BlockDraft block) {
        return new Apparatus(
                block.number(BENCH),
                block.number(INCLINE),
                block.number(STRAP),
                block.word("band", ""),
                block.number(BAND));
    }

    /** Whether a band is stretched beyond its own length, as far as its line is known. */
    static boolean pulls(List<BlockDraft> blocks) {
        return place(blocks)
                .map(BlockNumbers.Place::block)
                .filter(b -> !lacksLine(b) && b.number(BAND) > b.number(BAND_SLACK) && b.number(BAND) > 0)
                .isPresent();
    }

    /** Whether it says how far a band is stretched, but not how hard that pulls. */
    public static boolean lacksLine(BlockDraft block) {
        return block.form() == BlockForm.PROP
                && block.number(BAND) > 0
                && (block.number(BAND_SLACK) <= 0 || block.number(BAND_FORCE) <= 0);
    }
}
