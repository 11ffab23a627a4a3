import { on, type Schemas, type Side } from '../../shared/api/client';
import { degrees, length } from '../../shared/units';
import type { Phase, Run } from './run';

export type FloorLine = Schemas['FloorLine'];
export type Apparatus = Schemas['Apparatus'];

/** Blocks under the foot, or where the strap is. */
export function setUpWords(setUp: Schemas['SetUp']): string {
  if (setUp.stackCm !== undefined) return `${length(setUp.stackCm)} under the foot, ${degrees(setUp.reachedDegrees)}`;
  return setUp.reachedDegrees === 0 ? 'no angle set' : `strap at ${degrees(setUp.reachedDegrees)}`;
}

/** Bench 45 cm, strap at mark 3; empty where nothing is named. */
export function apparatusWords(apparatus: Apparatus): string {
  return [
    apparatus.benchCm > 0 && `bench ${length(apparatus.benchCm)}`,
    apparatus.inclineDegrees > 0 && `incline ${degrees(apparatus.inclineDegrees)}`,
    apparatus.strapMark > 0 && `strap at mark ${apparatus.strapMark}`,
    apparatus.bandCm > 0 &&
      `${apparatus.band ? `${apparatus.band} ` : ''}band stretched to ${length(apparatus.bandCm)}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** How it really was. */
export function usedWords({ angle, stack, apparatus }: Schemas['PropUsed']): string {
  return [apparatus && apparatusWords(apparatus), setUpWords({ stackCm: stack, reachedDegrees: angle })]
    .filter(Boolean)
    .join(', ');
}

type Sides = { props: FloorLine['props']; apparatus: FloorLine['apparatus']; risesCm?: FloorLine['risesCm'] };

/** All of how a side is set up: what it lies on, its angle, and how the prop rises from round to round. */
export function sideWords({ props, apparatus, risesCm }: Sides, side: Side): string {
  const named = apparatusWords(on(side, apparatus));
  const angle = on(side, props);
  const rise = risesCm ? on(side, risesCm) : 0;
  return [
    named,
    named && angle.reachedDegrees === 0 ? '' : setUpWords(angle),
    rise > 0 ? `begin ${length(rise)} lower, it goes up each round` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

/** How the sides lie outlives a reload of the page. */
export function keepProps(session: string, props: Run['props']) {
  sessionStorage.setItem(`props ${session}`, JSON.stringify(props));
}

export function propsOf(session: string): Run['props'] {
  return JSON.parse(sessionStorage.getItem(`props ${session}`) ?? '{}') as Run['props'];
}

export function lineOf(lines: FloorLine[], phase: Phase): FloorLine | undefined {
  return lines.find((l) => l.line === phase.line);
}

const EARLY_SECONDS = 60;

/** The set-up that comes next, early enough to move blocks and straps: another line, or the other side. */
export function soon(run: Run, lines: FloorLine[], secondsLeftOfPhase: number): string | null {
  const now = run.phases[run.index];
  if (!now) return null;
  let ahead = secondsLeftOfPhase;
  for (const phase of run.phases.slice(run.index + 1)) {
    if (ahead > EARLY_SECONDS) return null;
    const line = lineOf(lines, phase);
    const other = phase.line !== now.line || (phase.side !== now.side && phase.side !== 'MIDLINE');
    if (line && other && phase.block !== 'ROTATION')
      return `${phase.line !== now.line ? `${line.position}: ` : ''}${sideWords(line, phase.side)}`;
    ahead += phase.endSecond - phase.startSecond;
  }
  return null;
}
