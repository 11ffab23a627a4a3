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

const ANCHORS: Record<number, 'start' | 'middle' | 'end'> = { 0: 'start', 0.5: 'middle', 1: 'end' };

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
      {alike(drawing.strokes).map((strokes, i) => (
        <Run key={i} strokes={strokes} />
      ))}
    </svg>
  );
}

/** Neighbours of one look are one element: a page may have thousands of dots. */
function alike(strokes: Stroke[]): [Stroke, ...Stroke[]][] {
  const runs: [Stroke, ...Stroke[]][] = [];
  for (const stroke of strokes) {
    const last = runs.at(-1);
    if (last && last[0].shape === stroke.shape && last[0].ink === stroke.ink && stroke.shape !== 'TEXT') {
      last.push(stroke);
    } else {
      runs.push([stroke]);
    }
  }
  return runs;
}

function Run({ strokes }: { strokes: [Stroke, ...Stroke[]] }) {
  const [first] = strokes;
  const color = INKS[first.ink];
  if (first.shape === 'TEXT') {
    const [x, y, size, anchor] = first.at;
    return (
      <text x={x} y={y} fontSize={size} fill={color} textAnchor={ANCHORS[anchor ?? 0]}>
        {first.text}
      </text>
    );
  }
  const filled = first.shape === 'AREA' || first.shape === 'DOT' || first.shape === 'BAR';
  return (
    <path
      d={strokes.map(outline).join('')}
      fill={filled ? color : first.shape === 'RING' ? 'var(--paper)' : 'none'}
      stroke={filled ? 'none' : color}
      strokeWidth={first.ink === 'FAINT' ? 1 : first.shape === 'PATH' ? 1.6 : 1.4}
      strokeDasharray={first.shape === 'DASHED' ? '5 3' : undefined}
    />
  );
}

function outline({ shape, at }: Stroke) {
  const [x = 0, y = 0, a = 0, b = 0] = at;
  switch (shape) {
    case 'DOT':
    case 'RING':
      return `M${x - a} ${y}a${a} ${a} 0 1 0 ${2 * a} 0a${a} ${a} 0 1 0 ${-2 * a} 0z`;
    case 'BAR':
    case 'FRAME':
      return `M${x} ${y}h${a}v${b}h${-a}z`;
    case 'AREA':
      return `M${at.join(' ')}z`;
    default:
      return `M${at.join(' ')}`;
  }
}
