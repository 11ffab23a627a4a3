package gradino.server.demo;

import gradino.core.body.Side;
import gradino.core.effort.Asked;
import gradino.core.effort.SimulatedPerson;
import gradino.core.effort.SimulatedPerson.Manner;
import gradino.core.effort.SimulatedPerson.Pressing;
import gradino.core.effort.TraceAnalysis;
import gradino.core.effort.TraceCode.Samples;
import gradino.core.perform.PhaseDone;
import gradino.core.perform.ReferenceContraction;
import gradino.core.prescribe.block.Block.Direction;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.prescribe.timeline.Timeline.Phase;
import gradino.server.perform.force.TraceRepository;
import gradino.server.perform.force.TraceRepository.StoredReference;
import gradino.server.perform.force.TraceRepository.StoredTrace;
import gradino.server.perform.record.BlockRepository.StoredBlock;
import gradino.server.perform.record.RunRepository.Run;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;

/** What force gauges heard of an invented person: what 100 % was, and each contraction. */
@Component
class DemoGauges {
    private static final double STRENGTH_NEWTONS = 220;
    private static final int MILLIS_A_SAMPLE = 20;
    private static final int TRY_MILLIS = 4000;
    private static final int TRY_EVERY_MILLIS = 35_000;
    private static final int TRIES = 3;
    private static final double NEWTONS_A_STEP = 0.1;

    private final TraceRepository traces;

    DemoGauges(TraceRepository traces) {
        this.traces = traces;
    }

    /** Three tries for each side and direction, then every contraction of the session. */
    void hear(Run run, List<StoredBlock> blocks, Timeline timeline, Manner manner) {
        var full = new HashMap<String, Double>();
        for (var block : blocks) {
            var phases = timeline.phases().stream()
                    .filter(p -> p.blockId().equals(block.block().blockId()))
                    .toList();
            var direction = phases.get(0).direction();
            if (direction != Direction.NONE) {
                var side = block.block().side();
                double newtons = full.computeIfAbsent(
                        side.word() + direction, k -> reference(run, side, direction, block.happenedAt()));
                trace(block, phases, newtons, manner);
            }
        }
    }

    private static Pressing person(Manner manner, String seed) {
        return new Pressing(new SimulatedPerson(manner, STRENGTH_NEWTONS, seed.hashCode()));
    }

    private double reference(Run run, Side side, Direction direction, Instant at) {
        var id = run.id() + "-" + side.word() + "-" + direction.name().toLowerCase(Locale.ROOT);
        var pressing = person(Manner.GOOD, id);
        var tries = new ArrayList<Samples>();
        for (int i = 0; i < TRIES; i++) {
            var one = new Heard();
            for (int ms = 0; ms <= TRY_MILLIS; ms += MILLIS_A_SAMPLE) {
                one.add(i * TRY_EVERY_MILLIS + ms, pressing.follow(100, 1));
            }
            tries.add(one.samples());
        }
        var newtons = ReferenceContraction.read(
                        tries.stream().map(t -> t.read().trace().orElseThrow()).toList())
                .newtons()
                .orElseThrow();
        var line = run.draft().lines().get(0);
        traces.add(new StoredReference(
                id,
                run.clientId(),
                run.id(),
                line.motion(),
                line.position(),
                side,
                direction,
                line.dose(side).angle(),
                newtons,
                new Samples(
                        tries.stream().flatMap(t -> t.millis().stream()).toList(),
                        tries.stream().flatMap(t -> t.tenths().stream()).toList()),
                at,
                at));
        return newtons;
    }

    /** One contraction as it was really run. */
    private void trace(StoredBlock stored, List<Phase> phases, double reference, Manner manner) {
        var block = stored.block();
        var asked = Asked.done(
                phases, block.phases().stream().map(PhaseDone::doneSeconds).toList());
        double end = asked.get(asked.size() - 1).endSecond();
        var pressing = person(manner, stored.id());
        var heard = new Heard();
        for (int ms = 0; ms < end * 1000; ms += MILLIS_A_SAMPLE) {
            double second = ms / 1000.0;
            heard.add(ms, pressing.follow(percent(asked, second), 1 - second / end));
        }
        traces.add(new StoredTrace(
                stored.id() + "-trace",
                stored.runId(),
                block.blockId(),
                block.side(),
                reference,
                block.phases().stream().map(PhaseDone::doneSeconds).toList(),
                heard.samples(),
                TraceAnalysis.of(heard.samples().read().trace().orElseThrow(), reference, asked),
                stored.happenedAt(),
                stored.recordedAt()));
    }

    private static double percent(List<Asked> asked, double second) {
        return asked.stream()
                .filter(a -> second >= a.startSecond() && second < a.endSecond())
                .findFirst()
                .map(a -> a.percentAt(second))
                .orElse(0.0);
    }

    private static final class Heard {
        private final List<Long> millis = new ArrayList<>();
        private final List<Integer> tenths = new ArrayList<>();

        void add(long ms, double newtons) {
            millis.add(ms);
            tenths.add((int) Math.round(newtons / NEWTONS_A_STEP));
        }

        Samples samples() {
            return new Samples(millis, tenths);
        }
    }
}
