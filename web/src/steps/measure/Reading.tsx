import type { Schemas } from '../../shared/api/client';
import { degrees } from '../../shared/units';
import type { BenchState } from './draft';

export function Reading({ preview, state }: { preview: Schemas['MeasurePreview'] | undefined; state: BenchState }) {
  if (preview?.median === undefined) {
    return (
      <p className="text-soft">
        {state.instrument === 'TAPE' ? 'Type the length that the tape shows' : 'Type the angle of each trial'}; three
        trials are usual. The reading appears here.
      </p>
    );
  }
  return (
    <div aria-live="polite">
      <p className="text-7xl font-bold">
        {degrees(preview.median)}
        {preview.plusMinus !== undefined && (
          <span className="ml-2 text-2xl text-soft">± {preview.plusMinus.toFixed(1)}°</span>
        )}
      </p>
      <p className="text-soft">
        median of {preview.trials.length}, spread {degrees(preview.spread ?? 0)}
        {preview.plusMinus === undefined && ` · reading good to ± ${(2 * preview.sem).toFixed(0)}°`}
      </p>
      {preview.shankFromStature && preview.shankCm !== undefined && (
        <p className="text-sm text-soft">
          Shank {preview.shankCm.toFixed(1)} cm taken from stature: measure it once and the ± shrinks.
        </p>
      )}
      {preview.asksForMore && (
        <p className="font-semibold text-warn">
          ▲ One trial lies more than {degrees(preview.tolerance ?? 5)} from the mean: take another (up to six).
        </p>
      )}
      {preview.usual && (
        <p className="text-sm text-soft">
          usual {degrees(preview.usual.lower)} to {degrees(preview.usual.upper)} ({preview.usual.source})
        </p>
      )}
    </div>
  );
}
