import type { Schemas } from '../../shared/api/client';
import { degrees, fixed, length } from '../../shared/units';
import { readTrials, type BenchState } from './draft';
import { TrialDots } from './TrialDots';
import { FIT } from './fit';

type Props = { preview: Schemas['MeasurePreview'] | undefined; state: BenchState };

/** The reading, big; what it rests on, small. */
export function Reading({ preview, state }: Props) {
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
          <span className="ml-2 text-2xl text-soft">± {fixed(preview.plusMinus, 1)}°</span>
        )}
      </p>
      <TrialDots preview={preview} />
      <p className="text-soft">
        median of {preview.trials.length}, spread {degrees(preview.spread ?? 0)} · good to ± {fixed(2 * preview.sem, 1)}
        ° {preview.ownSem ? 'by your own study' : 'by the house value'}
      </p>
      {preview.body
        .filter((b) => b.uncertaintyCm > 0.6)
        .map((b) => (
          <p key={b.segment} className="text-sm text-soft">
            {b.words} {length(b.cm)} taken from stature: measure it once and the ± shrinks.
          </p>
        ))}
      {preview.asksForMore && readTrials(state).length >= 2 && (
        <p className="font-semibold text-warn">
          ▲ One trial lies more than {degrees(preview.tolerance ?? 5)} from the mean: take another (up to six).
        </p>
      )}
      {preview.usual && (
        <p className="text-sm text-soft">
          usual {degrees(preview.usual.lower)} to {degrees(preview.usual.upper)} ({preview.usual.population}
          {FIT[preview.usual.fit]}; {preview.usual.source})
        </p>
      )}
    </div>
  );
}
