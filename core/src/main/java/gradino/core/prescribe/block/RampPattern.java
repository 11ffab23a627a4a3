package gradino.core.prescribe.block;

import gradino.core.quantity.EffortPercent;
import gradino.core.quantity.OutOfBoundsException;
import java.util.ArrayList;
import java.util.List;

/** A staircase of effort, one to twelve treads. Whether it rises is a finding, not an error: coaches type it step by step. */
public record RampPattern(List<EffortStep> steps) {
    public RampPattern {
        steps = List.copyOf(steps);
        OutOfBoundsException.require("number of ramp steps", steps.size(), 1, 12, "");
    }

    /** Steps above the ceiling are dropped and the ceiling is the last step: 20·40·60·80·100 under 50 is 20·40·50. */
    public List<EffortStep> cappedAt(EffortPercent ceiling) {
        var capped = new ArrayList<EffortStep>();
        for (var step : steps) {
            if (step.effort().compareTo(ceiling) < 0) {
                capped.add(step);
            } else {
                capped.add(new EffortStep(ceiling, step.seconds()));
                return List.copyOf(capped);
            }
        }
        capped.add(new EffortStep(ceiling, steps.get(steps.size() - 1).seconds()));
        return List.copyOf(capped);
    }

    /** Index of the first step that does not lie above the one before it, or −1. */
    public int firstNotRising() {
        for (int i = 1; i < steps.size(); i++) {
            if (steps.get(i).effort().compareTo(steps.get(i - 1).effort()) <= 0) {
                return i;
            }
        }
        return -1;
    }
}
