import type { ReactElement } from 'react';
import type { Schemas } from '../../shared/api/client';
import { Fold, LegOut, LegRise, Lunge, Plain, Rise, Sideways, Straddle, type DrawProps } from './tapeDrawings';
import { parse, type BenchState } from './draft';

type Position = Schemas['Position'];
type Props = { position: Position; state: BenchState; preview: Schemas['MeasurePreview'] | undefined };

const DRAWINGS: Record<NonNullable<Position['tape']>, (props: DrawProps) => ReactElement> = {
  FOOT_RISE: Rise,
  FOOT_SIDEWAYS: Sideways,
  HEEL_RISE: LegRise,
  LEG_OUT: LegOut,
  STRADDLE_EACH: Straddle,
  STRADDLE_TOTAL: Straddle,
  KNEE_FOLD: Fold,
  TOE_WALL: Lunge,
};

/** What to measure, drawn to the angle that the numbers give. */
export function WhatToMeasure({ position, state, preview }: Props) {
  const Drawing = position.tape ? DRAWINGS[position.tape] : Plain;
  const typed = state.trials.map(parse).filter((t) => t !== null);
  return (
    <figure>
      <svg
        viewBox="0 0 440 222"
        className="w-full max-w-md"
        role="img"
        aria-label={`What to measure: ${position.zero}`}
      >
        <Drawing
          degrees={preview?.median ?? 30}
          tape={state.instrument === 'TAPE'}
          lengthCm={typed.at(-1) ?? null}
          startCm={state.startCm}
          lengths={Object.fromEntries((preview?.body ?? []).map((b) => [b.segment, b.cm]))}
          position={position}
        />
      </svg>
      <figcaption className="text-sm text-soft">
        {position.setup} Zero: {position.zero}.
      </figcaption>
    </figure>
  );
}
