import type { Schemas } from '../../../shared/api/client';
import { MeasureNow } from '../MeasureNow';
import { Connect } from './Connect';
import type { FloorStore } from './floorStore';

/** Before the start, beside the mat: a cold reading, force gauges. */
export function BeforeExtras({ store, floor }: { store: FloorStore; floor: Schemas['Floor'] }) {
  return (
    <>
      <Cold floor={floor} />
      <Connect store={store} floor={floor} />
    </>
  );
}

/** Measured before anybody is warm: the only reading that angles are set by. */
function Cold({ floor }: { floor: Schemas['Floor'] }) {
  return (
    <details className="mt-6 border-t border-rule pt-3">
      <summary className="cursor-pointer font-semibold">Measure cold first</summary>
      {floor.lines.map((line) => (
        <div key={line.line} className="mt-2">
          {floor.lines.length > 1 && <p className="text-soft">{line.position}</p>}
          <MeasureNow clientId={floor.clientId} line={line} warmth="COLD" sides={line.measuredSides} />
        </div>
      ))}
    </details>
  );
}
