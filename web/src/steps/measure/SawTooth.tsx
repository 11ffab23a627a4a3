import { scaleLinear, scaleTime } from 'd3-scale';
import { area, line } from 'd3-shape';
import type { Schemas } from '../../shared/api/client';
import { day, degrees } from '../../shared/units';

const W = 720;
const H = 220;
const LEFT = 40;

type Side = Schemas['SideHistory'];
type Props = { side: Side; goal: number | undefined; usual: Schemas['Usual'] | undefined };

/** Readings over time: the cold estimate with its band, warm readings as teeth above the cold ones. */
export function SawTooth({ side, goal, usual }: Props) {
  const { dots } = side;
  if (dots.length === 0) return <p className="text-soft">No reading of this side yet.</p>;
  const times = dots.map((d) => Date.parse(d.at));
  const tops = [...dots.map((d) => d.degrees), goal ?? 0, usual?.upper ?? 0];
  const span = Math.max(...times) - Math.min(...times);
  const pad = span === 0 ? 86_400_000 : 0;
  const x = scaleTime([Math.min(...times) - pad, Math.max(...times) + pad], [LEFT + 8, W - 12]);
  const y = scaleLinear([Math.min(0, ...dots.map((d) => d.degrees)), Math.max(...tops) + 4], [H - 24, 8]).nice();
  const teeth = dots.filter((d) => d.warmth === 'WARM' && d.mode === 'PASSIVE');
  const cold = dots.filter((d) => d.warmth === 'COLD' && d.mode === 'PASSIVE');
  const before = (at: string) => cold.filter((c) => c.at < at).at(-1);
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      className="w-full"
      role="img"
      aria-label={`Readings over time, ${side.side.toLowerCase()}`}
    >
      {y.ticks(4).map((t) => (
        <g key={t}>
          <line x1={LEFT} x2={W} y1={y(t)} y2={y(t)} stroke="var(--rule)" />
          <text x={0} y={y(t) + 4} fontSize={12} fill="var(--soft)">
            {degrees(t)}
          </text>
        </g>
      ))}
      {usual && <Level y={y(usual.lower)} text="usual from here" dash="2 4" />}
      {goal !== undefined && <Level y={y(goal)} text="goal" dash="8 4" />}
      <Band bands={side.passive} x={x} y={y} look={PASSIVE} />
      <Band bands={side.active} x={x} y={y} look={ACTIVE} />
      {teeth.map((w) => {
        const c = before(w.at);
        return (
          c && (
            <line
              key={w.id}
              x1={x(Date.parse(c.at))}
              y1={y(c.degrees)}
              x2={x(Date.parse(w.at))}
              y2={y(w.degrees)}
              stroke="var(--soft)"
            />
          )
        );
      })}
      {dots.map((d) => (
        <Mark key={d.id} x={x(Date.parse(d.at))} y={y(d.degrees)} dot={d} />
      ))}
      <text x={LEFT} y={H - 6} fontSize={12} fill="var(--soft)">
        {day(dots[0]?.at ?? '')}
      </text>
      <text x={W} y={H - 6} fontSize={12} fill="var(--soft)" textAnchor="end">
        {day(dots.at(-1)?.at ?? '')}
      </text>
    </svg>
  );
}

function Level({ y, text, dash }: { y: number; text: string; dash: string }) {
  return (
    <g>
      <line x1={LEFT} x2={W} y1={y} y2={y} stroke="var(--soft)" strokeDasharray={dash} />
      <text x={W - 4} y={y - 4} fontSize={12} fill="var(--soft)" textAnchor="end">
        {text}
      </text>
    </g>
  );
}

type BandProps = {
  bands: Side['passive'];
  x: (ms: number) => number;
  y: (v: number) => number;
  look: { color: string; dash?: string; opacity: number };
};

// Neither press nor pull: range is told by fill, so these stay without colour.
const PASSIVE = { color: 'var(--soft)', dash: '6 4', opacity: 0.22 };
const ACTIVE = { color: 'var(--ink)', opacity: 0.16 };

function Band({ bands, x, y, look }: BandProps) {
  const at = (b: (typeof bands)[number]) => x(Date.parse(b.at));
  const shape = area<(typeof bands)[number]>(
    at,
    (b) => y(b.lower),
    (b) => y(b.upper),
  )(bands);
  const middle = line<(typeof bands)[number]>(at, (b) => y(b.degrees))(bands);
  return (
    <g>
      <path d={shape ?? ''} fill={look.color} opacity={look.opacity} />
      <path d={middle ?? ''} fill="none" stroke={look.color} strokeDasharray={look.dash} strokeWidth={2} />
    </g>
  );
}

function Mark({ x, y, dot }: { x: number; y: number; dot: Side['dots'][number] }) {
  const fill = dot.warmth === 'COLD' ? 'var(--ink)' : 'var(--card)';
  return (
    <g>
      {dot.mode === 'PASSIVE' ? (
        <circle cx={x} cy={y} r={4} fill={fill} stroke="var(--ink)" strokeWidth={1.5} />
      ) : (
        <rect x={x - 3.5} y={y - 3.5} width={7} height={7} fill={fill} stroke="var(--ink)" strokeWidth={1.5} />
      )}
      {dot.outlier && <circle cx={x} cy={y} r={9} fill="none" stroke="var(--warn)" strokeWidth={2} />}
    </g>
  );
}
