import { memo } from 'react';
import type { Schemas } from '../api/client';

export type Phase = Schemas['Phase'];

/** Height of a pull's tread, its top slanted up in the direction of the pull. */
function tread(
  x: number,
  width: number,
  from: number,
  to: number,
  axis: number,
  scale: number,
  press: boolean,
): string {
  const sign = press ? 1 : -1;
  const y0 = axis + sign * from * scale;
  const y1 = axis + sign * to * scale;
  const slant = press ? 0 : Math.min(4, width / 2);
  return `M${x} ${axis}L${x} ${y0}L${x + width} ${y1 - slant}L${x + width} ${axis}Z`;
}

type Props = {
  phases: Phase[];
  from: number;
  to: number;
  width: number;
  height: number;
  label: string;
};

const MARGIN = 8;

/** How high one percent of effort is in a drawing of that height: what is drawn over a staircase uses the same. */
export function perPercent(height: number): number {
  return (height / 2 - MARGIN) / 100;
}

/**
 * The staircase of one side: press goes down from the line, pull rises from it with slanted tops, a hold is a band on the
 * line, rotations are loops, a settle is a wave of breaths.
 */
export const Stair = memo(function Stair({ phases, from, to, width, height, label }: Props) {
  const span = Math.max(1, to - from);
  const x = (second: number) => ((second - from) / span) * width;
  const axis = height / 2;
  const scale = perPercent(height);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="h-full w-full"
      role="img"
      aria-label={label}
      preserveAspectRatio="none"
    >
      {[-100, -50, 50, 100].map((e) => (
        <line
          key={e}
          x1={0}
          x2={width}
          y1={axis + e * scale}
          y2={axis + e * scale}
          stroke="var(--rule)"
          strokeDasharray="2 5"
        />
      ))}
      {phases.map((phase) => (
        <PhaseShape key={phase.startSecond} phase={phase} x={x} axis={axis} scale={scale} />
      ))}
      <line
        x1={0}
        x2={width}
        y1={axis}
        y2={axis}
        stroke="var(--ink)"
        strokeWidth={2}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
});

type ShapeProps = { phase: Phase; x: (second: number) => number; axis: number; scale: number };

function PhaseShape({ phase, x, axis, scale }: ShapeProps) {
  const left = x(phase.startSecond);
  const width = x(phase.endSecond) - left;
  if (phase.direction !== 'NONE') {
    const press = phase.direction === 'PRESS';
    return (
      <path
        d={tread(left, width, phase.effortFrom, phase.effortTo, axis, scale, press)}
        fill={press ? 'var(--press-fill)' : 'var(--pull-fill)'}
        stroke={press ? 'var(--press)' : 'var(--pull)'}
        strokeWidth={1.5}
        vectorEffect="non-scaling-stroke"
      />
    );
  }
  switch (phase.block) {
    case 'SUPPORTED_HOLD':
    case 'RELEASE':
    case 'HANDS_OFF':
      return <Band left={left} width={width} axis={axis} />;
    case 'ROTATION':
    case 'TRANSITION':
      return (
        <ellipse
          cx={left + width / 2}
          cy={axis}
          rx={width * 0.36}
          ry={10}
          fill="none"
          stroke="var(--soft)"
          strokeWidth={1.5}
          vectorEffect="non-scaling-stroke"
        />
      );
    case 'SETTLE':
      return <Breaths phase={phase} x={x} axis={axis} />;
    default:
      return null;
  }
}

function Band({ left, width, axis }: { left: number; width: number; axis: number }) {
  return (
    <rect x={left} y={axis - 5} width={width} height={10} fill="var(--rule)" stroke="var(--soft)" strokeWidth={0.5} />
  );
}

function Breaths({ phase, x, axis }: { phase: Phase; x: (second: number) => number; axis: number }) {
  const points = phase.breaths.map((b) => `${x(b.atSecond)} ${axis + (b.phase === 'IN' ? 6 : -6)}`);
  points.push(`${x(phase.endSecond)} ${axis + 6}`);
  return (
    <polyline
      points={points.join(' ')}
      fill="none"
      stroke="var(--soft)"
      strokeWidth={1.5}
      vectorEffect="non-scaling-stroke"
    />
  );
}
