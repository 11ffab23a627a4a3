import { memo } from 'react';
import type { Schemas } from '../api/client';

export type Figure = Schemas['Figure'];
type Mark = Schemas['Mark'];

const FILL: Record<Mark['role'], string> = {
  FLOOR: 'var(--tread)',
  PROP: 'var(--prop)',
  PROP_TOP: 'var(--prop-top)',
  FAR: 'var(--limb-far)',
  NEAR: 'var(--limb)',
  TRUNK: 'var(--trunk)',
  WORKING: 'var(--ink)',
  SECTOR: 'var(--pull-fill)',
  PRESS: 'var(--press)',
  PULL: 'var(--pull)',
  LANDMARK: 'var(--ink)',
};

type Props = { figure: Figure; label: string; className?: string | undefined };

/** A position as it was worked out: a body seen from a direction, press and pull arrows, the working angle as a slice. */
export const FigureView = memo(function FigureView({ figure, label, className = 'h-32' }: Props) {
  const { left, right, top, bottom } = figure.box;
  return (
    <svg
      viewBox={`${left} ${-top} ${right - left} ${top - bottom}`}
      className={`w-full ${className}`}
      role="img"
      aria-label={label}
    >
      {figure.marks.map((mark, i) => (
        <MarkShape key={i} mark={mark} />
      ))}
    </svg>
  );
});

function MarkShape({ mark }: { mark: Mark }) {
  const fill = FILL[mark.role];
  const [a = 0, b = 0, c = 0, d = 0] = mark.numbers;
  switch (mark.kind) {
    case 'LINE':
      return <line x1={a} y1={-b} x2={c} y2={-d} stroke={fill} strokeWidth={1.2} strokeLinecap="round" />;
    case 'ARROW':
      return <Arrow from={[a, -b]} to={[c, -d]} colour={fill} hollow={mark.role === 'PULL'} />;
    case 'POLYGON':
      return <polygon points={points(mark.numbers)} fill={fill} opacity={mark.role === 'SECTOR' ? 0.7 : undefined} />;
    case 'DOT':
      return (
        <g fill={fill} fontSize={5} textAnchor="middle">
          <circle cx={a} cy={-b} r={3.4} fill="var(--card)" stroke={fill} strokeWidth={0.6} />
          <text x={a} y={1.8 - b}>
            {c}
          </text>
        </g>
      );
    case 'OUTLINE':
      return <path d={outline(mark.numbers)} fill={fill} stroke="var(--card)" strokeWidth={0.6} />;
  }
}

function points(numbers: number[]): string {
  return numbers.map((n, i) => (i % 2 === 0 ? n : -n)).join(' ');
}

/** Five numbers an arc: centre, radius, from and to; straight lines between them. */
function outline(numbers: number[]): string {
  const parts: string[] = [];
  for (let i = 0; i + 4 < numbers.length; i += 5) {
    const [x = 0, y = 0, r = 0, from = 0, to = 0] = numbers.slice(i, i + 5);
    const at = (degrees: number) => {
      const angle = (degrees * Math.PI) / 180;
      return `${(x + r * Math.cos(angle)).toFixed(2)} ${(-y - r * Math.sin(angle)).toFixed(2)}`;
    };
    const half = (from + to) / 2;
    parts.push(`${i === 0 ? 'M' : 'L'}${at(from)}A${r} ${r} 0 0 0 ${at(half)}A${r} ${r} 0 0 0 ${at(to)}`);
  }
  return `${parts.join('')}Z`;
}

type ArrowProps = { from: [number, number]; to: [number, number]; colour: string; hollow: boolean };

function Arrow({ from, to, colour, hollow }: ArrowProps) {
  const angle = Math.atan2(to[1] - from[1], to[0] - from[0]);
  const point = (turn: number) => `${to[0] - 4.5 * Math.cos(angle + turn)} ${to[1] - 4.5 * Math.sin(angle + turn)}`;
  return (
    <g stroke={colour} strokeWidth={1.8} strokeLinejoin="round">
      <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} />
      <path d={`M${point(0.5)}L${to[0]} ${to[1]}L${point(-0.5)}Z`} fill={hollow ? 'var(--card)' : colour} />
    </g>
  );
}
