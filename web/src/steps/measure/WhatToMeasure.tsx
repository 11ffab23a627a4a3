import type { Schemas } from '../../shared/api/client';

const W = 440;
const H = 222;
const SHANK = 145;

type Props = {
  position: Schemas['Position'];
  tape: boolean;
  degrees: number;
  lengthCm: number | null;
  startCm: number | null;
};

/** What to measure, drawn to the angle that the numbers give. */
export function WhatToMeasure({ position, tape, degrees, lengthCm, startCm }: Props) {
  const angle = (Math.max(-20, Math.min(89, degrees)) * Math.PI) / 180;
  return (
    <figure>
      <svg
        viewBox={`0 0 ${W} ${H}`}
        className="w-full max-w-md"
        role="img"
        aria-label={`What to measure: ${position.zero}`}
      >
        {position.tape === 'FOOT_RISE' ? (
          <Rise angle={angle} tape={tape} lengthCm={lengthCm} startCm={startCm} />
        ) : (
          <Sideways angle={angle} tape={tape} lengthCm={lengthCm} standing={position.table === 'hip-straight'} />
        )}
      </svg>
      <figcaption className="text-sm text-soft">
        {position.setup} Zero: {position.zero}.
      </figcaption>
    </figure>
  );
}

type RiseProps = { angle: number; tape: boolean; lengthCm: number | null; startCm: number | null };

/** Side view of a shank that lies flat and lifts at the foot. */
function Rise({ angle, tape, lengthCm, startCm }: RiseProps) {
  const knee = { x: 70, y: 170 };
  const ankle = { x: knee.x + SHANK * 1.3 * Math.cos(angle), y: knee.y - SHANK * 1.3 * Math.sin(angle) };
  const floor = 190;
  return (
    <g>
      <line x1={10} x2={W - 10} y1={floor} y2={floor} stroke="var(--ink)" strokeWidth={2} />
      <Thigh x={knee.x} y={knee.y} toX={20} toY={90} />
      <line
        x1={knee.x}
        y1={knee.y}
        x2={knee.x + 200}
        y2={knee.y}
        stroke="var(--rule)"
        strokeDasharray="4 4"
        strokeWidth={2}
      />
      <Limb from={knee} to={ankle} />
      <Sector x={knee.x} y={knee.y} from={0} to={-angle} />
      {tape && (
        <Measure
          x1={ankle.x + 14}
          y1={floor}
          x2={ankle.x + 14}
          y2={ankle.y}
          text={`foot height ${cm(lengthCm)}`}
          anchor="start"
        />
      )}
      <text x={10} y={H - 14} fontSize={13} fill="var(--soft)">
        {tape ? `floor to ankle bone; at zero ${cm(startCm)}` : 'shin against the floor line'}
      </text>
    </g>
  );
}

/** Front view of a shank that hangs (or stands) and swings sideways. */
function Sideways({
  angle,
  tape,
  lengthCm,
  standing,
}: {
  angle: number;
  tape: boolean;
  lengthCm: number | null;
  standing: boolean;
}) {
  const down = standing ? -1 : 1;
  const knee = { x: 130, y: standing ? 195 : 40 };
  const ankle = { x: knee.x + SHANK * Math.sin(angle), y: knee.y + down * SHANK * Math.cos(angle) };
  const tapeY = standing ? 24 : 206;
  return (
    <g>
      <line
        x1={knee.x - 90}
        x2={knee.x + 90}
        y1={knee.y - down * 14}
        y2={knee.y - down * 14}
        stroke="var(--ink)"
        strokeWidth={standing ? 2 : 8}
      />
      <line
        x1={knee.x}
        y1={knee.y}
        x2={knee.x}
        y2={knee.y + down * SHANK}
        stroke="var(--rule)"
        strokeDasharray="4 4"
        strokeWidth={2}
      />
      <Limb from={knee} to={ankle} />
      <Sector x={knee.x} y={knee.y} from={(down * Math.PI) / 2} to={(down * Math.PI) / 2 - down * angle} />
      {tape && (
        <Measure
          x1={knee.x}
          y1={tapeY}
          x2={Math.max(ankle.x, knee.x + 4)}
          y2={tapeY}
          text={`sideways ${cm(lengthCm)}`}
          anchor="start"
        />
      )}
      <text x={10} y={H / 2} fontSize={13} fill="var(--soft)">
        {standing ? 'face down' : 'from the front'}
      </text>
    </g>
  );
}

type Point = { x: number; y: number };

function Limb({ from, to }: { from: Point; to: Point }) {
  return (
    <g stroke="var(--ink)" strokeLinecap="round">
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} strokeWidth={13} />
      <circle cx={from.x} cy={from.y} r={9} fill="var(--card)" strokeWidth={3} />
      <circle cx={to.x} cy={to.y} r={6} fill="var(--card)" strokeWidth={3} />
    </g>
  );
}

function Thigh({ x, y, toX, toY }: { x: number; y: number; toX: number; toY: number }) {
  return (
    <line x1={x} y1={y} x2={toX} y2={toY} stroke="var(--soft)" strokeWidth={15} strokeLinecap="round" opacity={0.45} />
  );
}

function Sector({ x, y, from, to }: { x: number; y: number; from: number; to: number }) {
  const r = 58;
  const p = (a: number) => `${x + r * Math.cos(a)} ${y + r * Math.sin(a)}`;
  return (
    <path
      d={`M${x} ${y}L${p(from)}A${r} ${r} 0 0 ${to > from ? 1 : 0} ${p(to)}Z`}
      fill="var(--pull-fill)"
      opacity={0.35}
    />
  );
}

function Measure({
  x1,
  y1,
  x2,
  y2,
  text,
  anchor,
}: {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
  text: string;
  anchor: 'start';
}) {
  const vertical = x1 === x2;
  return (
    <g stroke="var(--press)" strokeWidth={2} fill="none">
      <line x1={x1} y1={y1} x2={x2} y2={y2} />
      {[
        [x1, y1],
        [x2, y2],
      ].map(([x, y]) => (
        <line
          key={`${x},${y}`}
          x1={(x ?? 0) - (vertical ? 6 : 0)}
          x2={(x ?? 0) + (vertical ? 6 : 0)}
          y1={(y ?? 0) - (vertical ? 0 : 6)}
          y2={(y ?? 0) + (vertical ? 0 : 6)}
        />
      ))}
      <text
        x={x1 === x2 ? x1 + 8 : x2 + 8}
        y={vertical ? (y1 + y2) / 2 : y1 + 4}
        fontSize={13}
        stroke="none"
        fill="var(--press)"
        fontWeight={700}
        textAnchor={anchor}
      >
        {text}
      </text>
    </g>
  );
}

function cm(value: number | null): string {
  return value === null ? '? cm' : `${value} cm`;
}
