import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { day, fixed, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { TextField } from '../../shared/ui/TextField';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { INSTRUMENTS } from '../../shared/instruments';

/** How sure readings are: the house values, and each coach's own studies. */
export function NoisePage() {
  const noise = useQuery({ queryKey: ['noise'], queryFn: () => ask(api.GET('/api/noise')) });
  const studies = useQuery({ queryKey: ['studies'], queryFn: () => ask(api.GET('/api/studies')) });
  return (
    <>
      <h1 className="mb-2 text-3xl font-bold">How sure are my readings?</h1>
      <p className="mb-6 max-w-prose">
        Two readings of the same range are never quite the same. How far they lie apart decides what counts as a change.
        Until you have measured your own repeatability, house values are used.
      </p>
      <Failure error={noise.error ?? studies.error} />
      <div className="grid gap-10 lg:grid-cols-2">
        <section>
          <h2 className="mb-2 text-xl font-bold">My own studies</h2>
          {studies.data?.length === 0 && (
            <p className="mb-3 text-soft">None yet. Five people measured twice, on two days, are enough to begin.</p>
          )}
          <ul className="mb-5 space-y-2">
            {studies.data?.map((s) => (
              <li key={s.study.id}>
                <Link className="font-semibold underline" to={`/noise/${s.study.id}`}>
                  {words(s.study.motion)}, {s.study.instrument.toLowerCase()}
                </Link>{' '}
                <span className="text-soft">
                  {s.study.finishedAt && s.result
                    ? `in use since ${day(s.study.finishedAt)}: SEM ${fixed(s.result.sem, 1)}°`
                    : `${s.readings.length} of ${s.study.people.length * s.study.visits} visits measured`}
                </span>
              </li>
            ))}
          </ul>
          <NewStudy />
        </section>
        {noise.data && <House noise={noise.data} />}
      </div>
    </>
  );
}

function NewStudy() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const catalogue = useCatalogue();
  const [id] = useState(newId);
  const [motion, setMotion] = useState('hip-internal-rotation');
  const [instrument, setInstrument] = useState<Schemas['NewStudy']['instrument']>('GONIOMETER');
  const [people, setPeople] = useState('A, B, C, D, E');
  const [visits, setVisits] = useState<number | null>(2);
  const [trials, setTrials] = useState<number | null>(3);
  const names = people
    .split(',')
    .map((p) => p.trim())
    .filter(Boolean);
  const begin = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/studies', {
          body: { id, motion, instrument, people: names, visits: visits ?? 0, trials: trials ?? 0 },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['studies'] });
      await navigate(`/noise/${id}`);
    },
  });
  const findings = findingsOf(begin.error);
  const select = 'mt-1 block min-h-11 w-full border border-rule bg-card px-2 text-ink';
  return (
    <form
      className="space-y-4 border-t-2 border-rule pt-4"
      onSubmit={(e) => {
        e.preventDefault();
        begin.mutate();
      }}
    >
      <h3 className="font-semibold">A new study</h3>
      <div className="grid grid-cols-2 gap-4">
        <label className="text-sm text-soft">
          Motion
          <select className={select} value={motion} onChange={(e) => setMotion(e.target.value)}>
            {catalogue.data?.motions.map((m) => (
              <option key={m.id} value={m.id}>
                {m.name}
              </option>
            ))}
          </select>
        </label>
        <label className="text-sm text-soft">
          Read with
          <select
            className={select}
            value={instrument}
            onChange={(e) => setInstrument(e.target.value as typeof instrument)}
          >
            {INSTRUMENTS.map(([x, text]) => (
              <option key={x} value={x}>
                {text}
              </option>
            ))}
          </select>
        </label>
      </div>
      <TextField
        label="People, separated by commas; letters will do"
        value={people}
        onChange={setPeople}
        path="people"
        findings={findings}
      />
      <div className="grid grid-cols-2 gap-4">
        <NumberField
          label="Visits each, on different days"
          value={visits}
          onChange={setVisits}
          path="visits"
          findings={findings}
        />
        <NumberField label="Trials a visit" value={trials} onChange={setTrials} path="trials" findings={findings} />
      </div>
      <Failure error={findings.length > 0 ? null : begin.error} />
      <Button look="main" type="submit" disabled={begin.isPending}>
        Begin
      </Button>
    </form>
  );
}

const HOUSE: [keyof Schemas['HouseNoise'], string, string, number][] = [
  ['semCoachDegrees', 'SEM, by a coach', '°', 0.5],
  ['semSelfDegrees', 'SEM, by the client', '°', 0.5],
  ['gapMostDegrees', 'Control gap up to', '°', 1],
  ['gapPercent', 'or up to this share of the passive range', '%', 1],
  ['gapLeastDegrees', 'but at least', '°', 1],
];

function House({ noise }: { noise: Schemas['NoiseView'] }) {
  const queries = useQueryClient();
  const [house, setHouse] = useState<Record<keyof Schemas['HouseNoise'], number | null>>(noise.house);
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.PUT('/api/noise', {
          body: Object.fromEntries(HOUSE.map(([key]) => [key, house[key] ?? 0])) as Schemas['HouseNoise'],
        }),
      ),
    onSuccess: () => queries.invalidateQueries(),
  });
  const findings = findingsOf(save.error);
  const shipped = noise.shipped;
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">House values</h2>
      <p className="mb-3 max-w-prose text-sm text-soft">
        SEM is the standard error of measurement where no study says better: house rule {shipped.semCoachDegrees}° for a
        coach, {shipped.semSelfDegrees}° for a client alone; a range may drift by {noise.driftPerDay}°² a day. The
        control gap, passive less active, is in order up to {shipped.gapMostDegrees}°, or up to a third of the passive
        range where that is smaller, but {shipped.gapLeastDegrees}° always is: common practice, no source. Only the
        owner changes them.
      </p>
      <div className="grid max-w-md grid-cols-2 items-end gap-4">
        {HOUSE.map(([key, label, unit, step]) => (
          <NumberField
            key={key}
            label={label}
            unit={unit}
            step={step}
            value={house[key]}
            onChange={(value) => setHouse((h) => ({ ...h, [key]: value }))}
            path={key}
            findings={findings}
          />
        ))}
      </div>
      <Failure error={findings.length > 0 ? null : save.error} />
      <Button className="mt-3" onClick={() => save.mutate()} disabled={save.isPending}>
        Set for the studio
      </Button>
      {save.isSuccess && <span className="ml-3 text-soft">Set.</span>}
    </section>
  );
}
