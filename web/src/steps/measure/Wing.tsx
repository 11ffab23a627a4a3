import type { Schemas } from '../../shared/api/client';
import { degrees } from '../../shared/units';
import { scaleOf, WING } from './wing';

const H = 40;
const BAR = { y: 14, height: 14 };

type Props = { row: Schemas['RangeRow']; side: Schemas['RangeSide']; left: boolean };

/**
 * One side as a wing: passive outline, active solid, the gap hatched, the usual range a bracket, 95 % whiskers, the goal a
 * flag. The left wing is the right one mirrored.
 */
export function Wing({ row, side, left }: Props) {
  const x = scaleOf(row);
  const { passive, active } = side;
  // Without a passive table the active one still shows where others end, dashed.
  const usual = row.usualPassive ?? row.usualActive;
  const at = (v: number) => (left ? WING - x(v) : x(v));
  const box = (from: number, to: number) => ({ x: Math.min(at(from), at(to)), width: Math.abs(at(to) - at(from)) });
  return (
    <svg viewBox={`0 0 ${WING} ${H}`} className="block w-full" role="img" aria-label={label(row, side)}>
      {usual && (
        <path
          d={`M${at(usual.lower)} 11V5H${at(usual.upper)}V11`}
          fill="none"
          stroke="var(--soft)"
          strokeWidth={1.5}
          strokeDasharray={row.usualPassive ? undefined : '3 3'}
        />
      )}
      {passive && active && passive.degrees > active.degrees && (
        <rect {...box(active.degrees, passive.degrees)} {...BAR} fill="url(#map-gap)" />
      )}
      {active && <rect {...box(0, active.degrees)} {...BAR} fill="var(--ink)" />}
      {passive && (
        <>
          <rect {...box(0, passive.degrees)} {...BAR} fill="none" stroke="var(--ink)" strokeWidth={1.8} />
          <path
            d={`M${at(passive.lower)} 34H${at(passive.upper)}M${at(passive.lower)} 31v6M${at(passive.upper)} 31v6`}
            stroke="var(--ink)"
            strokeWidth={1.5}
          />
        </>
      )}
      {row.goalDegrees !== undefined && (
        <g stroke="var(--ink)" fill="var(--ink)">
          <line x1={at(row.goalDegrees)} x2={at(row.goalDegrees)} y1={2} y2={30} strokeWidth={2} />
          <path
            d={`M${at(row.goalDegrees)} 2h${left ? 9 : -9}l${left ? -3 : 3} 3.5 ${left ? 3 : -3} 3.5H${at(row.goalDegrees)}`}
            strokeWidth={0}
          />
        </g>
      )}
    </svg>
  );
}

function label(row: Schemas['RangeRow'], side: Schemas['RangeSide']): string {
  const p = side.passive ? `passive ${degrees(side.passive.degrees)}` : 'passive not measured';
  const a = side.active ? `active ${degrees(side.active.degrees)}` : 'active not measured';
  return `${row.name}, ${side.side.toLowerCase()}: ${p}, ${a}`;
}
