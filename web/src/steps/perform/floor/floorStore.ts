import { SIDES, type Schemas, type Side } from '../../../shared/api/client';
import type { Gauges, Manner } from '../gauge/gauges';
import type { Recorder } from '../gauge/recorder';
import { sendBlock, sendTrace, watchOutbox } from './outbox';
import * as Runs from '../run';
import { makeSound } from './sound';
import { keepProps, propsOf } from '../setUp';
import { tell } from './tell';
import { extraSet } from '../variants';

const AHEAD_SECONDS = 4;
const DRAW_MS = 50;
const LONGEST_WAIT_MS = 1000;

/** What the floor shows: the run, and what still waits for the server. */
export type FloorView = {
  run: Runs.Run;
  waiting: number | null;
  trouble: string | null;
  gauges: Gauges | null;
};

/** Runs a session: the clock, the sound, and what is sent. The run changes by the functions of run.ts only. */
export class FloorStore {
  private readonly runId: string;
  private readonly variants: Schemas['Variant'][];
  private readonly lines: Schemas['FloorLine'][];
  private readonly sound = makeSound();
  private readonly listeners = new Set<() => void>();
  private readonly sent = new Set<string>();
  private worker: Worker | null = null;
  recorder: Recorder | null = null;
  private view: FloorView;
  private moment: number;

  constructor(floor: Schemas['Floor']) {
    this.runId = floor.id;
    this.variants = floor.variants;
    this.lines = floor.lines;
    this.moment = performance.now();
    this.view = {
      run: { ...Runs.begin(floor.timeline.phases, floor.doneBlocks, this.moment), props: propsOf(floor.id) },
      waiting: null,
      trouble: null,
      gauges: null,
    };
  }

  snapshot = () => this.view;

  /** The moment it is drawn by: it moves on without the view being another. */
  now = () => this.moment;

  subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Two clocks drive it: a worker's, set for the next change of phase, and the page's own, by which it is drawn. */
  mount = () => {
    const worker = new Worker(new URL('./ticker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = this.woken;
    this.worker = worker;
    this.wakeNext();
    const draw = setInterval(this.tick, DRAW_MS);
    const unwatch = watchOutbox((state) => this.show(state));
    return () => {
      this.worker = null;
      worker.terminate();
      clearInterval(draw);
      this.sound.close();
      unwatch();
      this.recorder?.close();
      this.view.gauges?.close();
    };
  };

  start = () => {
    this.sound.unlock();
    const fresh = Runs.elapsed(this.view.run, performance.now()) === 0;
    this.change(Runs.resume);
    if (fresh) this.announce(Runs.current(this.view.run));
  };

  connectGauges = async (manner: Manner, strengthNewtons: number) => {
    const [{ Gauges }, { Recorder }] = await Promise.all([import('../gauge/gauges'), import('../gauge/recorder')]);
    const gauges = new Gauges();
    await gauges.connect(manner, strengthNewtons);
    this.recorder = new Recorder(
      gauges,
      () => this.view.run,
      (trace) => sendTrace(this.runId, trace),
    );
    gauges.onPeak(this.lifted);
    this.show({ gauges });
    this.measured();
  };

  /** A lift-off that the gauge saw come down is done: nobody has to tap. */
  private lifted = (side: Side) => {
    const { run } = this.view;
    const phase = Runs.current(run);
    if (run.pausedAt === null && phase.block === 'LIFT_OFF' && (phase.side === side || phase.side === 'MIDLINE'))
      this.leave(Runs.nextPhase);
  };

  setMuted = (muted: boolean) => this.sound.setMuted(muted);

  /** A change by hand: tones ahead are undone, since their times no longer hold. */
  change = (make: (run: Runs.Run, now: number) => Runs.Run) => {
    this.sound.forget();
    const before = Runs.current(this.view.run);
    const now = performance.now();
    const run = make(this.view.run, now);
    if (run.props !== this.view.run.props) keepProps(this.runId, run.props);
    this.moment = now;
    this.show({ run });
    if (!run.finished && Runs.current(run) !== before) this.announce(Runs.current(run));
    this.planTones(now);
    this.wakeNext();
    this.measured();
  };

  /** One set more of what this side does now, where it may be. */
  addSet = () => {
    const extra = extraSet(this.view.run, this.variants);
    if (extra) this.change((run) => Runs.insert(run, extra.blockId, extra.phases));
  };

  /** As change, for what ends a block early. */
  leave = (make: (run: Runs.Run, now: number) => { run: Runs.Run; ended: string }) => {
    // One press too many of a foot switch adds nothing to what is over.
    if (this.view.run.finished) return;
    let ended = '';
    this.change((run, now) => {
      const left = make(run, now);
      ended = left.ended;
      return left.run;
    });
    this.post(ended);
  };

  /** Notes something in a block; one that was sent already is sent again as a correction. */
  note = (blockId: string, part: (notes: Runs.Notes) => Partial<Runs.Notes>) => {
    const notes = this.view.run.notes[blockId] ?? Runs.NO_NOTES;
    this.show({ run: Runs.note(this.view.run, blockId, part(notes)) });
    if (this.sent.has(blockId)) this.post(blockId);
  };

  /** Noted in its block; by a method that eases off, the second of a set ends the set. */
  cramp = () => {
    const { run } = this.view;
    const block = Runs.notedBlock(run);
    const before = Runs.crampsOfSet(run, block);
    this.note(block, (n) => ({ cramps: n.cramps + 1 }));
    const rule = this.lines.find((l) => l.line === Runs.current(run).line)?.cramp;
    if (rule === 'EASE_OFF' && before > 0 && Runs.current(run).blockId === block)
      this.leave((r, now) => Runs.skipSet(r, 'cramp again', now));
  };

  private tick = () => {
    const now = performance.now();
    const { run, ended, begun } = Runs.advance(this.view.run, now);
    this.moment = now;
    if (run === this.view.run) this.tellAll();
    else this.show({ run });
    ended.forEach(this.post);
    const latest = run.phases[begun[begun.length - 1] ?? -1];
    if (latest) {
      this.announce(latest);
      this.measured();
    } else if (ended.length > 0) this.measured();
    this.planTones(now);
  };

  private woken = () => {
    this.tick();
    this.wakeNext();
  };

  /** Asks to be woken when the phase ends; at least once a second, so that tones stay planned ahead. */
  private wakeNext() {
    const { run } = this.view;
    if (run.finished || run.pausedAt !== null) return;
    const leftMs = (Runs.lengthOf(run) - Runs.elapsed(run, performance.now())) * 1000;
    this.worker?.postMessage(Math.min(Math.max(0, leftMs), LONGEST_WAIT_MS));
  }

  /** The gauges' part after every change of phase: what is recorded, and what is asked of whom. */
  private measured() {
    const { run, gauges } = this.view;
    if (!gauges) return;
    const now = performance.now();
    this.recorder?.follow(run, now);
    const side = Runs.current(run).side;
    for (const s of SIDES) gauges.ask(s, side === 'MIDLINE' || side === s ? Runs.askedNow(run, now) : null);
  }

  private announce(phase: Runs.Phase) {
    const { startSecond: second, side, kind, count } = phase;
    tell('phase', { second, side, kind, count });
    this.sound.speak(count > 1 && kind.startsWith('CIRCLE') ? String(count) : phase.cue);
  }

  private planTones(now: number) {
    const { run } = this.view;
    if (run.pausedAt !== null || run.finished) return;
    let inSeconds = Runs.lengthOf(run) - Runs.elapsed(run, now);
    for (let i = run.index + 1; i < run.phases.length && inSeconds < AHEAD_SECONDS; i++) {
      const phase = run.phases[i];
      if (!phase) return;
      this.sound.schedule(i, phase, inSeconds);
      inSeconds += phase.endSecond - phase.startSecond;
    }
  }

  private post = (blockId: string) => {
    const record = Runs.recordOf(this.view.run, blockId);
    if (!record) return;
    if (!this.sent.has(blockId)) this.recorder?.end(blockId);
    this.sent.add(blockId);
    sendBlock(this.runId, record);
  };

  private show(part: Partial<FloorView>) {
    this.view = { ...this.view, ...part };
    this.tellAll();
  }

  private tellAll() {
    this.listeners.forEach((listener) => listener());
  }
}
