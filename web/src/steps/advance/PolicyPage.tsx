import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId, type Finding, type Schemas } from '../../shared/api/client';
import { amount, day } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { Failure, FieldFinding } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { TextField } from '../../shared/ui/TextField';

type Policy = Schemas['PolicyView'];
type Shown = Schemas['Shown'];

const GATES: Record<string, string> = {
  'too much': 'Too much',
  'long gap': 'Long gap and illness',
  unknowns: 'Still unknown',
  qualified: 'Clean sessions',
  start: 'Newcomers',
  angle: 'Angle',
  'step up': 'Steps up',
  'step down': 'Steps down',
  plateau: 'Plateau and blocks',
  load: 'Load',
};

/** Every number that steps are judged by, with its range and where it comes from. */
export function PolicyPage() {
  const policies = useQuery({ queryKey: ['policies'], queryFn: () => ask(api.GET('/api/policies')) });
  const [chosen, choose] = useState<string | null>(null);
  const all = policies.data;
  const shown = all?.find((p) => p.id === chosen) ?? all?.find((p) => p.inUse) ?? all?.[0];
  return (
    <>
      <h1 className="text-3xl font-bold">Rules</h1>
      <p className="mb-4 max-w-prose text-soft">
        What a step up, a stay or a step down is judged by. The house policy ships with Gradino and stays; a copy may
        differ. Every decision names the policy it was judged by.
      </p>
      <Failure error={policies.error} />
      <p className="mb-4 flex flex-wrap gap-3">
        <ButtonLink to="/rules/backtest">Look back: what would other rules have done?</ButtonLink>
        <ButtonLink to="/rules/rehearsal">Rehearse with invented clients</ButtonLink>
        <ButtonLink to="/rules/why">Why? A history, fact by fact</ButtonLink>
      </p>
      <div className="mb-6 flex flex-wrap gap-2">
        {all?.map((p) => (
          <Button key={p.id} look={p.id === shown?.id ? 'main' : 'plain'} onClick={() => choose(p.id)}>
            {p.name}
            {p.inUse ? ', in use' : ''}
          </Button>
        ))}
      </div>
      {shown && <Editor key={`${shown.id} ${shown.version}`} policy={shown} onSaved={choose} />}
    </>
  );
}

function Editor({ policy, onSaved }: { policy: Policy; onSaved: (id: string) => void }) {
  const queries = useQueryClient();
  const house = policy.id === 'house';
  const [name, setName] = useState(house ? 'Our rules' : policy.name);
  const [note, setNote] = useState(house ? '' : policy.note);
  const [values, setValues] = useState<Record<string, number | null>>({});
  const [id] = useState(() => (house ? newId() : policy.id));
  const after = async (kept: Policy[]) => {
    queries.setQueryData(['policies'], kept);
    await queries.invalidateQueries();
  };
  const keep = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/policies/{policyId}', {
          params: { path: { policyId: id } },
          body: { name, note, values: asked(policy, values) },
        }),
      ),
    onSuccess: async (kept) => {
      await after(kept);
      onSaved(id);
    },
  });
  const use = useMutation({
    mutationFn: () => ask(api.POST('/api/policies/{policyId}/use', { params: { path: { policyId: policy.id } } })),
    onSuccess: after,
  });
  const findings = findingsOf(keep.error);
  const gates = [...new Set(policy.thresholds.map((t) => t.gate))];
  return (
    <>
      <div className="mb-4 grid max-w-4xl items-end gap-4 sm:grid-cols-[1fr_2fr_auto]">
        <TextField
          label={house ? 'Name of the copy' : 'Name'}
          value={name}
          onChange={setName}
          path="name"
          findings={findings}
        />
        <TextField label="Why it differs" value={note} onChange={setNote} />
        <span className="flex gap-2">
          <Button look="main" disabled={keep.isPending} onClick={() => keep.mutate()}>
            {house ? 'Save as a copy' : 'Save'}
          </Button>
          {!policy.inUse && (
            <Button disabled={use.isPending} onClick={() => use.mutate()}>
              Judge by it from now on
            </Button>
          )}
        </span>
      </div>
      <p className="mb-4 text-sm text-soft">
        {policy.label}
        {policy.recordedAt && `, saved ${day(policy.recordedAt)}`}. {policy.note}
      </p>
      <Failure error={findings.length > 0 ? null : (keep.error ?? use.error)} />
      <div className="gap-x-10 xl:columns-2">
        {gates.map((gate) => (
          <section key={gate} className="mb-6 break-inside-avoid">
            <h2 className="border-b-[3px] border-ink pb-1 text-xl font-bold">{GATES[gate] ?? gate}</h2>
            {policy.thresholds
              .filter((t) => t.gate === gate)
              .map((t) => (
                <Row
                  key={t.threshold}
                  shown={t}
                  value={t.threshold in values ? (values[t.threshold] ?? null) : t.value}
                  set={(v) => setValues({ ...values, [t.threshold]: v })}
                  findings={findings}
                />
              ))}
          </section>
        ))}
      </div>
    </>
  );
}

/** Those that differ from the house; an emptied field is the house's number again. */
function asked(policy: Policy, typed: Record<string, number | null>): Record<string, number> {
  const values: Record<string, number> = {};
  for (const t of policy.thresholds) {
    const value = t.threshold in typed ? (typed[t.threshold] ?? t.house) : t.value;
    if (value !== t.house) values[t.threshold] = value;
  }
  return values;
}

type RowProps = { shown: Shown; value: number | null; set: (v: number | null) => void; findings: Finding[] };

function Row({ shown, value, set, findings }: RowProps) {
  const differs = value !== null && value !== shown.house;
  return (
    <div className={`grid grid-cols-[1fr_6.5rem] gap-x-4 border-b border-rule py-1.5 ${differs ? 'bg-card' : ''}`}>
      <div>
        <p className={differs ? 'font-semibold' : ''}>{shown.words}</p>
        <p className="text-xs text-soft">
          {amount(shown.min, shown.unit)} to {amount(shown.max, shown.unit)}
          {differs ? `; house ${amount(shown.house, shown.unit)}` : ''}
          {value === null ? `; empty is the house’s ${amount(shown.house, shown.unit)}` : ''}. {shown.source.text}
        </p>
        <FieldFinding findings={findings} path={`values.${shown.threshold}`} />
      </div>
      <NumberField
        label={shown.words}
        hideLabel
        decimals={3}
        unit={amount(0, shown.unit).slice(shown.unit === 'RATIO' ? 4 : 1)}
        step={shown.unit === 'RATIO' ? 0.01 : shown.unit === 'DEGREE' ? 0.5 : 1}
        value={value}
        onChange={set}
      />
    </div>
  );
}
