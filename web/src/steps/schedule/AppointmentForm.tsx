import { useState } from 'react';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { DateField } from '../../shared/ui/DateField';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { TextField } from '../../shared/ui/TextField';
import { TimeField } from '../../shared/ui/TimeField';
import { useKeep } from './useKeep';

export type Appointment = Schemas['Appointment'];

const EVERY: [string, string][] = [
  ['0', 'Once'],
  ['1', 'Every week'],
  ['2', 'Every 2 weeks'],
  ['4', 'Every 4 weeks'],
];

export const NEW_MINUTES = 60;

type Props = { clientId: string; id: string; appointment: Appointment; close: () => void };

/** Once, or again and again on the same weekday at the same time. */
export function AppointmentForm({ clientId, id, appointment, close }: Props) {
  const [a, setA] = useState(appointment);
  const set = (change: Partial<Appointment>) => setA({ ...a, ...change });
  const keep = useKeep(
    (body: Appointment) =>
      ask(
        api.PUT('/api/clients/{clientId}/calendar/appointments/{appointmentId}', {
          params: { path: { clientId, appointmentId: id } },
          body,
        }),
      ),
    close,
  );
  const findings = findingsOf(keep.error);
  const [date = '', time = ''] = a.start.split('T');
  return (
    <div className="space-y-3 border-t border-rule pt-3">
      <div className="grid gap-3 sm:grid-cols-3">
        <DateField
          label="Day"
          value={date}
          onChange={(v) => v && set({ start: `${v}T${time}`, changes: [] })}
          path="start"
          findings={findings}
        />
        <TimeField label="Time" value={time} onChange={(v) => set({ start: `${date}T${v}:00` })} />
        <NumberField
          label="Minutes"
          unit="min"
          step={5}
          value={a.minutes}
          onChange={(v) => set({ minutes: Math.round(v ?? 0) })}
          path="minutes"
          findings={findings}
        />
      </div>
      <Choice
        label="Repeats"
        value={String(a.everyWeeks)}
        options={EVERY}
        onChange={(v) => set({ everyWeeks: Number(v), changes: [] })}
      />
      {a.everyWeeks > 0 && (
        <DateField
          label="Last day, if known"
          value={a.until}
          onChange={(until) => set({ until })}
          path="until"
          findings={findings}
        />
      )}
      <TextField label="Note" value={a.note} onChange={(note) => set({ note })} path="note" findings={findings} />
      <Failure error={findings.length > 0 ? null : keep.error} />
      <OtherFindings findings={findings} shown={(p) => ['start', 'minutes', 'until', 'note'].includes(p)} />
      <div className="flex gap-3">
        <Button look="main" disabled={keep.isPending} onClick={() => keep.mutate(a)}>
          Save
        </Button>
        <Button onClick={close}>Cancel</Button>
      </div>
    </div>
  );
}
