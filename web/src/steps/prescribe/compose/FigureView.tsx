import { memo } from 'react';
import type { Schemas } from '../../../shared/api/client';

type Figure = Schemas['Figure'];
type Mark = Schemas['Mark'];

const INK: Record<Mark['role'], [string, number]> = {
  FLOOR: ['var(--rule)', 0.8],
  PROP: ['var(--rule)', 1.2],
  FAR: ['var(--soft)', 3.4],
  NEAR: ['var(--ink)', 4],
  TRUNK: ['var(--ink)', 5],
  WORKING: ['var(--ink)', 5],
  SECTOR: ['var(--pull-fill)', 0],
  PRESS: ['var(--press)', 1.8],
  PULL: ['var(--pull)', 1.8],
};

/** A position as it was worked out: plain marks, press and pull arrows, the working angle as a sector. */
export const FigureView = memo(function FigureView({
  figure,
  label,
  className = 'h-32',
}: {
  figure: Figure;
  label: string;
  className?: string;
}) {
  const { left, right, top, bottom } = figure.box;
  return (
    <>
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
      {figure.seenFrom !== '' && <span className="block text-xs text-soft">seen from {figure.seenFrom}</span>}
    </>
  );
});

function MarkShape({ mark }: { mark: Mark }) {
  const [colour, width] = INK[mark.role];
  const [a = 0, b = 0, c = 0, d = 0, e = 0] = mark.numbers;
  switch (mark.kind) {
    case 'LINE':
      return <line x1={a} y1={-b} x2={c} y2={-d} stroke={colour} strokeWidth={width} strokeLinecap="round" />;
    case 'ARROW':
      return <Arrow from={[a, -b]} to={[c, -d]} colour={colour} hollow={mark.role === 'PULL'} />;
    case 'CIRCLE':
      return <circle cx={a} cy={-b} r={c} fill={colour} />;
    case 'RECTANGLE':
      return <rect x={a} y={-b - d} width={c} height={d} fill={colour} />;
    case 'SECTOR':
      return <path d={sector(a, b, c, d, e)} fill={colour} opacity={0.55} />;
  }
}

function Arrow({
  from,
  to,
  colour,
  hollow,
}: {
  from: [number, number];
  to: [number, number];
  colour: string;
  hollow: boolean;
}) {
  const angle = Math.atan2(to[1] - from[1], to[0] - from[0]);
  const point = (turn: number) => `${to[0] - 5 * Math.cos(angle + turn)} ${to[1] - 5 * Math.sin(angle + turn)}`;
  return (
    <g stroke={colour} strokeWidth={1.8} strokeLinejoin="round">
      <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} />
      <path d={`M${point(0.5)}L${to[0]} ${to[1]}L${point(-0.5)}Z`} fill={hollow ? 'var(--card)' : colour} />
    </g>
  );
}

function sector(x: number, y: number, r: number, from: number, to: number): string {
  const at = (degrees: number) => {
    const rad = (degrees * Math.PI) / 180;
    return `${x + r * Math.cos(rad)} ${-y - r * Math.sin(rad)}`;
  };
  const large = Math.abs(to - from) > 180 ? 1 : 0;
  return `M${x} ${-y}L${at(from)}A${r} ${r} 0 ${large} ${to > from ? 0 : 1} ${at(to)}Z`;
}
