import type { Schemas } from '../api/client';
import { cm, Dashed, Limb, Measure, polar, Sector, Thigh, type Point } from './tapeStrokes';

export type DrawProps = {
  degrees: number;
  tape: boolean;
  lengthCm: number | null;
  startCm: number | null;
  lengths: Partial<Record<string, number>>;
  position: Schemas['Position'];
};

const FLOOR = 195;
const RIGHT = 430;

function Ground({ y = FLOOR }: { y?: number }) {
  return <line x1={10} x2={RIGHT} y1={y} y2={y} stroke="var(--ink)" strokeWidth={2} />;
}

function Note({ text, x = 10, y = 216 }: { text: string; x?: number; y?: number }) {
  return (
    <text x={x} y={y} fontSize={16} fill="var(--soft)">
      {text}
    </text>
  );
}

/** Side view of a shank that lies flat and lifts at the foot. */
export function Rise({ degrees, tape, lengthCm, startCm }: DrawProps) {
  const knee = { x: 70, y: 172 };
  const ankle = polar(knee, 190, clamp(degrees, -15, 85));
  return (
    <g>
      <Ground y={190} />
      <Thigh from={knee} to={{ x: 20, y: 90 }} />
      <Dashed from={knee} to={{ x: 280, y: knee.y }} />
      <Limb from={knee} to={ankle} />
      <Sector at={knee} from={0} to={clamp(degrees, -15, 85)} />
      {tape && (
        <Measure
          from={{ x: ankle.x + 14, y: 190 }}
          to={{ x: ankle.x + 14, y: ankle.y }}
          text={`foot height ${cm(lengthCm)}`}
        />
      )}
      <Note text={tape ? `floor to ankle bone; at zero ${cm(startCm)}` : 'shin against the floor line'} />
    </g>
  );
}

/** Front view of a shank that hangs, or stands with the client face down, and swings sideways. */
export function Sideways({ degrees, tape, lengthCm, position }: DrawProps) {
  const standing = position.lying;
  const knee = { x: 130, y: standing ? 190 : 40 };
  const angle = clamp(degrees, -20, 85);
  const ankle = polar(knee, 140, standing ? 90 - angle : angle - 90);
  const tapeY = standing ? 30 : 205;
  return (
    <g>
      <line
        x1={knee.x - 90}
        x2={knee.x + 90}
        y1={knee.y + (standing ? 12 : -14)}
        y2={knee.y + (standing ? 12 : -14)}
        stroke="var(--ink)"
        strokeWidth={standing ? 2 : 8}
      />
      <Dashed from={knee} to={polar(knee, 140, standing ? 90 : -90)} />
      <Limb from={knee} to={ankle} />
      <Sector at={knee} from={standing ? 90 : -90} to={standing ? 90 - angle : angle - 90} />
      {tape && (
        <Measure
          from={{ x: knee.x, y: tapeY }}
          to={{ x: Math.max(ankle.x, knee.x + 4), y: tapeY }}
          text={`sideways ${cm(lengthCm)}`}
        />
      )}
      <Note text={standing ? 'seen from the feet' : 'seen from the front'} x={270} y={120} />
    </g>
  );
}

/** A straight leg that rises from the floor at the hip. */
export function LegRise({ degrees, tape, lengthCm, position }: DrawProps) {
  const hip = { x: 150, y: FLOOR - 14 };
  const angle = clamp(degrees, 0, 88);
  const heel = polar(hip, 165, angle);
  return (
    <g>
      <Ground />
      <Thigh from={hip} to={{ x: 40, y: FLOOR - 14 }} />
      <Dashed from={hip} to={{ x: hip.x + 190, y: hip.y }} />
      <Limb from={hip} to={heel} />
      <Sector at={hip} from={0} to={angle} />
      {tape && (
        <Measure
          from={{ x: heel.x + 16, y: FLOOR }}
          to={{ x: heel.x + 16, y: heel.y }}
          text={`heel height ${cm(lengthCm)}`}
        />
      )}
      <Note text={position.id.startsWith('prone') ? 'face down, heel lifted behind' : 'on the back, knee straight'} />
    </g>
  );
}

