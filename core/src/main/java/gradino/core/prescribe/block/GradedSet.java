package gradino.core.prescribe.block;

import gradino.core.prescribe.block.Contraction.Ramp;
import gradino.core.prescribe.block.Quiet.Rest;
import gradino.core.prescribe.block.Quiet.Settle;
import gradino.core.quantity.EffortPercent;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Press and pull in an order, a few times over, each set ended by a settle.
 *
 * @param press the whole staircase; the ceiling cuts it
 * @param topHoldSeconds on the top tread of each press
 * @param pullSeconds one pull at the ceiling; 0 for none
 * @param settle after each set; null for none
 * @param restSeconds between sets
 * @param contacts what is pressed against, and what is lifted off
 */
public record GradedSet(
        Order order,
        RampPattern press,
        EffortPercent ceiling,
        int topHoldSeconds,
        int pullSeconds,
        int sets,
        @Nullable Settle settle,
        int restSeconds,
        Contacts contacts)
        implements Block {

    /** Which way first. */
    public enum Order {
        PRESS_PULL,
        PULL_PRESS,
        PULL_PRESS_PULL,
        PRESS,
        PULL
    }

    /** Where the work meets something: floor, prop, strap, own hand, partner. */
    public record Contacts(String press, String pull) {}

    @Override
    public String inWords() {
        var each = new ArrayList<String>();
        ramps().forEach(ramp -> each.add(ramp.inWords()));
        if (settle != null) {
            each.add(settle.inWords());
        }
        return "%d %s: %s".formatted(sets, sets == 1 ? "set" : "sets", String.join(" ", each));
    }

    @Override
    public List<Part> parts() {
        var parts = new ArrayList<Part>();
        for (int set = 1; set <= sets; set++) {
            for (var ramp : ramps()) {
                parts.add(new Part(ramp, set, sets));
            }
            if (settle != null) {
                parts.add(new Part(settle, set, sets));
            }
            if (restSeconds > 0 && set < sets) {
                parts.add(new Part(new Rest(restSeconds), set, sets));
            }
        }
        return parts;
    }

    @Override
    public int seconds() {
        int set = settle == null ? 0 : settle.seconds();
        for (var ramp : ramps()) {
            set += ramp.seconds();
        }
        return sets * set + Math.max(0, sets - 1) * restSeconds;
    }

    private List<Ramp> ramps() {
        var up = new Ramp(true, contacts.press(), press.cappedAt(ceiling), topHoldSeconds);
        if (pullSeconds == 0 || order == Order.PRESS) {
            return order == Order.PULL ? List.of() : List.of(up);
        }
        var pull = new Ramp(false, contacts.pull(), List.of(new EffortStep(ceiling, pullSeconds)), 0);
        return switch (order) {
            case PRESS_PULL, PRESS -> List.of(up, pull);
            case PULL_PRESS -> List.of(pull, up);
            case PULL_PRESS_PULL -> List.of(pull, up, pull);
            case PULL -> List.of(pull);
        };
    }
}
