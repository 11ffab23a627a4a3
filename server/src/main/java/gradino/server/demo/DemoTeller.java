package gradino.server.demo;

import gradino.core.advance.Proposal;
import gradino.core.advance.state.Event.Answer;
import gradino.core.advance.state.Event.DoseDecided;
import gradino.core.advance.state.Event.PauseKind;
import gradino.core.advance.state.Moment;
import gradino.core.because.Verdict;
import gradino.core.body.Side;
import gradino.core.measure.noise.Mode;
import gradino.core.measure.noise.SeriesKey;
import gradino.core.perform.BlockRecord;
import gradino.core.perform.MorningQuestion;
import gradino.core.perform.Pain;
import gradino.core.perform.PainKind;
import gradino.core.perform.PhaseDone;
import gradino.core.prescribe.block.BlockKind;
import gradino.core.prescribe.block.PhaseKind;
import gradino.core.prescribe.program.SessionDraft;
import gradino.core.prescribe.program.SessionDraft.StationDraft;
import gradino.core.prescribe.timeline.BlockId;
import gradino.core.prescribe.timeline.Timeline;
import gradino.core.quantity.PainScore;
import gradino.core.quantity.Tenths;
import gradino.server.advance.line.DecisionRepository;
import gradino.server.advance.line.DecisionRepository.StoredDecision;
import gradino.server.advance.line.LineDoor;
import gradino.server.advance.line.PauseRepository;
import gradino.server.advance.line.PauseRepository.StoredPause;
import gradino.server.demo.DemoLife.Away;
import gradino.server.intake.Client;
import gradino.server.intake.ClientRepository;
import gradino.server.intake.IntakeRepository;
import gradino.server.measure.Measurement;
import gradino.server.measure.MeasurementRepository;
import gradino.server.perform.record.BlockRepository;
import gradino.server.perform.record.BlockRepository.StoredBlock;
import gradino.server.perform.record.RecordRepository;
import gradino.server.perform.record.RecordRepository.Closed;
import gradino.server.perform.record.RecordRepository.Morning;
import gradino.server.perform.record.RunRepository;
import gradino.server.perform.record.RunRepository.Run;
import gradino.server.platform.Json;
import gradino.server.prescribe.compose.ComposeService;
import gradino.server.prescribe.program.Line;
import java.time.Instant;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Tells an invented life through the same tables and the same engine that a real one goes through. Seeded. */
@Component
class DemoTeller {
    private static final int LAST_DAYS = 3;
    private static final int GAUGED_DAYS = 14;
    private static final List<Integer> TRAINING_DAYS = List.of(0, 2, 5);

    private final ClientRepository clients;
    private final IntakeRepository intakes;
    private final DemoBody body;
    private final MeasurementRepository measurements;
    private final DemoPrograms programs;
    private final RunRepository runs;
    private final RecordRepository records;
    private final BlockRepository blockRows;
    private final DecisionRepository decisions;
    private final DemoGauges gauges;
    private final PauseRepository pauses;
    private final LineDoor door;
    private final Json json;

    DemoTeller(
            ClientRepository clients,
            IntakeRepository intakes,
            DemoBody body,
            MeasurementRepository measurements,
            DemoPrograms programs,
            RunRepository runs,
            RecordRepository records,
            BlockRepository blockRows,
            DecisionRepository decisions,
            DemoGauges gauges,
            PauseRepository pauses,
            LineDoor door,
            Json json) {
        this.clients = clients;
        this.intakes = intakes;
        this.body = body;
        this.measurements = measurements;
        this.programs = programs;
        this.runs = runs;
        this.records = records;
        this.blockRows = blockRows;
        this.decisions = decisions;
        this.gauges = gauges;
        this.pauses = pauses;
        this.door = door;
        this.json = json;
    }

    void tell(DemoLife life, Moment now) {
        var random = new Random(life.seed());
        var start = at(now, Math.max(1, life.weeks() * 7), 9);
        clients.insert(life.id(), life.details(), start);
        life.intake().tell(intakes, life.id(), start);
        body.tell(life, now, random);
        if (life.weeks() > 0) {
            measure(life, 0, start, random);
            measure(life, 0, start.plusSeconds(86_400), random);
            var lines = programs.open(life, start.plusSeconds(90_000), now.zone());
            weeks(life, lines, now, random);
            away(life, now);
        }
    }

