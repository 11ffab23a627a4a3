import type { Schemas, Side } from '../api/client';

type Phase = Pick<Schemas['ScorePhase'], 'kind' | 'count' | 'side' | 'startSecond' | 'endSecond'>;
export type Way = 'CIRCLE' | 'BETWEEN' | 'LIFT';

/** Where on its way the body is, from the share of the phase that is over, the seconds, and whether it goes back. */
type Place = (share: number, elapsed: number, back: boolean) => number;

const there: Place = (share) => share;
const back: Place = (share) => 1 - share;
/** A second up or down, where a phase says only how long it is held. */
const up: Place = (_, elapsed) => Math.min(1, elapsed);
const down: Place = (_, elapsed) => Math.max(0, 1 - elapsed);

/** Every second repetition comes back the way that the one before went. */
const MOVES: Partial<Record<Phase['kind'], [Way, Place]>> = {
  CIRCLE_ONE_WAY: ['CIRCLE', there],
  CIRCLE_OTHER_WAY: ['CIRCLE', back],
  MOVE: ['BETWEEN', (share, _, isBack) => (isBack ? 1 - share : share)],
  END_PAUSE: ['BETWEEN', (_s, _e, isBack) => (isBack ? 0 : 1)],
  LOWERING: ['BETWEEN', there],
  BOTTOM: ['BETWEEN', () => 1],
  UP: ['BETWEEN', back],
  RETURN: ['BETWEEN', back],
  LIFT: ['LIFT', up],
  LOWER: ['LIFT', down],
  PULSE_IN: ['LIFT', there],
  PULSE_OUT: ['LIFT', back],
};

/** How the body moves in a phase; undefined where it stays. */
export const wayOf = (phase: Phase): Way | undefined => MOVES[phase.kind]?.[0];

/** 0 to 1, so many seconds into a phase. */
export function placeAt(phase: Phase, elapsed: number): number {
  const share = Math.min(1, elapsed / Math.max(1, phase.endSecond - phase.startSecond));
  return MOVES[phase.kind]?.[1](share, elapsed, phase.count % 2 === 0) ?? 0;
}

/** What is drawn moving: a position, or a joint that is circled by itself. */
export type Moved = { position?: string; motion?: string; side?: Side; angle?: number; joint?: string };
