import type { Schemas } from '../../../shared/api/client';
import { Traces } from '../gauge/Traces';
import { MeasureNow } from '../MeasureNow';
import { Corrections } from './Corrections';
import { MorningAfter } from './MorningAfter';

/** With the closing sheet: a warm reading, the next morning's answers, what the gauges saw, corrections. */
export function RecordExtras({ floor, summary }: { floor: Schemas['Floor']; summary: Schemas['Summary'] }) {
  const { closed, mornings } = summary;
  return (
    <>
      {closed?.stopSign === undefined && <WarmAfter floor={floor} />}
      {closed && <MorningAfter floor={floor} closed={closed} mornings={mornings} />}
      <Traces floor={floor} />
      <Corrections runId={floor.id} labels={floor.labels} />
    </>
  );
}

/** The movement measured again while it is warm: a help for today, never an angle for tomorrow. */
function WarmAfter({ floor }: { floor: Schemas['Floor'] }) {
  return (
    <details className="mt-8">
      <summary className="cursor-pointer text-xl font-bold">Measure again, warm</summary>
      <p className="max-w-prose text-soft">What it gave today. Angles are set by cold readings alone.</p>
      {floor.lines.map((line) => (
        <div key={line.line} className="mt-2">
          {floor.lines.length > 1 && <p className="text-soft">{line.position}</p>}
          <MeasureNow clientId={floor.clientId} line={line} warmth="WARM" sides={line.measuredSides} />
        </div>
      ))}
    </details>
  );
}
