import { Scale } from '../../../shared/ui/Scale';
import type { FloorStore } from './floorStore';
import { workToRate } from './rating';
import * as Runs from '../run';

/** Asked while settling after the set: how hard it was. */
export function Rating({ store, run }: { store: FloorStore; run: Runs.Run }) {
  const phase = Runs.current(run);
  const work = workToRate(run);
  if (!work) return null;
  const rating = run.notes[work]?.effortRating;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="text-base sm:text-xl">{phase.set > 0 ? 'How hard was it?' : 'Last one:'}</span>
      <Scale
        label="Effort of the set, 0 to 10"
        look="text-lg sm:text-xl"
        value={rating}
        onChange={(n) => store.note(work, () => ({ effortRating: n }))}
      />
    </div>
  );
}
