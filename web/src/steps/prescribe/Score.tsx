import type { Schemas, Side } from '../../shared/api/client';
import { Stair } from '../../shared/draw/Stair';
import { clock } from '../../shared/units';

/** The session as a score: one lane a side, time runs right; both lanes share one scale so that they can be compared. */
export function Score({ timeline, firstSide }: { timeline: Schemas['Timeline']; firstSide: Side }) {
  const sides: Side[] = firstSide === 'LEFT' ? ['LEFT', 'RIGHT'] : ['RIGHT', 'LEFT'];
  const lanes = sides.map((side) => ({ side, phases: timeline.phases.filter((p) => p.side === side) }));
  const longest = Math.max(...lanes.map((l) => lengthOf(l.phases)));
  return (
    <div className="my-4 border border-rule bg-card p-3">
      {lanes.map(({ side, phases }) => {
        const start = phases[0]?.startSecond ?? 0;
        return (
          <div key={side} className="grid grid-cols-[3.5rem_1fr] items-center">
            <span className="font-semibold">{side === 'LEFT' ? 'Left' : 'Right'}</span>
            <div className="h-28">
              <Stair
                phases={phases}
                from={start}
                to={start + longest}
                width={1000}
                height={110}
                label={`${side === 'LEFT' ? 'Left' : 'Right'} side, ${clock(lengthOf(phases))}`}
              />
            </div>
          </div>
        );
      })}
      <p className="mt-1 text-sm text-soft">
        <span className="font-bold text-press">Press goes down</span> from the line,{' '}
        <span className="font-bold text-pull">pull rises</span> with a slanted top; band supported hold, loops
        rotations, wave settle. {sides[0] === 'LEFT' ? 'Left' : 'Right'} goes first.
      </p>
    </div>
  );
}

function lengthOf(phases: Schemas['Phase'][]): number {
  const first = phases[0];
  const last = phases[phases.length - 1];
  return first && last ? last.endSecond - first.startSecond : 0;
}
