import type { Schemas } from '../api/client';

type Stroke = Schemas['Stroke'];
type Ink = Stroke['ink'];

const INKS: Record<Ink, string> = {
  INK: 'var(--ink)',
  SOFT: 'var(--soft)',
  FAINT: 'var(--rule)',
  BAND: 'var(--tread)',
  BEFORE: 'var(--ink)',
  NOW: 'var(--pull)',
  GOAL: 'var(--press)',
  PRESS: 'var(--press-fill)',
  PULL: 'var(--pull-fill)',
  WARN: 'var(--warn)',
};

/** Narrower than a phone is; wider ones scroll sideways there. */
const READABLE = 400;

/** A chart as the server worked it out; paper has the same. */
export function Marks({ drawing }: { drawing: Schemas['Drawing'] }) {
  return (
    <svg
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      className="block h-auto w-full"
      style={{ maxWidth: drawing.width * 1.35, minWidth: drawing.width > READABLE ? READABLE * 1.4 : undefined }}
      role="img"
      aria-label={drawing.words}
    >
      {drawing.strokes.map((stroke, i) => (
        <Mark key={i} stroke={stroke} />
      ))}
    </svg>
  );
}

function Mark({ stroke }: { stroke: Stroke }) {
  const color = INKS[stroke.ink];
  const [a = 0, b = 0, c = 0, d = 0] = stroke.at;
  switch (stroke.shape) {
    case 'PATH':
    case 'DASHED':
      return (
        <polyline
          points={stroke.at.join(' ')}
          fill="none"
          stroke={color}
          strokeWidth={stroke.ink === 'FAINT' ? 1 : 1.6}
          strokeDasharray={stroke.shape === 'DASHED' ? '5 3' : undefined}
        />
      );
    case 'AREA':
      return <polygon points={stroke.at.join(' ')} fill={color} />;
    case 'DOT':
      return <circle cx={a} cy={b} r={c} fill={color} />;
    case 'RING':
      return <circle cx={a} cy={b} r={c} fill="var(--paper)" stroke={color} strokeWidth={1.4} />;
    case 'BAR':
      return <rect x={a} y={b} width={c} height={d} fill={color} />;
    case 'FRAME':
      return <rect x={a} y={b} width={c} height={d} fill="none" stroke={color} strokeWidth={1.4} />;
    case 'TEXT':
      return (
        <text x={a} y={b} fontSize={c} fill={color} textAnchor={d === 0 ? 'start' : d === 1 ? 'end' : 'middle'}>
          {stroke.text}
        </text>
      );
  }
}