/** One leg out to the side, from the front. */
export function LegOut({ degrees, tape, lengthCm }: DrawProps) {
  const hip = { x: 150, y: 46 };
  const angle = clamp(degrees, 0, 80);
  const ankle = polar(hip, 140 / Math.max(0.45, Math.cos((angle * Math.PI) / 180)) > 230 ? 200 : 145, angle - 90);
  return (
    <g>
      <Ground />
      <Thigh from={hip} to={{ x: hip.x, y: FLOOR - 8 }} />
      <Limb from={hip} to={ankle} />
      <Sector at={hip} from={-90} to={angle - 90} />
      {tape && (
        <Measure
          from={{ x: hip.x, y: 207 }}
          to={{ x: ankle.x, y: 207 }}
          text={`ankle from under its hip ${cm(lengthCm)}`}
        />
      )}
    </g>
  );
}

/** Both legs apart, from the front. */
export function Straddle({ degrees, tape, lengthCm, position, lengths }: DrawProps) {
  const each = position.tape === 'STRADDLE_EACH';
  const half = clamp(each ? degrees : degrees / 2, 0, 85);
  const width = each ? 24 : 0;
  const left = { x: 200 - width, y: 44 };
  const right = { x: 200 + width, y: 44 };
  const a = polar(left, 150, -90 - half);
  const b = polar(right, 150, half - 90);
  return (
    <g>
      <Ground />
      {each && <line x1={left.x} x2={right.x} y1={44} y2={44} stroke="var(--ink)" strokeWidth={8} />}
      {each && <Dashed from={right} to={{ x: right.x, y: FLOOR }} />}
      <Limb from={left} to={a} />
      <Limb from={right} to={b} />
      {each ? <Sector at={right} from={-90} to={half - 90} /> : <Sector at={left} from={-90 - half} to={half - 90} />}
      {tape && <Measure from={{ x: a.x, y: 207 }} to={{ x: b.x, y: 207 }} text={cm(lengthCm)} />}
      {each && <Note text={`hips ${cm(lengths['HIP_CENTRES'] ?? null)} apart`} x={290} y={48} />}
      {!tape && <Note text="ankle bone to ankle bone" />}
    </g>
  );
}

/** A knee that folds: heel to buttock. */
export function Fold({ degrees, tape, lengthCm }: DrawProps) {
  const knee = { x: 290, y: FLOOR - 14 };
  const hip = { x: 120, y: FLOOR - 14 };
  const angle = clamp(degrees, 0, 165);
  const heel = polar(knee, 155, angle);
  return (
    <g>
      <Ground />
      <Limb from={hip} to={knee} />
      <Dashed from={knee} to={{ x: knee.x + 120, y: knee.y }} />
      <Limb from={knee} to={heel} />
      <Sector at={knee} from={0} to={angle} />
      {tape && <Measure from={hip} to={heel} text={`heel to buttock ${cm(lengthCm)}`} />}
    </g>
  );
}

/** A lunge to the wall: knee over the toes. */
export function Lunge({ degrees, tape, lengthCm, lengths }: DrawProps) {
  const ankle = { x: 210, y: FLOOR - 12 };
  const angle = clamp(degrees, 0, 65);
  const knee = polar(ankle, 140, 90 + angle);
  const wall = knee.x - 10;
  const toe: Point = { x: Math.max(wall + 6, ankle.x - 62), y: FLOOR };
  return (
    <g>
      <Ground />
      <line x1={wall} x2={wall} y1={10} y2={FLOOR} stroke="var(--ink)" strokeWidth={4} />
      <path d={`M${toe.x} ${FLOOR - 4}H${ankle.x + 22}`} stroke="var(--ink)" strokeWidth={10} strokeLinecap="round" />
      <Dashed from={ankle} to={{ x: ankle.x, y: ankle.y - 150 }} />
      <Limb from={ankle} to={knee} />
      <Thigh from={knee} to={{ x: knee.x + 130, y: knee.y + 22 }} />
      <Sector at={ankle} from={90} to={90 + angle} />
      {tape && <Measure from={{ x: wall, y: 207 }} to={{ x: toe.x, y: 207 }} text={`toe to wall ${cm(lengthCm)}`} />}
      <Note text={`toe to ankle ${cm(lengths['TOE_TO_ANKLE'] ?? null)}`} x={270} y={150} />
    </g>
  );
}

function clamp(value: number, low: number, high: number): number {
  return Math.max(low, Math.min(high, value));
}
