import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask, findingsOf, newId, type Finding, type Schemas } from '../../shared/api/client';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { Button } from '../../shared/ui/Button';
import { ClientCautions } from '../../shared/ui/ClientHead';
import { Choice } from '../../shared/ui/Choice';
import { Failure } from '../../shared/ui/Findings';
import { DateField } from '../../shared/ui/DateField';
import { NumberField } from '../../shared/ui/NumberField';
import { TextField } from '../../shared/ui/TextField';
import { Ticks } from '../../shared/ui/Ticks';
import { GoalDegrees } from './GoalDegrees';

export type Details = Schemas['Details'];
export type PartProps = { details: Details; set: (part: Partial<Details>) => void; findings: Finding[] };

const EMPTY: Details = {
  name: '',
  goal: '',
  history: '',
  days: [],
  equipment: [],
  lengths: {},
  blockStepCm: 1,
  goals: [],
};

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
  const set = (part: Partial<Details>) => setD((old) => ({ ...old, ...part }));
  const save = useMutation({
    mutationFn: () =>
      clientId
        ? ask(api.PUT('/api/clients/{clientId}/details', { params: { path: { clientId: id } }, body: d }))
        : ask(api.POST('/api/clients', { body: { id, details: d } })),
    onSuccess: async () => {
      await queries.invalidateQueries();
      await navigate(clientId ? `/clients/${id}` : `/clients/${id}/screening`);
    },
  });
  const findings = findingsOf(save.error).map((f) => ({ ...f, path: f.path.replace(/^details\./, '') }));
  const parts = { details: d, set, findings };
  return (
    <form
      className="mx-auto max-w-3xl space-y-7"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <h1 className="text-3xl font-bold">{clientId ? 'Change the file' : 'New client'}</h1>
      {clientId && <ClientCautions clientId={clientId} />}
      <TextField
        label="Name"
        value={d.name}
        onChange={(name) => set({ name })}
        path="name"
        findings={findings}
        autoFocus
      />
      <TextField
        label="Goal, in the client's words"
        value={d.goal}
        onChange={(goal) => set({ goal })}
        path="goal"
        findings={findings}
      />
      <GoalDegrees {...parts} />
      <TextField
        label="History: what was, what was tried, what helped"
        value={d.history}
        onChange={(history) => set({ history })}
        path="history"
        findings={findings}
      />
      <Person {...parts} />
      <Time {...parts} />
      <Lengths {...parts} />
      <Failure error={findings.length > 0 ? null : save.error} />
      <Button look="main" type="submit" disabled={save.isPending}>
        {clientId ? 'Keep the changes' : 'Take in, go on to the screening'}
      </Button>
    </form>
  );
}

function Person({ details: d, set, findings }: PartProps) {
  return (
    <div className="grid grid-cols-2 gap-5 sm:grid-cols-3">
      <DateField
        label="Born"
        value={d.birthDate}
        onChange={(birthDate) => set({ birthDate })}
        path="birthDate"
        findings={findings}
      />
      <Choice
        label="For the tables of usual ranges"
        value={d.sex ?? 'open'}
        onChange={(sex) => set({ sex: sex === 'open' ? undefined : sex })}
        options={[
          ['open', 'open'],
          ['female', 'female'],
          ['male', 'male'],
        ]}
      />
    </div>
  );
}

const DAYS: readonly (readonly [Details['days'][number], string])[] = [
  ['MONDAY', 'Mon'],
  ['TUESDAY', 'Tue'],
  ['WEDNESDAY', 'Wed'],
  ['THURSDAY', 'Thu'],
  ['FRIDAY', 'Fri'],
  ['SATURDAY', 'Sat'],
  ['SUNDAY', 'Sun'],
];

/** When there is time, and with what. */
function Time({ details: d, set, findings }: PartProps) {
  const catalogue = useCatalogue();
  return (
    <div className="space-y-5">
      <div className="flex flex-wrap items-end gap-6">
        <div className="w-44">
          <NumberField
            label="Minutes for a session"
            unit="min"
            value={d.minutes ?? null}
            onChange={(v) => set({ minutes: v ?? undefined })}
            path="minutes"
            findings={findings}
          />
        </div>
        <Ticks label="Days with time" options={DAYS} value={d.days} onChange={(days) => set({ days })} />
      </div>
      <Ticks
        label="Equipment at hand"
        options={(catalogue.data?.equipment ?? []).map((e) => [e.id, e.name] as const)}
        value={d.equipment}
        onChange={(equipment) => set({ equipment })}
      />
    </div>
  );
}

const LENGTHS: [keyof Details['lengths'], string][] = [
  ['shank', 'Shank: knee to ankle bone'],
  ['leg', 'Leg: outer hip bone to ankle bone'],
  ['thigh', 'Thigh: outer hip bone to knee'],
  ['toeToAnkle', 'Foot: tip of the toes to ankle bone'],
  ['hipCentres', 'Between the hip joints'],
];

/** What tape formulas need; measured once. */
function Lengths({ details: d, set, findings }: PartProps) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">For measuring with the tape</legend>
      <p className="mb-3 text-sm text-soft">
        Leave open what was not measured: shank, leg and thigh are then taken from the stature, good to 5 %.
      </p>
      <div className="grid grid-cols-2 gap-5 sm:grid-cols-3">
        <NumberField
          label="Stature"
          unit="cm"
          value={d.statureCm ?? null}
          onChange={(v) => set({ statureCm: v ?? undefined })}
          path="statureCm"
          findings={findings}
        />
        <NumberField
          label="Weight"
          unit="kg"
          value={d.massKg ?? null}
          onChange={(v) => set({ massKg: v ?? undefined })}
          path="massKg"
          findings={findings}
        />
        {LENGTHS.map(([key, label]) => (
          <NumberField
            key={key}
            label={label}
            unit="cm"
            step={0.5}
            value={d.lengths[key] ?? null}
            onChange={(v) => set({ lengths: { ...d.lengths, [key]: v ?? undefined } })}
            path={`lengths.${key}`}
            findings={findings}
          />
        ))}
        <NumberField
          label="Blocks stack in"
          unit="cm"
          step={0.5}
          value={d.blockStepCm}
          onChange={(v) => set({ blockStepCm: v ?? 0 })}
          path="blockStepCm"
          findings={findings}
        />
      </div>
    </fieldset>
  );
}
