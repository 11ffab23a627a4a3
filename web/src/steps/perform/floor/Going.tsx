import type { Side } from '../../../shared/api/client';
import { MovingFigure } from '../../../shared/draw/MovingFigure';
import { placeAt, wayOf } from '../../../shared/draw/moving';
import * as Runs from '../run';
import type { FloorLine } from '../setUp';
import { useMoment, type Moments } from './moments';

type Props = { run: Runs.Run; moments: Moments; line: FloorLine | undefined };

/** What to do, shown: the body moves as the block does, at its tempo. */
export function Going({ run, moments, line }: Props) {
  const phase = Runs.current(run);
  const way = wayOf(phase);
  // Twenty pictures a second do.
  const elapsed = useMoment(moments, (now) => Math.round(Runs.elapsed(run, now) * 20) / 20);
  if (!way) return null;
  const side: Side = phase.side === 'RIGHT' ? 'RIGHT' : 'LEFT';
  const of = line ? ({ position: line.positionId, motion: line.motion, side } as const) : { joint: phase.contact };
  return (
    <MovingFigure
      of={of}
      way={way}
      place={placeAt(phase, elapsed)}
      label={phase.cue}
      className="h-[22vh] portrait:h-[14vh]"
    />
  );
}
