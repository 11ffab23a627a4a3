import { useRef, useState } from 'react';
import { api, ask, findingsOf } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { type Calendar } from '../../shared/useCalendar';
import { useKeep } from './useKeep';

/** Times of the client's own calendar file, over which nothing is planned. */
export function BusyTimes({ clientId, calendar }: { clientId: string; calendar: Calendar }) {
  const input = useRef<HTMLInputElement>(null);
  const [notes, setNotes] = useState<string[]>([]);
  const params = { params: { path: { clientId } } };
  const take = useKeep(async (file: File) => {
    const text = await file.text();
    const taken = await ask(
      api.POST('/api/clients/{clientId}/calendar/busy', {
        ...params,
        body: text,
        bodySerializer: (body) => body,
        headers: { 'Content-Type': 'text/calendar' },
      }),
    );
    setNotes(taken.notes);
  });
  const remove = useKeep(() => ask(api.DELETE('/api/clients/{clientId}/calendar/busy', params)));
  const many = calendar.busy.length;
  return (
    <section>
      <h3 className="mb-1 text-xl font-bold">Busy times</h3>
      <p className="mb-2 text-soft">
        {many === 0
          ? 'None: import the client’s calendar file (.ics), and nothing is planned over it.'
          : `${many} busy ${many === 1 ? 'time' : 'times'} in the next half year. A new file takes their place.`}
      </p>
      <input
        ref={input}
        type="file"
        accept=".ics,text/calendar"
        className="hidden"
        aria-label="Calendar file"
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) take.mutate(file);
        }}
      />
      <div className="flex gap-3">
        <Button disabled={take.isPending} onClick={() => input.current?.click()}>
          Import a calendar file
        </Button>
        {many > 0 && <Button onClick={() => remove.mutate(undefined)}>Remove busy times</Button>}
      </div>
      {notes.map((n) => (
        <p key={n} className="mt-1 text-sm text-soft">
          △ {n}
        </p>
      ))}
      <Failure error={findingsOf(take.error).length > 0 ? null : (take.error ?? remove.error)} />
      <OtherFindings findings={findingsOf(take.error)} shown={() => false} />
    </section>
  );
}
