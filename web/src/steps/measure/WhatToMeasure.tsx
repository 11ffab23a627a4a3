import type { Schemas } from '../../shared/api/client';
import { TapeFigure } from '../../shared/draw/TapeFigure';
import { readTrials, type BenchState } from './draft';

type Position = Schemas['Position'];
type Props = { position: Position; state: BenchState; preview: Schemas['MeasurePreview'] | undefined };

/** What to measure, drawn to the angle that the numbers give. */
export function WhatToMeasure({ position, state, preview }: Props) {
  const typed = readTrials(state);
  return (
    <TapeFigure
      degrees={preview?.median ?? 30}
      tape={state.instrument === 'TAPE'}
      lengthCm={typed.at(-1) ?? null}
      startCm={state.startCm}
      lengths={Object.fromEntries((preview?.body ?? []).map((b) => [b.segment, b.cm]))}
      position={position}
    />
  );
}
