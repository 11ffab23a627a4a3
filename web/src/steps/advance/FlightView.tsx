import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, on, type Schemas, type Side } from '../../shared/api/client';
import { day, degrees, words } from '../../shared/units';
import { Failure } from '../../shared/ui/Findings';
import { difference } from './dose';

type RungView = Schemas['RungView'];

const TURNED: Record<Schemas['Rung']['turned'], string> = {
  TOO_EARLY: 'too early to say',
  HELD: 'held',
  HURT: 'hurt',
  TAKEN_BACK: 'undone',
};

/** A side's flight: the rungs it has stood on, every step with its reason, and how it turned out. */
export function FlightView({ lineId, side, title }: { lineId: string; side: Side; title: string }) {
  const flight = useQuery({
    queryKey: ['flight', lineId],
    queryFn: () => ask(api.GET('/api/lines/{lineId}/flight', { params: { path: { lineId } } })),
  });
  const [picked, pick] = useState<number | null>(null);
  if (!flight.data) return <Failure error={flight.error} />;
  const rungs = on(side, flight.data.sides);
  const shown = Math.min(picked ?? rungs.length - 1, rungs.length - 1);
  const rung = rungs[shown];
  return (
    <section className="mt-10">
      <h2 className="mb-2 text-xl font-bold">The flight so far, {title}</h2>
      <Stairs rungs={rungs} shown={shown} pick={pick} />
      {rung && <Told view={rung} last={shown === rungs.length - 1} />}
    </section>
  );
}

/** A tread's width, pixels: as much as there is room for. */
const NARROWEST = 54;
const WIDEST = 160;
const RISE = 22;

type StairsProps = { rungs: RungView[]; shown: number; pick: (index: number) => void };

/** One tread a rung, in the order of time; higher is more. What was decided against the proposal has a dashed edge. */
function Stairs({ rungs, shown, pick }: StairsProps) {
  const levels = rungs.map((r) => r.rung.level);
  const top = Math.max(...levels);
  const low = Math.min(...levels);
  const height = (top - low + 1) * RISE + 40;
  const y = (level: number) => 18 + (top - level) * RISE;
  return (
    <div className="overflow-x-auto">
      <svg
        width="100%"
        height={height}
        style={{ minWidth: rungs.length * NARROWEST, maxWidth: rungs.length * WIDEST }}
        role="group"
        aria-label="Rungs in the order of time"
      >
        <defs>
          <pattern id="hurt" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink)" strokeWidth="2" />
          </pattern>
        </defs>
        {rungs.map((view, i) => (
          <Tread
            key={view.rung.decisionId ?? 'first'}
            view={view}
            place={i}
            of={rungs.length}
            y={y(view.rung.level)}
            bottom={height - 18}
            current={i === rungs.length - 1}
            shown={i === shown}
            pick={() => pick(i)}
          />
        ))}
      </svg>
    </div>
  );
}

type TreadProps = {
  view: RungView;
  place: number;
  of: number;
  y: number;
  bottom: number;
  current: boolean;
  shown: boolean;
  pick: () => void;
};

function Tread({ view: { rung }, place, of, y, bottom, current, shown, pick }: TreadProps) {
  const at = Date.parse(rung.at) > 0 ? day(rung.at) : 'first';
  const fill = { HELD: 'var(--ink)', HURT: 'url(#hurt)', TAKEN_BACK: 'var(--paper)', TOO_EARLY: 'var(--tread)' };
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={shown}
      aria-label={`${at} ${title(rung)}, ${TURNED[rung.turned]}`}
      className="cursor-pointer"
      onClick={pick}
      onFocus={pick}
    >
      <svg x={`${(place * 100) / of}%`} width={`${100 / of}%`} overflow="visible">
        <rect x="0" y={y} width="100%" height={bottom - y} fill={shown ? 'var(--card)' : 'transparent'} />
        <rect
          x="1%"
          y={y}
          width="98%"
          height={9}
          fill={fill[rung.turned]}
          stroke="var(--ink)"
          strokeWidth="2"
          strokeDasharray={rung.override ? '4 3' : undefined}
        />
        {current && (
          <svg x="50%" overflow="visible">
            <path d={`M-6 ${y - 11}h12l-6 8z`} fill="var(--mark)" />
          </svg>
        )}
        <text x="50%" y={bottom + 13} textAnchor="middle" fontSize="11" fill="var(--soft)">
          {at}
        </text>
      </svg>
    </g>
  );
}

function title(rung: Schemas['Rung']): string {
  if (!rung.decisionId) return 'The first dose';
  const proposed = rung.proposed ? words(rung.proposed) : '';
  if (rung.answer === 'EDITED') return 'Set in the plan';
  return rung.answer === 'ACCEPTED' ? proposed : `${proposed}, ${words(rung.answer ?? '')}`;
}

function Told({ view, last }: { view: RungView; last: boolean }) {
  const { rung } = view;
  return (
    <div className="max-w-3xl border-l-4 border-ink bg-card px-4 py-2" aria-live="polite">
      <p>
        <strong className="capitalize">{title(rung)}</strong>
        {rung.override && <strong className="text-warn"> ◇ not as proposed</strong>}{' '}
        <span className="text-soft">{Date.parse(rung.at) > 0 && day(rung.at)}</span>
      </p>
      <p>{rung.decisionId ? difference(view.changes) : `begun at ${degrees(rung.after.angle)}`}</p>
      {view.why && <p className="text-soft">{view.why}</p>}
      {view.reason && <p>The coach: “{view.reason}”</p>}
      <p>
        {rung.sessions} {rung.sessions === 1 ? 'session' : 'sessions'} on it, highest pain {rung.worstPain}:{' '}
        <strong>{TURNED[rung.turned]}</strong>
        {last && ' so far'}.
      </p>
    </div>
  );
}
