import type { ReactElement } from 'react';
import type { Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { NumberField } from '../../shared/ui/NumberField';
import type { Answers } from './screen';
import { Elbow, Finger, Knee, Palms, Thumb } from './beightonDrawings';

type Item = Schemas['BeightonItem'];

const DRAWINGS: [RegExp, () => ReactElement][] = [
  [/LITTLE_FINGER/, Finger],
  [/THUMB/, Thumb],
  [/ELBOW/, Elbow],
  [/KNEE/, Knee],
  [/PALMS/, Palms],
];

type Props = { items: Item[]; a: Answers; set: (part: Partial<Answers>) => void };

/** Nine manoeuvres, each drawn; one point each. */
export function BeightonStep({ items, a, set }: Props) {
  const seen = a.beighton;
  const toggle = (item: Item['item']) =>
    set({ beighton: seen?.includes(item) ? seen.filter((x) => x !== item) : [...(seen ?? []), item] });
  if (!seen) {
    return (
      <div>
        <h2 className="mb-1 text-2xl font-bold">Hypermobility</h2>
        <p className="mb-4 max-w-prose">
          Nine short manoeuvres tell whether the joints as a whole are very mobile. Then nothing is taken deeper;
          control is built instead.
        </p>
        <div className="flex gap-3">
          <Button look="main" onClick={() => set({ beighton: [] })}>
            Score them now
          </Button>
        </div>
        <p className="mt-3 text-sm text-soft">If skipped, the score on file still applies.</p>
      </div>
    );
  }
  return (
    <div>
      <h2 className="mb-1 text-2xl font-bold">
        Beighton score {seen.length} <span className="text-base font-normal text-soft">of 9; tap what you see</span>
      </h2>
      <div className="my-4 grid grid-cols-2 gap-3 sm:grid-cols-3">
        {items.map(({ item, text }) => {
          const Drawing = DRAWINGS.find(([match]) => match.test(item))?.[1] ?? Palms;
          const on = seen.includes(item);
          return (
            <button
              key={item}
              type="button"
              aria-pressed={on}
              onClick={() => toggle(item)}
              className={`flex flex-col items-center gap-1 border-2 p-3 text-sm ${on ? 'border-ink bg-tread font-semibold' : 'border-rule bg-card hover:border-soft'}`}
            >
              <span className={item.endsWith('LEFT') ? '-scale-x-100' : ''}>
                <Drawing />
              </span>
              {text}
              <span aria-hidden>{on ? '✓ 1 point' : ' '}</span>
            </button>
          );
        })}
      </div>
      <div className="max-w-md">
        <NumberField
          label="Of five things about earlier years, how many were so? Hands flat to the floor; thumb to the forearm; party tricks with odd shapes or the splits; shoulder or kneecap out more than once; thought of as double-jointed"
          unit="of 5"
          value={a.earlierYears}
          onChange={(v) => set({ earlierYears: Math.max(0, Math.min(5, Math.round(v ?? 0))) })}
        />
      </div>
    </div>
  );
}
