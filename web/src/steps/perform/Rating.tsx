import type { FloorStore } from './floorStore';
import { workToRate } from './rating';
import * as Runs from './run';

/** Asked while settling after the set: how hard it was. */
export function Rating({ store, run }: { store: FloorStore; run: Runs.Run }) {
  const phase = Runs.current(run);
  const work = workToRate(run);
  if (!work) return null;
  const rating = run.notes[work]?.effortRating;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="text-base sm:text-xl">{phase.set > 0 ? 'How hard was it?' : 'Last one:'}</span>
      <div className="grid grow grid-cols-11" role="radiogroup" aria-label="Effort of the set, 0 to 10">
        {Array.from({ length: 11 }, (_, n) => (
          <button
            key={n}
            role="radio"
            aria-checked={rating === n}
            className={`min-h-11 border border-rule text-lg sm:text-xl ${rating === n ? 'bg-ink font-bold text-paper' : 'hover:bg-tread'}`}
            onClick={() => store.note(work, () => ({ effortRating: n }))}
          >
            {n}
          </button>
        ))}
      </div>
    </div>
  );
}
