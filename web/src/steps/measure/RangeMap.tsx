import { memo } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { jointName } from '../../shared/restrictions';
import { degrees } from '../../shared/units';
import { LIMIT_WORDS } from './wing';
import { Wing } from './Wing';

type Row = Schemas['RangeRow'];

/** Joints down the spine of the page, left wing and right wing; a row opens its history. */
export function RangeMap({ clientId, rows, byBody }: { clientId: string; rows: Row[]; byBody: boolean }) {
  return (
    <div>
      <svg width="0" height="0" className="absolute" aria-hidden>
        <defs>
          <pattern id="map-gap" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink)" strokeWidth="1.6" />
          </pattern>
        </defs>
      </svg>
      <ol aria-label="Range map">
        {rows.map((row, i) => (
          <li key={row.motion + row.position + row.instrument} className="break-inside-avoid">
            {byBody && rows[i - 1]?.joint !== row.joint && (
              <h3 className="mt-3 border-b border-rule text-center text-sm font-semibold text-soft">
                {jointName(row.joint)}
              </h3>
            )}
            <MapRow clientId={clientId} row={row} />
          </li>
        ))}
      </ol>
      <p className="mt-3 text-sm text-soft">
        Cold readings. Outline passive, solid active, hatching the gap between them, bracket the usual range (dashed: of
        active readings), whiskers 95 %, flag the goal. Each motion has its own scale.
      </p>
    </div>
  );
}

const MapRow = memo(function MapRow({ clientId, row }: { clientId: string; row: Row }) {
  const [first, second] = row.sides;
  return (
    <Link
      to={`/clients/${clientId}/measure/motions/${row.motion}/${row.position}/${row.instrument}`}
      className="grid grid-cols-2 items-center gap-x-3 py-1.5 hover:bg-tread sm:grid-cols-[1fr_minmax(10rem,13rem)_1fr]"
    >
      <Middle row={row} />
      {second ? (
        <>
          <Half row={row} side={first} left />
          <Half row={row} side={second} left={false} />
        </>
      ) : (
        first && (
          <div className="col-span-2 sm:col-span-1 sm:col-start-3 sm:row-start-1">
            <Half row={row} side={first} left={false} />
          </div>
        )
      )}
    </Link>
  );
});

function Middle({ row }: { row: Row }) {
  return (
    <div className="order-first col-span-2 text-center leading-tight sm:order-none sm:col-span-1 sm:col-start-2 sm:row-start-1">
      <span className="font-semibold">{row.name}</span>
      <span className="block text-xs text-soft">
        {row.positionName}
        {row.instrument === 'GONIOMETER' ? '' : `, ${row.instrument.toLowerCase()}`}
      </span>
    </div>
  );
}

function Half({ row, side, left }: { row: Row; side: Row['sides'][number] | undefined; left: boolean }) {
  if (!side) return null;
  const words = (
    <span
      className={`block text-xs ${side.limiter === 'NEITHER' || side.limiter === 'UNKNOWN' ? 'text-soft' : 'font-semibold'}`}
    >
      {LIMIT_WORDS[side.limiter]}
    </span>
  );
  const value = (
    <span className={`flex shrink-0 items-baseline gap-2 sm:block sm:w-16 ${left ? 'justify-end text-right' : ''}`}>
      <span className="text-lg font-bold">{side.passive ? degrees(side.passive.degrees) : '–'}</span>
      {words}
    </span>
  );
  return (
    <div
      className={`flex min-w-0 flex-col gap-x-2 sm:flex-row sm:items-center ${left ? 'sm:col-start-1 sm:row-start-1' : ''}`}
    >
      {left && value}
      <div className="order-last min-w-0 grow sm:order-none">
        <Wing row={row} side={side} left={left} />
      </div>
      {!left && value}
    </div>
  );
}
