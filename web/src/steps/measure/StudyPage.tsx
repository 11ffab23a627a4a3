import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { day, degrees, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { StudyResult } from './StudyResult';

type View = Schemas['StudyView'];

/** A repeatability study as a task: who is next, at which visit, until every reading is in. */
export function StudyPage() {
  const { studyId = '' } = useParams();
  const study = useQuery({
    queryKey: ['studies', studyId],
    queryFn: () => ask(api.GET('/api/studies/{studyId}', { params: { path: { studyId } } })),
  });
  return (
    <>
      <Link to="/noise" className="text-soft underline">
        How sure are my readings?
      </Link>
      <Failure error={study.error} />
      {study.data && <Study view={study.data} />}
    </>
  );
}

function Study({ view }: { view: View }) {
  const { study } = view;
  const next = view.next;
  return (
    <>
      <h1 className="mb-1 text-3xl font-bold">
        {words(study.motion)}, {study.instrument.toLowerCase()}
      </h1>
      <p className="mb-6 text-soft">
        {study.people.length} people, {study.visits} visits, {study.trials} trials each. Everybody once before anybody
        twice; do not look at the earlier readings.
      </p>
      <div className="grid gap-10 lg:grid-cols-2">
        <section>
          {next && !study.finishedAt && (
            <Trials key={`${next.person}-${next.visit}`} view={view} person={next.person} visit={next.visit} />
          )}
          <Grid view={view} />
        </section>
        <section>
          {view.result ? (
            <StudyResult result={view.result} />
          ) : (
            <p className="text-soft">No result yet: {view.missing}</p>
          )}
          {view.result && !next && <Finish view={view} />}
        </section>
      </div>
    </>
  );
}

function Trials({ view, person, visit }: { view: View; person: number; visit: number }) {
  const queries = useQueryClient();
  const { study } = view;
  const [trials, setTrials] = useState<(number | null)[]>(() => Array<null>(study.trials).fill(null));
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/studies/{studyId}/readings', {
          params: { path: { studyId: study.id } },
          body: { person, visit, trials: trials.filter((t) => t !== null) },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['studies'] }),
  });
  const findings = findingsOf(save.error);
  return (
    <div className="mb-6 border-l-4 border-ink pl-4">
      <h2 className="mb-3 text-2xl font-bold">
        Now {study.people[person]}, visit {visit + 1}
      </h2>
      <div className="grid grid-cols-3 gap-4">
        {trials.map((t, i) => (
          <NumberField
            key={i}
            label={`Trial ${i + 1}`}
            unit="°"
            value={t}
            autoFocus={i === 0}
            name={`study-${i}`}
            onChange={(v) => setTrials(trials.map((x, j) => (j === i ? v : x)))}
            onEnter={() =>
              i + 1 < trials.length
                ? document.querySelector<HTMLInputElement>(`input[name="study-${i + 1}"]`)?.focus()
                : save.mutate()
            }
            path={`trials[${i}]`}
            findings={findings}
          />
        ))}
      </div>
      <OtherFindings findings={findings} shown={(p) => /trials\[/.test(p)} />
      <Failure error={findings.length > 0 ? null : save.error} />
      <Button look="main" className="mt-3" onClick={() => save.mutate()} disabled={save.isPending}>
        Save
      </Button>
    </div>
  );
}

/** Who was measured when: medians only, so that nobody measures towards a number. */
function Grid({ view }: { view: View }) {
  const { study, readings } = view;
  const visits = [...Array(study.visits).keys()];
  const cell = (person: number, visit: number) => readings.find((r) => r.person === person && r.visit === visit);
  return (
    <table className="text-left">
      <thead className="text-soft">
        <tr>
          <th className="pr-6 font-normal">who</th>
          {visits.map((v) => (
            <th key={v} className="pr-6 font-normal">
              visit {v + 1}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {study.people.map((name, p) => (
          <tr key={p} className="border-t border-rule">
            <td className="pr-6 font-semibold">{name}</td>
            {visits.map((v) => (
              <td key={v} className="pr-6">
                {shown(view, cell(p, v))}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function shown(view: View, reading: View['readings'][number] | undefined): string {
  if (!reading) return '–';
  return view.next ? 'measured' : reading.trials.angles.map((a) => degrees(a)).join(', ');
}

function Finish({ view }: { view: View }) {
  const queries = useQueryClient();
  const finish = useMutation({
    mutationFn: () => ask(api.POST('/api/studies/{studyId}/finish', { params: { path: { studyId: view.study.id } } })),
    onSuccess: () => queries.invalidateQueries(),
  });
  if (view.study.finishedAt) {
    return <p className="mt-4 font-semibold">In use for your readings since {day(view.study.finishedAt)}.</p>;
  }
  return (
    <div className="mt-4">
      <Failure error={finish.error} />
      <Button look="main" onClick={() => finish.mutate()} disabled={finish.isPending}>
        Use these figures from now on
      </Button>
    </div>
  );
}
