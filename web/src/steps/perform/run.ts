import type { Schemas, Side } from '../../shared/api/client';

export type Phase = Schemas['Phase'];
export type BlockRecord = Schemas['BlockRecord'];
export type Pain = Schemas['Pain'];

/** What was noted in a block, before and after it ended. */
export type Notes = {
  effortRating?: number;
  faults: string[];
  pains: Pain[];
  cramps: number;
  effortMissed: boolean;
  skippedBecause?: string;
  prop?: Schemas['PropUsed'] | undefined;
};

/**
 * A run of the timeline, by the clock: nothing here counts ticks. All times are milliseconds of one steady clock.
 *
 * `startedAt` is when the current phase began (or will have, while paused: see `pausedAt`), `extra` the seconds added to it.
 */
export type Run = {
  phases: Phase[];
  index: number;
  startedAt: number;
  extra: number;
  pausedAt: number | null;
  done: Record<number, number>;
  notes: Record<string, Notes>;
  /** How a side of a line lies when it is another way than planned, from the block on in which it was said. */
  props: Record<string, Schemas['PropUsed'] | undefined>;
  finished: boolean;
};

export type BlockEnded = { blockId: string };

export const NO_NOTES: Notes = { faults: [], pains: [], cramps: 0, effortMissed: false };

/** Begins, or resumes after the blocks that are there already; paused until the first press of start. */
export function begin(phases: Phase[], doneBlocks: string[], now: number): Run {
  const found = phases.findIndex((p) => !doneBlocks.includes(p.blockId) && !isAside(p));
  const first = found < 0 ? phases.length : withSetUp(phases, found, doneBlocks.length > 0);
  return {
    phases,
    index: Math.min(first, phases.length - 1),
    startedAt: now,
    extra: 0,
    pausedAt: now,
    done: {},
    notes: {},
    props: {},
    finished: first >= phases.length,
  };
}

/** A set-up or side change before the first open block is gone through again: the props must be moved. */
function withSetUp(phases: Phase[], index: number, resumed: boolean): number {
  const before = phases[index - 1];
  return before && isAside(before) ? index - 1 : resumed ? index : 0;
}

export function isAside(phase: Phase): boolean {
  return phase.block === 'SET_UP' || phase.block === 'SIDE_CHANGE';
}

export function current(run: Run): Phase {
  const phase = run.phases[run.index];
  if (!phase) throw new Error('a run has a current phase');
  return phase;
}

export function lengthOf(run: Run): number {
  const phase = current(run);
  return phase.endSecond - phase.startSecond + run.extra;
}

/** Seconds into the current phase. */
export function elapsed(run: Run, now: number): number {
  return Math.max(0, ((run.pausedAt ?? now) - run.startedAt) / 1000);
}

/** Where the marker stands, in seconds of the compiled timeline. */
export function markerAt(run: Run, now: number): number {
  const phase = current(run);
  const share = Math.min(1, elapsed(run, now) / lengthOf(run));
  return phase.startSecond + share * (phase.endSecond - phase.startSecond);
}

export function secondsLeft(run: Run, now: number): number {
  const rest = run.phases.slice(run.index + 1).reduce((sum, p) => sum + p.endSecond - p.startSecond, 0);
  return rest + Math.max(0, lengthOf(run) - elapsed(run, now));
}

/** Passes every phase that has ended by the clock, however long nobody looked. */
export function advance(run: Run, now: number): { run: Run; ended: string[]; begun: number[] } {
  let next = run;
  const ended: string[] = [];
  const begun: number[] = [];
  while (!next.finished && next.pausedAt === null && next.startedAt + lengthOf(next) * 1000 <= now) {
    const phase = current(next);
    const moved = to(noteDone(next, lengthOf(next)), next.index + 1, next.startedAt + lengthOf(next) * 1000);
    if (moved.finished || current(moved).blockId !== phase.blockId) ended.push(phase.blockId);
    next = moved;
    if (!next.finished) begun.push(next.index);
  }
  return { run: next, ended, begun };
}

export function pause(run: Run, now: number): Run {
  return run.pausedAt === null ? { ...run, pausedAt: now } : run;
}

export function resume(run: Run, now: number): Run {
  return run.pausedAt === null ? run : { ...run, startedAt: run.startedAt + (now - run.pausedAt), pausedAt: null };
}

export function addSeconds(run: Run, seconds: number): Run {
  return { ...run, extra: run.extra + seconds };
}

