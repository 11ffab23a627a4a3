import type { Schemas } from '../../shared/api/client';

export const WING = 360;
const ROOM = 1.06;

/** Each motion has its own scale: 0 at the spine, the furthest of everything drawn at the wing's tip. */
export function scaleOf(row: Schemas['RangeRow']): (degrees: number) => number {
  const ends = row.sides.flatMap((s) => [s.passive?.upper ?? 0, s.active?.upper ?? 0]);
  const top = Math.max(10, row.goalDegrees ?? 0, row.usualPassive?.upper ?? 0, row.usualActive?.upper ?? 0, ...ends);
  return (degrees) => (Math.max(0, degrees) / (top * ROOM)) * WING;
}

export const LIMIT_WORDS: Record<Schemas['RangeSide']['limiter'], string> = {
  RANGE: 'range',
  CONTROL: 'control',
  BOTH: 'both',
  NEITHER: 'in order',
  STRUCTURE: 'structure?',
  UNKNOWN: 'no table',
};
