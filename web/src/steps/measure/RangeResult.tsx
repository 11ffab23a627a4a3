import { on, SIDES, type Schemas } from '../../shared/api/client';
import { RangeBar } from '../../shared/draw/RangeBar';
import { daysAgo, degrees, signed, words } from '../../shared/units';
import type { BenchState } from './draft';
import { History } from './History';

const LIMITS: Record<Schemas['RangeSide']['limiter'], string> = {
  RANGE: 'The range is short.',
  CONTROL: 'The range is there, own strength does not reach it: control work first.',
  BOTH: 'Short, and own strength does not reach its end: control work first.',
  NEITHER: 'Nothing limits it: keep it up once a week.',
  STRUCTURE: 'Block or pinch at the end: never push the angle; change the line of the limb, otherwise refer.',
  UNKNOWN: 'Nothing to hold it against yet: a goal in degrees or a passive cold reading is missing.',
};

/** What the readings say, each side against the usual range and the goal. */
export function RangeResult({ row, state }: { row: Schemas['RangeRow'] | undefined; state: BenchState }) {
  if (!row) {
    return (
      <p className="max-w-prose text-soft">
        No {words(state.instrument)} reading of {words(state.motion)} in this position yet. Readings of other positions
        or instruments are kept apart: each has its own zero.
      </p>
    );
  }
  return (
    <>
      <h2 className="mb-1 text-xl font-bold">Where {words(row.motion)} stands</h2>
      <p className="mb-4 text-sm text-soft">
        Cold readings only. Outline passive, solid active, hatched gap, whiskers 95 %
        {row.usualPassive ? `, bracket usual (${row.usualPassive.source})` : ', no table for this position'}
        {row.goalDegrees !== undefined ? `, flag goal ${degrees(row.goalDegrees)}` : ''}.
      </p>
      {SIDES.map((side) => (
        <SideResult key={side} side={side} row={row} />
      ))}
      {row.asymmetry && (
        <p>
          Left − right {signed(row.asymmetry.degrees)}
          {row.asymmetry.real ? ': a real difference.' : ': within measurement noise.'}
        </p>
      )}
      <History row={row} />
    </>
  );
}

function SideResult({ side, row }: { side: 'LEFT' | 'RIGHT'; row: Schemas['RangeRow'] }) {
  const range = on(side, row.sides);
  return (
    <div className="mb-5">
      <h3 className="font-semibold">
        {side === 'LEFT' ? 'Left' : 'Right'}{' '}
        {range.passive ? (
          <>
            <span className="text-2xl">{degrees(range.passive.degrees)}</span>{' '}
            <span className="font-normal text-soft">
              passive, {degrees(range.passive.lower)} to {degrees(range.passive.upper)}, {daysAgo(range.passive.asOf)}
            </span>
          </>
        ) : (
          <span className="font-normal text-soft">no passive cold reading yet</span>
        )}
      </h3>
      <RangeBar side={range} usual={row.usualPassive} goal={row.goalDegrees} label={`${words(side)} range`} />
      <p>{LIMITS[range.limiter]}</p>
      <p className="text-sm text-soft">
        {range.active ? `Active ${degrees(range.active.degrees)}. ` : 'Active not measured. '}
        {range.gap && `Gap ${degrees(range.gap.degrees)}, in order up to ${degrees(range.gapLimit ?? 15)}. `}
        {range.passive && range.passive.readings > 1 && (
          <>
            Since the first reading {signed(range.passive.change.degrees)},{' '}
            {range.passive.change.real ? 'a real change' : 'within measurement noise'}.
          </>
        )}
      </p>
    </div>
  );
}
