package gradino.server.exchange;

import gradino.core.because.Finding;
import gradino.server.exchange.ImportService.Stores;
import gradino.server.exchange.table.CsvRow;
import gradino.server.exchange.table.SessionTables.RunRow;
import gradino.server.home.NoteRepository.Note;
import gradino.server.intake.ClientNoteRepository.ClientNote;
import gradino.server.perform.force.TraceRepository.StoredReference;
import gradino.server.perform.force.TraceRepository.StoredTrace;
import gradino.server.perform.record.BlockRepository.StoredBlock;
import gradino.server.perform.record.RecordRepository.Morning;
import java.util.ArrayList;
import java.util.List;

/** Stores what was run and what was told of it: the rows of one import that lean on runs. */
final class ImportedRuns {
    private final Stores stores;
    private final List<Finding> findings;
    private final ImportFacts facts;
    private final List<StoredBlock> newBlocks = new ArrayList<>();

    ImportedRuns(Stores stores, List<Finding> findings, ImportFacts facts) {
        this.stores = stores;
        this.findings = findings;
        this.facts = facts;
    }

    /** What was run is history: it is kept as it was, whatever is restricted since. */
    boolean run(CsvRow row, RunRow r) {
        var run = r.run();
        var closed = r.closed();
        boolean fine = facts.knowsClient(row, run.clientId())
                && facts.past(row, "started_at", run.happenedAt())
                && (closed == null || facts.past(row, "ended_at", closed.happenedAt()))
                && facts.isReadable(row, "session_json", run.clientId(), run.draft());
        if (!fine || !findings.isEmpty() || !facts.run(run.id())) {
            return false;
        }
        stores.runs().open(run, null);
        if (closed != null) {
            stores.records().close(closed);
        }
        return true;
    }

    boolean block(CsvRow row, StoredBlock b) {
        boolean isNew = facts.knowsRun(row, b.runId())
                && facts.past(row, "happened_at", b.happenedAt())
                && !stores.blocks().has(b.id());
        if (isNew && newBlocks.add(b) && newBlocks.size() == ImportRun.AT_A_TIME) {
            flush();
        }
        return isNew;
    }

    boolean morning(CsvRow row, Morning m) {
        boolean isNew = facts.knowsRun(row, m.runId())
                && facts.past(row, "happened_at", m.happenedAt())
                && findings.isEmpty()
                && !stores.records().hasMorning(m.id());
        if (isNew) {
            stores.records().addMorning(m);
        }
        return isNew;
    }

    boolean note(CsvRow row, Note n) {
        return facts.knowsClient(row, n.clientId())
                && facts.past(row, "happened_at", n.happenedAt())
                && findings.isEmpty()
                && stores.notes().add(n);
    }

    boolean clientNote(CsvRow row, ClientNote n) {
        return facts.knowsClient(row, n.clientId())
                && facts.past(row, "recorded_at", n.recordedAt())
                && ImportFacts.says(
                        row,
                        n.corrects() == null || isNoteOf(n.clientId(), n.corrects()),
                        "corrects",
                        "unknown",
                        "is no note of this client.")
                && findings.isEmpty()
                && stores.clientNotes().add(n);
    }

    private boolean isNoteOf(String clientId, String noteId) {
        return stores.clientNotes()
                .find(noteId)
                .filter(n -> n.clientId().equals(clientId))
                .isPresent();
    }

    boolean reference(CsvRow row, StoredReference r) {
        return facts.knowsClient(row, r.clientId())
                && (r.runId() == null || facts.knowsRun(row, r.runId()))
                && facts.past(row, "happened_at", r.happenedAt())
                && findings.isEmpty()
                && stores.traces().add(r);
    }

    boolean trace(CsvRow row, StoredTrace t) {
        return facts.knowsRun(row, t.runId())
                && facts.past(row, "happened_at", t.happenedAt())
                && findings.isEmpty()
                && stores.traces().add(t);
    }

    /** The kind with many rows, some at a time. */
    void flush() {
        stores.blocks().addBlocks(newBlocks);
        newBlocks.clear();
    }
}
