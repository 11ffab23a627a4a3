import { scaleLinear } from 'd3-scale';
import { on, SIDES, type Schemas } from '../../shared/api/client';
import { day, degrees } from '../../shared/units';

const W = 560;
const H = 170;

/** Every reading over time: passive round, active square; cold filled, warm open; a flagged one ringed. */
export function History({ row }: { row: Schemas['RangeRow'] }) {
  const dots = SIDES.flatMap((side) => on(side, row.sides).dots.map((dot) => ({ ...dot, side })));
  if (dots.length < 3) return null;
  const times = dots.map((d) => Date.parse(d.at));
  const x = scaleLinear([Math.min(...times), Math.max(...times)], [34, W - 10]);
  const y = scaleLinear(
    [Math.min(0, ...dots.map((d) => d.degrees)), Math.max(...dots.map((d) => d.degrees)) + 4],
    [H - 24, 8],
  );
  const first = dots.reduce((a, b) => (a.at < b.at ? a : b));
  const last = dots.reduce((a, b) => (a.at > b.at ? a : b));
  return (
    <figure className="mt-4">
      <svg viewBox={`0 0 ${W} ${H}`} className="w-full" role="img" aria-label="Readings over time">
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={34} x2={W} y1={y(tick)} y2={y(tick)} stroke="var(--rule)" />
            <text x={0} y={y(tick) + 4} fontSize={11} fill="var(--soft)">
              {degrees(tick)}
            </text>
          </g>
        ))}
        {dots.map((d, i) => (
          <Mark key={i} x={x(Date.parse(d.at))} y={y(d.degrees)} dot={d} left={d.side === 'LEFT'} />
        ))}
        <text x={34} y={H - 6} fontSize={11} fill="var(--soft)">
          {day(first.at)}
        </text>
        <text x={W} y={H - 6} fontSize={11} fill="var(--soft)" textAnchor="end">
          {day(last.at)}
        </text>
      </svg>
      <figcaption className="text-sm text-soft">
        Circles passive, squares active; filled cold, open warm; left <LeftMark />, right <RightMark />.
      </figcaption>
    </figure>
  );
}

function Mark({ x, y, dot, left }: { x: number; y: number; dot: Schemas['Dot']; left: boolean }) {
  const color = left ? 'var(--pull)' : 'var(--press)';
  const fill = dot.warmth === 'COLD' ? color : 'var(--card)';
  return (
    <g>
      {dot.mode === 'PASSIVE' ? (
        <circle cx={x + (left ? -2 : 2)} cy={y} r={4} fill={fill} stroke={color} strokeWidth={1.5} />
      ) : (
        <rect
          x={x - 3.5 + (left ? -2 : 2)}
          y={y - 3.5}
          width={7}
          height={7}
          fill={fill}
          stroke={color}
          strokeWidth={1.5}
        />
      )}
      {dot.outlier && <circle cx={x} cy={y} r={9} fill="none" stroke="var(--ink)" strokeWidth={1.5} />}
    </g>
  );
}

function LeftMark() {
  return <span className="font-bold text-pull">blue</span>;
}

function RightMark() {
  return <span className="font-bold text-press">rust</span>;
}
