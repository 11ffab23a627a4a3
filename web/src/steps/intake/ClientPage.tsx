import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { day, degrees, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ClientHead, useClientDay } from '../../shared/ui/ClientHead';
import { Failure, FieldFinding } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';

export function ClientPage() {
  const { clientId = '' } = useParams();
  const client = useQuery({
    queryKey: ['client', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}', { params: { path: { clientId } } })),
  });
  if (client.error) return <Failure error={client.error} />;
  return (
    <>
      <ClientHead clientId={clientId} tread="meet" />
      {client.data && (
        <div className="grid gap-8 md:grid-cols-2">
          <File client={client.data} />
          <div className="space-y-6">
            <RestrictionForm client={client.data} />
            <Clearance clientId={clientId} />
          </div>
        </div>
      )}
    </>
  );
}

function File({ client }: { client: Schemas['Client'] }) {
  const d = client.details;
  const rows: [string, string | null][] = [
    ['Goal', d.goal || null],
    ...d.goals.map((g): [string, string] => [`needs in ${words(g.motion)}`, degrees(g.degrees)]),
    ['Born', d.birthDate ? new Date(d.birthDate).toLocaleDateString() : null],
    ['Minutes a session', d.minutes === undefined ? null : `${d.minutes} min`],
    ['Stature', d.statureCm === undefined ? null : `${d.statureCm} cm`],
    ['Shank, knee to ankle', d.shankCm === undefined ? null : `${d.shankCm} cm, measured`],
    ['Beighton score', d.beighton === undefined ? null : `${d.beighton} of 9`],
    ['Blocks stack in', `${d.blockStepCm} cm`],
  ];
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">File</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
        {rows.map(([name, value]) => (
          <div className="contents" key={name}>
            <dt className="text-soft">{name}</dt>
            <dd className={value === null ? 'text-soft' : 'font-semibold'}>{value ?? 'not said yet'}</dd>
          </div>
        ))}
      </dl>
      <Link
        to={`/clients/${client.id}/edit`}
        className="mt-4 inline-block border border-rule bg-card px-4 py-2 font-semibold hover:bg-tread"
      >
        Change the file
      </Link>
      <Link
        to={`/clients/${client.id}/sharing`}
        className="mt-4 ml-3 inline-block border border-rule bg-card px-4 py-2 font-semibold hover:bg-tread"
      >
        Who may see this
      </Link>
    </section>
  );
}

function RestrictionForm({ client }: { client: Schemas['Client'] }) {
  const queries = useQueryClient();
  const r = client.restriction;
  const [cap, setCap] = useState<number | null>(r.effortCap ?? null);
  const [noDeepening, setNoDeepening] = useState(r.noDeepening);
  const [stopped, setStopped] = useState(r.stopped);
  const [reason, setReason] = useState(r.reason);
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/clients/{clientId}/restriction', {
          params: { path: { clientId: client.id } },
          body: { effortCap: cap ?? undefined, noDeepening, stopped, reason },
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
  const findings = findingsOf(save.error);
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">What must not be done</h2>
      <p className="mb-3 text-sm text-soft">Holds in every plan, session and proposal of this client.</p>
      <div className="space-y-3">
        <NumberField
          label="Effort at most"
          unit="%"
          step={5}
          value={cap}
          onChange={setCap}
          path="effortCap"
          findings={findings}
        />
        <Tick label="No deepening of the angle" checked={noDeepening} onChange={setNoDeepening} />
        <Tick label="Stopped: nothing is trained" checked={stopped} onChange={setStopped} />
        <label className="block text-sm text-soft">
          Why, or on whose word it is lifted
          <input
            className="mt-1 block w-full border-b-2 border-rule bg-transparent py-1 text-base text-ink outline-none focus:border-ink"
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
        </label>
        <FieldFinding findings={findings} path="reason" />
        <Failure error={findings.length > 0 ? null : save.error} />
        <Button onClick={() => save.mutate()} disabled={save.isPending}>
          Set restriction
        </Button>
        {save.isSuccess && <span className="ml-3 text-soft">Set.</span>}
      </div>
    </section>
  );
}

function Tick({ label, checked, onChange }: { label: string; checked: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-5 accent-(--ink)"
        checked={checked}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </label>
  );
}

/** After a stop sign: who cleared it in writing, and what was written. */
function Clearance({ clientId }: { clientId: string }) {
  const queries = useQueryClient();
  const dayState = useClientDay(clientId);
  const [id, setId] = useState(newId);
  const [clearedBy, setClearedBy] = useState('');
  const [note, setNote] = useState('');
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/clearances', {
          params: { path: { clientId } },
          body: { id, clearedBy, note },
        }),
      ),
    onSuccess: () => {
      setId(newId());
      return queries.invalidateQueries();
    },
  });
  const stop = dayState.data?.lines.find((l) => l.verdict === 'STOP_AND_REFER');
  if (!stop) return null;
  const findings = findingsOf(save.error);
  return (
    <section className="border-l-4 border-warn bg-card p-4">
      <h2 className="mb-1 text-xl font-bold">Written clearance</h2>
      <p className="mb-3">{stop.why}</p>
      <div className="space-y-3">
        {(
          [
            ['clearedBy', 'Cleared by', clearedBy, setClearedBy],
            ['note', 'What was written', note, setNote],
          ] as const
        ).map(([path, label, value, set]) => (
          <label className="block text-sm text-soft" key={path}>
            {label}
            <input
              className="mt-1 block w-full border-b-2 border-rule bg-transparent py-1 text-base text-ink outline-none focus:border-ink"
              value={value}
              onChange={(e) => set(e.target.value)}
            />
            <FieldFinding findings={findings} path={path} />
          </label>
        ))}
        <Failure error={findings.length > 0 ? null : save.error} />
        <Button onClick={() => save.mutate()} disabled={save.isPending}>
          Keep the clearance of {day(new Date().toISOString())}
        </Button>
      </div>
    </section>
  );
}