/** Back to the start of this block: what was done of it so far is done anew. */
export function backToBlockStart(run: Run, now: number): Run {
  const id = current(run).blockId;
  const first = run.phases.findIndex((p) => p.blockId === id);
  const done = Object.fromEntries(Object.entries(run.done).filter(([i]) => run.phases[Number(i)]?.blockId !== id));
  return { ...to({ ...run, done }, first, now), pausedAt: run.pausedAt === null ? null : now };
}

/** Leaves the block now; what was done of it counts, the rest does not. */
export function skipBlock(run: Run, because: string, now: number): { run: Run; ended: string } {
  const id = current(run).blockId;
  const left = noteDone(run, elapsed(run, now));
  const noted = note(left, id, { skippedBecause: because });
  const after = run.phases.findIndex((p, i) => i > run.index && p.blockId !== id);
  const moved = to(noted, after < 0 ? run.phases.length : after, now);
  return { run: { ...moved, pausedAt: run.pausedAt === null ? null : now }, ended: id };
}

/** On to the next repetition or step, as soon as this one is done: what it really took is kept. */
export function nextPhase(run: Run, now: number): { run: Run; ended: string } {
  const id = current(run).blockId;
  const moved = to(noteDone(run, elapsed(run, now)), run.index + 1, now);
  const same = !moved.finished && current(moved).blockId === id;
  return { run: { ...moved, pausedAt: run.pausedAt === null ? null : now }, ended: same ? '' : id };
}

/** Ends the timeline here: the running block keeps what was done of it. */
export function endHere(run: Run, because: string, now: number): { run: Run; ended: string } {
  const id = current(run).blockId;
  const left = note(noteDone(run, elapsed(run, now)), id, { skippedBecause: because });
  return { run: { ...left, finished: true }, ended: id };
}

/** Leaves all that is still to come of a side. */
export function skipSide(run: Run, because: string, now: number): { run: Run; ended: string } {
  const side = current(run).side;
  const skipped = skipBlock(run, because, now);
  const after = run.phases.findIndex((p, i) => i > run.index && p.side !== side);
  return { run: to(skipped.run, after < 0 ? run.phases.length : after, now), ended: skipped.ended };
}

/** Leaves what is left of the set that is being done. */
export function skipSet(run: Run, because: string, now: number): { run: Run; ended: string } {
  const here = current(run);
  const skipped = skipBlock(run, because, now);
  if (here.set === 0) return skipped;
  const after = run.phases.findIndex((p, i) => i > run.index && !sameSet(p, here));
  return { run: to(skipped.run, after < 0 ? run.phases.length : after, now), ended: skipped.ended };
}

function sameSet(a: Phase, b: Phase): boolean {
  return a.line === b.line && a.side === b.side && a.set === b.set;
}

/** Cramps noted so far in the set of a block. */
export function crampsOfSet(run: Run, blockId: string): number {
  const block = run.phases.find((p) => p.blockId === blockId);
  if (!block) return 0;
  const ids = block.set === 0 ? [blockId] : run.phases.filter((p) => sameSet(p, block)).map((p) => p.blockId);
  return [...new Set(ids)].reduce((sum, id) => sum + (run.notes[id]?.cramps ?? 0), 0);
}

export function note(run: Run, blockId: string, part: Partial<Notes>): Run {
  return { ...run, notes: { ...run.notes, [blockId]: { ...(run.notes[blockId] ?? NO_NOTES), ...part } } };
}

/** From here on this side lies another way; undefined: as planned again. */
export function lieOn(run: Run, prop: Schemas['PropUsed'] | undefined): Run {
  const now = current(run);
  const props = { ...run.props, [lie(now)]: prop };
  return isAside(now) ? { ...run, props } : note({ ...run, props }, now.blockId, { prop });
}

/** How the side of a phase lies; undefined as planned. */
export function lying(run: Run, phase: Phase): Schemas['PropUsed'] | undefined {
  return run.props[lie(phase)];
}

function lie(phase: Phase): string {
  return `${phase.line} ${phase.side}`;
}

/** The block that a fault, pain or cramp belongs to: this one, or the last contraction while resting after it. */
export function notedBlock(run: Run): string {
  for (let i = run.index; i >= 0; i--) {
    const phase = run.phases[i];
    if (phase && phase.block !== 'SETTLE' && !isAside(phase)) return phase.blockId;
  }
  return current(run).blockId;
}

