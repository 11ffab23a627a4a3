import { newId, SIDES, type Schemas, type Side } from '../../../shared/api/client';
import * as Runs from '../run';
import type { Gauges, Sample } from './gauges';

export type NewTrace = Schemas['NewTrace'];

type Recording = { blockId: string; side: Side; origin: number; ended: boolean; samples: Record<string, Sample[]> };

/** The newest samples may still be on their way when a block ends. */
const LATE_MS = 400;
const JUST_MS = 50;

/** A point of the drawn trace: a second of the timeline and newtons. */
export type Point = { second: number; newtons: number };

/** Sorts a gauge's samples into the blocks they were pressed in, and keeps the lane's points for drawing. */
export class Recorder {
  readonly points = new Map<Side, Point[]>();
  private now: Recording | null = null;
  private before: Recording | null = null;
  private readonly timers = new Set<ReturnType<typeof setTimeout>>();

  constructor(
    gauges: Gauges,
    private readonly run: () => Runs.Run,
    private readonly send: (trace: NewTrace) => void,
  ) {
    gauges.onSamples(this.take);
  }

  /** After every change of the run: which block is pressed in, and since when by the page's clock. */
  follow(run: Runs.Run, now: number) {
    const phase = Runs.current(run);
    const origin = run.startedAt - 1000 * Runs.blockSecondsBefore(run);
    if (this.now?.blockId !== phase.blockId || run.finished) {
      this.before = this.now;
      this.now = run.finished || !Runs.works(run, phase.blockId) ? null : recording(phase, origin);
    } else if (Runs.isAtBlockStart(run) && 1000 * Runs.elapsed(run, now) < JUST_MS && origin > this.now.origin) {
      // Back to the start of the block: it is pressed anew.
      this.now = recording(phase, origin);
    } else {
      this.shift(this.now, origin);
    }
  }

  /** What came in before a pause keeps its place in the block. */
  private shift(now: Recording, origin: number) {
    const by = origin - now.origin;
    if (Math.abs(by) < 1) return;
    for (const side of Object.keys(now.samples)) {
      now.samples[side] = (now.samples[side] ?? []).map((s) => ({ ...s, at: s.at + by }));
    }
    now.origin = origin;
  }

  /** A block is over: its trace goes once the last samples are in. */
  end(blockId: string) {
    const done = [this.now, this.before].find((r) => r?.blockId === blockId);
    if (!done || done.ended) return;
    done.ended = true;
    const timer = setTimeout(() => {
      this.timers.delete(timer);
      const record = Runs.recordOf(this.run(), blockId);
      if (record) this.post(done, record);
    }, LATE_MS);
    this.timers.add(timer);
  }

  close() {
    this.timers.forEach(clearTimeout);
  }

  private post(done: Recording, record: Runs.BlockRecord) {
    const phaseSeconds = record.phases.map((p) => p.doneSeconds);
    const length = 1000 * phaseSeconds.reduce((sum, s) => sum + s, 0);
    for (const side of SIDES) {
      const samples = (done.samples[side] ?? []).filter((s) => s.at - done.origin < length);
      if (samples.length < 2) continue;
      this.send({
        id: newId(),
        blockId: done.blockId,
        side,
        phaseSeconds,
        samples: {
          millis: samples.map((s) => Math.round(s.at - done.origin)),
          tenths: samples.map((s) => s.tenths),
        },
      });
    }
  }

  private take = (side: Side, samples: Sample[]) => {
    const run = this.run();
    for (const sample of samples) {
      if (run.pausedAt !== null && sample.at > run.pausedAt) continue;
      const block = this.now && sample.at >= this.now.origin ? this.now : this.before;
      if (!block || sample.at < block.origin || (block.side !== 'MIDLINE' && block.side !== side)) continue;
      (block.samples[side] ??= []).push(sample);
      if (block === this.now) this.draw(side, { second: Runs.markerAt(run, sample.at), newtons: sample.tenths / 10 });
    }
  };

  private draw(side: Side, point: Point) {
    const points = this.points.get(side) ?? [];
    // Going back draws over what was there.
    while (points.length > 0 && (points[points.length - 1]?.second ?? 0) >= point.second) points.pop();
    points.push(point);
    this.points.set(side, points);
  }
}

function recording(phase: Runs.Phase, origin: number): Recording {
  return { blockId: phase.blockId, side: phase.side, origin, ended: false, samples: {} };
}
