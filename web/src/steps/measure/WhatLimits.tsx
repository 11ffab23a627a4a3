import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { degrees, fixed } from '../../shared/units';
import { sideName } from './RangeResult';

type Row = Schemas['RangeRow'];

const MOST = 3;

/** What to work on first, in plain words with the numbers it rests on. */
export function WhatLimits({ clientId, rows }: { clientId: string; rows: Row[] }) {
  const pressing = rows.filter(
    (r) => r.asymmetry?.real || r.sides.some((s) => s.limiter !== 'NEITHER' && s.limiter !== 'UNKNOWN'),
  );
  return (
    <section aria-label="What limits" className="my-6 xl:my-0">
      <h2 className="mb-2 text-xl font-bold">What limits first</h2>
      {pressing.length === 0 && (
        <p>
          Nothing stands out: no range is short of the goal or of the usual, the sides agree, own strength comes along.
          Keep it up once a week.
        </p>
      )}
      <ol className="grid gap-4 lg:grid-cols-3 xl:grid-cols-1">
        {pressing.slice(0, MOST).map((row, i) => (
          <li
            key={row.motion + row.position + row.instrument}
            className="break-inside-avoid border-t-4 border-ink pt-1"
          >
            <h3 className="text-lg font-bold">
              {i + 1}{' '}
              <Link
                className="hover:underline"
                to={`/clients/${clientId}/measure/motions/${row.motion}/${row.position}/${row.instrument}`}
              >
                {row.name}
              </Link>
            </h3>
            <p className="text-sm text-soft">{row.positionName}</p>
            {row.sides.map((side) => (
              <div key={side.side} className="mt-2">
                <p className="font-semibold">{sideName(side.side)}</p>
                {side.why.map((w) => (
                  <p key={w.reason}>{w.text}.</p>
                ))}
              </div>
            ))}
            <p className="mt-2 text-sm text-soft">{parts(row).join(' · ')}</p>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** The parts of the priority that ask for something, in their order. */
export function parts(row: Row): string[] {
  const p = row.priority;
  return [
    p.goalShortDegrees > 0 ? `${degrees(p.goalShortDegrees)} short of the goal` : null,
    p.deficitSds > 0.05 ? `${fixed(p.deficitSds, 1)} SD below the usual mean` : null,
    p.asymmetryDegrees > 0 ? `${degrees(p.asymmetryDegrees)} between the sides` : null,
    p.gapOverDegrees > 0 ? `control gap ${degrees(p.gapOverDegrees)} over its limit` : null,
  ].filter((x) => x !== null);
}
