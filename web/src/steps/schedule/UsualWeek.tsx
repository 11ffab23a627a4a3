import { useState } from 'react';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { Ticks } from '../../shared/ui/Ticks';
import { TimeField } from '../../shared/ui/TimeField';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { DAY_NAMES, PLACES, type Place } from './days';
import { type Calendar } from '../../shared/useCalendar';
import { useKeep } from './useKeep';

type Usual = Schemas['UsualWeek'];
type Day = Schemas['UsualDay'];

/** Minutes, time and place of each weekday. */
export function UsualWeek({ clientId, calendar }: { clientId: string; calendar: Calendar }) {
  const [usual, setUsual] = useState<Usual>(calendar.usual);
  const catalogue = useCatalogue();
  const keep = useKeep((body: Usual) =>
    ask(api.PUT('/api/clients/{clientId}/calendar/usual', { params: { path: { clientId } }, body })),
  );
  const set = (n: number, change: Partial<Day>) =>
    setUsual({ ...usual, days: usual.days.map((d, i) => (i === n ? { ...d, ...change } : d)) });
  const changed = JSON.stringify(usual) !== JSON.stringify(calendar.usual);
  return (
    <section>
      <h3 className="mb-1 text-xl font-bold">Usual week</h3>
      <p className="mb-2 text-sm text-soft">
        {calendar.said ? 'No minutes: no training on that day.' : 'From the file so far: set when there is time.'}
      </p>
      <table className="w-full text-left">
        <thead className="text-sm text-soft">
          <tr>
            <th className="font-normal">Day</th>
            <th className="font-normal">Minutes</th>
            <th className="font-normal">From</th>
            <th className="font-normal">Place</th>
          </tr>
        </thead>
        <tbody>
          {usual.days.map((d, n) => (
            <tr key={DAY_NAMES[n]} className="border-t border-rule">
              <th className="py-1.5 pr-3 font-semibold">{DAY_NAMES[n]}</th>
              <td className="w-24 pr-3">
                <NumberField
                  hideLabel
                  label={`Minutes on ${DAY_NAMES[n]}`}
                  unit="min"
                  step={5}
                  value={d.minutes}
                  onChange={(v) => set(n, { minutes: Math.round(v ?? 0) })}
                />
              </td>
              <td className="pr-3">
                <TimeField
                  hideLabel
                  label={`From, on ${DAY_NAMES[n]}`}
                  value={d.at}
                  onChange={(v) => set(n, { at: `${v}:00` })}
                />
              </td>
              <td>
                <select
                  aria-label={`Place on ${DAY_NAMES[n]}`}
                  className="min-h-11 w-full border-b-2 border-rule bg-paper py-1.5 outline-none focus:border-ink"
                  value={d.place}
                  onChange={(e) => set(n, { place: e.target.value as Place })}
                >
                  {PLACES.map(([id, name]) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </select>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="my-4">
        <Ticks
          label="Comes along on a trip"
          options={(catalogue.data?.equipment ?? []).map((e) => [e.id, e.name] as const)}
          value={usual.travelEquipment}
          onChange={(travelEquipment) => setUsual({ ...usual, travelEquipment })}
        />
      </div>
      <Failure error={findingsOf(keep.error).length > 0 ? null : keep.error} />
      <OtherFindings findings={findingsOf(keep.error)} shown={() => false} />
      <Button look="main" disabled={keep.isPending || (!changed && calendar.said)} onClick={() => keep.mutate(usual)}>
        Save the usual week
      </Button>
      {keep.isSuccess && !changed && (
        <span role="status" className="ml-3 text-soft">
          Saved; the week was planned again.
        </span>
      )}
    </section>
  );
}
