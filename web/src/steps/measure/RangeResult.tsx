import { changeSaid } from './change';
import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { RangeBar } from '../../shared/draw/RangeBar';
import { daysAgo, degrees, signed, words } from '../../shared/units';
import type { BenchState } from './draft';
import { FIT } from './fit';

type Props = { row: Schemas['RangeRow'] | undefined; state: BenchState; clientId: string };

/** What the readings say, each side against the usual range and the goal. */
export function RangeResult({ row, state, clientId }: Props) {
  if (!row) {
    return (
      <p className="max-w-prose text-soft">
        No {words(state.instrument)} reading of {words(state.motion)} in this position yet. Readings of other positions
        or instruments are not mixed: each has its own zero.
      </p>
    );
  }
  return (
    <>
      <h2 className="mb-1 text-xl font-bold">{row.name} now</h2>
      <p className="mb-4 text-sm text-soft">
        Cold readings only. Outline passive, solid active, hatched gap, whiskers 95 %
        {row.usualPassive
          ? `, bracket usual (${row.usualPassive.population}${FIT[row.usualPassive.fit]}; ${row.usualPassive.source})`
          : ', no table for this position'}
        {row.goalDegrees !== undefined ? `, flag goal ${degrees(row.goalDegrees)}` : ''}.
      </p>
      {row.sides.map((side) => (
        <SideResult key={side.side} range={side} row={row} />
      ))}
      {row.asymmetry && (
        <p>
          Left − right {signed(row.asymmetry.degrees)}
          {row.asymmetry.real ? ': a real difference.' : ': within measurement noise.'}
        </p>
      )}
      <Link
        className="mt-2 inline-block underline"
        to={`/clients/${clientId}/measure/motions/${row.motion}/${row.position}/${row.instrument}`}
      >
        Its history
      </Link>
    </>
  );
}

export function sideName(side: Schemas['RangeSide']['side']): string {
  return side === 'LEFT' ? 'Left' : side === 'RIGHT' ? 'Right' : 'Middle';
}

export function SideResult({ range, row }: { range: Schemas['RangeSide']; row: Schemas['RangeRow'] }) {
  return (
    <div className="mb-5">
      <h3 className="font-semibold">
        {sideName(range.side)}{' '}
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
      <RangeBar side={range} usual={row.usualPassive} goal={row.goalDegrees} label={`${words(range.side)} range`} />
      {range.why.map((w) => (
        <p key={w.reason}>{w.text}.</p>
      ))}
      <p className="text-sm text-soft">
        {range.active ? `Active ${degrees(range.active.degrees)}. ` : 'Active not measured. '}
        {range.gap && `Gap ${degrees(range.gap.degrees)}, in order up to ${degrees(range.gapLimit ?? 15)}. `}
        {range.passive && range.passive.readings > 1 && (
          <>
            Since the first reading {signed(range.passive.change.degrees)}, {changeSaid(range.passive.change)}.
          </>
        )}
      </p>
    </div>
  );
}
