package gradino.core.prescribe.block;

import java.util.List;

/** A block with a breath of its own. */
public record Breathed(Block block, Breathing breathing) implements Block {
    @Override
    public List<Part> parts() {
        return block.parts().stream()
                .map(p -> p.leaf() instanceof Quiet.Settle ? p : new Part(p.leaf(), p.set(), p.sets(), breathing))
                .toList();
    }

    @Override
    public int seconds() {
        return block.seconds();
    }

    @Override
    public String inWords() {
        return block.inWords() + (breathing.isFree() ? " Breathe as you like." : " Breathe %s.".formatted(breathing));
    }
}
