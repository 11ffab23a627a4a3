package gradino.server.advance.line;

import gradino.core.advance.state.Event;
import gradino.core.body.Side;
import gradino.core.body.Sided;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.MeasuredEffort;
import gradino.core.perform.SessionRecord;
import gradino.core.prescribe.method.Dose;
import gradino.core.prescribe.program.SessionDraft.LineDraft;
import gradino.server.perform.force.TraceRepository;
import gradino.server.perform.force.TraceRepository.Judged;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.BlockRepository.StoredBlock;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.perform.record.RecordRepository.Held;
import gradino.server.perform.record.RecordRepository.Morning;
import gradino.server.perform.record.RunRepository;
import gradino.server.perform.record.RunRepository.Run;
import gradino.server.prescribe.program.Line;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What of the runs that a line was part of belongs to it. */
@Component
public class LineRuns {
    private final RunRepository runs;
    private final RecordRepository records;
    private final BlockRepository blockRows;
    private final TraceRepository traces;

    LineRuns(RunRepository runs, RecordRepository records, BlockRepository blockRows, TraceRepository traces) {
        this.runs = runs;
        this.records = records;
        this.blockRows = blockRows;
        this.traces = traces;
    }

    /** What was done of each line, by its id, in the order of time. */
    public Map<String, List<SessionRecord>> records(Collection<Line> lines) {
        var read = read(lines.stream().map(Line::id).toList());
        var found = new HashMap<String, List<SessionRecord>>();
        lines.forEach(line -> found.put(
                line.id(),
                read.held(line, new ArrayList<>()).stream().map(Held::record).toList()));
        return found;
    }

    /** All runs of some lines with what was logged of them. */
    Read read(Collection<String> lineIds) {
        return new Read(
                byLine(runs.ofLines(lineIds)),
                blockRows.blocksOfLines(lineIds).stream().collect(Collectors.groupingBy(StoredBlock::runId)),
                records.closedOfLines(lineIds).stream().collect(Collectors.toMap(Closed::runId, c -> c)),
                traces.judged(lineIds).stream().collect(Collectors.groupingBy(Judged::runId)),
                records.mornings(lineIds));
    }

    private static Map<String, List<Run>> byLine(List<Run> runs) {
        var found = new HashMap<String, List<Run>>();
        for (var run : runs) {
            run.draft()
                    .lines()
                    .forEach(line -> found.computeIfAbsent(line.id(), id -> new ArrayList<>())
                            .add(run));
        }
        return found;
    }

    /** As read: the runs by line, mornings as they came, everything else by run. */
    record Read(
            Map<String, List<Run>> runs,
            Map<String, List<StoredBlock>> blocks,
            Map<String, Closed> closes,
            Map<String, List<Judged>> heard,
            List<Morning> mornings) {

        /** Whether a line is part of a run. */
        boolean has(Line line, String runId) {
            return of(line).anyMatch(r -> r.id().equals(runId));
        }

        private Stream<Run> of(Line line) {
            return runs.getOrDefault(line.id(), List.of()).stream();
        }

        /** Answers after a line's runs; a later one for the same run corrects an earlier one. */
        List<Morning> mornings(Line line) {
            var own = of(line).map(Run::id).collect(Collectors.toSet());
            return mornings.stream().filter(m -> own.contains(m.runId())).toList();
        }

        /**
         * Runs in which something of the line was done or left, as sessions of it, in the order of time, with what gauges
         * said; word that came later than a session's own counts as of then.
         *
         * @param events of runs in which the line was not done a stop sign reaches it all the same
         */
        List<Held> held(Line line, List<Event> events) {
            var found = new ArrayList<Held>();
            for (var run : of(line).toList()) {
                var close = closes.get(run.id());
                if (close == null) {
                    continue;
                }
                var own = own(run, line, blocks.getOrDefault(run.id(), List.of()));
                if (own.isEmpty()) {
                    Gathering.elsewhere(close, events);
                } else {
                    var asked = run.line(line.id()).orElseThrow();
                    var held = RecordRepository.held(run, doses(asked), close, own);
                    found.add(with(held, run, asked, heard.getOrDefault(run.id(), List.of())));
                }
            }
            return found;
        }
    }

    private static List<StoredBlock> own(Run run, Line line, List<StoredBlock> blocks) {
        int number = run.number(line.id());
        boolean one = isOne(run.line(line.id()).orElseThrow());
        return blocks.stream()
                .filter(b -> b.block().blockId().line() == number)
                .map(b -> one ? inTheMiddle(b) : b)
                .toList();
    }

    private static boolean isOne(LineDraft asked) {
        return asked.sides().one();
    }

    /** Where one dose is for both sides, both did what either did. */
    private static StoredBlock inTheMiddle(StoredBlock stored) {
        BlockRecord block = stored.block();
        return new StoredBlock(
                stored.id(), stored.runId(), block.on(Side.MIDLINE), stored.happenedAt(), stored.recordedAt());
    }

    /** Should the line be split into its sides, each has done it. */
    private static Sided<Dose> doses(LineDraft asked) {
        return isOne(asked) ? Sided.both(asked.dose(Side.LEFT)) : Sided.of(asked::dose);
    }

    private static Held with(Held held, Run run, LineDraft asked, List<Judged> heard) {
        int number = run.number(asked.id());
        var own = heard.stream()
                .filter(j -> j.effort().blockId().line() == number)
                .toList();
        var latest = own.stream()
                .map(Judged::recordedAt)
                .max(Comparator.naturalOrder())
                .filter(held.recordedAt()::isBefore)
                .orElse(held.recordedAt());
        var efforts = own.stream()
                .map(Judged::effort)
                .map(e -> isOne(asked) ? new MeasuredEffort(e.blockId(), Side.MIDLINE, e.within(), e.nearMaxPeak()) : e)
                .toList();
        return new Held(held.record().withEfforts(efforts), latest);
    }
}
