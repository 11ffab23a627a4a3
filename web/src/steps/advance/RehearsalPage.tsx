import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, type Finding, type Schemas, type Side } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { Failure } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { useDebounced } from '../../shared/ui/useDebounced';
import { RehearsalChart } from './RehearsalChart';
import { Working } from '../../shared/ui/Working';

type Cast = Schemas['Cast'];
type Life = Schemas['Life'];
type Trait = Cast['traits'][number];

const TRAITS: [Trait, string][] = [
  ['STIFF', 'stiff'],
  ['LOOSE', 'loose without control'],
  ['OVER_EAGER', 'over-eager'],
  ['IRREGULAR', 'irregular'],
  ['SORE', 'easily sore'],
];

const MOST = 4;
const PAUSE_MS = 300;
const LONG_MS = 1_000;

function invented(seed: number, traits: Trait[]): Cast {
  return { traits, seed, adherence: 0.9, weeks: 12, sessionsPerWeek: 3, leftDegrees: 30, rightDegrees: 33 };
}

/** Invented clients through a plan, side by side, week by week. */
export function RehearsalPage() {
  const [casts, setCasts] = useState([invented(1, ['STIFF']), invented(1, ['OVER_EAGER', 'SORE'])]);
  const [policy, setPolicy] = useState<string | null>(null);
  const [side, setSide] = useState<Side>('LEFT');
  const policies = useQuery({ queryKey: ['policies'], queryFn: () => ask(api.GET('/api/policies')) });
  const used = policy ?? policies.data?.find((p) => p.inUse)?.id;
  const asked = useDebounced(casts, PAUSE_MS);
  const lives = useQuery({
    queryKey: ['rehearsal', used, asked],
    enabled: used !== undefined,
    placeholderData: (before: Life[] | undefined) => before,
    queryFn: () => ask(api.POST('/api/rehearsals/preview', { body: { policyId: used ?? '', casts: asked } })),
  });
  // A short one is no news.
  const long = useDebounced(lives.isFetching, LONG_MS);
  const findings = findingsOf(lives.error);
  const change = (i: number, part: Partial<Cast>) => setCasts(casts.map((c, j) => (i === j ? { ...c, ...part } : c)));
  return (
    <>
      <h1 className="mb-2 text-3xl font-bold">Rehearsal</h1>
      <p className="mb-3 max-w-prose border-l-4 border-warn bg-warn-paper px-3 py-1.5 font-semibold text-warn">
        Invented clients, for understanding the rules. This is a model, never a forecast of a person.
      </p>
      {lives.isFetching && long && <Working name="rehearsal" what="Living through it" />}
      <div className="mb-4 flex flex-wrap items-end gap-3">
        {policies.data?.map((p) => (
          <Button key={p.id} look={p.id === used ? 'main' : 'plain'} onClick={() => setPolicy(p.id)}>
            {p.name}
          </Button>
        ))}
        <Choice
          label="Side shown"
          value={side}
          onChange={setSide}
          options={[
            ['LEFT', 'Left'],
            ['RIGHT', 'Right'],
          ]}
        />
        {casts.length < MOST && (
          <Button onClick={() => setCasts([...casts, invented(casts.length + 1, [])])}>One more client</Button>
        )}
      </div>
      <Failure error={findings.some((f) => f.path.startsWith('casts')) ? null : (policies.error ?? lives.error)} />
      <div className="grid gap-8 lg:grid-cols-2">
        {casts.map((cast, i) => (
          <section key={i}>
            <Who
              cast={cast}
              change={(part) => change(i, part)}
              findings={findings}
              place={i + 1}
              at={`casts[${i}]`}
              remove={casts.length > 1 ? () => setCasts(casts.filter((_, j) => j !== i)) : undefined}
            />
            {lives.data?.[i] && <RehearsalChart life={lives.data[i]} side={side} />}
          </section>
        ))}
      </div>
    </>
  );
}

type WhoProps = {
  place: number;
  cast: Cast;
  change: (part: Partial<Cast>) => void;
  remove: (() => void) | undefined;
  findings: Finding[];
  at: string;
};

function Who({ place, cast, change, remove, findings, at }: WhoProps) {
  const number = (
    key: 'seed' | 'weeks' | 'sessionsPerWeek' | 'leftDegrees' | 'rightDegrees',
    label: string,
    unit = '',
  ) => (
    <NumberField
      label={label}
      unit={unit}
      value={cast[key]}
      onChange={(v) => change({ [key]: v ?? 0 })}
      path={`${at}.${key}`}
      findings={findings}
    />
  );
  return (
    <>
      <div className="flex items-center justify-between">
        <h2 className="text-xl font-bold">Client {place}</h2>
        {remove && (
          <Button className="min-h-9 py-0 text-sm" onClick={remove}>
            Leave out
          </Button>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        {TRAITS.map(([trait, name]) => (
          <label key={trait} className="flex min-h-9 items-center gap-2">
            <input
              type="checkbox"
              checked={cast.traits.includes(trait)}
              onChange={(e) =>
                change({
                  traits: e.target.checked ? [...cast.traits, trait] : cast.traits.filter((t) => t !== trait),
                })
              }
            />
            {name}
          </label>
        ))}
      </div>
      <div className="mb-2 grid grid-cols-3 gap-x-4 gap-y-2 sm:grid-cols-6">
        {number('weeks', 'Weeks')}
        {number('sessionsPerWeek', 'A week')}
        <NumberField
          label="Comes"
          unit="%"
          step={5}
          value={Math.round(cast.adherence * 100)}
          onChange={(v) => change({ adherence: (v ?? 0) / 100 })}
          path={`${at}.adherence`}
          findings={findings}
        />
        {number('leftDegrees', 'Left', '°')}
        {number('rightDegrees', 'Right', '°')}
        {number('seed', 'Seed')}
      </div>
    </>
  );
}
