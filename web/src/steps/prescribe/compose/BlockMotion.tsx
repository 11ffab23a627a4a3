import { useEffect, useState } from 'react';
import type { Schemas } from '../../../shared/api/client';
import { MovingFigure } from '../../../shared/draw/MovingFigure';
import { useDebounced } from '../../../shared/ui/useDebounced';
import { placeAt, wayOf } from '../../../shared/draw/moving';
import type { Phase } from './phases';

type Props = { phases: Phase[]; motion: string; position: string; angles: Schemas['LineDraft']['angles'] };

/** The block as it will be done, over and over at its own tempo. */
export function BlockMotion({ phases, motion, position, angles }: Props) {
  const first = phases[0];
  const last = phases.at(-1);
  const way = phases.map(wayOf).find((w) => w !== undefined);
  const length = first && last ? last.endSecond - first.startSecond : 0;
  const second = useClock(way !== undefined, length);
  // Not for every digit of an angle.
  const at = useDebounced(angles, 400);
  if (!first || !way) return null;
  const now = first.startSecond + second;
  const phase = phases.find((p) => p.startSecond <= now && now < p.endSecond) ?? first;
  const side = phase.side === 'RIGHT' ? 'RIGHT' : 'LEFT';
  return (
    <MovingFigure
      of={{ position, motion, side, angle: side === 'RIGHT' ? at.right : at.left }}
      way={way}
      place={placeAt(phase, now - phase.startSecond)}
      label={`${phase.cue}, as it is done`}
      className="mb-3 h-40"
    />
  );
}

/** Seconds since it began, round and round; still where less motion is asked for. */
function useClock(runs: boolean, length: number): number {
  const [second, setSecond] = useState(0);
  useEffect(() => {
    if (!runs || length <= 0 || matchMedia('(prefers-reduced-motion: reduce)').matches) return;
    const begun = performance.now();
    const timer = setInterval(() => setSecond(((performance.now() - begun) / 1000) % length), 50);
    return () => clearInterval(timer);
  }, [runs, length]);
  return second;
}
