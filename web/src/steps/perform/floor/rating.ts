import * as Runs from '../run';

/**
 * The block whose effort is asked for now: the press of the set that is over or pulling, else the last contraction while resting
 * after it.
 */
export function workToRate(run: Runs.Run): string | null {
  const now = Runs.current(run);
  if (now.block === 'PRESS') return null;
  let last: Runs.Phase | null = now.direction === 'NONE' ? null : now;
  for (let i = run.index - 1; i >= 0; i--) {
    const phase = run.phases[i];
    if (!phase || phase.direction === 'NONE') continue;
    if (last && !sameSet(phase, last)) break;
    if (phase.block === 'PRESS') return phase.blockId;
    last ??= phase;
  }
  return now.direction === 'NONE' && last ? last.blockId : null;
}

function sameSet(a: Runs.Phase, b: Runs.Phase): boolean {
  return a.line === b.line && a.side === b.side && a.set === b.set;
}
