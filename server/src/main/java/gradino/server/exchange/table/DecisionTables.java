package gradino.server.exchange.table;

import gradino.core.advance.state.Event.Answer;
import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.advance.state.LeverId;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.server.advance.line.DecisionRepository.StoredDecision;
import java.util.Arrays;
import java.util.List;

/** Decisions. */
public final class DecisionTables {
    private DecisionTables() {}

    public static final CsvTable<StoredDecision> DECISIONS = new CsvTable<>(
            "decisions.csv",
            List.of(
                    "decision_id",
                    "line_id",
                    "side",
                    "answer",
                    "proposed",
                    "lever",
                    "dose_before",
                    "dose_after",
                    "reason",
                    "happened_at",
                    "recorded_at",
                    "policy_version",
                    "engine_version",
                    "undone_at"),
            1,
            d -> Arrays.asList(
                    d.decided().id(),
                    d.lineId(),
                    CsvRow.word(d.decided().side()),
                    CsvRow.word(d.decided().answer()),
                    CsvRow.word(d.decided().proposed()),
                    CsvRow.word(d.decided().lever()),
                    DoseText.of(d.decided().before()),
                    DoseText.of(d.decided().after()),
                    d.reason(),
                    d.decided().happenedAt(),
                    d.decided().recordedAt(),
                    d.policyVersion(),
                    d.engineVersion(),
                    d.undoneAt()),
            DecisionTables::decision);

    private static StoredDecision decision(CsvRow r) {
        var decided = new DoseDecided(
                r.required("decision_id"),
                r.choice("side", Side.LEFT),
                r.choice("answer", Answer.ACCEPTED),
                r.choice("proposed", Verdict.STAY),
                r.optionalChoice("lever", LeverId.class),
                r.read("dose_before", DoseText.NONE, DoseText::parse),
                r.read("dose_after", DoseText.NONE, DoseText::parse),
                r.instant("happened_at"),
                r.instant("recorded_at"));
        return new StoredDecision(
                r.required("line_id"),
                decided,
                r.text("reason"),
                null,
                null,
                r.required("policy_version"),
                r.required("engine_version"),
                r.isEmpty("undone_at") ? null : r.instant("undone_at"));
    }
}
