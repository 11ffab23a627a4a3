package gradino.server.exchange.table;

import gradino.core.body.Sided;
import gradino.core.prescribe.method.BlockDraft;
import gradino.core.prescribe.method.Dose;
import gradino.core.quantity.Degrees;
import java.util.List;

/** A dose in one cell: {@code angle=30;blocks=[…]}, the blocks as JSON. */
public final class DoseText {
    private static final String ANGLE = "angle=";
    private static final String BLOCKS = ";blocks=";

    /** Apparatuses in for a dose that could not be read, so that the reading of the row goes on. */
    static final Dose NONE = new Dose(Degrees.of(0), List.of());

    private DoseText() {}

    public static String of(Dose d) {
        return ANGLE + d.angle().value() + BLOCKS + CellJson.write(d.blocks());
    }

    public static Dose parse(String text) {
        int at = text.indexOf(BLOCKS);
        if (!text.startsWith(ANGLE) || at < 0) {
            throw new IllegalArgumentException("a dose is angle=…;blocks=[…]");
        }
        var angle = Degrees.of(Double.parseDouble(text.substring(ANGLE.length(), at)));
        return new Dose(angle, List.of(CellJson.read(text.substring(at + BLOCKS.length()), BlockDraft[].class)));
    }

    /** The columns {@code left_dose} and {@code right_dose}. */
    static Sided<Dose> sides(CsvRow r) {
        return new Sided<>(r.read("left_dose", NONE, DoseText::parse), r.read("right_dose", NONE, DoseText::parse));
    }
}
