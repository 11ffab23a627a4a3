import { Link } from 'react-router';
import type { Schemas } from '../../shared/api/client';
import { Marks } from '../../shared/report/Marks';
import { counted, day, words } from '../../shared/units';

type Overview = Schemas['Overview'];
/** What was planned, done and felt in the last weeks. */
export function Lately({ overview: { strip, attended, pains, stopSigns, weeks } }: { overview: Overview }) {
  const worst = [...pains].sort((a, b) => b.score - a.score)[0];
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">The last {weeks} weeks</h2>
      {strip ? <Marks drawing={strip} /> : <p className="text-soft">Nothing was planned or done.</p>}
      {strip && <p className="text-sm">{attended}</p>}
      <h3 className="mt-3 font-semibold">Pain and stop signs</h3>
      {worst ? (
        <p className="text-sm">
          Pain on {counted(new Set(pains.map((p) => p.date)).size, 'day')}, {worst.score} of 10 at worst:{' '}
          {words(worst.motion)}
          {worst.side === 'MIDLINE' ? '' : `, ${words(worst.side)}`}, on {day(`${worst.date}T12:00:00`)}.
        </p>
      ) : (
        <p className="text-sm text-soft">No pain was reported.</p>
      )}
      {stopSigns.length > 0 && (
        <p className="text-sm font-semibold text-warn">
          ▲ {counted(stopSigns.length, 'stop sign')}, the last on {day(stopSigns.at(-1) ?? '')}.
        </p>
      )}
      <p className="mt-2 text-sm">
        <Link className="underline" to="report">
          The report
        </Link>{' '}
        says more.
      </p>
    </section>
  );
}
