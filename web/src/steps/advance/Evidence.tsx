import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { byInstrument } from '../../shared/instruments';
import { day, degrees, fixed, number, words } from '../../shared/units';

/** The sessions that a proposal rests on, and the range estimate with its band. */
export function Evidence({ judged }: { judged: Schemas['Judged'] }) {
  return (
    <div className="mt-3 space-y-4" data-testid="evidence">
      {judged.range ? (
        <Band range={judged.range} angle={judged.proposal.from.angle} />
      ) : (
        <p className="text-soft">No cold passive reading in this position yet.</p>
      )}
      {judged.evidence.length === 0 ? (
        <p className="text-soft">No session at this rung yet.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="w-full text-sm">
            <thead className="text-left text-soft">
              <tr>
                {['Session', 'Done', 'Pain', 'Next morning', 'Faults', 'Effort', 'Seen by'].map((h) => (
                  <th key={h} className="pr-3 font-normal">
                    {h}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {judged.evidence.map((s) => (
                <Row key={s.sessionId} s={s} />
              ))}
            </tbody>
          </table>
        </div>
      )}
    </div>
  );
}

function Row({ s }: { s: Schemas['SessionEvidence'] }) {
  return (
    <tr className="border-t border-rule align-top">
      <td className="py-1 pr-3 whitespace-nowrap">
        <Link className="underline" to={`/runs/${s.sessionId}/close`}>
          {day(s.endedAt)}
        </Link>
        {s.otherAngle !== undefined && <span className="block text-soft">at {degrees(s.otherAngle)}</span>}
      </td>
      <td className="pr-3 whitespace-nowrap">{Math.round(100 * s.doneRatio)} %</td>
      <td className="pr-3">{s.pain}</td>
      <td className="pr-3">{morning(s)}</td>
      <td className="pr-3">
        {s.faults}
        {s.cramps > 0 ? `, cramps ${s.cramps}` : ''}
      </td>
      <td className="pr-3">{effort(s)}</td>
      <td>{words(s.observer)}</td>
    </tr>
  );
}

function morning(s: Schemas['SessionEvidence']): string {
  if (s.settled === undefined) return 'not known';
  const sore = s.soreness ? `, sore ${s.soreness}` : '';
  return (s.settled ? 'settled' : 'not settled') + sore;
}

function effort(s: Schemas['SessionEvidence']): string {
  if (s.effortWithin !== undefined) return `gauge ${Math.round(100 * s.effortWithin)} % on target`;
  if (s.effortOff === undefined) return 'not rated';
  return s.effortOff === 0 ? 'as asked' : `${number(s.effortOff)} off`;
}

const WIDTH = 420;
const TOP_SHARE = 1.15;

/** The estimate as a dot, its 95 % as whiskers, the working angle as a tread, and how deep the estimate allows. */
function Band({ range, angle }: { range: Schemas['RangeBand']; angle: number }) {
  const top = Math.max(range.upper, angle) * TOP_SHARE;
  const low = Math.max(0, Math.min(range.lower, angle, range.bound) - 5);
  const x = (v: number) => 4 + ((v - low) / Math.max(1, top - low)) * (WIDTH - 8);
  return (
    <figure>
      <svg
        viewBox={`0 0 ${WIDTH} 64`}
        className="w-full max-w-lg"
        role="img"
        aria-label={`Range ${degrees(range.degrees)}, between ${degrees(range.lower)} and ${degrees(range.upper)}; working angle ${degrees(angle)}`}
      >
        <line x1="0" x2={WIDTH} y1="44" y2="44" stroke="var(--rule)" />
        <path d={`M${x(low)} 44V34H${x(angle)}V44Z`} fill="var(--ink)" />
        <path
          d={`M${x(range.lower)} 20H${x(range.upper)}M${x(range.lower)} 14v12M${x(range.upper)} 14v12`}
          stroke="var(--ink)"
          strokeWidth="2"
        />
        <circle cx={x(range.degrees)} cy="20" r="5" fill="var(--ink)" />
        <line
          x1={x(range.bound)}
          x2={x(range.bound)}
          y1="8"
          y2="48"
          stroke="var(--mark)"
          strokeWidth="2"
          strokeDasharray="4 3"
        />
        <text x={x(range.bound)} y="60" textAnchor="middle" fontSize="11" fill="var(--ink)">
          may go to {degrees(range.bound)}
        </text>
      </svg>
      <figcaption className="text-sm text-soft">
        Cold passive range {degrees(range.degrees)} ± {fixed(range.standardError, 1)}° (95 % between{' '}
        {degrees(range.lower)} and {degrees(range.upper)}), {byInstrument(range.instrument)}, measured{' '}
        {day(range.measuredAt)}; the work is set at {degrees(angle)}.
      </figcaption>
    </figure>
  );
}
