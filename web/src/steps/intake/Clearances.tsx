import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { headOf, placeOf } from '../../shared/restrictions';
import { day } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { useClientDay } from '../../shared/ui/ClientCautions';
import { DateField } from '../../shared/ui/DateField';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';
import { LoosenOne, type Loosening } from './LoosenOne';

type ClientFile = Schemas['ClientFile'];

/** What was cleared in writing, and a form for the next letter. */
export function Clearances({ client }: { client: ClientFile }) {
  const [writing, setWriting] = useState(false);
  const clearances = useQuery({
    queryKey: ['clearances', client.id],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/clearances', { params: { path: { clientId: client.id } } })),
  });
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">Written clearances</h2>
      {clearances.data?.length === 0 && <p className="mb-3 text-soft">None so far.</p>}
      <ul className="mb-3 space-y-2">
        {clearances.data?.map(({ id, clearance: c }) => (
          <li key={id}>
            <p className="font-semibold">
              {c.clearedBy}, {new Date(c.writtenOn).toLocaleDateString()}
              {c.until && ` to ${new Date(c.until).toLocaleDateString()}`}
            </p>
            <p className="text-sm text-soft">{c.note}</p>
          </li>
        ))}
      </ul>
      {writing ? (
        <Write client={client} done={() => setWriting(false)} />
      ) : (
        <Button onClick={() => setWriting(true)}>Add a clearance</Button>
      )}
    </section>
  );
}

function Write({ client, done }: { client: ClientFile; done: () => void }) {
  const queries = useQueryClient();
  const today = useClientDay(client.id);
  const stopped = today.data?.lines.some((l) => l.verdict === 'STOP_AND_REFER') ?? false;
  const [id] = useState(newId);
  const [clearedBy, setClearedBy] = useState('');
  const [note, setNote] = useState('');
  const [writtenOn, setWrittenOn] = useState<string | undefined>(new Date().toLocaleDateString('sv'));
  const [until, setUntil] = useState<string>();
  // Until the coach ticks it, it follows what is known: the day may come in after the form.
  const [ticked, setStopSigns] = useState<boolean | null>(null);
  const stopSigns = ticked ?? stopped;
  const signs = useQuery({
    queryKey: ['stop-signs', client.id],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/stop-signs', { params: { path: { clientId: client.id } } })),
  });
  const [left, setLeft] = useState<string[]>([]);
  const names = (signs.data ?? []).map((s) => s.runId).filter((run) => !left.includes(run));
  const [loosens, setLoosens] = useState<Loosening[]>([]);
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/clearances', {
          params: { path: { clientId: client.id } },
          body: { id, clearedBy, note, writtenOn: writtenOn ?? '', until, stopSigns, names, loosens },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries();
      done();
    },
  });
  const findings = findingsOf(save.error);
  const named = (restriction: string) => loosens.find((l) => l.restriction === restriction);
  return (
    <form
      className="space-y-4 border-l-4 border-rule pl-4"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <TextField
        label="Cleared by"
        value={clearedBy}
        onChange={setClearedBy}
        path="clearedBy"
        findings={findings}
        autoFocus
      />
      <TextField label="What was written" value={note} onChange={setNote} path="note" findings={findings} />
      <div className="grid grid-cols-2 gap-4">
        <DateField label="Written on" value={writtenOn} onChange={setWrittenOn} path="writtenOn" findings={findings} />
        <DateField
          label="Holds until (else twelve months)"
          value={until}
          onChange={setUntil}
          path="until"
          findings={findings}
        />
      </div>
      <fieldset>
        <legend className="mb-1 text-sm text-soft">What it loosens; nothing else changes</legend>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 accent-(--ink)"
            checked={stopSigns}
            onChange={(e) => setStopSigns(e.target.checked)}
          />
          stop signs that were recorded up to its day
        </label>
        {signs.data?.map((s) => (
          <label key={s.runId} className="flex min-h-11 items-center gap-3">
            <input
              type="checkbox"
              className="size-5 accent-(--ink)"
              checked={!left.includes(s.runId)}
              onChange={(e) => setLeft(e.target.checked ? left.filter((x) => x !== s.runId) : [...left, s.runId])}
            />
            it names: {s.sign}, {day(s.happenedAt)} ({s.name})
          </label>
        ))}
        {client.restrictions.map((r) => (
          <LoosenOne
            key={r.id}
            restriction={r}
            title={[placeOf(r), headOf(r)].filter(Boolean).join(': ')}
            value={named(r.id)}
            onChange={(l) => setLoosens([...loosens.filter((x) => x.restriction !== r.id), ...(l ? [l] : [])])}
          />
        ))}
      </fieldset>
      <OtherFindings findings={findings} shown={(p) => /clearedBy|note|writtenOn|until/.test(p)} />
      <Failure error={findings.length > 0 ? null : save.error} />
      <div className="flex gap-3">
        <Button look="main" type="submit" disabled={save.isPending}>
          Save the clearance
        </Button>
        <Button onClick={done}>Cancel</Button>
      </div>
    </form>
  );
}
