import type { ReactElement } from 'react';
import type { Schemas } from '../api/client';
import { Fold, LegOut, LegRise, Lunge, Rise, Sideways, Straddle, type DrawProps } from './tapeDrawings';

const DRAWINGS: Record<NonNullable<Schemas['Position']['tape']>, (props: DrawProps) => ReactElement> = {
  FOOT_RISE: Rise,
  FOOT_SIDEWAYS: Sideways,
  HEEL_RISE: LegRise,
  LEG_OUT: LegOut,
  STRADDLE_EACH: Straddle,
  STRADDLE_TOTAL: Straddle,
  KNEE_FOLD: Fold,
  TOE_WALL: Lunge,
};

/** What to measure in a position, drawn to an angle. */
export function TapeFigure(props: DrawProps) {
  const { position } = props;
  if (!position.tape) return null;
  const Drawing = DRAWINGS[position.tape];
  return (
    <figure>
      <svg
        viewBox="0 0 440 222"
        className="w-full max-w-md"
        role="img"
        aria-label={`What to measure: ${position.zero}`}
      >
        <Drawing {...props} />
      </svg>
      <figcaption className="text-sm text-soft">
        {position.setup} Zero: {position.zero}.
      </figcaption>
    </figure>
  );
}
