import { scaleLinear } from 'd3-scale';
import type { Schemas } from '../../shared/api/client';
import { degrees } from '../../shared/units';

const W = 300;

/** Each trial as a dot on its own small scale, with the band that they should lie in. */
export function TrialDots({ preview }: { preview: Schemas['MeasurePreview'] }) {
  const values = preview.trials.map((t) => t.value);
  const tolerance = preview.tolerance ?? 5;
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const low = Math.min(mean - tolerance, ...values) - 1;
  const high = Math.max(mean + tolerance, ...values) + 1;
  const x = scaleLinear([low, high], [8, W - 8]);
  return (
    <svg
      viewBox={`0 0 ${W} 40`}
      className="w-full max-w-xs"
      role="img"
      aria-label={`Trials ${values.map(degrees).join(', ')}`}
    >
      <rect
        x={x(mean - tolerance)}
        width={x(mean + tolerance) - x(mean - tolerance)}
        y={8}
        height={12}
        fill="var(--tread)"
      />
      <line
        x1={x(preview.median ?? mean)}
        x2={x(preview.median ?? mean)}
        y1={4}
        y2={24}
        stroke="var(--ink)"
        strokeWidth={2}
      />
      {values.map((v, i) => (
        <circle
          key={i}
          cx={x(v)}
          cy={14}
          r={5}
          fill={Math.abs(v - mean) > tolerance ? 'var(--warn)' : 'var(--card)'}
          stroke="var(--ink)"
          strokeWidth={2}
        />
      ))}
      {[mean - tolerance, mean + tolerance].map((v) => (
        <text key={v} x={x(v)} y={36} fontSize={11} fill="var(--soft)" textAnchor="middle">
          {degrees(v)}
        </text>
      ))}
    </svg>
  );
}
