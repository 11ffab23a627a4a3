import { length } from '../units';
export type Point = { x: number; y: number };

/** Degrees run against the clock from the right, as on paper. */
export function polar(at: Point, length: number, degrees: number): Point {
  const a = (degrees * Math.PI) / 180;
  return { x: at.x + length * Math.cos(a), y: at.y - length * Math.sin(a) };
}

export function Limb({ from, to }: { from: Point; to: Point }) {
  return (
    <g stroke="var(--ink)" strokeLinecap="round">
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} strokeWidth={13} />
      <circle cx={from.x} cy={from.y} r={9} fill="var(--card)" strokeWidth={3} />
      <circle cx={to.x} cy={to.y} r={6} fill="var(--card)" strokeWidth={3} />
    </g>
  );
}

/** The part of the body that stays. */
export function Thigh({ from, to }: { from: Point; to: Point }) {
  return (
    <line
      x1={from.x}
      y1={from.y}
      x2={to.x}
      y2={to.y}
      stroke="var(--soft)"
      strokeWidth={15}
      strokeLinecap="round"
      opacity={0.45}
    />
  );
}

export function Dashed({ from, to }: { from: Point; to: Point }) {
  return (
    <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="var(--rule)" strokeDasharray="4 4" strokeWidth={2} />
  );
}

export function Sector({ at, from, to }: { at: Point; from: number; to: number }) {
  const r = 58;
  const a = polar(at, r, from);
  const b = polar(at, r, to);
  const large = Math.abs(to - from) > 180 ? 1 : 0;
  return (
    <path
      d={`M${at.x} ${at.y}L${a.x} ${a.y}A${r} ${r} 0 ${large} ${to > from ? 0 : 1} ${b.x} ${b.y}Z`}
      fill="var(--pull-fill)"
      opacity={0.35}
    />
  );
}

/** Where the tape is laid, with what it shows. */
export function Measure({ from, to, text }: { from: Point; to: Point; text: string }) {
  const level = Math.abs(from.y - to.y) < 1;
  const upright = Math.abs(from.x - to.x) < 1;
  const label = level
    ? { x: Math.max(from.x, to.x) + 10, y: from.y + 4 }
    : {
        x: (upright ? Math.max(from.x, to.x) : (from.x + to.x) / 2) + 10,
        y: (from.y + to.y) / 2,
      };
  return (
    <g stroke="var(--press)" strokeWidth={2} fill="none">
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} />
      {[from, to].map((p, i) => (
        <line
          key={i}
          x1={p.x - (level ? 0 : 6)}
          x2={p.x + (level ? 0 : 6)}
          y1={p.y - (level ? 6 : 0)}
          y2={p.y + (level ? 6 : 0)}
        />
      ))}
      <text {...label} fontSize={16} stroke="none" fill="var(--press)" fontWeight={700}>
        {text}
      </text>
    </g>
  );
}

export function cm(value: number | null): string {
  return value === null ? '?' : length(value);
}
