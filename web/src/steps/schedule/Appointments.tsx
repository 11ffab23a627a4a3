import { useState } from 'react';
import { api, ask, newId, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { AppointmentForm, NEW_MINUTES } from './AppointmentForm';
import { DAY_NAMES, local, shortDate } from './days';
import { type Calendar } from '../../shared/useCalendar';
import { useKeep } from './useKeep';

/** A client's appointments at the studio; single ones of a series are moved in the month. */
export function Appointments({ clientId, calendar }: { clientId: string; calendar: Calendar }) {
  const [open, setOpen] = useState<{ id: string; appointment: Schemas['Appointment'] } | null>(null);
  const remove = useKeep((appointmentId: string) =>
    ask(
      api.DELETE('/api/clients/{clientId}/calendar/appointments/{appointmentId}', {
        params: { path: { clientId, appointmentId } },
      }),
    ),
  );
  const fresh = () => ({
    id: newId(),
    appointment: { start: `${calendar.today}T10:00:00`, minutes: NEW_MINUTES, everyWeeks: 1, changes: [], note: '' },
  });
  return (
    <section>
      <h3 className="mb-1 text-xl font-bold">Appointments at the studio</h3>
      {calendar.appointments.length === 0 && (
        <p className="mb-2 text-soft">None: days with an appointment are led by a coach.</p>
      )}
      <ul className="mb-2">
        {calendar.appointments.map((b) => (
          <li key={b.id} className="flex flex-wrap items-center gap-2 border-t border-rule py-1">
            <span className="grow">
              <strong>{said(b.appointment)}</strong>
              <span className="text-soft">
                {' '}
                · {b.appointment.minutes} min{b.appointment.note && ` · ${b.appointment.note}`}
              </span>
            </span>
            <Button className="text-sm" onClick={() => setOpen(b)}>
              Edit
            </Button>
            <Button className="text-sm" onClick={() => remove.mutate(b.id)}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
      {open ? (
        <AppointmentForm key={open.id} clientId={clientId} {...open} close={() => setOpen(null)} />
      ) : (
        <Button onClick={() => setOpen(fresh())}>Add an appointment</Button>
      )}
      <Failure error={remove.error} />
    </section>
  );
}

function said(a: Schemas['Appointment']): string {
  const [date = '', time = ''] = a.start.split('T');
  const clock = time.slice(0, 5);
  if (a.everyWeeks === 0) return `${shortDate(date)}, ${clock}`;
  const name = DAY_NAMES[(local(date).getDay() + 6) % 7] ?? '';
  const every = a.everyWeeks === 1 ? `Every ${name}` : `Every ${a.everyWeeks} weeks on ${name}`;
  return `${every}, ${clock}, from ${shortDate(date)}${a.until ? ` to ${shortDate(a.until)}` : ''}`;
}