    private void away(DemoLife life, Moment now) {
        if (life.course().twist() instanceof Away away && away.ill()) {
            var from = now.day(now.instant()).minusDays(away.from());
            pauses.add(new StoredPause(
                    life.id() + "-ill",
                    life.id(),
                    PauseKind.ILLNESS,
                    from,
                    from.plusDays(away.days()),
                    "a chest cold",
                    now.instant()));
        }
    }

    private void weeks(DemoLife life, List<Line> lines, Moment now, Random random) {
        int last = life.weeks() * 7 - 2;
        for (int day = 2; day <= last; day++) {
            int ago = life.weeks() * 7 - day;
            if (!TRAINING_DAYS.contains(day % 7) || life.course().isAway(ago)) {
                continue;
            }
            boolean lastWeek = ago <= 6;
            if (day % 7 == 2) {
                measure(life, day / 7.0, at(now, ago, 17), random);
            }
            boolean painful = life.painAtEnd() > 0 && ago <= 3;
            session(life, lines, new Day(now.at(at(now, ago, 18)), painful ? life.painAtEnd() : 0, ago), random);
            if (life.decideToTheEnd() ? !painful : !lastWeek) {
                var then = now.at(at(now, ago - 1, 10));
                decide(life.id(), lines, then);
            }
        }
    }

    static Instant at(Moment now, int daysAgo, int hour) {
        return now.day(now.instant())
                .minusDays(daysAgo)
                .atTime(LocalTime.of(hour, 0))
                .atZone(now.zone())
                .toInstant();
    }

    private Client client(DemoLife life) {
        return clients.find(life.id()).orElseThrow();
    }

    private void measure(DemoLife life, double week, Instant at, Random random) {
        var all = new ArrayList<Measurement>();
        var readings = new DemoReadings(client(life), random, life.course().feel());
        for (var side : Side.PAIR) {
            double truth = life.passive().on(side) + life.gainPerWeek() * week;
            var series = new SeriesKey(life.motion(), side, Mode.PASSIVE, life.position(), life.instrument());
            var active = new SeriesKey(life.motion(), side, Mode.ACTIVE, life.position(), life.instrument());
            all.add(readings.cold(series, truth, at));
            all.add(readings.cold(active, truth - life.gap(), at.plusSeconds(120)));
            // After the work there is more range for a while: most of it is gone the next time.
            all.add(readings.warm(series, truth + life.course().warmGain(), at.plusSeconds(7200)));
        }
        measurements.insert(all);
    }

    /** A training day. */
    private record Day(Moment moment, int pain, int daysAgo) {
        boolean last() {
            return daysAgo <= LAST_DAYS;
        }
    }

    private void session(DemoLife life, List<Line> lines, Day day, Random random) {
        var at = day.moment().instant();
        int pain = day.pain();
        boolean last = day.last();
        var known = door.at(day.moment(), life.id());
        var stations = lines.stream()
                .map(line -> StationDraft.of(known.current(line).draft(line.id())))
                .toList();
        var draft = new SessionDraft(List.of(), stations);
        var timeline = ComposeService.timeline(draft);
        var id = lines.get(0).id() + "-" + Long.toString(at.getEpochSecond(), Character.MAX_RADIX);
        var run = new Run(id, life.id(), life.id() + "-daily", life.course().session(), draft, at, at);
        runs.open(run, timeline);
        boolean whole = last || random.nextDouble() < life.diligence();
        var end = at.plusSeconds(timeline.seconds());
        var done = done(id, timeline, at, pain, whole, random);
        blockRows.addBlocks(done);
        var manner = life.besides().gauges();
        if (manner != null && day.daysAgo() <= GAUGED_DAYS) {
            gauges.hear(run, done, timeline, manner);
        }
        var stop = day.daysAgo() <= LAST_DAYS ? life.course().stop() : null;
        records.close(new Closed(
                id,
                life.course().observer(),
                Tenths.of(4 + random.nextInt(3)),
                stop,
                stop == null ? null : Side.RIGHT,
                "",
                end,
                end.plusSeconds(60)));
        if (!last || !life.besides().lastMorningOpen()) {
            var morning = end.plusSeconds(14 * 3600);
            records.addMorning(new Morning(
                    id + "-morning",
                    id,
                    MorningQuestion.NEXT_MORNING,
                    null,
                    pain < 3,
                    Tenths.of(random.nextInt(3)),
                    morning,
                    morning));
        }
    }

