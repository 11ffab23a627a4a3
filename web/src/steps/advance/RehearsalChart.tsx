import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { on, type Schemas, type Side } from '../../shared/api/client';
import { degrees } from '../../shared/units';

type Life = Schemas['Life'];

const W = 560;
const H = 240;
const EDGE = 36;

/** The range as it really is, as it was read, and the working angle beneath; a mark for every step. */
export function RehearsalChart({ life, side }: { life: Life; side: Side }) {
  const weeks = life.weeks.map((w) => ({ number: w.number, held: w.held, ...on(side, w.sides) }));
  const top = Math.max(...weeks.map((w) => Math.max(w.passive, w.estimate ?? 0))) + 3;
  const x = scaleLinear([0.5, weeks.length + 0.5], [EDGE, W - 4]);
  const y = scaleLinear([Math.min(...weeks.map((w) => Math.min(w.active, w.dose.angle))) - 3, top], [H - 44, 6]).nice();
  const path = (value: (w: (typeof weeks)[number]) => number) =>
    line<(typeof weeks)[number]>(
      (w) => x(w.number),
      (w) => y(value(w)),
    )(weeks) ?? '';
  const ups = weeks.flatMap((w) => w.steps).filter((s) => s.verdict === 'STEP_UP').length;
  const downs = weeks.flatMap((w) => w.steps).filter((s) => s.verdict === 'STEP_DOWN').length;
  return (
    <>
      <svg viewBox={`0 0 ${W} ${H}`} className="w-full" role="img" aria-label="Range, working angle and steps by week">
        {y.ticks(4).map((t) => (
          <g key={t}>
            <line x1={EDGE} x2={W} y1={y(t)} y2={y(t)} stroke="var(--rule)" />
            <text x={0} y={y(t) + 4} fontSize="12" fill="var(--soft)">
              {degrees(t)}
            </text>
          </g>
        ))}
        <path d={path((w) => w.passive)} fill="none" stroke="var(--ink)" strokeWidth="2" />
        <path d={path((w) => w.active)} fill="none" stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="2 4" />
        {weeks.map((w) => (
          <g key={w.number}>
            {w.estimate !== undefined && <circle cx={x(w.number)} cy={y(w.estimate)} r="3.5" fill="var(--ink)" />}
            <path
              d={`M${x(w.number - 0.5)} ${y(w.dose.angle)}H${x(w.number + 0.5)}`}
              stroke="var(--press)"
              strokeWidth="4"
            />
            {w.steps.map((s, i) => (
              <path
                key={i}
                transform={`translate(${x(w.number) + (i - (w.steps.length - 1) / 2) * 9} ${H - 32})`}
                d={s.verdict === 'STEP_UP' ? 'M-4 4h8l-4 -8z' : 'M-4 -4h8l-4 8z'}
                fill="var(--ink)"
              >
                <title>{s.why.text}</title>
              </path>
            ))}
            <text x={x(w.number)} y={H - 14} fontSize="10" textAnchor="middle" fill="var(--soft)">
              {w.worstPain > 0 ? `p${w.worstPain}` : ''}
            </text>
            <text x={x(w.number)} y={H - 2} fontSize="10" textAnchor="middle" fill="var(--soft)">
              {w.number}
            </text>
          </g>
        ))}
      </svg>
      <p className="text-xs text-soft">
        Line: the range as it really is; dots: as it was read; dotted: own strength; tread: working angle; ▲ ▼ steps; p:
        highest pain of the week; bottom row: week.
      </p>
      <p className="mt-2">
        <strong>{ups}</strong> up, <strong>{downs}</strong> down, {weeks.reduce((n, w) => n + w.held, 0)} sessions held;
        ends at {degrees(weeks.at(-1)?.dose.angle ?? 0)}, {weeks.at(-1)?.sets} sets to {weeks.at(-1)?.ceiling} %.
      </p>
      <Prevented weeks={weeks} />
    </>
  );
}

const MOST_REASONS = 6;

/** What the rules held back, by how many weeks it did. */
function Prevented({ weeks }: { weeks: Pick<Schemas['SideWeek'], 'prevented'>[] }) {
  const counted = new Map<string, { text: string; weeks: number }>();
  for (const week of weeks) {
    for (const because of new Map(week.prevented.map((b) => [b.reason, b])).values()) {
      const known = counted.get(because.reason);
      counted.set(because.reason, { text: because.text, weeks: (known?.weeks ?? 0) + 1 });
    }
  }
  const most = [...counted.values()].sort((a, b) => b.weeks - a.weeks).slice(0, MOST_REASONS);
  if (most.length === 0) return null;
  return (
    <>
      <h3 className="mt-2 font-bold">What the rules held back</h3>
      <ul className="text-sm">
        {most.map((m) => (
          <li key={m.text}>
            <strong>
              {m.weeks} {m.weeks === 1 ? 'week' : 'weeks'}
            </strong>{' '}
            {m.text}
          </li>
        ))}
      </ul>
    </>
  );
}
