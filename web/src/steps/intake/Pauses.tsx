import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { DateField } from '../../shared/ui/DateField';
import { Failure } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';

type Pause = Schemas['StoredPause'];

const KINDS: [Pause['kind'], string][] = [
  ['ILLNESS', 'Ill'],
  ['AWAY', 'Away'],
  ['OTHER', 'Other'],
];

/** Illness and time away: nothing is decided meanwhile, and what follows knows of it. */
export function Pauses({ clientId }: { clientId: string }) {
  const pauses = useQuery({
    queryKey: ['pauses', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/pauses', { params: { path: { clientId } } })),
  });
  const [open, setOpen] = useState<Partial<Pause> | null>(null);
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">Pauses</h2>
      {pauses.data?.length === 0 && <p className="mb-3 text-soft">None so far: illness or time away goes here.</p>}
      <ul className="mb-3">
        {pauses.data?.map((p) => (
          <li key={p.id} className="flex items-center gap-3 border-t border-rule py-1">
            <span className="grow">
              <strong>{KINDS.find(([k]) => k === p.kind)?.[1]}</strong> from {local(p.from)}
              {p.until ? ` until ${local(p.until)}` : ', still'}
              {p.note && <span className="text-soft"> · {p.note}</span>}
            </span>
            <Button className="text-sm" onClick={() => setOpen(p)}>
              {p.until ? 'Change' : 'End or change'}
            </Button>
          </li>
        ))}
      </ul>
      {open ? (
        <Form key={open.id ?? 'new'} clientId={clientId} pause={open} close={() => setOpen(null)} />
      ) : (
        <Button onClick={() => setOpen({})}>Add a pause</Button>
      )}
      <Failure error={pauses.error} />
    </section>
  );
}

function local(date: string): string {
  return new Date(date).toLocaleDateString();
}

function Form({ clientId, pause, close }: { clientId: string; pause: Partial<Pause>; close: () => void }) {
  const queries = useQueryClient();
  const [id] = useState(() => pause.id ?? newId());
  const [kind, setKind] = useState<Pause['kind']>(pause.kind ?? 'ILLNESS');
  const [from, setFrom] = useState<string | undefined>(pause.from ?? new Date().toLocaleDateString('sv'));
  const [until, setUntil] = useState(pause.until);
  const [note, setNote] = useState(pause.note ?? '');
  const keep = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/clients/{clientId}/pauses/{pauseId}', {
          params: { path: { clientId, pauseId: id } },
          body: { kind, from: from ?? '', until, note },
        }),
      ),
    onSuccess: () => {
      close();
      return queries.invalidateQueries();
    },
  });
  const findings = findingsOf(keep.error);
  return (
    <div className="space-y-3">
      <Choice label="Why" value={kind} onChange={setKind} options={KINDS} />
      <div className="grid gap-3 sm:grid-cols-2">
        <DateField label="From" value={from} onChange={setFrom} path="from" findings={findings} />
        <DateField
          label="First day of training again, if known"
          value={until}
          onChange={setUntil}
          path="until"
          findings={findings}
        />
      </div>
      <TextField label="Note" value={note} onChange={setNote} />
      <Failure error={findings.length > 0 ? null : keep.error} />
      <div className="flex gap-3">
        <Button look="main" disabled={keep.isPending} onClick={() => keep.mutate()}>
          Save the pause
        </Button>
        <Button onClick={close}>Cancel</Button>
      </div>
    </div>
  );
}
