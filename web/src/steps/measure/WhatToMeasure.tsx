import type { Schemas } from '../../shared/api/client';
import { TapeFigure } from '../../shared/draw/TapeFigure';
import { TurnableFigure } from '../../shared/draw/TurnableFigure';
import { readTrials, type BenchState } from './draft';

type Position = Schemas['Position'];
type Props = {
  clientId: string;
  position: Position;
  state: BenchState;
  landmarks: string;
  preview: Schemas['MeasurePreview'] | undefined;
};

/** What to measure, drawn to the angle that the numbers give: by tape with what is measured, else the body itself. */
export function WhatToMeasure({ clientId, position, state, landmarks, preview }: Props) {
  const typed = readTrials(state);
  if (state.instrument === 'TAPE') {
    return (
      <TapeFigure
        degrees={preview?.median ?? 30}
        tape
        lengthCm={typed.at(-1) ?? null}
        startCm={state.startCm}
        lengths={Object.fromEntries((preview?.body ?? []).map((b) => [b.segment, b.cm]))}
        position={position}
      />
    );
  }
  const of = {
    clientId,
    position: position.id,
    motion: state.motion,
    side: state.side,
    angle: preview?.median,
    landmarks: true,
  };
  const marked = landmarks.split(', ').map((name, i) => `${i + 1} ${name}`);
  return (
    <figure>
      <TurnableFigure of={of} label={`What to measure: ${position.zero}`} className="h-56" />
      <figcaption className="text-sm text-soft">
        {position.setup} Zero: {position.zero}. {landmarks && `Landmarks: ${marked.join(', ')}.`}
      </figcaption>
    </figure>
  );
}