    /** Every block of a timeline as it was done. */
    static List<StoredBlock> done(
            String sessionId, Timeline timeline, Instant at, int pain, boolean whole, Random random) {
        Map<BlockId, List<Timeline.Phase>> blocks = timeline.phases().stream()
                .filter(p -> p.block() != BlockKind.SET_UP && p.block() != BlockKind.SIDE_CHANGE)
                .collect(Collectors.groupingBy(Timeline.Phase::blockId, LinkedHashMap::new, Collectors.toList()));
        return blocks.values().stream()
                .map(phases -> stored(sessionId, phases, at, pain, whole, random))
                .toList();
    }

    private static StoredBlock stored(
            String sessionId, List<Timeline.Phase> phases, Instant at, int pain, boolean whole, Random random) {
        var first = phases.get(0);
        boolean press = first.block() == BlockKind.PRESS;
        int asked = first.block() == BlockKind.PRESS
                ? phases.get(phases.size() - 1).effortTo().value() / 10
                : 0;
        boolean hurts = pain > 0 && press && first.set() == 2 && first.side() == Side.RIGHT;
        boolean fault = random.nextInt(12) == 0;
        var block = new BlockRecord(
                first.blockId(),
                first.side(),
                first.block(),
                phases.stream().map(p -> done(p, whole, random)).toList(),
                press ? Tenths.of(Math.min(10, asked + (random.nextInt(3) == 0 ? 1 : 0))) : null,
                press && fault ? List.of("knee slides out") : List.of(),
                hurts
                        ? List.of(new Pain(PainScore.of(pain), PainKind.WHILE_CONTRACTING, "outside of the hip"))
                        : List.of(),
                0,
                false,
                null,
                "",
                null);
        var when = at.plusSeconds(phases.get(phases.size() - 1).endSecond());
        return new StoredBlock(sessionId + "-" + first.blockId(), sessionId, block, when, when);
    }

    /** Who tires leaves the top of the last tread early. */
    private static PhaseDone done(Timeline.Phase phase, boolean whole, Random random) {
        if (!whole && phase.kind() == PhaseKind.TOP_HOLD && phase.set() == phase.sets()) {
            return new PhaseDone(phase.kind(), phase.seconds(), phase.seconds() * 0.6);
        }
        double off = Math.round(random.nextGaussian() * 10) / 100.0;
        return new PhaseDone(phase.kind(), phase.seconds(), Math.max(0, phase.seconds() + off));
    }

    /** The coach accepts what the engine proposed that day. */
    void decide(String clientId, List<Line> lines, Moment then) {
        var known = door.at(then, clientId);
        for (var line : lines) {
            for (var side : known.state(line).plan().trained()) {
                var proposal = known.proposal(line, side);
                if (proposal.verdict() != Verdict.STAY) {
                    accept(line, proposal, then);
                    known = door.at(then, clientId);
                }
            }
        }
    }

    private void accept(Line line, Proposal proposal, Moment then) {
        var decided = new DoseDecided(
                line.id() + "-" + proposal.side().word() + "-" + then.instant().toEpochMilli(),
                proposal.side(),
                Answer.ACCEPTED,
                proposal.verdict(),
                proposal.lever(),
                proposal.from(),
                proposal.to(),
                then.instant(),
                then.instant());
        decisions.insert(new StoredDecision(
                line.id(),
                decided,
                "",
                json.write(proposal),
                json.write(door.inputs(line, then)),
                proposal.policyVersion(),
                proposal.engineVersion(),
                null));
    }
}
