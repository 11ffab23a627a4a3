import { useState, useSyncExternalStore } from 'react';
import { SIDES, type Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import type { FloorStore } from '../floorStore';
import type { Gauges, Manner } from './gauges';
import { ReferenceSheet } from './ReferenceSheet';

type Reference = Schemas['FloorReference'];

const MANNERS: [Manner, string][] = [
  ['GOOD', 'keeps to it'],
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

function References({ gauges, floor }: { gauges: Gauges; floor: Schemas['Floor'] }) {
  const view = useSyncExternalStore(gauges.watch, gauges.view);
  const [measuring, measure] = useState<Reference | null>(null);
  const there = SIDES.filter((s) => view.gauges[s]?.plugged).length;
  return (
    <>
      <p className="font-semibold">{there === 2 ? '● Both gauges are there' : '○ Waiting for the gauges…'}</p>
      <ul className="mt-1 space-y-1">
        {floor.references.map((r) => (
          <li key={r.line + r.side + r.direction} className="flex flex-wrap items-center gap-x-3">
            <span>{referenceWords(r, floor)}:</span>
            {r.newtons !== undefined ? (
              <span className="font-bold">100 % is {Math.round(r.newtons)} N</span>
            ) : (
              <span className="text-soft">{r.why}</span>
            )}
            {r.allowed && r.newtons === undefined && (
              <Button className="text-sm" onClick={() => measure(r)}>
                Measure 100 %
              </Button>
            )}
          </li>
        ))}
      </ul>
      {measuring && <ReferenceSheet gauges={gauges} floor={floor} reference={measuring} close={() => measure(null)} />}
    </>
  );
}

export function referenceWords(r: Reference, floor: Schemas['Floor']): string {
  const position = floor.lines.length > 1 ? floor.lines.find((l) => l.line === r.line)?.position : undefined;
  return [position, `${r.side === 'LEFT' ? 'left' : 'right'} ${r.direction === 'PRESS' ? 'press' : 'pull'}`]
    .filter(Boolean)
    .join(', ');
}
