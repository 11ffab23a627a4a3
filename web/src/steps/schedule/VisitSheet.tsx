import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { DateField } from '../../shared/ui/DateField';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { Sheet } from '../../shared/ui/Sheet';
import { TimeField } from '../../shared/ui/TimeField';
import { useKeep } from './useKeep';

/** One appointment: moved or cancelled alone, or all of its series removed. */
export function VisitSheet({ visit, close }: { visit: Schemas['Visit']; close: () => void }) {
  const [date = '', time = ''] = visit.start.split('T');
  const [day, setDay] = useState<string | undefined>(date);
  const [at, setAt] = useState(time.slice(0, 5));
  const path = { params: { path: { clientId: visit.clientId, appointmentId: visit.appointmentId } } };
  const change = useKeep(
    (movedTo: string | undefined) =>
      ask(
        api.POST('/api/clients/{clientId}/calendar/appointments/{appointmentId}/changes', {
          ...path,
          body: { of: visit.of, movedTo },
        }),
      ),
    close,
  );
  const remove = useKeep(
    () => ask(api.DELETE('/api/clients/{clientId}/calendar/appointments/{appointmentId}', path)),
    close,
  );
  const findings = findingsOf(change.error);
  return (
    <Sheet open onOpenChange={(open) => !open && close()} title={visit.name}>
      <p className="mb-1">
        {visit.minutes} min{visit.planned > 0 ? `; the plan for that day takes ${visit.planned} min` : ''}
        {visit.note && ` · ${visit.note}`}
      </p>
      {visit.conflicts.map((c) => (
        <p key={c} className="font-semibold text-warn">
          ▲ {c}
        </p>
      ))}
      <p className="mb-3">
        <Link className="underline" to={`/clients/${visit.clientId}/week`}>
          To the client’s week
        </Link>
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        <DateField label="Move to" value={day} onChange={setDay} path="movedTo" findings={findings} />
        <TimeField label="Time" value={at} onChange={setAt} />
      </div>
      <Failure error={findings.length > 0 ? null : (change.error ?? remove.error)} />
      <OtherFindings findings={findings} shown={(p) => p === 'movedTo'} />
      <div className="mt-4 flex flex-wrap gap-3">
        <Button
          look="main"
          disabled={change.isPending || !day}
          onClick={() => change.mutate(`${day ?? date}T${at}:00`)}
        >
          Move {visit.repeats ? 'this one' : ''}
        </Button>
        <Button disabled={change.isPending} onClick={() => change.mutate(undefined)}>
          Cancel {visit.repeats ? 'this one' : 'the appointment'}
        </Button>
        {visit.repeats && (
          <Button disabled={remove.isPending} onClick={() => remove.mutate(undefined)}>
            Remove the whole series
          </Button>
        )}
      </div>
    </Sheet>
  );
}
