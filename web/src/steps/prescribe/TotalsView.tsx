import { on, SIDES, type Schemas } from '../../shared/api/client';
import { clock, words } from '../../shared/units';

/** Honest minutes, and what each side gets. */
export function TotalsView({ totals, perWeek }: { totals: Schemas['Totals']; perWeek: number }) {
  return (
    <div className="mt-3 flex flex-wrap items-end gap-x-8 gap-y-2" aria-live="polite">
      <p>
        <span className="text-5xl font-bold" data-testid="minutes">
          {clock(totals.seconds)}
        </span>{' '}
        <span className="text-soft">min, set-up and side change in it</span>
      </p>
      <table className="text-right text-sm whitespace-nowrap sm:text-base">
        <thead className="text-sm text-soft">
          <tr>
            <th />
            <th className="px-1.5 sm:px-3 font-normal">press</th>
            <th className="px-1.5 sm:px-3 font-normal">pull</th>
            <th className="px-1.5 sm:px-3 font-normal">hold</th>
            <th className="px-1.5 sm:px-3 font-normal">impulse</th>
            <th className="px-1.5 sm:px-3 font-normal">a week</th>
          </tr>
        </thead>
        <tbody>
          {SIDES.map((side) => {
            const s = on(side, totals.sides);
            return (
              <tr key={side}>
                <th className="text-left font-semibold">{side === 'LEFT' ? 'Left' : 'Right'}</th>
                <td className="px-1.5 sm:px-3">{s.pressSeconds} s</td>
                <td className="px-1.5 sm:px-3">{s.pullSeconds} s</td>
                <td className="px-1.5 sm:px-3">{s.holdSeconds} s</td>
                <td className="px-1.5 sm:px-3">{Math.round(s.impulse)} %·s</td>
                <td className="px-1.5 sm:px-3">{Math.round(s.impulse * perWeek)} %·s</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="text-soft">
        peak {totals.peak} %, {words(totals.effortClass)}
      </p>
    </div>
  );
}
