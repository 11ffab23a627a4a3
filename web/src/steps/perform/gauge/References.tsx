import { useState, useSyncExternalStore } from 'react';
import { SIDES, type Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import type { Gauges } from './gauges';
import { referenceWords, type Reference } from './referenceWords';
import { ReferenceSheet } from './ReferenceSheet';

/** What 100 % is for each contraction, and the way to measure it. */
export function References({ gauges, floor }: { gauges: Gauges; floor: Schemas['Floor'] }) {
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
