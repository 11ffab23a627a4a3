import { useState, useSyncExternalStore } from 'react';
import type { Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import type { FloorStore } from './floorStore';
import type { Manner } from '../gauge/gauges';
import { References } from '../gauge/References';

const MANNERS: [Manner, string][] = [
  ['GOOD', 'steady'],
  ['OVER_EAGER', 'over-eager'],
  ['FADING', 'fading'],
  ['STOPS_EARLY', 'stops early'],
];
const STRENGTH = 220;

/** Before the start: force gauges, and what 100 % is where it may be measured. */
export function Connect({ store, floor }: { store: FloorStore; floor: Schemas['Floor'] }) {
  const [manner, setManner] = useState<Manner>('GOOD');
  const [trouble, setTrouble] = useState('');
  const gauges = useSyncExternalStore(store.subscribe, () => store.snapshot().gauges);
  if (floor.references.length === 0) return null;
  return (
    <section aria-label="Gauges" className="mt-6 border-t border-rule pt-3">
      {gauges ? (
        <References gauges={gauges} floor={floor} />
      ) : (
        <div className="flex flex-wrap items-center gap-3">
          <Button onClick={() => store.connectGauges(manner, STRENGTH).catch(() => setTrouble('No gauge answers.'))}>
            Connect two force gauges
          </Button>
          <label className="text-soft">
            simulated, on somebody who{' '}
            <select
              className="border border-rule bg-card px-2 py-2 text-ink"
              value={manner}
              onChange={(e) => setManner(e.target.value as Manner)}
            >
              {MANNERS.map(([value, words]) => (
                <option key={value} value={value}>
                  {words}
                </option>
              ))}
            </select>
          </label>
          {trouble && <span className="text-warn">{trouble}</span>}
        </div>
      )}
    </section>
  );
}
