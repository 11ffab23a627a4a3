import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { words } from '../../shared/units';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { Button } from '../../shared/ui/Button';
import { Failure, FieldFinding } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';

type Details = Schemas['Details'];

const EMPTY: Details = { name: '', goal: '', blockStepCm: 1, goals: [] };

export function ClientFormPage() {
  const { clientId } = useParams();
  const client = useQuery({
    queryKey: ['client', clientId],
    enabled: clientId !== undefined,
    queryFn: () => ask(api.GET('/api/clients/{clientId}', { params: { path: { clientId: clientId ?? '' } } })),
  });
  if (!clientId) return <ClientForm start={EMPTY} />;
  if (client.error) return <Failure error={client.error} />;
  return client.data ? <ClientForm start={client.data.details} clientId={clientId} /> : null;
}

function ClientForm({ start, clientId }: { start: Details; clientId?: string }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [id] = useState(() => clientId ?? newId());
  const [d, setD] = useState(start);
  const save = useMutation({
    mutationFn: () =>
      clientId
        ? ask(api.PUT('/api/clients/{clientId}/details', { params: { path: { clientId: id } }, body: d }))
        : ask(api.POST('/api/clients', { body: { id, details: d } })),
    onSuccess: async () => {
      await queries.invalidateQueries();
      await navigate(clientId ? `/clients/${id}` : `/clients/${id}/measure`);
    },
  });
  const findings = findingsOf(save.error).map((f) => ({ ...f, path: f.path.replace(/^details\./, '') }));
  const number = (key: 'minutes' | 'statureCm' | 'shankCm' | 'beighton', label: string, unit: string) => (
    <NumberField
      label={label}
      unit={unit}
      value={d[key] ?? null}
      onChange={(v) => setD({ ...d, [key]: v ?? undefined })}
      path={key}
      findings={findings}
    />
  );
  return (
    <form
      className="mx-auto max-w-2xl space-y-5"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <h1 className="text-3xl font-bold">{clientId ? 'Change the file' : 'New client'}</h1>
      <TextField
        label="Name"
        value={d.name}
        onChange={(name) => setD({ ...d, name })}
        path="name"
        findings={findings}
        focus
      />
      <TextField
        label="Goal, in the client's words"
        value={d.goal}
        onChange={(goal) => setD({ ...d, goal })}
        path="goal"
        findings={findings}
      />
      <GoalDegrees details={d} setDetails={setD} findings={findings} />
      <div className="grid grid-cols-2 gap-5 sm:grid-cols-3">
        <label className="block text-sm text-soft">
          Born
          <input
            type="date"
            className="block w-full border-b-2 border-rule bg-transparent py-1.5 text-base text-ink"
            value={d.birthDate ?? ''}
            onChange={(e) => setD({ ...d, birthDate: e.target.value || undefined })}
          />
          <FieldFinding findings={findings} path="birthDate" />
        </label>
        {number('minutes', 'Minutes for a session', 'min')}
        {number('statureCm', 'Stature', 'cm')}
        {number('shankCm', 'Shank, knee to ankle', 'cm')}
        {number('beighton', 'Beighton score', 'of 9')}
        <NumberField
          label="Blocks stack in"
          unit="cm"
          step={0.5}
          value={d.blockStepCm}
          onChange={(v) => setD({ ...d, blockStepCm: v ?? 0 })}
          path="blockStepCm"
          findings={findings}
        />
      </div>
      <p className="text-sm text-soft">
        A shank measured with the tape makes tape angles far surer than one taken from stature (5 % of its length).
      </p>
      <Failure error={findings.length > 0 ? null : save.error} />
      <Button look="main" type="submit" disabled={save.isPending}>
        {clientId ? 'Keep the changes' : 'Take in and measure'}
      </Button>
    </form>
  );
}

type TextProps = {
  label: string;
  value: string;
  onChange: (value: string) => void;
  path: string;
  findings: Schemas['Finding'][];
  focus?: boolean;
};

function TextField({ label, value, onChange, path, findings, focus }: TextProps) {
  return (
    <div>
      <label className="block text-sm text-soft">
        {label}
        <input
          autoFocus={focus}
          className="block w-full border-b-2 border-rule bg-transparent py-1 text-xl font-semibold text-ink outline-none focus:border-ink"
          value={value}
          onChange={(e) => onChange(e.target.value)}
        />
      </label>
      <FieldFinding findings={findings} path={path} />
    </div>
  );
}

type GoalProps = { details: Details; setDetails: (d: Details) => void; findings: Schemas['Finding'][] };

/** The degrees that the goal needs, a number a motion; empty takes the motion out. */
function GoalDegrees({ details, setDetails, findings }: GoalProps) {
  const catalogue = useCatalogue();
  const set = (motion: string, degrees: number | null) => {
    const others = details.goals.filter((g) => g.motion !== motion);
    setDetails({ ...details, goals: degrees === null ? others : [...others, { motion, degrees }] });
  };
  return (
    <fieldset className="grid grid-cols-2 gap-5">
      <legend className="mb-1 text-sm text-soft">Degrees that the goal needs, if known</legend>
      {catalogue.data?.motions.map((m) => (
        <NumberField
          key={m.id}
          label={words(m.id)}
          unit="°"
          value={details.goals.find((g) => g.motion === m.id)?.degrees ?? null}
          onChange={(v) => set(m.id, v)}
          path={`goals[${details.goals.findIndex((g) => g.motion === m.id)}].degrees`}
          findings={findings}
        />
      ))}
    </fieldset>
  );
}
