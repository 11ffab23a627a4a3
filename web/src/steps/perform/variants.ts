import type { Schemas } from '../../shared/api/client';
import * as Runs from './run';

type Variant = Schemas['Variant'];

function unused(run: Runs.Run, variant: Variant): boolean {
  const id = variant.phases[0]?.blockId;
  return id !== undefined && run.phases.every((p) => p.blockId !== id);
}

/** The easier version of a block, once. */
export function easierOf(run: Runs.Run, variants: Variant[], blockId: string): Variant | undefined {
  return variants.find((v) => v.kind === 'EASIER' && v.blockId === blockId && unused(run, v));
}

/** One set more of what this side does now, where it may be. */
export function extraSet(run: Runs.Run, variants: Variant[]): Variant | undefined {
  const now = Runs.current(run);
  return variants.find((v) => {
    const first = v.phases[0];
    return v.kind === 'EXTRA_SET' && first?.side === now.side && first.line === now.line && unused(run, v);
  });
}

/** The plan's phases and, each at its place, those of what was done instead or besides. */
export function withVariants(floor: Schemas['Floor'], done: (blockId: string) => boolean): Runs.Phase[] {
  let phases = floor.timeline.phases;
  for (const { blockId, phases: added } of floor.variants) {
    const last = phases.map((p) => p.blockId).lastIndexOf(blockId);
    if (last < 0 || !done(added[0]?.blockId ?? '')) continue;
    phases = [...phases.slice(0, last + 1), ...added, ...phases.slice(last + 1)];
  }
  return phases;
}
