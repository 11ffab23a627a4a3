import type { Schemas } from '../api/client';
import { degrees } from '../units';

const TOP = 70;
const HEIGHT = 62;
const WIDTH = 320;

type Props = {
  side: Schemas['RangeSide'];
  usual?: Schemas['Usual'];
  goal?: number;
  label: string;
};

/** Passive is an outline, active solid, the gap hatched, the usual range a bracket, the 95 % band whiskers, the goal a flag. */
export function RangeBar({ side, usual, goal, label }: Props) {
  const top = Math.max(TOP, goal ?? 0, usual?.upper ?? 0, side.passive?.upper ?? 0);
  const x = (value: number) => (Math.max(0, value) / top) * (WIDTH - 10) + 2;
  const { passive, active } = side;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-xl" role="img" aria-label={label}>
      <defs>
        <pattern id="gap" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink)" strokeWidth="1.4" />
        </pattern>
      </defs>
      {usual && (
        <g stroke="var(--soft)" fill="none" strokeWidth="1.5">
          <path d={`M${x(usual.lower)} 14V8H${x(usual.upper)}V14`} />
        </g>
      )}
      {passive && active && (
        <rect
          x={x(active.degrees)}
          y={20}
          width={Math.max(0, x(passive.degrees) - x(active.degrees))}
          height={20}
          fill="url(#gap)"
        />
      )}
      {active && <rect x={x(0)} y={20} width={x(active.degrees) - x(0)} height={20} fill="var(--ink)" />}
      {passive && (
        <g fill="none" stroke="var(--ink)" strokeWidth="2">
          <rect x={x(0)} y={20} width={x(passive.degrees) - x(0)} height={20} />
          <path
            d={`M${x(passive.lower)} 48H${x(passive.upper)}M${x(passive.lower)} 44v8M${x(passive.upper)} 44v8`}
            strokeWidth="1.5"
          />
        </g>
      )}
      {goal !== undefined && (
        <g>
          <line x1={x(goal)} x2={x(goal)} y1={2} y2={44} stroke="var(--ink)" strokeWidth="2" />
          <path d={`M${x(goal)} 2h12l-4 4 4 4h-12`} fill="var(--ink)" />
        </g>
      )}
      {[0, 20, 40, 60].map((tick) => (
        <text key={tick} x={x(tick)} y={61} fontSize="9" fill="var(--soft)">
          {degrees(tick)}
        </text>
      ))}
    </svg>
  );
}