/** The record of a block as it stands. */
export function recordOf(run: Run, blockId: string): BlockRecord | null {
  const phases = run.phases.map((phase, i) => ({ phase, i })).filter(({ phase }) => phase.blockId === blockId);
  const first = phases[0]?.phase;
  if (!first || isAside(first)) return null;
  return {
    blockId,
    side: first.side,
    kind: first.block,
    phases: phases.map(({ phase, i }) => ({
      kind: phase.kind,
      plannedSeconds: phase.endSecond - phase.startSecond,
      doneSeconds: Math.round((run.done[i] ?? 0) * 100) / 100,
    })),
    ...(run.notes[blockId] ?? NO_NOTES),
    note: '',
  };
}

/**
 * Puts phases in after a block, or after the running one when that is over already; what comes later moves on in time.
 */
export function insert(run: Run, afterBlock: string, phases: Phase[]): Run {
  const last = (id: string) => run.phases.reduce((found, p, i) => (p.blockId === id ? i : found), -1);
  const at = Math.max(last(afterBlock), run.index === 0 ? 0 : last(current(run).blockId)) + 1;
  return insertAt(run, at, phases);
}

/** Puts phases in before the running one, which begins anew after them: for what is done instead of what was just left. */
export function insertHere(run: Run, phases: Phase[], now: number): Run {
  const at = run.finished ? run.phases.length : run.index;
  const put = insertAt(run, at, phases);
  return { ...put, index: at, startedAt: now, extra: 0, finished: false, pausedAt: run.pausedAt === null ? null : now };
}

function insertAt(run: Run, at: number, phases: Phase[]): Run {
  const from = run.phases[at - 1]?.endSecond ?? 0;
  const by = phases.at(-1)?.endSecond ?? 0;
  return {
    ...run,
    phases: [
      ...run.phases.slice(0, at),
      ...phases.map((p) => moved(p, from)),
      ...run.phases.slice(at).map((p) => moved(p, by)),
    ],
    done: Object.fromEntries(
      Object.entries(run.done).map(([i, seconds]) => [Number(i) < at ? i : Number(i) + phases.length, seconds]),
    ),
    index: run.index < at ? run.index : run.index + phases.length,
  };
}

function moved(p: Phase, by: number): Phase {
  return {
    ...p,
    startSecond: p.startSecond + by,
    endSecond: p.endSecond + by,
    breaths: p.breaths.map((b) => ({ ...b, atSecond: b.atSecond + by })),
  };
}

/** Seconds of this block that were run before the current phase. */
export function blockSecondsBefore(run: Run): number {
  const id = current(run).blockId;
  return run.phases.reduce((sum, p, i) => (i < run.index && p.blockId === id ? sum + (run.done[i] ?? 0) : sum), 0);
}

export function isAtBlockStart(run: Run): boolean {
  return run.phases.findIndex((p) => p.blockId === current(run).blockId) === run.index;
}

/** Whether own strength works anywhere in a block. */
export function works(run: Run, blockId: string): boolean {
  return run.phases.some((p) => p.blockId === blockId && p.direction !== 'NONE');
}

/** What the invented person of a side is to do for the rest of this phase; null for nothing. */
export function askedNow(run: Run, now: number) {
  const phase = current(run);
  if (run.pausedAt !== null || run.finished || phase.direction === 'NONE') return null;
  const length = lengthOf(run);
  const at = Math.min(1, elapsed(run, now) / length);
  const rest = run.phases.filter((p, i) => i > run.index && p.blockId === phase.blockId && p.direction !== 'NONE');
  const all = run.phases.filter((p) => p.blockId === phase.blockId && p.direction !== 'NONE');
  return {
    fromPercent: phase.effortFrom + at * (phase.effortTo - phase.effortFrom),
    toPercent: phase.effortTo,
    seconds: length * (1 - at),
    leftAfter: rest.reduce((sum, p) => sum + p.endSecond - p.startSecond, 0),
    contraction: all.reduce((sum, p) => sum + p.endSecond - p.startSecond, 0),
  };
}

export function sideWord(side: Side): string {
  return side === 'MIDLINE' ? 'Both sides' : side === 'LEFT' ? 'Left' : 'Right';
}

function noteDone(run: Run, seconds: number): Run {
  return { ...run, done: { ...run.done, [run.index]: (run.done[run.index] ?? 0) + seconds } };
}

function to(run: Run, index: number, at: number): Run {
  if (index >= run.phases.length) return { ...run, finished: true };
  const next = { ...run, index, startedAt: at, extra: 0 };
  const phase = current(next);
  const prop = lying(next, phase);
  return prop && !isAside(phase) ? note(next, phase.blockId, { prop }) : next;
}
