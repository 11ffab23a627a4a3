import { useState } from 'react';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { DateField } from '../../shared/ui/DateField';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { TextField } from '../../shared/ui/TextField';
import { shortDate } from './days';
import { type Calendar } from '../../shared/useCalendar';
import { useKeep } from './useKeep';

type Fixed = Schemas['FixedDates'];

const KINDS: [Fixed['kind'], string][] = [
  ['EVENT', 'Event: no training'],
  ['TRIP', 'Trip'],
  ['MINUTES', 'Other minutes'],
];

/** A regatta, a trip, a day with other minutes. */
export function Dates({ clientId, calendar }: { clientId: string; calendar: Calendar }) {
  const [open, setOpen] = useState<Schemas['Dated'] | null>(null);
  const remove = useKeep((dateId: string) =>
    ask(api.DELETE('/api/clients/{clientId}/calendar/dates/{dateId}', { params: { path: { clientId, dateId } } })),
  );
  const { today } = calendar;
  const coming = calendar.dates.filter((d) => d.dates.until >= today);
  return (
    <section>
      <h3 className="mb-1 text-xl font-bold">Other dates</h3>
      {coming.length === 0 && <p className="mb-2 text-soft">None ahead: a regatta, a show, a trip goes here.</p>}
      <ul className="mb-2">
        {coming.map((d) => (
          <li key={d.id} className="flex flex-wrap items-center gap-2 border-t border-rule py-1">
            <span className="grow">
              <strong>{d.dates.note}</strong> {shortDate(d.dates.from)}
              {d.dates.until !== d.dates.from && ` to ${shortDate(d.dates.until)}`}
              <span className="text-soft">
                {' '}
                · {KINDS.find(([k]) => k === d.dates.kind)?.[1].toLowerCase()}
                {d.dates.minutes === undefined ? '' : `, ${d.dates.minutes} min a day`}
              </span>
            </span>
            <Button className="text-sm" onClick={() => setOpen(d)}>
              Edit
            </Button>
            <Button className="text-sm" onClick={() => remove.mutate(d.id)}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
      {open ? (
        <Form key={open.id} clientId={clientId} dated={open} close={() => setOpen(null)} />
      ) : (
        <Button onClick={() => setOpen({ id: newId(), dates: { kind: 'EVENT', from: today, until: today, note: '' } })}>
          Add a date
        </Button>
      )}
      <Failure error={remove.error} />
    </section>
  );
}

function Form({ clientId, dated, close }: { clientId: string; dated: Schemas['Dated']; close: () => void }) {
  const [d, setD] = useState<Fixed>(dated.dates);
  const set = (change: Partial<Fixed>) => setD({ ...d, ...change });
  const keep = useKeep(
    (body: Fixed) =>
      ask(
        api.PUT('/api/clients/{clientId}/calendar/dates/{dateId}', {
          params: { path: { clientId, dateId: dated.id } },
          body,
        }),
      ),
    close,
  );
  const findings = findingsOf(keep.error);
  return (
    <div className="space-y-3 border-t border-rule pt-3">
      <Choice label="What" value={d.kind} onChange={(kind) => set({ kind })} options={KINDS} />
      <TextField label="Name" value={d.note} onChange={(note) => set({ note })} path="note" findings={findings} />
      <div className="grid gap-3 sm:grid-cols-3">
        <DateField
          label="From"
          value={d.from}
          onChange={(v) => v && set({ from: v, until: v > d.until ? v : d.until })}
          path="from"
          findings={findings}
        />
        <DateField
          label="Last day"
          value={d.until}
          onChange={(v) => v && set({ until: v })}
          path="until"
          findings={findings}
        />
        {d.kind !== 'EVENT' && (
          <NumberField
            label={d.kind === 'TRIP' ? 'Minutes a day, if other than usual' : 'Minutes a day'}
            unit="min"
            step={5}
            value={d.minutes ?? null}
            onChange={(v) => set({ minutes: v === null ? undefined : Math.round(v) })}
            path="minutes"
            findings={findings}
          />
        )}
      </div>
      <Failure error={findings.length > 0 ? null : keep.error} />
      <OtherFindings findings={findings} shown={(p) => ['note', 'from', 'until', 'minutes'].includes(p)} />
      <div className="flex gap-3">
        <Button
          look="main"
          disabled={keep.isPending}
          onClick={() => keep.mutate(d.kind === 'EVENT' ? { ...d, minutes: undefined } : d)}
        >
          Save
        </Button>
        <Button onClick={close}>Cancel</Button>
      </div>
    </div>
  );
}
