import { on, type Schemas } from '../../shared/api/client';
import { degrees } from '../../shared/units';
import type { Phase, Run } from './run';

export type FloorLine = Schemas['FloorLine'];

export function setUpWords(setUp: Schemas['SetUp']): string {
  if (setUp.stackCm !== undefined) return `${setUp.stackCm} cm under the foot, ${degrees(setUp.reachedDegrees)}`;
  return setUp.reachedDegrees === 0 ? 'no angle set' : `strap at ${degrees(setUp.reachedDegrees)}`;
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
      return `${phase.line !== now.line ? `${line.position}: ` : ''}${setUpWords(on(phase.side, line.props))}`;
    ahead += phase.endSecond - phase.startSecond;
  }
  return null;
}
