package gradino.core.advance.lever;

import gradino.core.advance.state.LeverId;
import gradino.core.advance.state.Policy;
import gradino.core.advance.state.Threshold;
import gradino.core.because.Source;
import gradino.core.because.Unit;
import gradino.core.body.DataFile;
import gradino.core.prescribe.method.BlockForm;
import gradino.core.prescribe.method.BlockParameter;
import java.util.List;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/**
 * What a word of a method's ladder moves in a line, from {@code ladder-steps.csv}: a word may name several numbers, the
 * first that has room is moved.
 *
 * @param usualStep what one step adds where the policy says nothing of it
 * @param policyStep the policy's number for it; null where it has none
 * @param label of the number, for a reader
 */
record LadderStep(
        String word,
        LeverId lever,
        BlockForm form,
        String number,
        double usualStep,
        @Nullable Threshold policyStep,
        String label,
        Unit unit,
        Source source) {
    private static final List<LadderStep> ALL = DataFile.rows("ladder-steps.csv", LadderStep::row);

    static List<LadderStep> of(String word) {
        return ALL.stream().filter(s -> s.word().equals(word)).toList();
    }

    double step(Policy policy) {
        return policyStep == null ? usualStep : policy.value(policyStep);
    }

    private static LadderStep row(CSVRecord row) {
        var form = BlockForm.byId(row.get("form")).orElseThrow(() -> new IllegalArgumentException("no such form"));
        var parameter = BlockParameter.find(form, row.get("number"))
                .orElseThrow(() -> new IllegalArgumentException(form + " has no " + row.get("number")));
        return new LadderStep(
                row.get("word"),
                LeverId.valueOf(row.get("lever")),
                form,
                parameter.name(),
                Double.parseDouble(row.get("step")),
                row.get("policy").isEmpty() ? null : Threshold.valueOf(row.get("policy")),
                row.get("label"),
                parameter.spoken(),
                Source.parse(row.get("source")));
    }
}
