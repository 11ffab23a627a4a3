import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { headOf, jointName, placeOf, type Kind } from '../../shared/restrictions';
import { Button } from '../../shared/ui/Button';
import { Failure, FieldFinding } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { TextField } from '../../shared/ui/TextField';
import { useCatalogue } from '../../shared/ui/useCatalogue';

const SELECT = 'mt-1 block min-h-11 w-full border border-rule bg-card px-2 text-ink';

/** What stands, each with its reason and source, and a way to add to it. Only a clearance takes away. */
export function Restrictions({ client }: { client: Schemas['ClientFile'] }) {
  const [adding, setAdding] = useState(false);
  return (
    <section>
      <h2 className="mb-1 text-xl font-bold">What must not be done</h2>
      <p className="mb-3 text-sm text-soft">
        Holds in every plan, session, proposal and import of this client. Adding is free; only a written clearance
        loosens.
      </p>
      {client.restrictions.length === 0 && <p className="mb-3">No restrictions.</p>}
      <ul className="mb-3 space-y-2">
        {client.restrictions.map((r) => (
          <li key={r.id} className="border-l-4 border-warn pl-3">
            <p className="font-semibold">
              {placeOf(r) && `${placeOf(r)}: `}
              {headOf(r)}
            </p>
            <p className="text-sm">
              {r.reason} <span className="text-soft">({r.source.text})</span>
            </p>
          </li>
        ))}
      </ul>
      {adding ? (
        <Add clientId={client.id} done={() => setAdding(false)} />
      ) : (
        <Button onClick={() => setAdding(true)}>Add a restriction</Button>
      )}
    </section>
  );
}

const KINDS: [Kind, string, string | null][] = [
  ['STOPPED', 'stop training', null],
  ['NO_ISOMETRICS', 'no isometrics', null],
  ['EFFORT_CAP', 'effort at most', '%'],
  ['CONTRACTION_CAP', 'no contraction longer than', 's'],
  ['ANGLE_CAP', 'no further than', '°'],
  ['NO_DEEPENING', 'no deepening of the angle', null],
  ['NO_LOADED_END_RANGE', 'no load at the end of the range', null],
  ['NOT_LYING', 'not lying flat', null],
];

function Add({ clientId, done }: { clientId: string; done: () => void }) {
  const queries = useQueryClient();
  const catalogue = useCatalogue();
  const [id] = useState(newId);
  const [kind, setKind] = useState<Kind>('EFFORT_CAP');
  const [where, setWhere] = useState('');
  const [limit, setLimit] = useState<number | null>(null);
  const [reason, setReason] = useState('');
  const unit = KINDS.find(([k]) => k === kind)?.[2] ?? null;
  const joints = [...new Set(catalogue.data?.motions.map((m) => m.joint) ?? [])];
  const scope = where.startsWith('motion:')
    ? { joints: [], motion: where.slice(7) }
    : { joints: where === '' ? [] : [where] };
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/restrictions', {
          params: { path: { clientId } },
          body: { id, kind, scope, limit: unit === null ? undefined : (limit ?? undefined), reason },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries();
      done();
    },
  });
  const findings = findingsOf(save.error);
  return (
    <form
      className="space-y-3 border-l-4 border-rule pl-4"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <div className="grid gap-3 sm:grid-cols-2">
        <label className="text-sm text-soft">
          What
          <select className={SELECT} value={kind} onChange={(e) => setKind(e.target.value as Kind)}>
            {KINDS.map(([k, text]) => (
              <option key={k} value={k}>
                {text}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm text-soft">
          Where
          <select className={SELECT} value={where} onChange={(e) => setWhere(e.target.value)}>
            <option value="">whole body</option>
            {joints.map((j) => (
              <option key={j} value={j}>
                {jointName(j)}
              </option>
            ))}
            {catalogue.data?.motions.map((m) => (
              <option key={m.id} value={`motion:${m.id}`}>
                {m.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      {unit !== null && (
        <NumberField
          label="Up to"
          unit={unit}
          value={limit}
          onChange={setLimit}
          path="limit"
          findings={findings}
          autoFocus
        />
      )}
      {unit === null && <FieldFinding findings={findings} path="limit" />}
      <TextField label="Why" value={reason} onChange={setReason} path="reason" findings={findings} />
      <Failure error={findings.length > 0 ? null : save.error} />
      <div className="flex gap-3">
        <Button look="main" type="submit" disabled={save.isPending}>
          Set restriction
        </Button>
        <Button onClick={done}>Cancel</Button>
      </div>
    </form>
  );
}
