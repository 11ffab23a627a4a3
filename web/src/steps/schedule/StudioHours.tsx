import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { TimeField } from '../../shared/ui/TimeField';
import { DAY_NAMES } from './days';

type Shift = Schemas['Shift'];

const WEEKDAYS: Shift['day'][] = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'];

/** When the coach is there: what of it is free stands in each day of the month. */
export function StudioHours({ hours }: { hours: Schemas['StudioHours'] }) {
  const queries = useQueryClient();
  const [shifts, setShifts] = useState(hours.shifts);
  const keep = useMutation({
    mutationFn: () => ask(api.PUT('/api/hours', { body: { shifts } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['month'] }),
  });
  const set = (n: number, to: Partial<Shift>) => setShifts(shifts.map((s, i) => (i === n ? { ...s, ...to } : s)));
  const findings = findingsOf(keep.error);
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">Your hours</h2>
      <p className="mb-2 text-sm text-soft">What appointments leave of them is shown in each day of the month.</p>
      <ul>
        {WEEKDAYS.map((day, d) => (
          <li key={day} className="grid grid-cols-[7rem_1fr_auto] items-center border-t border-rule">
            <span className="font-semibold">{DAY_NAMES[d]}</span>
            <div>
              {shifts.every((s) => s.day !== day) && <span className="text-soft">not there</span>}
              {shifts.map((s, n) =>
                s.day !== day ? null : (
                  <div key={n} className="flex flex-wrap items-center gap-2">
                    <TimeField
                      hideLabel
                      label={`From, on ${DAY_NAMES[d]}`}
                      value={s.from}
                      onChange={(v) => set(n, { from: `${v}:00` })}
                    />
                    to
                    <TimeField
                      hideLabel
                      label={`Until, on ${DAY_NAMES[d]}`}
                      value={s.until}
                      onChange={(v) => set(n, { until: `${v}:00` })}
                    />
                    <Button className="text-sm" onClick={() => setShifts(shifts.filter((_, i) => i !== n))}>
                      Remove
                    </Button>
                    <OtherFindings findings={findings} shown={(path) => path !== `shifts[${n}]`} />
                  </div>
                ),
              )}
            </div>
            <Button
              className="text-sm"
              aria-label={`Add hours on ${DAY_NAMES[d]}`}
              onClick={() => setShifts([...shifts, { day, from: '09:00:00', until: '17:00:00' }])}
            >
              +
            </Button>
          </li>
        ))}
      </ul>
      <Failure error={findings.length > 0 ? null : keep.error} />
      <Button
        look="main"
        className="mt-3"
        disabled={keep.isPending || JSON.stringify(shifts) === JSON.stringify(hours.shifts)}
        onClick={() => keep.mutate()}
      >
        Save your hours
      </Button>
    </section>
  );
}
